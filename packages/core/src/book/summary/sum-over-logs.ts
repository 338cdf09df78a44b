import type { Amount } from '../kinds/kind.js';

/** Adds up amounts of the same things. */
export function sumAmounts(amounts: readonly Amount[]): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { id, amount } of amounts) sums.set(id, (sums.get(id) ?? 0) + amount);
  return sums;
}

/** The same, each thing once. */
export const summed = (amounts: readonly Amount[]): readonly Amount[] => [...sumAmounts(amounts)].map(([id, amount]) => ({ id, amount }));
