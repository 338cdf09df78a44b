/**
 * The middle of some figures.
 *
 * @param values - at least one, in any order; left as they are
 * @returns the middle one, or the mean of the two in the middle; NaN of none
 */
export function median(values: ArrayLike<number>): number {
  const sorted = Float64Array.from(values).sort();
  const middle = sorted.length >> 1;
  const upper = sorted[middle] ?? NaN;
  return sorted.length % 2 === 1 ? upper : ((sorted[middle - 1] ?? NaN) + upper) / 2;
}
