import { cholesky, covarianceOf } from './covariance.js';
import type { Random } from './random.js';
import { systematic, weighed } from './weights.js';

/** What is to be sampled: standard normals, weighed by how likely what was seen is by each. */
export interface TemperedInput {
  readonly dimensions: number;
  /** Points to end with, 20 or more. */
  readonly count: number;
  /** Whatever lies below `atLeast` may be called -Infinity: it is not kept, however far below it is. */
  readonly logLikelihood: (point: Float64Array, atLeast: number) => number;
  readonly random: Random;
}

/** Equally weighted points, and how likely what was seen is by all of the prior. */
export interface TemperedSample {
  readonly points: readonly Float64Array[];
  readonly logEvidence: number;
  /** Share of the points that moved at least once since they were last copied, 0–1; 1 where nothing needed weighing. */
  readonly fresh: number;
}

/** Share of the points that must go on counting at each step. @source usual practice of sequential Monte Carlo */
const COUNTING = 0.4;
const MOVES = 4;
/** Chance of acceptance that a step is sized for. @source Roberts, Gelman, Gilks 1997 */
const WANTED_ACCEPTANCE = 0.25;
/** Now and then a small step, for the ridges that many readings leave. */
const SMALL_STEP = 0.25;
const MOST_STAGES = 60;

/**
 * Draws from a prior of standard normals given a likelihood, by turning the likelihood up little by little: at each stage
 * the points are weighed, copied by their weight, and moved about.
 *
 * @param input - see `TemperedInput`; the same seed gives the same sample
 * @returns the sample
 * @source sequential Monte Carlo samplers (Del Moral, Doucet, Jasra 2006) with random-walk Metropolis moves
 */
export function temperedSample({ dimensions, count, logLikelihood, random }: TemperedInput): TemperedSample {
  let points: Float64Array[] = Array.from({ length: count }, () => Float64Array.from({ length: dimensions }, () => random.normal()));
  let likelihoods: Float64Array = Float64Array.from(points, (point) => logLikelihood(point, -Infinity));
  let logEvidence = 0;
  let power = 0;
  let scale = 2.38 / Math.sqrt(dimensions);
  let fresh = 1;
  for (let stage = 0; power < 1 && stage < MOST_STAGES; stage += 1) {
    const next = stage === MOST_STAGES - 1 ? 1 : nextPower(likelihoods, power);
    const { weights, logMean } = weighed(likelihoods, next - power);
    logEvidence += logMean;
    power = next;
    const picked = systematic(weights, random.uniform());
    points = picked.map((k) => Float64Array.from(points[k] ?? []));
    likelihoods = Float64Array.from(picked, (k) => likelihoods[k] ?? -Infinity);
    const root = cholesky(covarianceOf(points));
    const moved = new Uint8Array(count);
    for (let move = 0; move < MOVES; move += 1) {
      const step = move === MOVES - 1 ? scale * SMALL_STEP : scale;
      let accepted = 0;
      points.forEach((point, k) => {
        const proposed = stepped(point, root, step, random);
        // What a proposal must reach to be taken is known before its likelihood, which is then worked out no further than it has to be.
        const wanted = (likelihoods[k] ?? -Infinity) + (Math.log(1 - random.uniform()) - (squareOf(point) - squareOf(proposed)) / 2) / power;
        const likelihood = logLikelihood(proposed, wanted);
        if (likelihood > wanted) {
          points[k] = proposed;
          likelihoods[k] = likelihood;
          moved[k] = 1;
          accepted += 1;
        }
      });
      if (step === scale) scale *= Math.exp(accepted / count - WANTED_ACCEPTANCE);
    }
    fresh = moved.reduce((sum, m) => sum + m, 0) / count;
  }
  return { points, logEvidence, fresh };
}

/** The highest power of the likelihood that leaves enough points counting. */
function nextPower(likelihoods: Float64Array, power: number): number {
  const enough = (step: number): boolean => weighed(likelihoods, step).effective >= COUNTING * likelihoods.length;
  if (enough(1 - power)) return 1;
  let [lo, hi] = [0, 1 - power];
  for (let i = 0; i < 24; i += 1) {
    const middle = (lo + hi) / 2;
    if (enough(middle)) lo = middle;
    else hi = middle;
  }
  return power + Math.max(lo, 1e-6);
}

function stepped(point: Float64Array, root: readonly Float64Array[], scale: number, random: Random): Float64Array {
  const size = point.length;
  const out = new Float64Array(size);
  for (let i = 0; i < size; i += 1) out[i] = random.normal();
  // The last first: each is made of its own noise and those before it, which are still there.
  for (let i = size - 1; i >= 0; i -= 1) {
    const row = root[i];
    let sum = 0;
    for (let j = 0; row && j <= i; j += 1) sum += (row[j] ?? 0) * (out[j] ?? 0);
    out[i] = (point[i] ?? 0) + scale * sum;
  }
  return out;
}

function squareOf(point: Float64Array): number {
  let sum = 0;
  for (const v of point) sum += v * v;
  return sum;
}
