import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';

/** SG per g/L of dissolved solids, and how it falls off. @source fitted to the ASBC Brix cubic, within 0.04 points to 30 °Bx */
export const SG_PER_SOLIDS = 3.869e-4;
export const SG_PER_SOLIDS_SQUARED = 1.41e-8;

/**
 * Gravity that dissolved solids alone give.
 *
 * @param solidsGPerL - dissolved solids, g/L, 0–1200
 * @returns specific gravity 20 °C/20 °C without alcohol
 * @throws {CoreError} OUT_OF_RANGE
 * @source SG = 1 + S(3.869e-4 − 1.41e-8 S), fitted to the ASBC cubic
 */
export function sgFromSolids(solidsGPerL: number): number {
  inRange('solidsGPerL', solidsGPerL, { min: 0, max: 1200 });
  return 1 + solidsGPerL * (SG_PER_SOLIDS - SG_PER_SOLIDS_SQUARED * solidsGPerL);
}

/**
 * Dissolved solids of an unfermented juice.
 *
 * @param sg - specific gravity 20 °C/20 °C, 1.0–1.4, no alcohol present
 * @returns g/L; a gravity under 1.000 gives a small negative figure
 * @throws {CoreError} OUT_OF_RANGE
 * @source the quadratic of {@link sgFromSolids}, solved in closed form
 */
export function solidsFromSg(sg: number): number {
  inRange('sg', sg, LIMITS.sg);
  const root = Math.sqrt(SG_PER_SOLIDS ** 2 - 4 * SG_PER_SOLIDS_SQUARED * (sg - 1));
  return (SG_PER_SOLIDS - root) / (2 * SG_PER_SOLIDS_SQUARED);
}
