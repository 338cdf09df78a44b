import { attempt } from '../../base/errors/attempt.js';
import { questionReading, type ReadingQuestion } from '../../ferment/verdict/question-reading.js';
import { agreeWithReading } from '../../matter/liquid/ferment-to.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import { rawGravityBy, type GaugeScale } from '../../matter/measure/gauge.js';
import { typedSg } from '../../matter/typed/typed-gravity.js';
import type { BatchState } from '../state/batch-state.js';
import { workedMust } from '../state/worked-must.js';

/** What a gravity that was written comes to. */
export interface ReadingPreview {
  readonly raw: RawGravity | null;
  /** Corrected gravity; null when there is none to show. */
  readonly sg: number | null;
  readonly plusMinus: number | null;
  /** What the reading makes of it, once yeast is in; null before. */
  readonly drink: Liquid | null;
  readonly questions: readonly ReadingQuestion[];
  /** Why the gravity cannot be read at all; null when it can. */
  readonly unreadable: string | null;
}

const NOTHING: ReadingPreview = { raw: null, sg: null, plusMinus: null, drink: null, questions: [], unreadable: null };

/** What the preview needs besides the text. */
export interface ReadingContext {
  readonly state: BatchState;
  readonly at: string;
  /** °C; null when not typed. */
  readonly sampleC: number | null;
  /** The entry being corrected, whose own reading is no precedent; null for a new one. */
  readonly correcting: string | null;
}

/**
 * Reads a gravity as typed, corrects it, and asks about what is odd.
 *
 * @param text - as typed, any unit
 * @param gauge - what it was read with
 * @param context - the batch, the day and the sample
 * @returns the raw reading to file, what it comes to, and what is to be asked first
 */
export function previewReading(text: string, gauge: GaugeScale, context: ReadingContext): ReadingPreview {
  if (text.trim() === '') return NOTHING;
  const parsed = attempt(() => typedSg(text, gauge.kind));
  if (!parsed.ok) return { ...NOTHING, unreadable: parsed.error.message };
  const { value } = parsed;
  const { state, at, correcting } = context;
  const earlier = state.readings.filter((r) => r.id !== correcting && r.at < at);
  const previous = earlier.at(-1) ?? null;
  const worked = workedMust(state);
  const drySg = worked && dryGravityOf(worked);
  const impossible = questionReading({ sg: value, at }).filter((q) => !q.canInsist);
  if (impossible.length > 0) return { ...NOTHING, questions: impossible };
  const raw = rawGravityBy(gauge, value, context.sampleC);
  const corrected = attempt(() => correctGravity(raw, worked));
  if (!corrected.ok) return { ...NOTHING, unreadable: corrected.error.message };
  const { sg, plusMinus } = corrected.value;
  const last = precedent(state, previous);
  return {
    raw,
    sg,
    plusMinus,
    drink: worked && agreeWithReading(worked, sg),
    questions: questionReading({ sg, at, previous: last, drySg, reckoned: last === null && correcting === null ? reckonedMust(state, at) : null }),
    unreadable: null,
  };
}

/** The last gravity to compare with: a reading, or the must itself on the day of pitch; none once something moved it by hand. */
function precedent(state: BatchState, previous: { readonly sg: number; readonly at: string } | null): { readonly sg: number; readonly at: string } | null {
  const { pitchedAt } = state;
  const must = workedMust(state);
  const fromMust = must && pitchedAt ? { sg: gravityOf(must), at: pitchedAt } : null;
  const last = previous ?? fromMust;
  if (!last) return null;
  const changed = state.judged.some((e) => e.kind === 'gravity-changed' && e.at > last.at);
  return changed ? null : last;
}

/** What a must without yeast comes to by what went in; null once yeast is in, or before something that is in it by now. */
function reckonedMust(state: BatchState, at: string): { readonly sg: number; readonly by: BatchState['originalBy'] } | null {
  const { liquid, pitchedAt, judged, originalBy } = state;
  if (pitchedAt || !liquid || judged.some((e) => e.kind === 'gravity-changed' && e.at > at)) return null;
  return { sg: gravityOf(liquid), by: originalBy };
}
