import { inRange, LIMITS } from '../errors/guards.js';
import { brixFromSg, sgFromBrix } from '../measure/brix.js';
import { correctedGravity, DEFAULT_READING_UNCERTAINTY_SG, type CorrectedGravity } from '../measure/correct-hydrometer.js';
import { refractometerGravity } from '../measure/refractometer-gravity.js';
import type { Liquid } from '../liquid/liquid.js';
import { gravityOf } from '../liquid/views.js';
import type { RawGravity } from './entry.js';

/** How far a carton's sugar figure may be off. @source labels are rounded and give an average */
const CARTON_UNCERTAINTY_SG = 0.002;

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
    if (must) return refractometerGravity({ originalBrix: brixFromSg(gravityOf(must)), currentBrix: raw.reading }).value;
    return { sg: sgFromBrix(raw.reading), plusMinus: DEFAULT_READING_UNCERTAINTY_SG };
  }
  inRange('reading', raw.reading, LIMITS.sg);
  if (raw.instrument === 'carton') return { sg: raw.reading, plusMinus: CARTON_UNCERTAINTY_SG };
  if (raw.sampleC === null) return { sg: raw.reading + raw.offsetSg, plusMinus: 2 * DEFAULT_READING_UNCERTAINTY_SG };
  return correctedGravity({ reading: raw.reading, sampleC: raw.sampleC, calibratedAtC: raw.calibratedAtC, offset: raw.offsetSg });
}
