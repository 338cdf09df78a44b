import { brixFromSg } from '../density/brix.js';
import { SG_PER_SOLIDS, SG_PER_SOLIDS_SQUARED } from '../density/solids.js';
import type { Liquid } from './liquid.js';

/** g of hexose that make one % by volume of alcohol in a litre. @source OIV, 16.83 g/L per % */
export const HEXOSE_G_PER_L_PER_ABV = 16.83;
/** g of ethanol from one g of hexose. @source OIV yield, 0.469 */
export const ETHANOL_PER_HEXOSE = 0.469;
/** g/L of ethanol in one % by volume. @source density of ethanol at 20 °C, 0.7893 g/mL */
export const ETHANOL_G_PER_L_PER_ABV = HEXOSE_G_PER_L_PER_ABV * ETHANOL_PER_HEXOSE;
/** g of glycerol and other solids left by each g of hexose. @source our estimate from usual wine glycerol, 0.04 */
export const BYPRODUCT_PER_HEXOSE = 0.04;
/** g of CO₂ from one g of hexose. @source molar masses 2 × 44.01 / 180.16 */
export const CO2_PER_HEXOSE = 0.489;
/** g of hexose that a g of sucrose becomes when it is split. @source molar masses 360.31/342.30 */
export const HEXOSE_PER_SUCROSE = 1.0526;

/** How alcohol lowers gravity, per % and per %². @source fitted to the OIML ethanol table, within 0.1 points to 18 % */
export const SG_PER_ABV = 1.488e-3;
export const SG_PER_ABV_SQUARED = 1.343e-5;

/**
 * Gravity from dissolved solids and alcohol.
 *
 * @param solidsGPerL - all dissolved solids, g/L, ≥ 0
 * @param abv - % by volume, 0–25
 * @returns specific gravity 20 °C/20 °C
 * @source solids fitted to ASBC, alcohol to OIML
 */
export function gravityFromParts(solidsGPerL: number, abv: number): number {
  return 1 + solidsGPerL * (SG_PER_SOLIDS - SG_PER_SOLIDS_SQUARED * solidsGPerL) - abv * (SG_PER_ABV - SG_PER_ABV_SQUARED * abv);
}

/** Strength, % by volume. */
export function abvOf(liquid: Liquid): number {
  return liquid.ethanolGPerL / ETHANOL_G_PER_L_PER_ABV;
}

/** All dissolved solids, g/L. */
export function solidsOf(liquid: Liquid): number {
  return liquid.sucroseGPerL + liquid.hexoseGPerL + liquid.otherSolidsGPerL;
}

/** What a true hydrometer at 20 °C would read. */
export function gravityOf(liquid: Liquid): number {
  return gravityFromParts(solidsOf(liquid), abvOf(liquid));
}

/** °Bx a hydrometer marked in Brix would read; once there is alcohol this is the apparent figure. */
export function brixOf(liquid: Liquid): number {
  return brixFromSg(gravityOf(liquid));
}

/** Sugar that yeast can still use, g/L counted as hexose. */
export function fermentableGPerL(liquid: Liquid): number {
  return liquid.hexoseGPerL + liquid.sucroseGPerL * HEXOSE_PER_SUCROSE;
}

/**
 * The share of a must's sugar that has fermented.
 *
 * @param liquid - as it is
 * @param must - as it was pitched
 * @returns 0–1
 */
export function fermentedShare(liquid: Liquid, must: Liquid): number {
  return Math.min(1, Math.max(0, 1 - fermentableGPerL(liquid) / Math.max(1, fermentableGPerL(must))));
}

/** Strength when all the sugar has gone, % by volume. */
export function dryAbvOf(liquid: Liquid): number {
  return abvOf(liquid) + fermentableGPerL(liquid) / HEXOSE_G_PER_L_PER_ABV;
}

/** Gravity when all the sugar has gone. */
export function dryGravityOf(liquid: Liquid): number {
  return gravityFromParts(liquid.otherSolidsGPerL + BYPRODUCT_PER_HEXOSE * fermentableGPerL(liquid), dryAbvOf(liquid));
}

/** Sweetness of juice sugar and of sorbitol beside sucrose. @source usual sensory tables: glucose and fructose of juice together about 1.1, sorbitol 0.55 */
const HEXOSE_SWEETNESS = 1.1;
const SORBITOL_SWEETNESS = 0.55;

/** How sweet it tastes, as g/L of sucrose. */
export function sweetnessGPerL(liquid: Liquid): number {
  return liquid.sucroseGPerL + HEXOSE_SWEETNESS * liquid.hexoseGPerL + SORBITOL_SWEETNESS * liquid.sorbitolGPerL + liquid.sweetenerGPerL;
}
