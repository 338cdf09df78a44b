/**
 * How several people ranked the same glasses, summed.
 *
 * @param orders - for each who tasted, the glasses from best to worst, by number from 0
 * @param glasses - how many there are
 * @returns of each glass the sum of its places: the lowest is liked best
 */
export const rankSumsOf = (orders: readonly (readonly number[])[], glasses: number): readonly number[] =>
  Array.from({ length: glasses }, (_none, glass) => orders.reduce((sum, order) => sum + order.indexOf(glass) + 1, 0));

/** The glass that came first by itself; null where several share it. */
export function firstOf(rankSums: readonly number[]): number | null {
  const least = Math.min(...rankSums);
  return rankSums.filter((sum) => sum === least).length === 1 ? rankSums.indexOf(least) : null;
}
