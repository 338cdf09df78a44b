import { CoreError } from '../errors/core-error.js';

/** A bracketed search for where a function crosses zero. */
export interface RootSearch {
  readonly f: (x: number) => number;
  readonly lo: number;
  readonly hi: number;
  /** Width of the bracket at which the search ends. */
  readonly tolerance: number;
  readonly maxIterations?: number;
}

/**
 * Finds a zero by bisection: slow beside cleverer methods, but it cannot leave the bracket,
 * and no calculator here asks for more than a few hundred evaluations.
 *
 * @param search - the function, a bracket over which it changes sign, the tolerance and a cap (default 200 halvings)
 * @returns an x within `tolerance` of the crossing
 * @throws {CoreError} UNREACHABLE when the ends do not bracket a zero; NOT_CONVERGED past the cap
 */
export function findRoot(search: RootSearch): number {
  const { f, tolerance, maxIterations = 200 } = search;
  let lo = search.lo;
  let hi = search.hi;
  const fLo = f(lo);
  if (fLo === 0) return lo;
  const fHi = f(hi);
  if (fHi === 0) return hi;
  if (!(fLo * fHi < 0)) {
    throw new CoreError('UNREACHABLE', `no solution between ${lo} and ${hi}`, { lo, hi, atLo: fLo, atHi: fHi });
  }
  for (let i = 0; i < maxIterations; i += 1) {
    const mid = (lo + hi) / 2;
    if (hi - lo <= tolerance) return mid;
    if (f(mid) * fLo > 0) lo = mid;
    else hi = mid;
  }
  throw new CoreError('NOT_CONVERGED', `still ${hi - lo} wide after ${maxIterations} halvings`, { lo, hi });
}
