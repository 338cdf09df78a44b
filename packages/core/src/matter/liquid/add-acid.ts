import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { acidsFromReadings, MALIC_EQUIVALENT_G, MALIC_PER_TA, phOf, taOf, WEAK_ACIDS, type AcidId } from './acid-chemistry.js';
import type { Liquid } from './liquid.js';

/**
 * The liquid with a dry acid dissolved in it; the volume it adds is too small to count.
 *
 * @param liquid - before, more than 0 L
 * @param addition - which acid and how much, g, 0–5000
 * @returns after
 * @throws {CoreError} OUT_OF_RANGE
 */
export function addAcid(liquid: Liquid, addition: { readonly acid: AcidId; readonly massG: number }): Liquid {
  inRange('massG', addition.massG, LIMITS.smallDoseG);
  const gPerL = addition.massG / liquid.volumeL;
  return {
    ...liquid,
    malicGPerL: liquid.malicGPerL + (addition.acid === 'malic' ? gPerL : 0),
    lacticGPerL: liquid.lacticGPerL + (addition.acid === 'lactic' ? gPerL : 0),
    citricGPerL: liquid.citricGPerL + (addition.acid === 'citric' ? gPerL : 0),
    tartaricGPerL: liquid.tartaricGPerL + (addition.acid === 'tartaric' ? gPerL : 0),
    otherSolidsGPerL: liquid.otherSolidsGPerL + gPerL,
  };
}

/** Carbonates a maker may have, by the charge a gram takes up. @source molar masses: KHCO₃ 100.12, K₂CO₃ 138.21, CaCO₃ 100.09 */
export const CARBONATES = {
  'potassium-bicarbonate': { mmolChargePerG: 1000 / 100.12, cationSolidsPerG: 0.39 },
  'potassium-carbonate': { mmolChargePerG: 2000 / 138.21, cationSolidsPerG: 0.566 },
  'calcium-carbonate': { mmolChargePerG: 2000 / 100.09, cationSolidsPerG: 0.4 },
} as const;

/** A carbonate's id. */
export type CarbonateId = keyof typeof CARBONATES;

/**
 * The liquid with a carbonate stirred in: its metal stays, its carbonate leaves as gas.
 *
 * @param liquid - before, more than 0 L
 * @param addition - which carbonate and how much, g, 0–5000
 * @returns after
 * @throws {CoreError} OUT_OF_RANGE
 */
export function addCarbonate(liquid: Liquid, addition: { readonly carbonate: CarbonateId; readonly massG: number }): Liquid {
  inRange('massG', addition.massG, LIMITS.smallDoseG);
  const salt = CARBONATES[addition.carbonate];
  const gPerL = addition.massG / liquid.volumeL;
  return {
    ...liquid,
    strongCationsMmolPerL: liquid.strongCationsMmolPerL + gPerL * salt.mmolChargePerG,
    otherSolidsGPerL: liquid.otherSolidsGPerL + gPerL * salt.cationSolidsPerG,
  };
}

/**
 * The liquid with tannin powder dissolved in it.
 *
 * @param liquid - before, more than 0 L
 * @param massG - tannin, g, 0–1000
 * @returns after
 */
export function addTannin(liquid: Liquid, massG: number): Liquid {
  inRange('massG', massG, { min: 0, max: 1000 });
  const gPerL = massG / liquid.volumeL;
  return { ...liquid, tanninGPerL: liquid.tanninGPerL + gPerL, otherSolidsGPerL: liquid.otherSolidsGPerL + gPerL };
}

/** Share of malic acid's mass that leaves as gas on turning to lactic. @source molar masses (134.09 − 90.08)/134.09 */
const MALIC_MASS_LOST = 44.01 / 134.09;

/**
 * The liquid after bacteria have turned malic acid to lactic.
 *
 * @param liquid - before
 * @param fraction - share of the malic acid turned, 0–1
 * @returns after: less sour, higher in pH
 */
export function malolactic(liquid: Liquid, fraction: number): Liquid {
  inRange('fraction', fraction, LIMITS.fraction);
  const turned = liquid.malicGPerL * fraction;
  return {
    ...liquid,
    malicGPerL: liquid.malicGPerL - turned,
    lacticGPerL: liquid.lacticGPerL + turned * (1 - MALIC_MASS_LOST),
    otherSolidsGPerL: liquid.otherSolidsGPerL - turned * MALIC_MASS_LOST,
  };
}

/** Titratable acidity, as malic, of a gram of each other acid. @source equivalents: one proton of lactic, three of citric, two of tartaric */
const TA_PER_G = {
  lactic: MALIC_EQUIVALENT_G / WEAK_ACIDS.lactic.gPerMol,
  citric: (3 * MALIC_EQUIVALENT_G) / WEAK_ACIDS.citric.gPerMol,
  tartaric: (2 * MALIC_EQUIVALENT_G) / WEAK_ACIDS.tartaric.gPerMol,
} as const;

/**
 * The liquid brought to agree with a measured pH, acidity or both; what was not measured keeps its present figure.
 * Acids that are known to be there stay what they are: lactic stays lactic, and what was added stays that.
 *
 * @param liquid - as last known
 * @param readings - pH 2–8 and titratable acidity, g/L as malic
 * @returns the liquid with malic acid at 1.1 of what is not accounted for, and the background and cations that explain both figures
 */
export function agreeWithAcidReadings(liquid: Liquid, readings: { readonly ph?: number | undefined; readonly taGPerL?: number | undefined }): Liquid {
  const taBefore = taOf(liquid);
  const taGPerL = readings.taGPerL ?? taBefore;
  const { lacticGPerL, citricGPerL, tartaricGPerL } = liquid;
  const accounted = lacticGPerL * TA_PER_G.lactic + citricGPerL * TA_PER_G.citric + tartaricGPerL * TA_PER_G.tartaric;
  const mostMalic = MALIC_PER_TA * Math.max(0, taGPerL - accounted);
  // Once bacteria have been at it, only what they left can be malic.
  const malicGPerL = readings.taGPerL === undefined || lacticGPerL > 0 ? Math.min(liquid.malicGPerL, mostMalic) : mostMalic;
  const named = { malicGPerL, lacticGPerL, citricGPerL, tartaricGPerL };
  return {
    ...liquid,
    ...acidsFromReadings({ ph: readings.ph ?? phOf(liquid), taGPerL, named }),
    otherSolidsGPerL: liquid.otherSolidsGPerL + (taGPerL - taBefore),
  };
}
