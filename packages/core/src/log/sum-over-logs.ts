import { effectiveEntries } from './effective-entries.js';
import type { Entry, EntryKind, EntryOf } from './entry.js';

/** How much of something. */
export interface Amount {
  readonly id: string;
  readonly amount: number;
}

/** Adds up amounts of the same things. */
export function sumAmounts(amounts: readonly Amount[]): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { id, amount } of amounts) sums.set(id, (sums.get(id) ?? 0) + amount);
  return sums;
}

/**
 * Sums what the entries of a log as they now stand took of something, so that an entry struck out gives back what it took.
 *
 * @param log - the log of a batch
 * @param kinds - the kinds of entry that can take any; a log without them is not looked through
 * @param takenBy - what such an entry took: an id and an amount for each
 * @returns amounts, each thing once
 */
export function takenByLog<K extends EntryKind>(
  log: readonly Entry[],
  kinds: readonly K[],
  takenBy: (entry: EntryOf<K>) => readonly Amount[],
): readonly Amount[] {
  const isOne = (entry: Entry): entry is EntryOf<K> => kinds.some((kind) => kind === entry.kind);
  // A correction cannot change an entry's kind, so the log as written tells whether it matters.
  if (!log.some(isOne)) return [];
  return [...sumAmounts(effectiveEntries(log).entries.filter(isOne).flatMap(takenBy))].map(([id, amount]) => ({ id, amount }));
}
