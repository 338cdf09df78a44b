import type { Feed } from './forecast-types.js';
import { gravityAt, MODEL, startOf, type FermentSetting, type FermentTraits } from './ferment-model.js';

/** Length of a step, days. The course stays within half a point of a solver with error control. */
export const STEP_DAYS = 0.125;

/** What a ferment goes through, step by step. */
export interface FermentCourse {
  /** Cardinal factor of each step, with this ferment's own answer to temperature. */
  readonly heat: Float64Array;
  /** The step from which `drift` counts. */
  readonly driftFrom: number;
  readonly feeds: readonly Feed[];
}

const notBelowZero = (value: number): number => (value > 0 ? value : 0);

/** Sugar below which nothing more is worth reckoning, g/L. */
const SPENT_G_PER_L = 0.02;

/**
 * Runs one possible ferment step by step and writes its gravity down. This is the inner loop of a forecast: the same
 * equations as `fermentRates`, by the midpoint rule, without making an object on the way.
 *
 * @param setting - the must and kind
 * @param traits - this ferment
 * @param course - how warm each step is, and what is put in
 * @param out - gravity at the beginning of each step, one more than there are steps
 * @returns sugar left at the end, g/L
 */
export function integrateFerment(setting: FermentSetting, traits: FermentTraits, { heat, driftFrom, feeds }: FermentCourse, out: Float64Array): number {
  const { sugarGPerL: sugar0, startAbv, dryAbv } = setting;
  const { rate, lagDays, yieldGPerMg, halfSugarGPerL, toleranceAbv, decline, drift, endOffsetSg } = traits;
  const { growthPerDay, uptakeGPerGPerDay, halfNitrogenMgPerL } = MODEL;
  const lag3 = lagDays * lagDays * lagDays;
  const nearAtStart = startAbv / toleranceAbv;
  const nearPerSugar = (dryAbv - startAbv) / sugar0 / toleranceAbv;
  const stuckBelow = traits.sticksAtShare * sugar0;
  const steps = heat.length;
  let { yeastGPerL: yeast, nitrogenMgPerL: nitrogen, sugarGPerL: sugar, served } = startOf(setting);
  let i = 0;
  for (; i < steps; i += 1) {
    out[i] = gravityAt(sugar, setting, endOffsetSg);
    if (sugar < SPENT_G_PER_L || sugar < stuckBelow) break;
    if (feeds.length > 0) nitrogen += fedAt(feeds, i);
    const hot = heat[i] ?? 0;
    if (hot === 0) continue;
    const pace = hot * rate * (i >= driftFrom ? drift : 1);
    const half = STEP_DAYS / 2;

    let cubed = served * served * served;
    let near = nearAtStart + nearPerSugar * (sugar0 - sugar);
    let room = near < 1 ? 1 - near * near : 0;
    let active = (pace * cubed * room * yeast) / (cubed + lag3);
    let growth = (growthPerDay * active * nitrogen) / (nitrogen + halfNitrogenMgPerL);
    let uptake = (uptakeGPerGPerDay * active * sugar) / (sugar + halfSugarGPerL);
    const yeastMid = yeast + half * (growth - decline * hot * (1 - room) * yeast);
    const nitrogenMid = notBelowZero(nitrogen - (half * growth) / yieldGPerMg);
    const sugarMid = notBelowZero(sugar - half * uptake);

    const servedMid = served + half * hot;
    cubed = servedMid * servedMid * servedMid;
    near = nearAtStart + nearPerSugar * (sugar0 - sugarMid);
    room = near < 1 ? 1 - near * near : 0;
    active = (pace * cubed * room * yeastMid) / (cubed + lag3);
    growth = (growthPerDay * active * nitrogenMid) / (nitrogenMid + halfNitrogenMgPerL);
    uptake = (uptakeGPerGPerDay * active * sugarMid) / (sugarMid + halfSugarGPerL);
    yeast += STEP_DAYS * (growth - decline * hot * (1 - room) * yeastMid);
    nitrogen = notBelowZero(nitrogen - (STEP_DAYS * growth) / yieldGPerMg);
    sugar = notBelowZero(sugar - STEP_DAYS * uptake);
    served += STEP_DAYS * hot;
  }
  out.fill(gravityAt(sugar, setting, endOffsetSg), i);
  return sugar;
}

/** Nitrogen that goes in during a step, mg/L. */
function fedAt(feeds: readonly Feed[], step: number): number {
  return feeds.reduce((sum, { day, mgNPerL }) => sum + (Math.floor(day / STEP_DAYS) === step ? mgNPerL : 0), 0);
}
