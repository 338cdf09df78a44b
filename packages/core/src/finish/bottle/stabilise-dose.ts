import { freeSo2For, SO2_FRACTION, TOTAL_CAP_MG_PER_L } from '../../juice/adjust/sulfite-dose.js';
import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { highestPhOf } from '../../matter/liquid/acid-chemistry.js';
import { FREE_SHARE_OF_SULFITE } from '../../matter/liquid/additions.js';
import { GUESSED_PH_DOUBT } from '../../matter/liquid/guessed.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { sorbicNeeded } from './sorbate.js';
import { abvOf } from '../../matter/liquid/views.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** What stabilises a drink, of each what goes in. */
export interface StabiliseDose {
  /** Sulfur dioxide to add, mg/L. */
  readonly so2MgPerL: number;
  /** Sorbic acid to add, mg/L. */
  readonly sorbicMgPerL: number;
  /** Potassium metabisulfite and potassium sorbate to weigh, g for the whole. */
  readonly metabisulfiteG: number;
  readonly sorbateG: number;
  /** Whether the cap on total sulfite leaves room for the whole dose. */
  readonly withinCap: boolean;
  /** What the maker should know of this dose, in plain sentences. */
  readonly notes: readonly string[];
}

/** Molecular sulfur dioxide that holds bacteria while sorbate is in, mg/L. @source usual practice, 0.5 at least */
export const MOLECULAR_MG_PER_L = 0.5;
/** @source molar masses: sorbic acid 112.13, potassium sorbate 150.22 */
const SORBIC_IN_SORBATE = 0.746;
/** Of a pH that is only usual for its kind. */
const GUESSED_PH = `Nobody measured its pH. It is dosed as if that were ${GUESSED_PH_DOUBT} higher than is usual, where both guard least: measure it, and it may take less.`;
/** A dose this close to the whole one counts: scales and spoons are no better. @source estimate */
const NEARLY = 0.95;

/**
 * Sulfite and sorbate that together keep a finished, clear drink from starting again: sulfite for its pH against bacteria,
 * sorbic acid for its strength against yeast. It slows yeast and does not kill it.
 *
 * @param input - the drink, with what is in it already; whether its pH was measured, true when not said: of one that nobody measured
 *   the highest is taken that it may have, where both guard least
 * @returns both doses in mg/L and g, with working and cautions
 * @source molecular SO₂ 0.5 mg/L, doubled as half binds; sorbic acid 200 mg/L to 10 %, 100 at 14 %, by its undissociated share, at most 200
 */
export function stabiliseDose({ liquid, phMeasured = true }: { readonly liquid: Liquid; readonly phMeasured?: boolean }): Worked<StabiliseDose> {
  const ph = highestPhOf(liquid, !phMeasured);
  const free = freeSo2For(ph, MOLECULAR_MG_PER_L);
  const wanted = Math.max(0, (free - liquid.freeSo2MgPerL) / FREE_SHARE_OF_SULFITE);
  const room = Math.max(0, TOTAL_CAP_MG_PER_L - liquid.totalSo2MgPerL);
  const so2MgPerL = Math.min(wanted, room);
  const sorbicMgPerL = Math.max(0, sorbicNeeded(liquid, ph) - liquid.sorbateMgPerL);
  const metabisulfiteG = (so2MgPerL * liquid.volumeL) / 1000 / SO2_FRACTION['potassium-metabisulfite'];
  const sorbateG = (sorbicMgPerL * liquid.volumeL) / 1000 / SORBIC_IN_SORBATE;
  const cautions: Caution[] = [caution('sulfite'), caution('allergen'), ...(wanted > room ? [caution('sulfite-total')] : [])];
  return worked(
    { so2MgPerL, sorbicMgPerL, metabisulfiteG, sorbateG, withinCap: wanted <= room + 1e-9, notes: phMeasured ? [] : [GUESSED_PH] },
    [
      {
        label: 'Sulfite, against bacteria',
        expression: `${MOLECULAR_MG_PER_L} × (1 + 10^(${figure(ph, 2)} − 1.81)) = ${figure(free, 1)} mg/L free, less ${figure(liquid.freeSo2MgPerL, 0)} there, doubled as half binds`,
        result: `${figure(metabisulfiteG, 1)} g`,
        source: 'molecular sulfite by pH; metabisulfite is 57.6 % sulfur dioxide',
      },
      {
        label: 'Sorbate, against yeast',
        expression: `${figure(sorbicMgPerL, 0)} mg/L of sorbic acid at ${figure(abvOf(liquid), 1)} %`,
        result: `${figure(sorbateG, 1)} g`,
        source: 'usual practice by strength and pH, at most 200 mg/L; potassium sorbate is 74.6 % sorbic acid',
      },
    ],
    cautions,
  );
}

/**
 * Whether an addition makes a drink hold at least nearly the whole dose of both.
 *
 * @param before - the drink before it
 * @param added - what goes in, mg/L
 * @param phMeasured - whether anybody measured its pH
 */
export function isFullDose(before: Liquid, added: { readonly so2MgPerL: number; readonly sorbateMgPerL: number }, phMeasured: boolean): boolean {
  const { so2MgPerL, sorbicMgPerL, withinCap } = stabiliseDose({ liquid: before, phMeasured }).value;
  return withinCap && added.so2MgPerL >= NEARLY * so2MgPerL && added.sorbateMgPerL >= NEARLY * sorbicMgPerL;
}
