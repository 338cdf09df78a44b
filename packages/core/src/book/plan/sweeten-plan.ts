import { caution, type CautionId } from '../../base/cautions/catalogue.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import { sweetenFor, sweetenToGravity } from '../../finish/sweeten/sweeten-for.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState } from '../state/batch-state.js';
import { sealWay } from '../state/sealing.js';

/**
 * What becomes of the sweetness: nothing can eat it; sulfite and sorbate keep the yeast off it; the yeast of a drink whose end was
 * proven wakes and eats it; yeast at work eats it.
 */
export type SweetFate = 'lasts' | 'held' | 'wakes' | 'eaten';

/** What is wished. */
export interface SweetenInputs {
  readonly state: BatchState;
  readonly verdict: Verdict | null;
  readonly sweetenerId: string;
  /** As sucrose, g/L; null where a gravity or an amount is said. */
  readonly targetGPerL: number | null;
  /** Up to which gravity, SG; null where a sweetness or an amount is said. */
  readonly targetSg: number | null;
  /** What the maker gives by habit, g; null where a sweetness is wished. */
  readonly massG: number | null;
}

/** What a sweetening takes and what comes of it. */
export interface SweetenPlan {
  readonly massG: number;
  readonly after: Liquid;
  readonly fate: SweetFate;
  /** What becomes of it, in a sentence or two. */
  readonly says: string;
}

const SAYS: Readonly<Record<SweetFate, string>> = {
  lasts: 'Yeast cannot eat it: it stays sweet, what is proven stays proven, and it can be primed as before.',
  held: 'Sulfite and sorbate keep the yeast off it. Keep it still and cool, and look for a week whether it wakes: a reading that falls, or a plastic bottle that firms at 25 °C.',
  wakes:
    'It will not stay sweet: the yeast wakes and eats it, and until its end is proven again nothing of it may be sealed. To keep it sweet, stabilise it first, take a sweetener that yeast cannot eat, keep it cold in a keg, or fill bottles that go through a hot bath the same day.',
  eaten: 'Its end is not proven, so the yeast eats this as well. Sweeten it at the end: stabilised first, or with what yeast cannot eat.',
};

const FATE_CAUTIONS: Readonly<Record<SweetFate, readonly CautionId[]>> = { lasts: [], held: ['re-ferment'], wakes: ['let-gas-out'], eaten: ['let-gas-out'] };

/** What a sweetener does to dogs and people beyond sweetening. */
const OWN_CAUTIONS: Readonly<Partial<Record<string, readonly CautionId[]>>> = { xylitol: ['xylitol'], lactose: ['allergen'] };

/** What becomes of a sweetener in a drink as it stands. */
function fateOf({ state, verdict, sweetenerId }: SweetenInputs): SweetFate {
  if (fermentableById(sweetenerId).kind === 'non-fermentable') return 'lasts';
  const way = sealWay(state, verdict);
  if (way === 'stabilised') return 'held';
  return way === 'unproven' ? 'eaten' : 'wakes';
}

/**
 * What brings a drink to the sweetness wished, or what an amount does, and whether it stays.
 *
 * @param inputs - the batch, its verdict, the sweetener, and a sweetness (0–300 g/L), a gravity (SG) or an amount (g): the last of them that is said counts
 * @returns the plan with its working; null where nothing stands in a vessel or nothing is wished yet
 * @throws {CoreError} UNKNOWN_ID; OUT_OF_RANGE; UNREACHABLE when it is sweeter already
 * @source design rules: anything fermentable un-proves the end at once; sugar under sorbate is a danger of its own
 */
export function sweetenPlan(inputs: SweetenInputs): Worked<SweetenPlan> | null {
  const { state, sweetenerId, targetGPerL, targetSg, massG } = inputs;
  const { liquid } = state;
  if (!liquid || (targetGPerL === null && targetSg === null && massG === null)) return null;
  const fate = fateOf(inputs);
  const cautions = [...FATE_CAUTIONS[fate], ...(OWN_CAUTIONS[sweetenerId] ?? [])].map((id) => caution(id));
  if (massG !== null) {
    return worked({ massG, after: addFermentable(liquid, { fermentableId: sweetenerId, massG }), fate, says: SAYS[fate] }, [], cautions);
  }
  const { value, steps } =
    targetSg === null ? sweetenFor({ liquid, sweetenerId, targetGPerL: targetGPerL ?? 0 }) : sweetenToGravity({ liquid, sweetenerId, targetSg });
  return worked({ ...value, fate, says: SAYS[fate] }, steps, cautions);
}
