import { figure } from '../../base/worked/figures.js';
import { HEXOSE_G_PER_L_PER_POINT, SUGAR_TEST_SD_G_PER_L } from '../../finish/bottle/sealed-gas.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import { countText } from '../../matter/quantity/count-text.js';
import type { BatchState } from '../state/batch-state.js';
import { inHand, type Draft, type Patch } from '../state/draft.js';
import { hasFreshReading, withoutSugar } from '../state/sugar-known.js';
import { CLEAR, refuse, unless, type EntryCheck, type Filed, type Kind } from './kind.js';
import { figureText } from './raw-gravity-words.js';

/** A small sample fermented out in the warm with much yeast, or a test for sugar. */
export type SugarTest =
  | {
      readonly by: 'forced-ferment';
      readonly before: RawGravity;
      readonly after: RawGravity;
      /** How long it stood, days, and how warm, °C. */
      readonly days: number;
      readonly tempC: number;
    }
  | { readonly by: 'sugar-test'; readonly sugarGPerL: number };

/** What sugar is really left, found by more than a hydrometer. */
export type TestedPayload = SugarTest & { readonly acknowledged: readonly string[] };

/** A forced ferment says something from this long and this warm on. @source usual practice: 5–7 days at 25 °C */
export const FORCED_LEAST = { days: 5, tempC: 22 } as const;
/** Sugar a test may miss beside the sums before it is asked about, g/L. @source estimate: seven gravity points */
const TEST_MISSES_G_PER_L = 15;

/** How well a sample fermented out tells the sugar left, g/L as hexose. @source estimate: two readings of one sample with one stem */
const FORCED_SD_G_PER_L = 0.0007 * 1000 * HEXOSE_G_PER_L_PER_POINT;

/** Two tests further apart than this many of their doubts found different drinks. @source usual statistics: 1 in 20 by chance */
const AGREES_SD = 2;

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

/**
 * What a test of the sugar left changes: the sums believe it. Sugar it does not find is other matter where the gravity was
 * read with it, or where a test before it agrees; where nobody read, it may as well have fermented, and the next reading tells.
 */
function apply(state: Draft, { at, payload }: Filed<TestedPayload>): Patch {
  const liquid = inHand(state);
  const leftGPerL = sugarFound(payload, state.must);
  const sdGPerL = payload.by === 'sugar-test' ? SUGAR_TEST_SD_G_PER_L : FORCED_SD_G_PER_L;
  const found = { weighedGPerL: 0, weighedSdGPerL: 0, tested: { at, leftGPerL, sdGPerL } };
  const sums = fermentableGPerL(liquid);
  // Two tests that agree as well as they can tell show no fall.
  const agrees = state.tested !== null && sums - leftGPerL <= AGREES_SD * Math.hypot(state.tested.sdGPerL, sdGPerL);
  if (!hasFreshReading(state, at) && !agrees && leftGPerL < sums) {
    const fermented = fermentFraction(liquid, 1 - leftGPerL / sums);
    return { ...found, liquid: fermented, lastLiquid: fermented };
  }
  const goneGPerL = liquid.sucroseGPerL + liquid.hexoseGPerL - leftGPerL;
  const calibrated = withoutSugar(liquid, goneGPerL, leftGPerL);
  return {
    ...found,
    liquid: calibrated,
    lastLiquid: calibrated,
    must: state.must ? withoutSugar(state.must, goneGPerL) : null,
    pitch: state.pitch ? { ...state.pitch, liquid: withoutSugar(state.pitch.liquid, goneGPerL) } : null,
  };
}

function check({ liquid, must }: BatchState, payload: TestedPayload): EntryCheck {
  if (!liquid) return refuse('There is nothing in the vessels of this batch to test.');
  if (payload.by === 'forced-ferment' && (payload.days < FORCED_LEAST.days || payload.tempC < FORCED_LEAST.tempC)) {
    return refuse(
      `A sample must stand at least ${FORCED_LEAST.days} days at ${FORCED_LEAST.tempC} °C or warmer, with much yeast, before it says what is left. Give it longer, or warmer.`,
    );
  }
  const missing = fermentableGPerL(liquid) - sugarFound(payload, must);
  return missing > TEST_MISSES_G_PER_L ? unless(payload.acknowledged, 'test-disagrees') : CLEAR;
}

export const tested: Kind<TestedPayload> = {
  apply,
  words: ({ payload }, say) => {
    if (payload.by === 'sugar-test') return { lead: 'Tested for sugar', rest: `${figure(payload.sugarGPerL, 1)} g/L by a sugar test` };
    const [before, after] = [figureText(payload.before, say), figureText(payload.after, say)];
    return { lead: 'Tested for sugar', rest: `a sample went from ${before} to ${after} in ${countText(Math.round(payload.days), 'day')} in the warm` };
  },
  check: (state, _verdict, { payload }) => check(state, payload),
};
