import { addAcid, addTannin } from '../../matter/liquid/add-acid.js';
import { addFermentable, addWater } from '../../matter/liquid/additions.js';
import { liquidFromReadings, TYPICAL_JUICE } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fruitById } from '../../base/reference/fruit-library.js';

/** A sugar or syrup by weight. */
export interface WeighedSugar {
  readonly fermentableId: string;
  readonly massG: number;
}

/** What went into a steeping. */
export interface Steeped {
  readonly fruitKg: number;
  /** A cultivar of the library, or null for a garden mix. */
  readonly fruitId: string | null;
  readonly hot: boolean;
  readonly waterL: number;
  /** White sugar, g. */
  readonly sugarG: number;
  /** Any other sugar, as it was weighed. */
  readonly otherSugars?: readonly WeighedSugar[] | undefined;
  /** Citric acid, as lemons bring it, g. */
  readonly acidG: number;
  /** Cups of strong tea, for tannin. */
  readonly teaCups: number;
  /** Raisins or sultanas, for body, g. */
  readonly driedFruitG: number;
}

/** Juice in a kilo of apples or pears, L. @source usual composition: about 85 % juice */
export const JUICE_L_PER_KG = 0.82;
/** Share of it that chopped fruit gives up to water. @source our estimate: heat opens the flesh, cold steeping takes less */
export const DRAWN = { hot: 0.85, cold: 0.7 } as const;
/** Share of their sugar that chopped raisins give up in that time. @source our estimate */
const DRAWN_FROM_RAISINS = 0.6;
/** Tannin in a cup of strong black tea, g. @source our estimate from usual tea, 0.2–0.4 g */
const TANNIN_G_PER_CUP = 0.3;
/** Litres of water soaked up by a kilo of pulp and lost in straining. @source our estimate */
const LOST_L_PER_KG = 0.15;
const GARDEN_MIX_SG = 1.049;

/** Room a kilo of whole fruit takes, L. @source our estimate: an apple just floats, with its air */
const ROOM_L_PER_KG = 1.1;

/**
 * Room that the pulp itself takes in a bucket, beside what will run off it.
 *
 * @param fruit - what is steeped
 * @returns L
 * @source our estimates: {@link ROOM_L_PER_KG} less the juice that is drawn out, with the water that stays in it
 */
export const pulpL = (fruit: Pick<Steeped, 'fruitKg' | 'hot'>): number =>
  fruit.fruitKg * (ROOM_L_PER_KG - JUICE_L_PER_KG * DRAWN[fruit.hot ? 'hot' : 'cold'] + LOST_L_PER_KG);

/** Litres of water that stay in the pulp when it is strained. */
export const lostInPulpL = (fruitKg: number): number => fruitKg * LOST_L_PER_KG;

/** The juice that water draws out of the fruit of a steeping. */
export function drawnJuice({ fruitKg, fruitId, hot }: Pick<Steeped, 'fruitKg' | 'fruitId' | 'hot'>): Liquid {
  const volumeL = fruitKg * JUICE_L_PER_KG * DRAWN[hot ? 'hot' : 'cold'];
  if (fruitId === null) return liquidFromReadings({ volumeL, sg: GARDEN_MIX_SG, fruit: 'apple', ...TYPICAL_JUICE.apple });
  const kind = fruitById(fruitId);
  return liquidFromReadings({
    volumeL,
    sg: kind.sg[1],
    fruit: kind.fruit,
    taGPerL: kind.taGPerL[1],
    ph: kind.ph[1],
    tanninGPerL: kind.tanninGPerL[1],
    sorbitolGPerL: kind.sorbitolGPerL,
    yanMgPerL: kind.yanMgPerL[1],
  });
}

/**
 * The strained must of a steeping, from what went in.
 *
 * @param steeped - fruit, water and what was added
 * @returns the must to expect, with the water lost in the pulp taken off
 * @source mass balance over the fruit library's figures; what is drawn out are our estimates
 */
export function steepedLiquid(steeped: Steeped): Liquid {
  const juice = drawnJuice(steeped);
  const { driedFruitG, sugarG, otherSugars = [], acidG, teaCups, waterL, fruitKg } = steeped;
  const raisins = driedFruitG > 0 ? addFermentable(juice, { fermentableId: 'raisins-sultanas', massG: driedFruitG * DRAWN_FROM_RAISINS }) : juice;
  const thinned = addWater(raisins, Math.max(0, waterL - lostInPulpL(fruitKg)));
  const sugars = [...otherSugars, { fermentableId: 'sucrose', massG: sugarG }].filter((sugar) => sugar.massG > 0);
  const sweetened = sugars.reduce(addFermentable, thinned);
  const sharpened = acidG > 0 ? addAcid(sweetened, { acid: 'citric', massG: acidG }) : sweetened;
  return { ...addTannin(sharpened, teaCups * TANNIN_G_PER_CUP), fruit: juice.fruit };
}
