import { HEXOSE_G_PER_L_PER_POINT, SUGAR_TEST_SD_G_PER_L } from '../../finish/bottle/sealed-gas.js';
import { provesFinished } from '../../ferment/verdict/verdict.js';
import { isFullDose } from '../../finish/bottle/stabilise-dose.js';
import { addFermentable, addSulfite, hexoseFrom } from '../../matter/liquid/additions.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { BatchState } from './batch-state.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import type { EntryOf, SugarTest } from '../entry/entry.js';
import { judgeState } from './judge-state.js';
import { inHand, scaled, type Draft, type Patch } from './replay-draft.js';

/** Applies the same act to what is in the vessels and to the unfermented must behind it. */
export function both(state: Draft, act: (liquid: Liquid) => Liquid): Patch {
  const liquid = act(inHand(state));
  const pitch = state.pitch ? { ...state.pitch, liquid: act(state.pitch.liquid) } : null;
  return { liquid, lastLiquid: liquid, must: state.must ? act(state.must) : null, pitch, vessels: scaled(state.vessels, liquid.volumeL) };
}

/** More sugar than this wakes a drink; less is counted in the sums and proves nothing wrong, g/L. @source estimate: a seventh of a gravity point */
const LITTLE_SUGAR_G_PER_L = 0.3;
/** Sulfite and sorbate within this of the sugar still meet yeast that has not woken, days. @source our estimate */
const WAKES_AFTER_DAYS = 1;

/** Whether sugar came in so lately that the yeast of a drink proven before it has not woken. */
const justWoken = ({ wokenAt }: BatchState, at: string): boolean => wokenAt !== null && daysBetween(wokenAt, at) <= WAKES_AFTER_DAYS;

/** Whether the end is proven at a moment, by what the log says so far. */
function isProven(state: BatchState, at: string): boolean {
  const verdict = judgeState(state, at);
  return verdict !== null && provesFinished(verdict.value.status);
}

/** What the sugar that came in means for a drink with yeast in it: whatever was proven is not proven any more. */
export function noteSugar(state: Draft, at: string, before: Liquid, after: Liquid): Patch {
  if (!state.pitchedAt) return {};
  const sugarless = fermentableGPerL(after) * after.volumeL <= fermentableGPerL(before) * before.volumeL + LITTLE_SUGAR_G_PER_L * after.volumeL;
  const woken = justWoken(state, at);
  const wasProven = !sugarless && !woken && isProven(state, at);
  state.judged.push({ at, kind: 'gravity-changed', deltaSg: gravityOf(after) - gravityOf(before), sugarless });
  if (sugarless) return {};
  return { tested: null, wokenAt: woken ? state.wokenAt : wasProven ? at : null };
}

/** An addition that moves the gravity by hand; after pitching, readings on its two sides cannot be compared as they are. */
export function moveGravity(state: Draft, at: string, act: (liquid: Liquid) => Liquid, sugarG = 0): Patch {
  const before = inHand(state);
  const patch = weighedIn(state, act, sugarG);
  // Before yeast the must is now what the recipe says, until it is read.
  const originalBy = state.pitchedAt ? state.originalBy : 'sum';
  return { ...patch, originalBy, ...noteSugar(state, at, before, patch.liquid ?? before) };
}

/** Something stirred in, of which so much sugar was weighed, g as hexose. */
function weighedIn(state: Draft, act: (liquid: Liquid) => Liquid, sugarG: number): Patch {
  const before = inHand(state);
  const patch = both(state, act);
  return { ...patch, weighedGPerL: (state.weighedGPerL * before.volumeL + sugarG) / (patch.liquid ?? before).volumeL };
}

/** A sugar, syrup or sweetener: whatever of it ferments counts. */
export function sugared(state: Draft, at: string, added: { readonly fermentableId: string; readonly massG: number }): Patch {
  return moveGravity(state, at, (l) => addFermentable(l, added), hexoseFrom(added));
}

/** Priming leaves the proof as it is: its sugar is weighed, and meant to ferment in the bottle. */
export function primed(state: Draft, { at, payload }: EntryOf<'primed'>): Patch {
  return { ...weighedIn(state, (l) => addFermentable(l, payload), hexoseFrom(payload)), primed: { at, mode: payload.mode } };
}

/** How well a sample fermented out tells the sugar left, g/L as hexose. @source estimate: two readings of one sample with one stem */
const FORCED_SD_G_PER_L = 0.0007 * 1000 * HEXOSE_G_PER_L_PER_POINT;

