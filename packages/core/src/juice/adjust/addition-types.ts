import type { SulfiteForm } from './sulfite-dose.js';
import type { Caution } from '../../base/cautions/caution.js';
import type { CoreError } from '../../base/errors/core-error.js';
import type { AcidId } from '../../matter/liquid/acid-chemistry.js';
import type { CarbonateId } from '../../matter/liquid/add-acid.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { AdditionPayload } from './addition-payload.js';
import type { Step } from '../../base/worked/worked.js';

/** What can be put in a must or a cider. */
export const ADDITIONS = [
  { id: 'sugar', name: 'Sugar' },
  { id: 'water', name: 'Water' },
  { id: 'acid', name: 'Acid up' },
  { id: 'carbonate', name: 'Acid down' },
  { id: 'tannin', name: 'Tannin' },
  { id: 'sulfite', name: 'Sulfite' },
  { id: 'enzyme', name: 'Enzyme' },
  { id: 'bentonite', name: 'Bentonite' },
  { id: 'nutrient', name: 'Nutrient' },
] as const;

/** One of them. */
export type AdditionId = (typeof ADDITIONS)[number]['id'];

/** What is asked for; a target that is null was not given. */
export interface AdditionAsk {
  readonly what: AdditionId;
  readonly liquid: Liquid;
  readonly targetSg: number | null;
  readonly targetAbv: number | null;
  readonly targetTaGPerL: number | null;
  readonly targetPh: number | null;
  readonly targetTanninGPerL: number | null;
  readonly fermentableId: string;
  readonly acid: AcidId | 'lemon';
  readonly carbonate: CarbonateId;
  readonly form: SulfiteForm;
  readonly product: string;
  readonly yeastId: string;
  readonly tempC: number;
  readonly packetGPerL: number | null;
  readonly boiled: boolean;
  readonly bentoniteIn: boolean;
  readonly sulfitedHoursAgo: number | null;
  readonly fermentedFraction: number;
  /** Where the batch stands: a must before yeast, a drink at work, or one whose end is proven. */
  readonly stage: 'must' | 'working' | 'finished';
  /** Whether somebody measured its pH. */
  readonly phMeasured: boolean;
  /** What the maker put in really, where it was another amount: g, L, tablets; null for what was worked out. */
  readonly given: number | null;
}

/** What to do. */
export interface AdditionPlan {
  /** The amount worked out, in the unit of `unit`. */
  readonly amount: number;
  readonly unit: 'g' | 'L' | 'tablets' | 'mL';
  /** What it is, such as "white sugar". */
  readonly of: string;
  readonly advice: readonly string[];
  readonly after: Liquid;
  readonly steps: readonly Step[];
  readonly cautions: readonly Caution[];
  readonly payload: AdditionPayload;
}

/** The outcome of asking. */
export type AdditionOutcome =
  | { readonly kind: 'plan'; readonly plan: AdditionPlan }
  | { readonly kind: 'untold'; readonly what: string }
  | { readonly kind: 'refused'; readonly error: CoreError };
