import type { TrialDoses } from '@trug/core/finish/trial/trial-doses';
import { LITRES_PER } from '@trug/core/matter/quantity/units';
import type { Units } from '../../units/units';

/** @source exact: six to the US fluid ounce */
const US_TEASPOON_L = LITRES_PER['us-fl-oz'] / 6;

/** A few millilitres as a syringe shows them; in US measures its other scale is in teaspoons. */
const dropOf = (units: Units, ml: number): string =>
  units.preferences().volume === 'us-gal' ? `${(ml / 1000 / US_TEASPOON_L).toFixed(2)} tsp` : `${ml.toFixed(1)} mL`;

/** What goes into a glass, as whoever pours reads it. */
export function intoGlass(plan: TrialDoses, glass: number, units: Units): string {
  const amount = plan.glasses[glass]?.amount ?? 0;
  if (amount === 0) return 'nothing';
  if (plan.isDry) return `${amount.toFixed(2)} g`;
  return plan.stockGPer100Ml === null ? units.volume(amount / 1000) : `${dropOf(units, amount)} of stock`;
}
