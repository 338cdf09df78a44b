import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { brixFromSg, sgFromBrix } from '../density/brix.js';
import { correctedGravity, DEFAULT_READING_UNCERTAINTY_SG, type CorrectedGravity } from './correct-hydrometer.js';
import { refractometerGravity } from './refractometer-gravity.js';
import type { Liquid } from '../liquid/liquid.js';
import { gravityOf } from '../liquid/views.js';
import type { RawGravity } from './raw-gravity.js';

/** How far the sugar a carton states may lawfully be off, share of it. @source usual tolerance of nutrition labels, ±20 % */
export const CARTON_TOLERANCE = 0.2;
/** A must thinner than this is no must. */
const LEAST_MUST_BRIX = 5;

/** ± SG of a gravity that rests on a carton's figure. @source the tolerance of labels, on all but the solids that are not sugar */
export const cartonPlusMinus = (sg: number): number => CARTON_TOLERANCE * Math.max(0, sg - 1 - NOT_SUGAR_SG);
/** What acid, sorbitol and minerals bring to a juice's gravity. @source 16 g/L of them, as in `liquidFromReadings` */
const NOT_SUGAR_SG = 0.006;

/**
 * The true gravity behind a reading as it was taken.
 *
 * @param raw - the instrument, its figure and the sample's temperature
 * @param must - what went to yeast, once it has; a refractometer needs it
 * @returns gravity and its ±
 * @throws {CoreError} OUT_OF_RANGE
 * @source by instrument: `correctHydrometer`, `refractometerGravity`, or the carton's own figure
 */
export function correctGravity(raw: RawGravity, must: Liquid | null): CorrectedGravity {
  if (raw.instrument === 'refractometer') {
    if (must) {
      const originalBrix = Math.max(LEAST_MUST_BRIX, brixFromSg(gravityOf(must)));
      // What was filed stands: a figure above the first is asked about where it is typed, and here means that nothing has fermented.
      return refractometerGravity({ originalBrix, currentBrix: Math.min(originalBrix, raw.reading), liquid: must }).value;
    }
    return { sg: sgFromBrix(raw.reading), plusMinus: DEFAULT_READING_UNCERTAINTY_SG };
  }
  inRange('reading', raw.reading, LIMITS.sg);
  if (raw.instrument === 'carton') return { sg: raw.reading, plusMinus: cartonPlusMinus(raw.reading) };
  if (raw.sampleC === null) return { sg: raw.reading + raw.offsetSg, plusMinus: 2 * DEFAULT_READING_UNCERTAINTY_SG };
  return correctedGravity({ reading: raw.reading, sampleC: raw.sampleC, calibratedAtC: raw.calibratedAtC, offset: raw.offsetSg });
}
