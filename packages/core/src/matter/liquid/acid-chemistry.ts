import { GUESSED_PH_DOUBT } from './guessed.js';
import { findRoot } from '../../base/numeric/find-root.js';
import type { Liquid } from './liquid.js';

/** A weak acid of cider: its mass per mole and its thermodynamic pKa at 25 °C. */
interface WeakAcid {
  readonly gPerMol: number;
  readonly pKa: readonly number[];
}

/** @source CRC Handbook of Chemistry and Physics, thermodynamic dissociation constants of organic acids at 25 °C */
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

/**
 * pKa of the background acid. Quinic, phosphoric, galacturonic and phenolic acids buffer a juice around 4.2; malic acid's own two
 * constants have that mean, so a measured pH and acidity blend and titrate as they would with malic acid alone.
 * @source our estimate; one acid of a single pKa 4.2 would move equal parts of pH 3.2 and 4.2 by 0.07
 */
const BACKGROUND_PKA = WEAK_ACIDS.malic.pKa;
/** g/L of malic acid for each g/L of titratable acidity. @source usual apple and pear juice: some of the malic acid is a salt and escapes the titration */
export const MALIC_PER_TA = 1.1;

/** The pH to which acidity is titrated. @source usual end point for fruit juice (AOAC 942.15); the wine trade titrates to 7.0, which finds a few per cent less */
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

function acidChargeMmolPerL(liquid: Pick<Liquid, keyof AcidState>, ph: number): number {
  return (
    liquid.backgroundMmolPerL * meanCharge(BACKGROUND_PKA, ph) +
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

/** The acids and net cations that give a pH and a titratable acidity. */
export interface AcidState {
  readonly malicGPerL: number;
  readonly lacticGPerL: number;
  readonly citricGPerL: number;
  readonly tartaricGPerL: number;
  readonly backgroundMmolPerL: number;
  readonly strongCationsMmolPerL: number;
}

/** The acids of a drink that have a name. */
export type NamedAcids = Pick<AcidState, 'malicGPerL' | 'lacticGPerL' | 'citricGPerL' | 'tartaricGPerL'>;

const NO_ACIDS: Omit<AcidState, keyof NamedAcids> = { backgroundMmolPerL: 0, strongCationsMmolPerL: 0 };

/**
 * The acids and net strong cations behind a measured pH and acidity. The two fix the acid and the cations, but not which
 * acid: the named ones are taken as they are told, and what is then missing is background that no bacteria touch. Where
 * the named acids alone are more than was titrated, all of them are counted down together.
 *
 * @param input - pH 2–7, titratable acidity, g/L as malic, and the named acids; malic alone at 1.1 of the acidity when none is told
 * @returns the unknowns of the charge balance
 * @source {@link phOf} and {@link taOf} solved together in closed form
 */
export function acidsFromReadings(input: { readonly ph: number; readonly taGPerL: number; readonly named?: NamedAcids }): AcidState {
  const { ph, taGPerL } = input;
  const named = input.named ?? { malicGPerL: MALIC_PER_TA * taGPerL, lacticGPerL: 0, citricGPerL: 0, tartaricGPerL: 0 };
  const baseMmolPerL = (taGPerL * 1000) / MALIC_EQUIVALENT_G;
  const titratedMmolPerL = Math.max(0, baseMmolPerL - freeProtonsMmolPerL(ph) + freeProtonsMmolPerL(TITRATION_END_PH));
  const chargeOf = (acids: AcidState, at: number): number => acidChargeMmolPerL(acids, at);
  const asNamed: AcidState = { ...NO_ACIDS, ...named };
  const spanOfNamed = chargeOf(asNamed, TITRATION_END_PH) - chargeOf(asNamed, ph);
  const share = spanOfNamed > titratedMmolPerL ? titratedMmolPerL / spanOfNamed : 1;
  const scaled: AcidState = {
    ...NO_ACIDS,
    malicGPerL: named.malicGPerL * share,
    lacticGPerL: named.lacticGPerL * share,
    citricGPerL: named.citricGPerL * share,
    tartaricGPerL: named.tartaricGPerL * share,
  };
  const backgroundSpan = meanCharge(BACKGROUND_PKA, TITRATION_END_PH) - meanCharge(BACKGROUND_PKA, ph);
  const acids = { ...scaled, backgroundMmolPerL: Math.max(0, titratedMmolPerL - spanOfNamed * share) / backgroundSpan };
  return { ...acids, strongCationsMmolPerL: chargeOf(acids, ph) - freeProtonsMmolPerL(ph) };
}

/** The highest pH that a liquid may have, where sulfite and sorbate guard least: its own, or above it where nobody measured it. */
export const highestPhOf = (liquid: Liquid, isGuessed: boolean): number => phOf(liquid) + (isGuessed ? GUESSED_PH_DOUBT : 0);
