import { effectiveEntries } from './effective-entries.js';
import type { Entry, EntryKind, EntryOf } from './entry.js';

/**
 * Sums what entries as they now stand took of something, so that an entry struck out gives back what it took.
 *
 * @param logs - the log of every batch
 * @param kinds - the kinds of entry that can take any; a log without them is not looked through
 * @param takenBy - what such an entry took: an id and an amount for each
 * @returns amounts by id
 */
export function sumOverLogs<K extends EntryKind>(
  logs: readonly (readonly Entry[])[],
  kinds: readonly K[],
  takenBy: (entry: EntryOf<K>) => readonly { readonly id: string; readonly amount: number }[],
): ReadonlyMap<string, number> {
  const isOne = (entry: Entry): entry is EntryOf<K> => kinds.some((kind) => kind === entry.kind);
  const sums = new Map<string, number>();
  for (const log of logs) {
    // A correction cannot change an entry's kind, so the log as written tells whether it matters.
    if (!log.some(isOne)) continue;
    for (const { id, amount } of effectiveEntries(log).entries.filter(isOne).flatMap(takenBy)) sums.set(id, (sums.get(id) ?? 0) + amount);
  }
  return sums;
}
