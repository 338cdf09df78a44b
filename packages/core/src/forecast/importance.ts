import type { Random } from '../numeric/random.js';

/** A normal distribution to draw from, in as many dimensions as its mean has. */
export interface Normals {
  readonly mean: Float64Array;
  /** Lower triangle of the covariance's root, row by row. */
  readonly root: readonly Float64Array[];
  /** Log of the product of the root's diagonal. */
  readonly logDet: number;
}

/** Fewer members than this that still count say nothing. @source usual practice of importance sampling */
export const LEAST_EFFECTIVE = 100;

/**
 * The effective number of weighted members.
 *
 * @param logWeights - in any scale
 * @param power - tempering, 0–1
 * @returns between 1 and how many there are
 * @source Kong 1992
 */
export function effectiveCount(logWeights: Float64Array, power = 1): number {
  const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
  let sum = 0;
  let squares = 0;
  for (const logWeight of logWeights) {
    const w = Math.exp(power * (logWeight - most));
    sum += w;
    squares += w * w;
  }
  return (sum * sum) / squares;
}

/** The largest power of tempering, at most 1, that leaves this many members counting. */
export function temperTo(logWeights: Float64Array, wanted: number): number {
  if (effectiveCount(logWeights) >= wanted) return 1;
  let [lo, hi] = [0, 1];
  for (let i = 0; i < 24; i += 1) {
    const middle = (lo + hi) / 2;
    if (effectiveCount(logWeights, middle) >= wanted) lo = middle;
    else hi = middle;
  }
  return lo;
}

/** Weights that sum to one. */
export function normalised(logWeights: Float64Array, power = 1): Float64Array {
  const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = logWeights.map((w) => Math.exp(power * (w - most)));
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / sum);
}

/** Covariance is widened by this much, so that a proposal covers what it is to propose. @source usual practice of adaptive importance sampling */
const WIDEN = 1.35;
/** Least variance, as a share of the prior's, so that a dimension never freezes. */
const LEAST_VARIANCE = 0.02;

/**
 * The normal distribution with the moments of weighted points, somewhat widened.
 *
 * @param points - each as long as the next
 * @param weights - summing to one
 * @returns the distribution
 * @source moment matching; Cholesky's decomposition
 */
export function fitNormals(points: readonly Float64Array[], weights: Float64Array): Normals {
  const size = points[0]?.length ?? 0;
  const mean = new Float64Array(size);
  points.forEach((p, k) => p.forEach((v, i) => (mean[i] = (mean[i] ?? 0) + (weights[k] ?? 0) * v)));
  const covariance = Array.from({ length: size }, () => new Float64Array(size));
  points.forEach((p, k) => {
    const w = weights[k] ?? 0;
    if (w < 1e-12) return;
    for (let i = 0; i < size; i += 1) {
      const row = covariance[i];
      const di = (p[i] ?? 0) - (mean[i] ?? 0);
      for (let j = 0; row && j <= i; j += 1) row[j] = (row[j] ?? 0) + w * di * ((p[j] ?? 0) - (mean[j] ?? 0));
    }
  });
  covariance.forEach((row, i) => {
    for (let j = 0; j <= i; j += 1) row[j] = (row[j] ?? 0) * WIDEN + (i === j ? LEAST_VARIANCE : 0);
  });
  return { mean, ...cholesky(covariance) };
}

function cholesky(a: readonly Float64Array[]): Pick<Normals, 'root' | 'logDet'> {
  const root = a.map((row) => new Float64Array(row.length));
  let logDet = 0;
  for (let i = 0; i < a.length; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      let sum = a[i]?.[j] ?? 0;
      for (let k = 0; k < j; k += 1) sum -= (root[i]?.[k] ?? 0) * (root[j]?.[k] ?? 0);
      const row = root[i];
      if (row) row[j] = i === j ? Math.sqrt(Math.max(sum, 1e-9)) : sum / (root[j]?.[j] ?? 1);
    }
    logDet += Math.log(root[i]?.[i] ?? 1);
  }
  return { root, logDet };
}

/** One draw. */
export function drawNormals({ mean, root }: Normals, random: Random): Float64Array {
  const size = mean.length;
  const out = new Float64Array(size);
  // The draws are written where their own place is still free: each is used by its row and those below it.
  for (let i = 0; i < size; i += 1) out[i] = random.normal();
  for (let i = size - 1; i >= 0; i -= 1) {
    const row = root[i];
    let value = mean[i] ?? 0;
    for (let j = 0; row && j <= i; j += 1) value += (row[j] ?? 0) * (out[j] ?? 0);
    out[i] = value;
  }
  return out;
}

const MOST_DIMENSIONS = 16;
const solved = new Float64Array(MOST_DIMENSIONS);

/** Log density, leaving out the constant that every normal of these dimensions shares. */
export function logDensity({ mean, root, logDet }: Normals, point: Float64Array): number {
  let square = 0;
  for (let i = 0; i < mean.length; i += 1) {
    const row = root[i];
    let value = (point[i] ?? 0) - (mean[i] ?? 0);
    for (let j = 0; row && j < i; j += 1) value -= (row[j] ?? 0) * (solved[j] ?? 0);
    value /= row?.[i] ?? 1;
    solved[i] = value;
    square += value * value;
  }
  return -square / 2 - logDet;
}

/** Log density of standard normals, on the same footing. */
export function logStandard(point: Float64Array): number {
  let square = 0;
  for (let i = 0; i < point.length; i += 1) square += (point[i] ?? 0) ** 2;
  return -square / 2;
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