/**
 * The sugar a test found.
 *
 * @param test - a sample fermented out, or a test for sugar
 * @param must - what went to yeast, which a refractometer needs
 * @returns g/L as hexose, never below none
 * @throws {CoreError} OUT_OF_RANGE
 * @source a point of gravity is 2.24 g/L
 */
export function sugarFound(test: SugarTest, must: Liquid | null): number {
  if (test.by === 'sugar-test') return test.sugarGPerL;
  const fall = correctGravity(test.before, must).sg - correctGravity(test.after, must).sg;
  return Math.max(0, fall * 1000 * HEXOSE_G_PER_L_PER_POINT);
}

/** Sugar that a test did not find is other matter; what it did find is sugar. */
function withSugar(liquid: Liquid, leftGPerL: number, goneGPerL: number): Liquid {
  const sugar = liquid.sucroseGPerL + liquid.hexoseGPerL;
  const hexoseGPerL = Math.max(0, Math.max(leftGPerL, sugar - goneGPerL));
  return { ...liquid, sucroseGPerL: 0, hexoseGPerL, otherSolidsGPerL: liquid.otherSolidsGPerL + sugar - hexoseGPerL };
}

/** A reading this old still belongs to a test of the same drink, days. @source our estimate */
const FRESH_DAYS = 2;

/** Whether the gravity was read so shortly before that a test can tell what of it is not sugar. */
export function hasFreshReading({ readings, judged }: Pick<BatchState, 'readings' | 'judged'>, at: string): boolean {
  const last = readings.at(-1);
  const moved = judged.filter((e) => e.kind === 'gravity-changed').at(-1);
  return last !== undefined && daysBetween(last.at, at) <= FRESH_DAYS && (moved === undefined || moved.at <= last.at);
}

/**
 * What a test of the sugar left changes: the sums believe it. Sugar it does not find is other matter where the gravity was
 * read with it; where nobody read, it may as well have fermented, and the next reading tells.
 */
export function tested(state: Draft, { at, payload }: EntryOf<'tested'>): Patch {
  const liquid = inHand(state);
  const leftGPerL = sugarFound(payload, state.must);
  const found = { weighedGPerL: 0, tested: { at, leftGPerL, sdGPerL: payload.by === 'sugar-test' ? SUGAR_TEST_SD_G_PER_L : FORCED_SD_G_PER_L } };
  const sums = fermentableGPerL(liquid);
  if (!hasFreshReading(state, at) && leftGPerL < sums) {
    const fermented = fermentFraction(liquid, 1 - leftGPerL / sums);
    return { ...found, liquid: fermented, lastLiquid: fermented };
  }
  const goneGPerL = liquid.sucroseGPerL + liquid.hexoseGPerL - leftGPerL;
  const calibrated = withSugar(liquid, leftGPerL, goneGPerL);
  return {
    ...found,
    liquid: calibrated,
    lastLiquid: calibrated,
    must: state.must ? withSugar(state.must, 0, goneGPerL) : null,
    pitch: state.pitch ? { ...state.pitch, liquid: withSugar(state.pitch.liquid, 0, goneGPerL) } : null,
  };
}

/** Sulfite and sorbate: counted as stabilised only in full, on a racked drink whose end was proven. */
export function stabilised(state: Draft, { at, payload }: EntryOf<'stabilised'>): Patch {
  const why = whyNotStabilised(state, at, payload);
  const patch = both(state, (l) => ({ ...addSulfite(l, payload.so2MgPerL), sorbateMgPerL: l.sorbateMgPerL + payload.sorbateMgPerL }));
  return why === null ? { ...patch, stabilisedAt: at, notStabilised: null } : { ...patch, notStabilised: { at, why: NOT_STABILISED[why] } };
}

/** Why sulfite and sorbate do not stabilise a drink, in words. */
export const NOT_STABILISED = {
  unproven: 'its end was not proven',
  'on-lees': 'it still stood on its lees',
  malolactic: 'the malolactic change was under way',
  dose: 'the dose was less than it takes',
} as const;

/** One of the reasons. */
export type NotStabilised = keyof typeof NOT_STABILISED;

/**
 * Why sulfite and sorbate would not stabilise a drink as it stands.
 *
 * @param state - the fold so far
 * @param at - when, ISO 8601
 * @param dose - what goes in, mg/L
 * @returns the reason; null when they would
 */
export function whyNotStabilised(state: BatchState, at: string, dose: EntryOf<'stabilised'>['payload']): NotStabilised | null {
  if (!justWoken(state, at) && !isProven(state, at)) return 'unproven';
  if (state.rackedAt === null) return 'on-lees';
  if (state.malolactic?.done === false) return 'malolactic';
  if (!state.liquid || !isFullDose(state.liquid, dose)) return 'dose';
  return null;
}
