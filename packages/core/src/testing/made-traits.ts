import { MODEL, typicalTraits, type FermentSetting, type FermentTraits } from '../ferment/forecast/ferment-model.js';
import type { Random } from '../base/numeric/random.js';

/** Spread of the growth model's traits, as standard deviations of logarithms. */
const SPREAD = { rate: 0.6, lag: 0.6, yield: 0.5, halfSugar: 0.6, decline: 0.6 } as const;
const END_OFFSET_SG = 0.0012;

/** Traits of a ferment that the growth model could have, drawn widely. */
export function madeTraits(setting: FermentSetting, random: Random): FermentTraits {
  const typical = typicalTraits(setting);
  const times = (spread: number): number => Math.exp(spread * random.normal());
  return {
    ...typical,
    rate: times(SPREAD.rate),
    lagDays: typical.lagDays * times(SPREAD.lag),
    yieldGPerMg: MODEL.yieldGPerMg * times(SPREAD.yield),
    halfSugarGPerL: MODEL.halfSugarGPerL * times(SPREAD.halfSugar),
    endOffsetSg: END_OFFSET_SG * random.normal(),
    decline: MODEL.declinePerDay * times(SPREAD.decline),
  };
}
