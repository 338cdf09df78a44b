import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { findRoot } from '../../base/numeric/find-root.js';

/**
 * Degrees Brix of a sugar solution of this gravity.
 *
 * @param sg - specific gravity 20 °C/20 °C, 1.0–1.4 (no alcohol present)
 * @returns °Bx, % sucrose by mass
 * @throws {CoreError} OUT_OF_RANGE outside the gravities Trug handles
 * @source ASBC polynomial: −616.868 + 1111.14 s − 630.272 s² + 135.997 s³
 */
export function brixFromSg(sg: number): number {
  inRange('sg', sg, LIMITS.sg);
  return -616.868 + sg * (1111.14 + sg * (-630.272 + sg * 135.997));
}

/**
 * Gravity of a sugar solution of this Brix: the ASBC polynomial inverted numerically.
 *
 * @param brix - °Bx, 0–75
 * @returns specific gravity 20 °C/20 °C
 * @throws {CoreError} OUT_OF_RANGE when Brix is outside 0–75
 */
export function sgFromBrix(brix: number): number {
  inRange('brix', brix, LIMITS.brix);
  return findRoot({ f: (sg) => brixFromSg(sg) - brix, lo: 0.99, hi: LIMITS.sg.max, tolerance: 1e-9 });
}

/** Gravity per °Bx near water. @source slope of the ASBC polynomial at 1.000 */
const SG_PER_BRIX_NEAR_WATER = 0.00387;

/**
 * Gravity of what a Brix scale shows, also below zero, where a dry drink reads.
 *
 * @param brix - °Bx as shown
 * @returns specific gravity 20 °C/20 °C; NaN past 75 °Bx, which no drink shows
 */
export function sgFromAnyBrix(brix: number): number {
  if (brix > LIMITS.brix.max) return NaN;
  return brix < 0 ? 1 + SG_PER_BRIX_NEAR_WATER * brix : sgFromBrix(brix);
}
