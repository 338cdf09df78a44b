import { caution } from './catalogue.js';
import type { Caution } from './caution.js';

/** A blend safe from spoilage lies under this, and one pleasant to drink above that. @source usual cider practice */
export const HIGH_PH = 3.8;
const LOW_PH = 3.0;

/**
 * What to mind in a must of this pH.
 *
 * @param ph - pH of the must
 * @returns a caution above 3.8 or below 3.0
 */
export function phCautions(ph: number): readonly Caution[] {
  if (ph > HIGH_PH) return [caution('ph-high')];
  return ph < LOW_PH ? [caution('ph-low')] : [];
}
