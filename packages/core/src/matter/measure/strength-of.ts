import { fermentFraction } from '../liquid/ferment-to.js';
import type { Liquid } from '../liquid/liquid.js';
import { abvOf, dryAbvOf, gravityOf } from '../liquid/views.js';
import { abvFromGravities, type StrengthSchool } from './abv-from-gravities.js';

/**
 * The strength of a drink as the maker's school reckons it: the one figure that header, verdict, bench, cellar and label show.
 * Mass balance knows what was added on the way; the other schools know two gravities, so they are given those between which
 * this must would have made this much alcohol, and sugar or water that came later does not mislead them.
 *
 * @param liquid - the drink
 * @param must - what went to yeast; null when nobody knows
 * @param school - how the maker reckons
 * @returns % by volume
 */
export function strengthOf(liquid: Liquid, must: Liquid | null, school: StrengthSchool): number {
  const abv = abvOf(liquid);
  if (school === 'mass-balance' || !must) return abv;
  const [before, most] = [abvOf(must), dryAbvOf(must)];
  if (most - before < 0.01 || abv <= before) return abv;
  const fermented = fermentFraction(must, Math.min(1, (abv - before) / (most - before)));
  return before + abvFromGravities({ originalSg: gravityOf(must), currentSg: Math.min(gravityOf(must), gravityOf(fermented)), school }).value;
}
