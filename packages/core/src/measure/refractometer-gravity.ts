import { inRange } from '../errors/guards.js';
import { figure, gravityText } from '../worked/figures.js';
import { worked, type Worked } from '../worked/worked.js';
import type { CorrectedGravity } from './correct-hydrometer.js';

/** Two refractometer readings of one ferment. */
export interface RefractometerReading {
  /** °Bx before yeast, 0–40. */
  readonly originalBrix: number;
  /** °Bx shown now, 0–40. */
  readonly currentBrix: number;
  /** The instrument's divisor for juice against sugar water, 0.9–1.1; default 1. */
  readonly correctionFactor?: number;
}

/** How far the fermenting correction may be off. @source estimate: spread of published fits */
const FERMENTING_UNCERTAINTY_SG = 0.002;

/**
 * Present gravity from refractometer readings once there is alcohol, which bends light more than its weight tells.
 *
 * @param input - the Brix before yeast and now
 * @returns gravity ±0.002 or worse, with the working
 * @throws {CoreError} OUT_OF_RANGE, or when the reading has risen
 * @source cubic in both readings: 1 − 0.0044993 i + 0.011774 f + 2.7581e-4 i² − 1.2717e-3 f² − 7.28e-6 i³ + 6.3293e-5 f³
 */
export function refractometerGravity(input: RefractometerReading): Worked<CorrectedGravity> {
  const factor = inRange('correctionFactor', input.correctionFactor ?? 1, { min: 0.9, max: 1.1 });
  const i = inRange('originalBrix', input.originalBrix, { min: 0, max: 40 }) / factor;
  const f = inRange('currentBrix', input.currentBrix, { min: 0, max: 40 }) / factor;
  const sg = 1 - 0.0044993 * i + 0.011774 * f + 2.7581e-4 * i ** 2 - 1.2717e-3 * f ** 2 - 7.28e-6 * i ** 3 + 6.3293e-5 * f ** 3;
  return worked({ sg, plusMinus: FERMENTING_UNCERTAINTY_SG }, [
    {
      label: 'Alcohol taken out of the reading',
      expression: `start ${figure(i, 1)} °Bx, now ${figure(f, 1)} °Bx, cubic in both`,
      result: gravityText(sg, 4),
      source: 'published cubic fit; good to ±0.002 at best',
    },
  ]);
}
