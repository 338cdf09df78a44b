/** Weights of things by their logs. */
export interface Weighed {
  /** Summing to one. */
  readonly weights: Float64Array;
  /** Log of their mean before they were made to. */
  readonly logMean: number;
  /** How many of them count, between 1 and how many there are. */
  readonly effective: number;
}

/**
 * Weights from their logs.
 *
 * @param logWeights - in any scale
 * @param power - what they are raised to, 0–1
 * @returns the weights, their mean, and how many count
 * @source effective number by Kong 1992
 */
export function weighed(logWeights: Float64Array, power = 1): Weighed {
  const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = logWeights.map((l) => Math.exp(power * (l - most)));
  let [sum, squares] = [0, 0];
  for (const w of weights) {
    sum += w;
    squares += w * w;
  }
  return { weights: weights.map((w) => w / sum), logMean: power * most + Math.log(sum / weights.length), effective: (sum * sum) / squares };
}

/**
 * Which of weighted things are kept, and how often, so that all then weigh the same.
 *
 * @param weights - summing to one
 * @param start - where in the first step it begins, 0–1
 * @param count - how many to keep
 * @returns their places, in order
 * @source systematic resampling
 */
export function systematic(weights: Float64Array, start: number, count = weights.length): readonly number[] {
  const picked: number[] = [];
  let sum = 0;
  let k = -1;
  for (let i = 0; i < count; i += 1) {
    const at = (i + start) / count;
    while (sum < at && k < weights.length - 1) {
      k += 1;
      sum += weights[k] ?? 0;
    }
    picked.push(Math.max(0, k));
  }
  return picked;
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
