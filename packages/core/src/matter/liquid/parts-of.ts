import { taOf } from './acid-chemistry.js';
import type { Liquid } from './liquid.js';
import { fermentableGPerL } from './views.js';

/** What a drink holds beside water. */
export type PartId = 'alcohol' | 'sugar' | 'acid' | 'tannin' | 'rest';

/** One of them. */
export interface LiquidPart {
  readonly id: PartId;
  readonly name: string;
  readonly gPerL: number;
}

/**
 * What a litre holds beside water, by weight: what yeast made, what it could still use, what is sour, what grips, and the rest.
 *
 * @param liquid - the must or the drink
 * @returns parts from the lightest to the heaviest; none below nothing
 * @source the liquid's own bookkeeping; acid as malic, the rest what its solids hold besides
 */
export function partsOf(liquid: Liquid): readonly LiquidPart[] {
  const [acid, tannin] = [taOf(liquid), liquid.tanninGPerL];
  return [
    { id: 'alcohol', name: 'Alcohol', gPerL: Math.max(0, liquid.ethanolGPerL) },
    { id: 'sugar', name: 'Sugar left', gPerL: Math.max(0, fermentableGPerL(liquid)) },
    { id: 'acid', name: 'Acid, as malic', gPerL: Math.max(0, acid) },
    { id: 'tannin', name: 'Tannin', gPerL: Math.max(0, tannin) },
    { id: 'rest', name: 'What does not ferment', gPerL: Math.max(0, liquid.otherSolidsGPerL - acid - tannin) },
  ];
}
