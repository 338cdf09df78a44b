import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { agreeWithMustReading, fermentFraction } from '../liquid/ferment-to.js';
import { liquidFromReadings } from '../liquid/liquid-from-readings.js';
import type { Liquid } from '../liquid/liquid.js';
import { abvOf, gravityOf, solidsOf } from '../liquid/views.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { sgFromBrix } from '../density/brix.js';
import type { CorrectedGravity } from './correct-hydrometer.js';
import { indexFromBrix, refractiveIndex } from './refractive-index.js';

/** Two refractometer readings of one ferment. */
export interface RefractometerReading {
  /** °Bx before yeast, 5–40. */
  readonly originalBrix: number;
  /** °Bx shown now, 0–40. */
  readonly currentBrix: number;
  /** The instrument's divisor for juice against sugar water, 0.9–1.1; default 1. */
  readonly correctionFactor?: number;
  /** What went to yeast, where its acids and other solids are known; a usual apple juice otherwise. */
  readonly liquid?: Liquid;
}

/** How far the fermenting correction may be off, SG. @source estimate: 0.2 °Bx of reading, and other solids that nobody measured */
const FERMENTING_UNCERTAINTY_SG = 0.004;
/** A reading above the first by less than this is the lens's own roughness, °Bx. @source a home lens is read to 0.2 */
const ROUGH_BRIX = 0.3;
/** A little past dry may still be read: the other solids were less than assumed. */
const MOST_FERMENTED = 1.2;

const indexOf = (liquid: Liquid): number => refractiveIndex({ solidsGPerL: solidsOf(liquid), ethanolGPerL: liquid.ethanolGPerL, sg: gravityOf(liquid) });

/**
 * Present gravity from refractometer readings once there is alcohol, which bends light more than its weight tells: the
 * share of the sugar fermented at which our own liquid would show what the instrument shows.
 *
 * @param input - the Brix before yeast and now, and the must where it is known
 * @returns gravity ±0.004, with the working
 * @throws {CoreError} OUT_OF_RANGE, also when the reading has risen
 * @source refractive index by Lorentz–Lorenz mixing; the ferment by mass balance
 */
export function refractometerGravity(input: RefractometerReading): Worked<CorrectedGravity> {
  const factor = inRange('correctionFactor', input.correctionFactor ?? 1, { min: 0.9, max: 1.1 });
  const original = inRange('originalBrix', input.originalBrix, { min: 5, max: 40 }) / factor;
  const current = inRange('currentBrix', input.currentBrix, LIMITS.juiceBrix) / factor;
  if (current > original + ROUGH_BRIX) {
    throw new CoreError(
      'OUT_OF_RANGE',
      `${figure(current, 1)} °Bx is more than the ${figure(original, 1)} °Bx it began with: a ferment only lowers it. Wipe the lens and read again, or check what the must was.`,
      { field: 'currentBrix', given: input.currentBrix, max: input.originalBrix },
    );
  }
  const must = agreeWithMustReading(input.liquid ?? liquidFromReadings({ volumeL: 1, sg: sgFromBrix(original) }), sgFromBrix(original));
  const shown = indexFromBrix(current);
  const off = (share: number): number => indexOf(fermentFraction(must, share)) - shown;
  const share = off(0) <= 0 ? 0 : off(MOST_FERMENTED) >= 0 ? MOST_FERMENTED : findRoot({ f: off, lo: 0, hi: MOST_FERMENTED, tolerance: 1e-6 });
  const now = fermentFraction(must, share);
  const sg = gravityOf(now);
  return worked({ sg, plusMinus: FERMENTING_UNCERTAINTY_SG }, [
    {
      label: 'Alcohol taken out of the reading',
      expression: `${figure(original, 1)} °Bx at first, ${figure(current, 1)} now: the light bends so when ${figure(share * 100, 0)} % of the sugar has become ${figure(abvOf(now), 1)} % of alcohol`,
      result: gravityText(sg, 4),
      source: 'refractive index by mixing (Lorentz–Lorenz), handbook values; good to ±0.004',
    },
  ]);
}
