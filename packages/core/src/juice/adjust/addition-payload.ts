import type { AcidId } from '../../matter/liquid/acid-chemistry.js';
import type { CarbonateId } from '../../matter/liquid/add-acid.js';

/** What can be added. */
export const ADDED = ['fermentable', 'acid', 'carbonate', 'water', 'tannin', 'sulfite', 'nutrient', 'enzyme', 'bentonite', 'finings'] as const;

/** An amount taken out of the cupboard, in the supply's own unit. */
export interface SupplyUse {
  readonly supplyId: string;
  readonly amount: number;
}

type Added =
  | { readonly what: 'fermentable'; readonly fermentableId: string; readonly massG: number }
  | { readonly what: 'acid'; readonly acid: AcidId; readonly massG: number }
  | { readonly what: 'carbonate'; readonly carbonate: CarbonateId; readonly massG: number }
  | { readonly what: 'water'; readonly volumeL: number }
  | { readonly what: 'tannin'; readonly massG: number }
  | { readonly what: 'sulfite'; readonly so2MgPerL: number }
  | { readonly what: 'nutrient' | 'enzyme' | 'bentonite' | 'finings'; readonly name: string; readonly massG: number };

/** What was added, and what it used up. */
export type AdditionPayload = Added & { readonly supplies?: readonly SupplyUse[] | undefined };
