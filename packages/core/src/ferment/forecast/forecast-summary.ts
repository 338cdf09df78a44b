import { TOUCH_HIGH_SG } from '../verdict/judge-facts.js';
import { endOn, gravityAlong, shareAlong, type Curve } from './curve-families.js';
import type { FermentSetting } from './ferment-model.js';
import type { BandDay, Forecast, Spread } from './forecast-types.js';
import { systematic, weightedQuantile } from '../../base/numeric/weights.js';
import { clockAt, dayWhen, type WarmClock } from './warm-clock.js';

/** A possible course: its curve, its answer to temperature, and how the days to come differ from those gone by. */
export interface FittedCurve {
  readonly curve: Curve;
  readonly power: number;
  readonly drift: number;
}

/** Distance from its own end at which a ferment counts as finished: what two readings can tell. */
export const FINISHED_WITHIN_SG = 0.002;
/** Courses the band is drawn from. */
const BAND_CURVES = 500;
/** More of the belief than this in sticking leaves nothing to date. */
const SURELY_STUCK = 0.98;

/** What a summary needs beside the curves. */
export interface SummaryFrame {
  readonly setting: FermentSetting;
  readonly clocks: readonly WarmClock[];
  readonly todayDay: number;
  readonly horizonDays: number;
  readonly expectedEndSg: number;
  /** Whether it is too cold at the horizon to tell an end from a sleep. */
  readonly asleep: boolean;
  /** Days of the clock in which the growth model loses half. */
  readonly usualHalfDays: number;
  /** The last reading: no end lies above it; null before the first. */
  readonly lowestSg: number | null;
}

/** Puts weighted courses into figures a maker can use. */
export function summariseCurves(curves: readonly FittedCurve[], weights: Float64Array, frame: SummaryFrame): Omit<Forecast, 'effectiveMembers'> {
  const { originalSg, drySg, startAbv, dryAbv } = frame.setting;
  const lowest = frame.lowestSg ?? Infinity;
  // In sleep nothing goes on: where it ends is what it would reach in the warmth, and nobody can tell a day.
  const ends = Float64Array.from(curves, ({ curve }) => Math.min(lowest, endOn(curve, originalSg)));
  const stuck = curves.map((_, k) => !frame.asleep && (ends[k] ?? 1) > frame.expectedEndSg + TOUCH_HIGH_SG);
  const chanceStuck = weights.reduce((sum, w, k) => sum + (stuck[k] === true ? w : 0), 0);
  const unstuck = weights.map((w, k) => (stuck[k] === true ? 0 : w / Math.max(1e-12, 1 - chanceStuck)));
  const days = Float64Array.from(curves, (c) => (frame.asleep ? Infinity : finishOf(c, frame)));
  const abvs = ends.map((sg) => startAbv + (dryAbv - startAbv) * Math.min(1, (originalSg - sg) / (originalSg - drySg)));
  const day = (share: number): number | null => {
    const found = chanceStuck > SURELY_STUCK ? Infinity : weightedQuantile(days, unstuck, share);
    return Number.isFinite(found) ? found : null;
  };
  return {
    band: bandOf(
      systematic(weights, 0.5, BAND_CURVES).flatMap((k) => curves[k] ?? []),
      frame,
    ),
    finishDay: { p10: day(0.1), p50: day(0.5), p90: day(0.9) },
    finalSg: spreadOf(ends, weights),
    finalAbv: spreadOf(abvs, weights),
    chanceStuck,
    rate: spreadOf(
      Float64Array.from(curves, ({ curve }) => frame.usualHalfDays / curve.half),
      weights,
    ),
  };
}

const spreadOf = (values: Float64Array, weights: Float64Array): Spread => ({
  p10: weightedQuantile(values, weights, 0.1),
  p50: weightedQuantile(values, weights, 0.5),
  p90: weightedQuantile(values, weights, 0.9),
});

/** What a course's own clock shows on a day: from today on it runs a little faster or slower than so far. */
function ticksOn({ drift }: FittedCurve, clock: WarmClock, day: number, todayDay: number): number {
  if (day <= todayDay) return clockAt(clock, day);
  const today = clockAt(clock, todayDay);
  return today + drift * (clockAt(clock, day) - today);
}

/** The day from which it stays within two points of its own end. */
function finishOf(fitted: FittedCurve, { setting, clocks, todayDay }: SummaryFrame): number {
  const { curve, power, drift } = fitted;
  const clock = clocks[power];
  if (!clock) return Infinity;
  const drop = setting.originalSg - curve.endSg;
  const wanted = curve.stopsAt - FINISHED_WITHIN_SG / Math.max(1e-9, drop);
  if (wanted <= 0) return 0;
  // Falls only ever go down, so the moment is found by halving.
  const share = shareAlong(curve);
  let hi = curve.lag + curve.half;
  for (let i = 0; i < 24 && share(hi) < wanted; i += 1) hi *= 2;
  let lo = 0;
  for (let i = 0; i < 40; i += 1) {
    const middle = (lo + hi) / 2;
    if (share(middle) < wanted) lo = middle;
    else hi = middle;
  }
  const today = clockAt(clock, todayDay);
  return dayWhen(clock, hi <= today ? hi : today + (hi - today) / drift);
}

function bandOf(curves: readonly FittedCurve[], { setting, clocks, todayDay, horizonDays }: SummaryFrame): readonly BandDay[] {
  const values = new Float64Array(curves.length);
  const gravities = curves.map(({ curve }) => gravityAlong(curve, setting.originalSg));
  const at = (share: number): number => values[Math.round(share * (values.length - 1))] ?? 1;
  return Array.from({ length: Math.floor(horizonDays) + 1 }, (_none, day) => {
    curves.forEach((c, k) => {
      const clock = clocks[c.power];
      values[k] = gravities[k]?.(clock ? ticksOn(c, clock, day, todayDay) : day) ?? NaN;
    });
    values.sort();
    return { day, p10: at(0.1), p50: at(0.5), p90: at(0.9) };
  });
}
