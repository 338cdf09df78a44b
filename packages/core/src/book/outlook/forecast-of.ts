import { placeProfile } from '../../ferment/forecast/place-curve.js';
import type { DeviceReading } from '../device/device-tracks.js';
import { siftReadings, type GravityReading } from '../../ferment/verdict/reading.js';
import type { DayReading, ForecastInput } from '../../ferment/forecast/forecast-types.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { BatchState } from '../state/batch-state.js';
import { pickedEvenly } from '../summary/batch-summary.js';

/** What a maker may ask beside what is. */
export interface WhatIf {
  /** Moved from today to a place of this temperature, °C. */
  readonly tempC?: number | undefined;
  /** Nitrogen put in today, mg/L. */
  readonly feedMgNPerL?: number | undefined;
}

/** What is known beside a batch's log. */
export interface AlsoKnown {
  /** What devices say besides the readings off glass. */
  readonly device?: readonly DeviceReading[] | undefined;
  /** The usual year of where it stands, January to December, °C. */
  readonly placeMonthlyC?: readonly number[] | undefined;
}

/** Sugar below which there is nothing left to forecast, g/L. */
const LEAST_SUGAR_G_PER_L = 8;
/** A forecast looks at least this far past today, and never past its own limit, days. */
const AHEAD_DAYS = 120;
const USUAL_DAYS = 200;
const MOST_DAYS = 400;

/** A forecast's input as a batch tells it. */
export type ForecastQuestion = Omit<ForecastInput, 'history' | 'members'>;

/**
 * The question a replayed batch asks of a forecast.
 *
 * @param state - the batch
 * @param today - ISO 8601
 * @param whatIf - a change to try
 * @param also - what is known beside the log
 * @returns the input without the maker's history; null where nothing can be forecast: before yeast, after bottling, in a keg, in a blend of ciders, or with no sugar to speak of
 */
export function forecastInputOf(state: BatchState, today: string, whatIf: WhatIf = {}, also: AlsoKnown = {}): ForecastQuestion | null {
  const { device = [], placeMonthlyC } = also;
  const question = state.liquid && !state.keg ? questionOf(state, today, device) : null;
  if (!question) return null;
  const day = question.todayDay ?? 0;
  const ahead = placeMonthlyC ? placeProfile(placeMonthlyC, today, day, (question.horizonDays ?? USUAL_DAYS) - day) : [];
  return {
    ...question,
    tempProfile: whatIf.tempC === undefined ? [...question.tempProfile, ...ahead] : [...question.tempProfile, { day, tempC: whatIf.tempC }],
    feeds: [...(question.feeds ?? []), ...(whatIf.feedMgNPerL === undefined ? [] : [{ day, mgNPerL: whatIf.feedMgNPerL }])],
  };
}

/** Fewer readings than this teach nothing of a batch's own pace. */
const LEAST_READINGS = 3;

/**
 * The question that tells how fast an earlier batch was, for the next one to learn from.
 *
 * @param state - a batch that has fermented, in bottle or not
 * @returns the input; null when its log does not say
 */
export function pastFermentOf(state: BatchState): ForecastQuestion | null {
  const last = state.readings.at(-1);
  // Of an ended batch a summary keeps so many: whether its log is here or not, it teaches the same.
  const kept = { ...state, readings: pickedEvenly(state.readings), temps: pickedEvenly(state.temps) };
  const question = last ? questionOf(kept, last.at) : null;
  return question && question.readings.length >= LEAST_READINGS ? question : null;
}

function questionOf(state: BatchState, today: string, device: readonly DeviceReading[] = []): ForecastQuestion | null {
  const { pitch, yeastId } = state;
  if (!pitch || !yeastId || fermentableGPerL(pitch.liquid) < LEAST_SUGAR_G_PER_L) return null;
  const dayOf = (at: string): number => daysBetween(pitch.at, at);
  const readings = readingsOf(state, pitch.at, device);
  // A reading just written is younger than the moment the page was opened, and it is the one that matters most.
  const todayDay = Math.max(0, dayOf(today), ...readings.map((r) => r.day));
  if (todayDay > MOST_DAYS - 10) return null;
  return {
    liquid: pitch.liquid,
    yeastId,
    pitchGPerL: Math.min(5, pitch.gPerL),
    readings,
    feeds: state.feeds.filter((f) => f.at > pitch.at).map((f) => ({ day: dayOf(f.at), mgNPerL: f.mgNPerL })),
    tempProfile: state.temps.map((t) => ({ day: dayOf(t.at), tempC: t.tempC })),
    todayDay,
    seed: 1,
    horizonDays: Math.min(MOST_DAYS, Math.max(USUAL_DAYS, Math.ceil(todayDay) + AHEAD_DAYS)),
  };
}

/** A reading with how far it may be off, where that is not a typed reading's. */
interface Weighed extends GravityReading {
  readonly plusMinus?: number | undefined;
}

/** Readings since the yeast went in, those before an addition lifted by it, as if it had been there from the start. */
function readingsOf(state: BatchState, pitchedAt: string, device: readonly DeviceReading[]): readonly DayReading[] {
  const changes = state.judged.filter((j) => j.kind === 'gravity-changed' && j.at > pitchedAt);
  const own: readonly Weighed[] = state.readings.map(({ id, at, sg, tempC }) => ({ id, at, sg, tempC }));
  const lifted = [...own, ...device.map(({ at, sg, plusMinus }): Weighed => ({ id: 'device', at, sg, tempC: null, plusMinus }))]
    .filter((r) => r.at > pitchedAt)
    .flatMap((r) => {
      const later = changes.filter((c) => c.at > r.at);
      if (later.some((c) => c.deltaSg === undefined)) return [];
      return [{ ...r, sg: r.sg + later.reduce((sum, c) => sum + (c.deltaSg ?? 0), 0) }];
    });
  const usable = new Set<Weighed>(siftReadings(lifted).usable);
  return lifted
    .filter((r) => usable.has(r))
    .map((r) => ({ day: daysBetween(pitchedAt, r.at), sg: r.sg, plusMinus: r.plusMinus }))
    .sort((a, b) => a.day - b.day);
}
