import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { OTHER_MATTER_G_PER_L, TYPICAL_JUICE } from '../liquid/liquid-from-readings.js';
import type { Fruit } from '../liquid/liquid.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { sgFromSolids } from '../density/solids.js';
import { PLAIN_STEM } from './gauge.js';
import type { RawGravity } from './raw-gravity.js';

/**
 * Gravity of a juice from the sugar its carton states, for makers without a hydrometer.
 *
 * @param input - sugar, g per 100 mL, 2–30, and the fruit
 * @returns gravity, about ±0.002, with the working
 * @throws {CoreError} OUT_OF_RANGE
 * @source sugar plus the usual acid, tannin, sorbitol and other matter of such juice, as solids
 */
export function gravityFromCarton(input: { readonly sugarGPer100Ml: number; readonly fruit: Fruit }): Worked<number> {
  const sugar = inRange('sugarGPer100Ml', input.sugarGPer100Ml, LIMITS.sugarGPer100Ml) * 10;
  const usual = TYPICAL_JUICE[input.fruit];
  const others = usual.taGPerL + usual.tanninGPerL + usual.sorbitolGPerL + OTHER_MATTER_G_PER_L;
  const sg = sgFromSolids(sugar + others);
  return worked(sg, [
    {
      label: 'Gravity from the carton',
      expression: `${figure(sugar, 0)} g/L sugar + ${figure(others, 0)} g/L of the rest`,
      result: `about ${gravityText(sg)}`,
      source: 'solids by gravity, fitted to ASBC; usual figures of such juice',
    },
  ]);
}

/**
 * What a carton states, as a gravity that is stored: nobody has read it.
 *
 * @param input - sugar, g per 100 mL, 2–30, and the fruit
 * @throws {CoreError} OUT_OF_RANGE
 */
export const rawGravityOfCarton = (input: Parameters<typeof gravityFromCarton>[0]): RawGravity => ({
  instrument: 'carton',
  reading: gravityFromCarton(input).value,
  sampleC: null,
  calibratedAtC: PLAIN_STEM.calibratedAtC,
  offsetSg: 0,
});
