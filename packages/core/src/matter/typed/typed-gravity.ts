import { CoreError } from '../../base/errors/core-error.js';
import { isWithin } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { rawGravityBy, type GaugeScale } from '../measure/gauge.js';
import type { RawGravity } from '../measure/raw-gravity.js';
import type { UnitId } from '../quantity/units.js';
import { parseQuantity } from './parse-quantity.js';

/**
 * What a bare number is that was read with a gauge: a stem shows gravity, a lens °Bx.
 *
 * @param kind - hydrometer or refractometer
 */
export const unitOfGauge = (kind: GaugeScale['kind']): UnitId => (kind === 'refractometer' ? 'Bx' : 'SG');

/**
 * A gravity as a maker wrote it down beside a gauge.
 *
 * @param text - as typed, in any unit of gravity
 * @param kind - what it was read with
 * @returns SG as the gauge showed it
 * @throws {CoreError} UNREADABLE or OUT_OF_RANGE with a sentence to show
 */
export const typedSg = (text: string, kind: GaugeScale['kind']): number => parseQuantity(text, { dimension: 'gravity', bareUnit: unitOfGauge(kind) }).value;

/** Said of a sample that is none. */
export const NO_SAMPLE = 'A sample lies between 0 and 100 °C; let a hot one cool.';

/**
 * A gravity as it is stored, out of what a maker typed.
 *
 * @param text - as typed, in any unit of gravity
 * @param gauge - what it was read with
 * @param sampleC - warmth of the sample, °C; null when nobody looked
 * @throws {CoreError} UNREADABLE or OUT_OF_RANGE with a sentence to show
 */
export function typedGravity(text: string, gauge: GaugeScale, sampleC: number | null): RawGravity {
  if (sampleC !== null && !isWithin(sampleC, LIMITS.sampleC)) throw new CoreError('OUT_OF_RANGE', NO_SAMPLE, { field: 'sampleC', ...LIMITS.sampleC });
  return rawGravityBy(gauge, typedSg(text, gauge.kind), sampleC);
}
