/** Fewer members than this that still count say nothing. @source usual practice of importance sampling */
export const LEAST_EFFECTIVE = 100;

/**
 * The effective number of weighted members.
 *
 * @param logWeights - in any scale
 * @returns between 1 and how many there are
 * @source Kong 1992
 */
export function effectiveCount(logWeights: Float64Array): number {
  const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
  let sum = 0;
  let squares = 0;
  for (const logWeight of logWeights) {
    const w = Math.exp(logWeight - most);
    sum += w;
    squares += w * w;
  }
  return (sum * sum) / squares;
}

/** Weights that sum to one. */
export function normalised(logWeights: Float64Array): Float64Array {
  const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = logWeights.map((w) => Math.exp(w - most));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / sum);
}

/**
 * A quantile of weighted values.
 *
 * @param values - in any order; infinities allowed
 * @param weights - summing to one
 * @param share - 0–1
 * @returns the value below which that share lies
 */
export function weightedQuantile(values: Float64Array, weights: Float64Array, share: number): number {
  const order = Array.from(values.keys()).sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  let sum = 0;
  for (const i of order) {
    sum += weights[i] ?? 0;
    if (sum >= share) return values[i] ?? NaN;
  }
  return values[order.at(-1) ?? 0] ?? NaN;
}
