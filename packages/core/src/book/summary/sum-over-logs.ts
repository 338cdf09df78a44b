import type { Entry, EntryKind, EntryOf } from '../entry/entry.js';

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
 * Sums what the entries of a log took of something.
 *
 * @param entries - of a batch, as they now stand, so that one struck out gives back what it took
 * @param kinds - the kinds of entry that can take any
 * @param takenBy - what such an entry took: an id and an amount for each
 * @returns amounts, each thing once
 */
export function takenByLog<K extends EntryKind>(
  entries: readonly Entry[],
  kinds: readonly K[],
  takenBy: (entry: EntryOf<K>) => readonly Amount[],
): readonly Amount[] {
  const isOne = (entry: Entry): entry is EntryOf<K> => kinds.some((kind) => kind === entry.kind);
  return [...sumAmounts(entries.filter(isOne).flatMap(takenBy))].map(([id, amount]) => ({ id, amount }));
}
