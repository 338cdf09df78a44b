import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Fermentable } from '../../base/reference/fermentables-data.js';
import { isOwnFermentable } from '../../base/reference/own-fermentable.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { blendLiquids, inVolume } from './blend-liquids.js';
import { besideSugar } from './juice-acids.js';
import { waterOf, type Liquid } from './liquid.js';
import { HEXOSE_PER_SUCROSE } from './views.js';

/** Points of a kilogram of sucrose in a litre: what a gram of solids shows. Light sweeteners such as erythritol show less and are counted as what they show. */
const SUCROSE_POINTS = 384;

/** Sugars that are sucrose in the packet; of the others only the maker's own count as it, which is the most they can be. */
const SUCROSE_IDS: ReadonlySet<string> = new Set(['sucrose', 'brown-sugar-light', 'brown-sugar-dark', 'maple-syrup']);
const isSucroseIn = (id: string): boolean => SUCROSE_IDS.has(id) || isOwnFermentable(id);

/** What sweetens by the drop levels off: R = R_m C ÷ (K + C), in % of sucrose, with C in mg/L. @source usual fits of sensory panels; a second dose is counted as if it were the first */
const INTENSE: Readonly<Record<string, { readonly mostPercent: number; readonly halfMgPerL: number }>> = {
  stevia: { mostPercent: 10, halfMgPerL: 200 },
  sucralose: { mostPercent: 14.7, halfMgPerL: 129 },
};

/** Whether a sweetener sweetens by the drop, by a law that is known. */
export const isIntense = (fermentableId: string): boolean => fermentableId in INTENSE;

/** Sweetness that a mass of a sweetener brings to a volume, g of sucrose. */
function sweetnessG(kind: Fermentable, massG: number, volumeL: number): number {
  const law = INTENSE[kind.id];
  if (!law) return massG * kind.sweetnessVsSucrose;
  const mgPerL = (1000 * massG) / volumeL;
  return (10 * volumeL * law.mostPercent * mgPerL) / (law.halfMgPerL + mgPerL);
}

/**
 * The liquid with a sugar, syrup or concentrate dissolved in it.
 *
 * @param liquid - before
 * @param addition - which fermentable, and how much of it, g, ≥ 0
 * @returns after, its volume grown by what the addition takes up
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source volumes and extracts of the reference library; sucrose adds 0.618 L/kg
 */
export function addFermentable(liquid: Liquid, addition: { readonly fermentableId: string; readonly massG: number }): Liquid {
  const massG = inRange('massG', addition.massG, LIMITS.massG);
  const kind = fermentableById(addition.fermentableId);
  const extractG = massG * kind.extractFraction;
  const sugarG = massG * kind.fermentableFraction;
  const grown = inVolume(liquid, liquid.volumeL + (massG / 1000) * kind.volumeLPerKg);
  const perL = (g: number): number => g / grown.volumeL;
  const isSucrose = isSucroseIn(kind.id);
  const sweetG = kind.kind === 'non-fermentable' ? sweetnessG(kind, massG, grown.volumeL) : 0;
  const shown = kind.kind === 'non-fermentable' ? Math.min(1, kind.pointsLPerKg / (SUCROSE_POINTS * kind.extractFraction)) : 1;
  return {
    ...withBesideSugar(grown, kind.id, (massG / 1000) * kind.volumeLPerKg),
    sucroseGPerL: grown.sucroseGPerL + (isSucrose ? perL(sugarG) : 0),
    hexoseGPerL: grown.hexoseGPerL + (isSucrose ? 0 : perL(sugarG)),
    otherSolidsGPerL: grown.otherSolidsGPerL + perL((extractG - sugarG) * shown),
    sweetenerGPerL: grown.sweetenerGPerL + perL(sweetG),
  };
}

/** The acids, tannin, sorbitol and nitrogen that come with some litres of juice or concentrate. */
function withBesideSugar(liquid: Liquid, fermentableId: string, litres: number): Liquid {
  const brings = besideSugar(fermentableId);
  if (!brings) return liquid;
  const share = litres / liquid.volumeL;
  return {
    ...liquid,
    malicGPerL: liquid.malicGPerL + brings.malicGPerL * share,
    backgroundMmolPerL: liquid.backgroundMmolPerL + brings.backgroundMmolPerL * share,
    strongCationsMmolPerL: liquid.strongCationsMmolPerL + brings.strongCationsMmolPerL * share,
    tanninGPerL: liquid.tanninGPerL + brings.tanninGPerL * share,
    sorbitolGPerL: liquid.sorbitolGPerL + brings.sorbitolGPerL * share,
    yanMgPerL: liquid.yanMgPerL + brings.yanMgPerL * share,
  };
}

/**
 * Sugar a mass of a fermentable brings, counted as hexose.
 *
 * @param addition - which fermentable and how much, g
 * @returns g of hexose when split and fermented
 */
export function hexoseFrom(addition: { readonly fermentableId: string; readonly massG: number }): number {
  const kind = fermentableById(addition.fermentableId);
  return addition.massG * kind.fermentableFraction * (isSucroseIn(kind.id) ? HEXOSE_PER_SUCROSE : 1);
}

/**
 * The liquid with water added.
 *
 * @param liquid - before
 * @param volumeL - water, L, ≥ 0
 * @returns after
 */
export function addWater(liquid: Liquid, volumeL: number): Liquid {
  inRange('volumeL', volumeL, LIMITS.volumeL);
  return volumeL === 0 ? liquid : { ...blendLiquids([liquid, waterOf(volumeL)]), fruit: liquid.fruit };
}

/**
 * The liquid with an unfermentable sweetener: the same act as {@link addFermentable}, named for what it is for.
 *
 * @param liquid - before
 * @param addition - which sweetener, and how much of it, g
 * @returns after
 */
export function addSweetener(liquid: Liquid, addition: { readonly sweetenerId: string; readonly massG: number }): Liquid {
  return addFermentable(liquid, { fermentableId: addition.sweetenerId, massG: addition.massG });
}

/** Share of added sulfite that stays free. @source our estimate: about half binds in sound juice */
export const FREE_SHARE_OF_SULFITE = 0.5;

/**
 * The liquid with sulfite added. About half binds at once.
 *
 * @param liquid - before
 * @param so2MgPerL - sulfur dioxide added, mg/L, 0–500
 * @returns after
 */
export function addSulfite(liquid: Liquid, so2MgPerL: number): Liquid {
  inRange('so2MgPerL', so2MgPerL, LIMITS.so2MgPerL);
  return {
    ...liquid,
    freeSo2MgPerL: liquid.freeSo2MgPerL + so2MgPerL * FREE_SHARE_OF_SULFITE,
    totalSo2MgPerL: liquid.totalSo2MgPerL + so2MgPerL,
  };
}
