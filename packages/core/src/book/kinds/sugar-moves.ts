import { provesFinished } from '../../ferment/verdict/verdict.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import { NO_SUGAR, sugarByScales, weighedWith, type SugarByScales } from '../../matter/liquid/sugar-by-scales.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState } from '../state/judge-state.js';
import { justWoken } from '../state/sealing.js';
import { inHand, scaled, standingL, type Draft, type Patch } from '../state/draft.js';

/** Applies the same act to what is in the vessels and to the unfermented must behind it. */
export function both(state: Draft, act: (liquid: Liquid) => Liquid): Patch {
  const liquid = act(inHand(state));
  const pitch = state.pitch ? { ...state.pitch, liquid: act(state.pitch.liquid) } : null;
  return { liquid, lastLiquid: liquid, must: state.must ? act(state.must) : null, pitch, vessels: scaled(state.vessels, standingL(state, liquid)) };
}

/** More sugar than this wakes a drink; less is counted in the sums and proves nothing wrong, g/L. @source estimate: a seventh of a gravity point */
const LITTLE_SUGAR_G_PER_L = 0.3;
/** Whether the end is proven at a moment, by what the log says so far. */
export function isProven(state: BatchState, at: string): boolean {
  const verdict = judgeState(state, at);
  return verdict !== null && provesFinished(verdict.value.status);
}

/** What the sugar that came in means for a drink with yeast in it: whatever was proven is not proven any more. */
export function noteSugar(state: Draft, at: string, before: Liquid, after: Liquid): Patch {
  if (!state.pitchedAt) {
    // Before yeast nothing is proven; but a reading is not held against one from before the sugar.
    state.judged.push({ at, kind: 'gravity-changed' });
    return {};
  }
  const sugarless = fermentableGPerL(after) * after.volumeL <= fermentableGPerL(before) * before.volumeL + LITTLE_SUGAR_G_PER_L * after.volumeL;
  const woken = justWoken(state, at);
  const wasProven = !sugarless && !woken && isProven(state, at);
  state.judged.push({ at, kind: 'gravity-changed', deltaSg: gravityOf(after) - gravityOf(before), sugarless });
  if (sugarless) return {};
  return { tested: null, wokenAt: wasProven ? at : state.wokenAt };
}

/** An addition that moves the gravity by hand; after pitching, readings on its two sides cannot be compared as they are. */
export function moveGravity(state: Draft, at: string, act: (liquid: Liquid) => Liquid, sugar: SugarByScales = NO_SUGAR): Patch {
  const before = inHand(state);
  const patch = weighedIn(state, act, sugar);
  // Before yeast the must is now what the recipe says, until it is read.
  const originalBy = state.pitchedAt ? state.originalBy : 'sum';
  return { ...patch, originalBy, ...noteSugar(state, at, before, patch.liquid ?? before) };
}

/** Something stirred in, of which so much sugar was weighed. */
export function weighedIn(state: Draft, act: (liquid: Liquid) => Liquid, sugar: SugarByScales): Patch {
  const before = inHand(state);
  const patch = both(state, act);
  const { volumeL } = patch.liquid ?? before;
  return { ...patch, ...weighedWith({ ...state, volumeL: before.volumeL }, sugar, volumeL) };
}

/** A sugar, syrup or sweetener: whatever of it ferments counts. */
export function sugared(state: Draft, at: string, added: { readonly fermentableId: string; readonly massG: number }): Patch {
  return moveGravity(state, at, (l) => addFermentable(l, added), sugarByScales(added));
}
