import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, brixOf, dryAbvOf, dryGravityOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { usualToleranceAbv } from '../../base/reference/yeast-kinds.js';
import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';

/** What a must and a kind of yeast fix before anything is uncertain. */
export interface FermentSetting {
  readonly originalSg: number;
  readonly drySg: number;
  readonly sugarGPerL: number;
  /** Strength it begins with, above nothing when a stuck ferment is begun again, % by volume. */
  readonly startAbv: number;
  /** Strength when every gram is gone, % by volume. */
  readonly dryAbv: number;
  readonly toleranceAbv: readonly [number, number];
  readonly yanMgPerL: number;
  /** Share of the nitrogen this kind would like that is missing, 0–1. */
  readonly nitrogenLack: number;
  readonly pitchGPerL: number;
  /** Days at its best temperature before it shows. */
  readonly lagDays: number;
}

/** One possible ferment: every quantity a batch differs in from the textbook. */
export interface FermentTraits {
  /** Speed of growth and uptake, 1 for typical. */
  readonly rate: number;
  readonly lagDays: number;
  readonly yieldGPerMg: number;
  /** Sugar at which uptake is half as fast, g/L: large for a long tail. */
  readonly halfSugarGPerL: number;
  readonly toleranceAbv: number;
  /** How fast yeast loses strength as alcohol rises, per day at its best temperature. */
  readonly decline: number;
  /** Share of the sugar left at which it sticks; 0 when it does not. */
  readonly sticksAtShare: number;
  /** Speed from now on beside the speed so far. */
  readonly drift: number;
  /** Where dry lies beside the reckoning, SG. */
  readonly endOffsetSg: number;
  /** How sharply it answers to temperature, 1 for typical. */
  readonly temperaturePower: number;
}

/**
 * Constants of the model. Growth takes up nitrogen (Monod) and uptake follows the sugar, both slowed by alcohol.
 *
 * @source our estimates within published ranges for wine and cider yeasts, fitted to the usual durations
 */
export const MODEL = {
  growthPerDay: 1.42,
  uptakeGPerGPerDay: 19.8,
  halfNitrogenMgPerL: 8,
  yieldGPerMg: 0.022,
  halfSugarGPerL: 6,
  declinePerDay: 0.02,
  /** Nitrogen no analysis counts, and what dying cells give back. */
  leastNitrogenMgPerL: 18,
} as const;

const SULFITE_LAG = 0.006;

/**
 * What is fixed by the must and the kind of yeast.
 *
 * @param must - the must, unfermented
 * @param yeast - the kind
 * @param pitchGPerL - dry yeast, g/L; 0 for wild
 * @returns the setting
 * @source lag from the kind's usual hours, longer with free sulfite
 */
export function fermentSetting(must: Liquid, yeast: YeastKind, pitchGPerL: number): FermentSetting {
  const lagH = Math.sqrt(yeast.lagHours[0] * yeast.lagHours[1]);
  const wantedMgPerL = brixOf(must) * yeast.nitrogenMgNPerLPerBrix;
  return {
    originalSg: gravityOf(must),
    drySg: dryGravityOf(must),
    sugarGPerL: fermentableGPerL(must),
    startAbv: abvOf(must),
    dryAbv: dryAbvOf(must),
    toleranceAbv: yeast.toleranceAbv,
    yanMgPerL: must.yanMgPerL,
    nitrogenLack: wantedMgPerL > 0 ? Math.max(0, 1 - must.yanMgPerL / wantedMgPerL) : 0,
    pitchGPerL: pitchGPerL > 0 ? pitchGPerL : 0.12,
    lagDays: (lagH / 24) * 0.6 * (1 + SULFITE_LAG * must.totalSo2MgPerL),
  };
}

/** The typical ferment of a setting: nothing out of the ordinary. */
export function typicalTraits(setting: FermentSetting): FermentTraits {
  return {
    rate: 1,
    lagDays: setting.lagDays,
    yieldGPerMg: MODEL.yieldGPerMg,
    halfSugarGPerL: MODEL.halfSugarGPerL,
    toleranceAbv: usualToleranceAbv(setting) + 0.5,
    decline: MODEL.declinePerDay,
    sticksAtShare: 0,
    drift: 1,
    endOffsetSg: 0,
    temperaturePower: 1,
  };
}

/** What moves along a ferment. */
export interface FermentState {
  readonly yeastGPerL: number;
  readonly nitrogenMgPerL: number;
  readonly sugarGPerL: number;
  /** Days of lag served, at the best temperature. */
  readonly served: number;
}

/** Yeast pitched dry that lives to divide. @source usual viability of rehydrated dry yeast */
const LIVING_SHARE = 0.6;

/** Where a ferment begins. */
export function startOf(setting: FermentSetting): FermentState {
  return {
    yeastGPerL: LIVING_SHARE * setting.pitchGPerL,
    nitrogenMgPerL: Math.max(MODEL.leastNitrogenMgPerL, setting.yanMgPerL),
    sugarGPerL: setting.sugarGPerL,
    served: 0,
  };
}

/**
 * How fast everything moves: the model's equations, written once for readers and for the check by another solver.
 *
 * @param state - where it stands
 * @param heat - the cardinal factor at this moment, 0–1
 * @param setting - the must and kind
 * @param traits - this ferment
 * @returns rates per day
 * @source growth limited by nitrogen and sugar uptake, both slowed by alcohol (after Coleman et al. 2007 and Malherbe et al. 2004, simplified)
 */
export function fermentRates(state: FermentState, heat: number, setting: FermentSetting, traits: FermentTraits): FermentState {
  const used = setting.sugarGPerL - state.sugarGPerL;
  const abv = setting.startAbv + (setting.dryAbv - setting.startAbv) * (used / setting.sugarGPerL);
  const near = abv / traits.toleranceAbv;
  const room = Math.max(0, 1 - near * near);
  const ready = readiness(state.served, traits.lagDays);
  const stuck = state.sugarGPerL < traits.sticksAtShare * setting.sugarGPerL;
  const pace = stuck ? 0 : heat * ready * traits.rate;
  const growth = MODEL.growthPerDay * pace * (state.nitrogenMgPerL / (state.nitrogenMgPerL + MODEL.halfNitrogenMgPerL)) * room * state.yeastGPerL;
  const uptake = MODEL.uptakeGPerGPerDay * pace * (state.sugarGPerL / (state.sugarGPerL + traits.halfSugarGPerL)) * room * state.yeastGPerL;
  return {
    yeastGPerL: growth - traits.decline * heat * (1 - room) * state.yeastGPerL,
    nitrogenMgPerL: -growth / traits.yieldGPerMg,
    sugarGPerL: -uptake,
    served: heat,
  };
}

/** How far the lag is over, 0–1. @source our estimate of its shape */
export function readiness(served: number, lagDays: number): number {
  const cubed = served * served * served;
  return cubed / (cubed + lagDays * lagDays * lagDays);
}

/** Gravity of a ferment with this much sugar left: linear between its beginning and dry, within 0.0003 of the mass balance. */
export function gravityAt(sugarGPerL: number, setting: FermentSetting, endOffsetSg: number): number {
  const share = sugarGPerL / setting.sugarGPerL;
  return setting.drySg + endOffsetSg + (setting.originalSg - setting.drySg - endOffsetSg) * share;
}
