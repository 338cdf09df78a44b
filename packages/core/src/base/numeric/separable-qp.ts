import { CoreError } from '../errors/core-error.js';
import { dot, orthonormalBasis } from './orthonormal.js';

/** Minimise Σ costᵢ xᵢ + ½ pullᵢ (xᵢ − wishᵢ)² while `rows · x` stays as it is and each x keeps its bounds. */
export interface SeparableQp {
  /** A point that keeps every bound and row. */
  readonly start: readonly number[];
  readonly cost: readonly number[];
  /** Strength of the pull, > 0. */
  readonly pull: readonly number[];
  readonly wish: readonly number[];
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  readonly rows: readonly (readonly number[])[];
}

/** Sizes below which a step or a price counts as nothing; all numbers here are of the order of one. */
const NO_STEP = 1e-10;
const NO_PRICE = 1e-9;

/**
 * Solves a small convex problem with a diagonal curvature by the primal active-set method: move along the free
 * directions, stop at the first bound met, let go of the bound that holds most against its will.
 * With a pull that is weak beside the costs, the answer is an exact answer of the linear problem (Mangasarian 1979),
 * and the pull only settles ties.
 *
 * @param problem - costs, pulls, bounds and rows, with a point to start from
 * @returns the best point
 * @throws {CoreError} NOT_CONVERGED after 60 changes of bound per variable
 * @source Nocedal and Wright, Numerical Optimization (2006), algorithm 16.3
 */
export function solveSeparableQp(problem: SeparableQp): readonly number[] {
  const { cost, pull, wish, lower, upper, rows } = problem;
  const n = cost.length;
  const x = [...problem.start];
  const value = (list: readonly number[], i: number): number => list[i] ?? 0;
  // Only what cannot move is held at first: bounds are taken up one by one as they stop a step, so that they stay
  // independent of the rows and of one another, and their prices have one meaning.
  const held = x.map((_, i): -1 | 0 | 1 => (value(upper, i) - value(lower, i) <= NO_STEP ? -1 : 0));
  const most = 60 * n + 60;
  // After a whole step the free directions are level by construction, whatever rounding says.
  let level = false;
  for (let turn = 0; turn < most; turn += 1) {
    const slope = x.map((v, i) => value(cost, i) + value(pull, i) * (v - value(wish, i)));
    const free = held.flatMap((h, i) => (h === 0 ? [i] : []));
    const { step, prices } = levelled(rows, pull, slope, free);
    const priced = (i: number): number => rows.reduce((sum, row, k) => sum + value(row, i) * value(prices, k), 0);
    if (!level && Math.max(0, ...free.map((i) => Math.abs(value(step, i)))) > NO_STEP) {
      level = advance({ x, step, free, held, lower, upper });
      continue;
    }
    // Early turns let go of the bound that costs most; late ones of the first found, which cannot go round in a ring.
    let letGo = -1;
    let worst = NO_PRICE;
    for (let i = 0; i < n; i += 1) {
      const h = held[i] ?? 0;
      if (h === 0 || value(upper, i) - value(lower, i) <= NO_STEP) continue;
      const against = h * (value(slope, i) - priced(i));
      if (against > worst) {
        worst = turn > most / 2 ? Infinity : against;
        letGo = i;
      }
    }
    if (letGo < 0) return x;
    held[letGo] = 0;
    level = false;
  }
  throw new CoreError('NOT_CONVERGED', `the shares still changed after ${most} turns`);
}

interface Levelled {
  /** The step that brings the free directions level. */
  readonly step: number[];
  /** What a unit of each row is worth there. */
  readonly prices: number[];
}

/** Projects the slope onto the directions that change no row. */
function levelled(rows: readonly (readonly number[])[], pull: readonly number[], slope: readonly number[], free: readonly number[]): Levelled {
  const root = free.map((i) => Math.sqrt(pull[i] ?? 1));
  const basis = orthonormalBasis(rows.map((row) => free.map((i, f) => (row[i] ?? 0) / (root[f] ?? 1))));
  let rest = free.map((i, f) => -(slope[i] ?? 0) / (root[f] ?? 1));
  const prices = rows.map(() => 0);
  for (let twice = 0; twice < 2; twice += 1) {
    for (const { unit, from } of basis) {
      const share = dot(rest, unit);
      rest = rest.map((v, f) => v - share * (unit[f] ?? 0));
      from.forEach((v, l) => (prices[l] = (prices[l] ?? 0) - share * v));
    }
  }
  const step = slope.map(() => 0);
  free.forEach((i, f) => (step[i] = (rest[f] ?? 0) / (root[f] ?? 1)));
  return { step, prices };
}

interface Move {
  readonly x: number[];
  readonly step: readonly number[];
  readonly free: readonly number[];
  readonly held: (-1 | 0 | 1)[];
  readonly lower: readonly number[];
  readonly upper: readonly number[];
}

/** Takes the step as far as the first bound, and holds on to that; tells whether it was taken whole. */
function advance({ x, step, free, held, lower, upper }: Move): boolean {
  let share = 1;
  let stop = -1;
  for (const i of free) {
    const by = step[i] ?? 0;
    const room = by > 0 ? (upper[i] ?? 0) - (x[i] ?? 0) : (lower[i] ?? 0) - (x[i] ?? 0);
    if (by !== 0 && room / by < share) {
      share = Math.max(0, room / by);
      stop = i;
    }
  }
  for (const i of free) x[i] = (x[i] ?? 0) + share * (step[i] ?? 0);
  if (stop >= 0) {
    const up = (step[stop] ?? 0) > 0;
    x[stop] = (up ? upper[stop] : lower[stop]) ?? 0;
    held[stop] = up ? 1 : -1;
  }
  return stop < 0;
}
