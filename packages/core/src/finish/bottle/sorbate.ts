import { phOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf } from '../../matter/liquid/views.js';

/** Sorbic acid that holds yeast, mg/L, falling from weak drinks to strong. @source usual practice: 200 up to 10 %, 100 at 14 % */
const SORBIC_WEAK = { abv: 10, mgPerL: 200 };
const SORBIC_STRONG = { abv: 14, mgPerL: 100 };
/** @source pKa of sorbic acid: only the undissociated part works */
const PKA_SORBIC = 4.76;
/** @source usual legal limit, 200 mg/L */
const SORBIC_CAP_MG_PER_L = 200;
/** Sorbic acid a drink needs in all, mg/L, at its pH or at one that it may have. */
export function sorbicNeeded(liquid: Liquid, ph = phOf(liquid)): number {
  const share = Math.min(1, Math.max(0, (abvOf(liquid) - SORBIC_WEAK.abv) / (SORBIC_STRONG.abv - SORBIC_WEAK.abv)));
  const needed = SORBIC_WEAK.mgPerL + share * (SORBIC_STRONG.mgPerL - SORBIC_WEAK.mgPerL);
  return Math.min(SORBIC_CAP_MG_PER_L, needed * (1 + 10 ** (ph - PKA_SORBIC)));
}

/** Thinned by a little syrup or another drink, sorbate still holds; below this share of what it takes it does not. @source estimate, as for the dose */
const HOLDS_FROM = 0.9;

/** Whether a drink still holds the sorbate it takes. */
export const holdsSorbate = (liquid: Liquid): boolean => liquid.sorbateMgPerL >= HOLDS_FROM * sorbicNeeded(liquid);
