import { CoreError } from '../../base/errors/core-error.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import { abvOf } from '../../matter/liquid/views.js';
import type { EntryOf } from '../entry/entry.js';
import { emptied, inHand, type Draft, type Patch } from './replay-draft.js';
import { noteSugar } from './replay-sugar.js';

/** Strength above which something has fermented, % by volume. @source our estimate: juice on the turn holds less */
const FERMENTED_ABV = 0.5;

/** What a pour changes: the batch begins with it, or takes it in. */
export function blended(state: Draft, entry: EntryOf<'blended'>): Patch {
  const { parts, vessels, tempC } = entry.payload;
  const liquid = blendLiquids([...(state.liquid ? [state.liquid] : []), ...parts.map((p) => p.liquid)]);
  const must = state.must ? { ...blendLiquids([{ ...state.must, volumeL: state.liquid?.volumeL ?? 0 }, ...parts.map((p) => p.liquid)]) } : liquid;
  const patch: Patch = { liquid, lastLiquid: liquid, must, vessels, filledAt: state.filledAt ?? entry.at, placeC: tempC ?? state.placeC };
  if (abvOf(liquid) < FERMENTED_ABV) return patch;
  // Ciders poured together may work again, so the proof of the end begins anew, unless next to no sugar came in.
  const woken = state.liquid && state.pitchedAt ? noteSugar(state, entry.at, state.liquid, liquid) : {};
  if (!state.liquid || !state.pitchedAt) state.judged.push({ at: entry.at, kind: 'gravity-changed' });
  const weighedGPerL = state.liquid ? (state.weighedGPerL * state.liquid.volumeL) / liquid.volumeL : 0;
  const strongest = parts.reduce<(typeof parts)[number] | null>(
    (best, p) => (p.yeastId !== null && (!best || p.liquid.volumeL > best.liquid.volumeL) ? p : best),
    null,
  );
  return { ...patch, ...woken, weighedGPerL, pitch: null, pitchedAt: state.pitchedAt ?? entry.at, yeastId: state.yeastId ?? strongest?.yeastId ?? null };
}

/** What a split changes: shares leave, the rest stands where the entry says. */
export function split(state: Draft, entry: EntryOf<'split'>): Patch {
  const { into, lossL } = entry.payload;
  const leftL = inHand(state).volumeL - lossL - into.reduce((sum, share) => sum + share.volumeL, 0);
  if (leftL < -0.05) {
    throw new CoreError('NOT_ALLOWED', `${(inHand(state).volumeL - leftL).toFixed(1)} L cannot be taken from ${inHand(state).volumeL.toFixed(1)} L`, { leftL });
  }
  const patch = emptied(state, { ...inHand(state), volumeL: Math.max(0, leftL) });
  return patch.liquid ? { ...patch, vessels: entry.payload.vessels } : patch;
}
