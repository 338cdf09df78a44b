import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import { celsius, figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** Dry yeast to weigh out. */
export interface PitchRate {
  readonly massG: number;
  readonly gPerL: number;
  readonly method: 'sprinkled' | 'rehydrated';
}

/** Warmth of a must of which nobody said any, °C. @source our estimate */
export const USUAL_MUST_C = 18;
/** @source usual packet rates: 0.2–0.3 g/L, 0.4–0.5 g/L to restart */
const USUAL_G_PER_L = 0.25;
const RESTART_G_PER_L = 0.45;
const HARD_START_FACTOR = 1.5;
const STRONG_SG = 1.08;
const COLD_C = 10;
const REHYDRATE_ABOVE_SG = 1.07;

/**
 * How much dry yeast to pitch, and whether to rehydrate it first.
 *
 * @param input - the must, the kind of yeast, the juice's temperature and whether this restarts a stuck ferment
 * @returns grams for this volume with the working
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source packet practice: half as much again above 1.080 or below 10 °C
 */
export function pitchRate(input: {
  readonly liquid: Liquid;
  readonly yeastId: string;
  readonly tempC: number;
  readonly purpose: 'start' | 'restart';
}): Worked<PitchRate> {
  const { liquid, tempC, purpose } = input;
  const yeast = yeastById(input.yeastId);
  inRange('tempC', tempC, LIMITS.tempC);
  const sg = gravityOf(liquid);
  const hard = sg > STRONG_SG || tempC < COLD_C;
  const base = purpose === 'restart' ? RESTART_G_PER_L : USUAL_G_PER_L;
  const gPerL = purpose === 'start' && hard ? base * HARD_START_FACTOR : base;
  const massG = yeast.id === WILD_YEAST_ID ? 0 : gPerL * liquid.volumeL;
  const method = purpose === 'restart' || sg > REHYDRATE_ABOVE_SG ? 'rehydrated' : 'sprinkled';
  return worked({ massG, gPerL, method }, [
    {
      label: 'Dry yeast',
      expression: `${figure(gPerL, 2)} g/L × ${figure(liquid.volumeL, 1)} L at ${gravityText(sg)} and ${celsius(tempC)}`,
      result: `${figure(massG, 1)} g`,
      source: 'usual packet rate; half as much again above 1.080 or below 10 °C',
    },
  ]);
}
