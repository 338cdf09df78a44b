import { findRoot } from '../numeric/find-root.js';
import type { Liquid } from './liquid.js';

/** A weak acid of cider: its mass per mole and its thermodynamic pKa at 25 °C. */
interface WeakAcid {
  readonly gPerMol: number;
  readonly pKa: readonly number[];
}

/** @source CRC Handbook of Chemistry and Physics, dissociation constants of organic acids, 25 °C */
export const WEAK_ACIDS = {
  malic: { gPerMol: 134.09, pKa: [3.4, 5.11] },
  lactic: { gPerMol: 90.08, pKa: [3.86] },
  citric: { gPerMol: 192.12, pKa: [3.13, 4.76, 6.4] },
  tartaric: { gPerMol: 150.09, pKa: [3.04, 4.37] },
} as const satisfies Record<string, WeakAcid>;

/** The acids a liquid is made of. */
export type AcidId = keyof typeof WEAK_ACIDS;

/** Gram equivalent of malic acid, in which titratable acidity is written. */
export const MALIC_EQUIVALENT_G = 67.05;

/** The pH to which acidity is titrated. @source usual end point for fruit juice (OIV, AOAC 942.15) */
export const TITRATION_END_PH = 8.1;

/** −log10 of the ion product of water at 25 °C. */
const PKW = 14;

/**
 * Mean negative charge of one molecule of an acid at a pH.
 *
 * @param pKa - its dissociation constants, strongest first
 * @param ph - pH, 0–14
 * @returns charges, from 0 to the number of constants
 */
export function meanCharge(pKa: readonly number[], ph: number): number {
  let term = 1;
  let total = 1;
  let charge = 0;
  for (let i = 0; i < pKa.length; i += 1) {
    term *= 10 ** (ph - (pKa[i] ?? 0));
    total += term;
    charge += (i + 1) * term;
  }
  return charge / total;
}

/** Hydrogen less hydroxide ions, mmol/L. */
export function freeProtonsMmolPerL(ph: number): number {
  return 1000 * (10 ** -ph - 10 ** (ph - PKW));
}

function acidChargeMmolPerL(liquid: Liquid, ph: number): number {
  return (
    1000 *
    ((liquid.malicGPerL / WEAK_ACIDS.malic.gPerMol) * meanCharge(WEAK_ACIDS.malic.pKa, ph) +
      (liquid.lacticGPerL / WEAK_ACIDS.lactic.gPerMol) * meanCharge(WEAK_ACIDS.lactic.pKa, ph) +
      (liquid.citricGPerL / WEAK_ACIDS.citric.gPerMol) * meanCharge(WEAK_ACIDS.citric.pKa, ph) +
      (liquid.tartaricGPerL / WEAK_ACIDS.tartaric.gPerMol) * meanCharge(WEAK_ACIDS.tartaric.pKa, ph))
  );
}

/**
 * Charge a liquid would have left over at a pH: zero at its own pH, positive below it. It mixes by volume, which
 * pH does not.
 *
 * @param liquid - its acids and net strong cations
 * @param ph - pH, 1–13
 * @returns mmol of charge per litre
 * @source K + [H⁺] − [OH⁻] − Σ αᵢ Cᵢ
 */
export function strongChargeMmolPerL(liquid: Liquid, ph: number): number {
  return liquid.strongCationsMmolPerL + freeProtonsMmolPerL(ph) - acidChargeMmolPerL(liquid, ph);
}

/**
 * pH by charge balance: the one pH at which strong cations and protons balance the dissociated acids.
 *
 * @param liquid - its acids and net strong cations
 * @returns pH, 1–13
 * @throws {CoreError} UNREACHABLE when no pH from 1 to 13 balances the charges
 * @source K + [H⁺] − [OH⁻] = Σ αᵢ Cᵢ
 */
export function phOf(liquid: Liquid): number {
  return findRoot({
    f: (ph) => strongChargeMmolPerL(liquid, ph),
    lo: 1,
    hi: 13,
    tolerance: 1e-7,
  });
}

/**
 * Titratable acidity: the base needed to bring the liquid to pH 8.1, written as malic acid. It is linear in the
 * acids and cations, so it mixes exactly by volume.
 *
 * @param liquid - its acids and net strong cations
 * @returns g/L as malic acid
 * @source charge balance of {@link phOf} at the titration end point
 */
export function taOf(liquid: Liquid): number {
  const baseMmolPerL = acidChargeMmolPerL(liquid, TITRATION_END_PH) - liquid.strongCationsMmolPerL - freeProtonsMmolPerL(TITRATION_END_PH);
  return (baseMmolPerL * MALIC_EQUIVALENT_G) / 1000;
}

/** Malic acid and net cations that give a pH and a titratable acidity. */
export interface AcidState {
  readonly malicGPerL: number;
  readonly strongCationsMmolPerL: number;
}

/**
 * The malic acid and net strong cations behind a measured pH and acidity, taking all the acid as malic.
 *
 * @param input - pH 2–7 and titratable acidity, g/L as malic
 * @returns the two unknowns of the charge balance
 * @source {@link phOf} and {@link taOf} solved together in closed form
 */
export function malicFromReadings(input: { readonly ph: number; readonly taGPerL: number }): AcidState {
  const { pKa, gPerMol } = WEAK_ACIDS.malic;
  const baseMmolPerL = (input.taGPerL * 1000) / MALIC_EQUIVALENT_G;
  const protons = freeProtonsMmolPerL(input.ph);
  const span = meanCharge(pKa, TITRATION_END_PH) - meanCharge(pKa, input.ph);
  const malicMmolPerL = (baseMmolPerL - protons + freeProtonsMmolPerL(TITRATION_END_PH)) / span;
  return {
    malicGPerL: Math.max(0, (malicMmolPerL * gPerMol) / 1000),
    strongCationsMmolPerL: Math.max(0, malicMmolPerL) * meanCharge(pKa, input.ph) - protons,
  };
}
