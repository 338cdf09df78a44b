import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { cardinalFactor } from './cardinal-temperature.js';
import { fermentSetting, typicalTraits, type FermentTraits } from './ferment-model.js';
import { integrateFerment, STEP_DAYS } from './integrate-ferment.js';
import { tempsBySteps, type TempFromDay } from './temp-profile.js';

/** Gravity along a simulated ferment. */
export interface SimulatedFerment {
  readonly stepDays: number;
  /** Gravity at the beginning of each step and at the end. */
  readonly sg: Float64Array;
}

/**
 * A ferment as the textbook would have it, or with traits of its own.
 *
 * @param input - the must, the kind of yeast, how warm it stands from which day, dry yeast, g/L (0 for wild), for how many days, 1–400, and what is out of the ordinary
 * @returns its gravity by step
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source growth by nitrogen, uptake by sugar, both slowed by alcohol; cardinal temperatures (Rosso et al. 1993)
 */
export function simulateFermentation(input: {
  readonly liquid: Liquid;
  readonly yeastId: string;
  readonly tempProfile: readonly TempFromDay[];
  readonly pitchGPerL: number;
  readonly days: number;
  readonly traits?: Partial<FermentTraits>;
}): SimulatedFerment {
  const days = inRange('days', input.days, { min: 1, max: 400 });
  const pitchGPerL = inRange('pitchGPerL', input.pitchGPerL, LIMITS.pitchGPerL);
  for (const { tempC } of input.tempProfile) inRange('tempC', tempC, LIMITS.tempC);
  const yeast = yeastById(input.yeastId);
  const setting = fermentSetting(input.liquid, yeast, pitchGPerL);
  const traits = { ...typicalTraits(setting), ...input.traits };
  const steps = Math.ceil(days / STEP_DAYS);
  const heat = tempsBySteps(input.tempProfile, STEP_DAYS, steps).map((t) => cardinalFactor(t, yeast.tempC) ** traits.temperaturePower);
  const sg = new Float64Array(steps + 1);
  integrateFerment(setting, traits, { heat, driftFrom: steps, feeds: [] }, sg);
  return { stepDays: STEP_DAYS, sg };
}

/**
 * The day from which a ferment stays within a distance of where it ends.
 *
 * @param ferment - simulated
 * @param withinSg - the distance, SG
 * @returns days after pitching
 */
export function finishDayOf({ sg, stepDays }: SimulatedFerment, withinSg: number): number {
  const end = sg[sg.length - 1] ?? 1;
  for (let i = sg.length - 1; i >= 0; i -= 1) if ((sg[i] ?? 1) - end > withinSg) return (i + 1) * stepDays;
  return 0;
}
