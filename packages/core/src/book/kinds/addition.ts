import { figure } from '../../base/worked/figures.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import type { AdditionPayload } from '../../juice/adjust/addition-payload.js';
import { feedOf } from '../../juice/adjust/feed.js';
import { NUTRIENTS } from '../../juice/adjust/nutrient-plan.js';
import { addAcid, addCarbonate, addTannin } from '../../matter/liquid/add-acid.js';
import { addSulfite, addWater } from '../../matter/liquid/additions.js';
import { inHand, type Draft, type Patch } from '../state/draft.js';
import type { EntryWords, Filed, Kind, Say } from './kind.js';
import { both, moveGravity, sugared } from './sugar-moves.js';

type NutrientAdded = Extract<AdditionPayload, { readonly name: string }>;

/**
 * Food for the yeast. Before the pitch it counts as the juice's own nitrogen; after it, as a feed of its day, which a
 * forecast takes into account. A product nobody knows the nitrogen of counts as none.
 *
 * @param state - the fold so far; a feed is noted in it
 * @param at - ISO 8601
 * @param payload - what went in, g
 * @returns what it changes
 * @source nitrogen of `NUTRIENTS`
 */
function fed(state: Draft, at: string, { name, massG }: NutrientAdded): Patch {
  const product = NUTRIENTS.find((n) => n.name === name);
  const liquid = inHand(state);
  if (!product || liquid.volumeL <= 0) return {};
  const { mgNPerL } = feedOf({ productId: product.id, massG, volumeL: liquid.volumeL });
  const richer = { ...liquid, yanMgPerL: liquid.yanMgPerL + mgNPerL };
  if (state.pitchedAt) {
    state.feeds.push({ at, mgNPerL });
    return { liquid: richer, lastLiquid: richer };
  }
  return { liquid: richer, lastLiquid: richer, must: state.must ? { ...state.must, yanMgPerL: state.must.yanMgPerL + mgNPerL } : null };
}

function apply(state: Draft, { at, payload }: Filed<AdditionPayload>): Patch {
  switch (payload.what) {
    case 'fermentable':
      return sugared(state, at, payload);
    case 'water':
      return { ...moveGravity(state, at, (l) => addWater(l, payload.volumeL)), filledUpAt: at };
    case 'acid':
      return both(state, (l) => addAcid(l, payload));
    case 'carbonate':
      return both(state, (l) => addCarbonate(l, payload));
    case 'tannin':
      return both(state, (l) => addTannin(l, payload.massG));
    case 'sulfite':
      return { ...both(state, (l) => addSulfite(l, payload.so2MgPerL)), sulfitedAt: at, ...(state.pitchedAt === null ? { settledAt: at } : {}) };
    case 'nutrient':
      return fed(state, at, payload);
    case 'enzyme':
    case 'bentonite':
    case 'finings':
      return {};
  }
}

function words({ payload }: Filed<AdditionPayload>, say: Say): EntryWords {
  switch (payload.what) {
    case 'fermentable':
      return { lead: 'Added', rest: `${say.mass(payload.massG)} ${fermentableById(payload.fermentableId).name}` };
    case 'water':
      return { lead: 'Added', rest: `${say.volume(payload.volumeL)} water` };
    case 'acid':
      return { lead: 'Added', rest: `${say.mass(payload.massG)} ${payload.acid} acid` };
    case 'carbonate':
      return { lead: 'Added', rest: `${say.mass(payload.massG)} ${payload.carbonate.replace('-', ' ')}` };
    case 'tannin':
      return { lead: 'Added', rest: `${say.mass(payload.massG)} tannin` };
    case 'sulfite':
      return { lead: 'Sulfited', rest: `${figure(payload.so2MgPerL, 0)} mg/L` };
    case 'nutrient':
    case 'enzyme':
    case 'bentonite':
    case 'finings':
      return { lead: 'Added', rest: `${say.mass(payload.massG)} ${payload.name}` };
  }
}

export const addition: Kind<AdditionPayload> = { apply, words, onTheDrink: true, supplies: ({ supplies = [] }) => supplies };
