import { addAcid, addTannin } from '../../matter/liquid/add-acid.js';
import { addFermentable, addWater } from '../../matter/liquid/additions.js';
import { liquidFromReadings, TYPICAL_JUICE } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fruitById } from '../../base/reference/fruit-library.js';
import { DRAWN, JUICE_L_PER_KG, lostInPulpL, type WeighedSugar } from './pulp.js';

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

/** Share of their sugar that chopped raisins give up in that time. @source our estimate */
const DRAWN_FROM_RAISINS = 0.6;
/** Tannin in a cup of strong black tea, g. @source our estimate from usual tea, 0.2–0.4 g */
const TANNIN_G_PER_CUP = 0.3;
const GARDEN_MIX_SG = 1.049;

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
