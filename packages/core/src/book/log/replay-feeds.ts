import { feedOf } from '../../juice/adjust/feed.js';
import { NUTRIENTS } from '../../juice/adjust/nutrient-plan.js';
import type { EntryOf } from '../entry/entry.js';
import { inHand, type Draft, type Patch } from './replay-draft.js';

type NutrientAdded = Extract<EntryOf<'addition'>['payload'], { readonly name: string }>;

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
export function fed(state: Draft, at: string, { name, massG }: NutrientAdded): Patch {
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
