import { TOUCH_HIGH_SG } from '../ferment/judge-facts.js';
import type { FermentSetting, FermentTraits } from './ferment-model.js';
import type { BandDay, Forecast, Spread } from './forecast-types.js';
import { weightedQuantile } from './importance.js';
import { STEP_DAYS } from './integrate-ferment.js';

/** A member that was run. */
export interface RunMember {
  /** Gravity at the beginning of each step. */
  readonly course: Float64Array;
  readonly traits: FermentTraits;
}

/** Distance from its own end at which a ferment counts as finished: what two readings can tell. */
export const FINISHED_WITHIN_SG = 0.002;
/** A member that still loses more than this over ten days at the horizon has not ended. */
const STILL_LOSING_SG = 0.0004;
const LOSING_DAYS = 10;
/** Members the band is drawn from. */
const BAND_MEMBERS = 400;

/** What a summary needs beside the members. */
export interface SummaryFrame {
  readonly setting: FermentSetting;
  readonly expectedEndSg: number;
  /** Whether it is too cold at the horizon to tell an end from a sleep. */
  readonly asleep: boolean;
}

/** Puts weighted members into figures a maker can use. */
export function summariseMembers(members: readonly RunMember[], weights: Float64Array, frame: SummaryFrame): Omit<Forecast, 'effectiveMembers'> {
  const ends = Float64Array.from(members, ({ course }) => course[course.length - 1] ?? 1);
  const settled = members.map(isSettled);
  const stuck = members.map((_, k) => !frame.asleep && (ends[k] ?? 1) > frame.expectedEndSg + TOUCH_HIGH_SG && settled[k] === true);
  const chanceStuck = weights.reduce((sum, w, k) => sum + (stuck[k] === true ? w : 0), 0);
  const unstuck = weights.map((w, k) => (stuck[k] === true ? 0 : w / Math.max(1e-12, 1 - chanceStuck)));
  const days = Float64Array.from(members, (m, k) => (settled[k] === true && !frame.asleep ? finishOf(m.course, ends[k] ?? 1) : Infinity));
  const { originalSg, drySg, startAbv, dryAbv } = frame.setting;
  const abvs = ends.map((sg) => startAbv + (dryAbv - startAbv) * Math.min(1, (originalSg - sg) / (originalSg - drySg)));
  const day = (share: number): number | null => {
    const found = chanceStuck > 0.98 ? Infinity : weightedQuantile(days, unstuck, share);
    return Number.isFinite(found) ? found : null;
  };
  return {
    band: bandOf(resampled(members, weights)),
    finishDay: { p10: day(0.1), p50: day(0.5), p90: day(0.9) },
    finalSg: spreadOf(ends, weights),
    finalAbv: spreadOf(abvs, weights),
    chanceStuck,
    rate: spreadOf(
      Float64Array.from(members, (m) => m.traits.rate),
      weights,
    ),
  };
}

const spreadOf = (values: Float64Array, weights: Float64Array): Spread => ({
  p10: weightedQuantile(values, weights, 0.1),
  p50: weightedQuantile(values, weights, 0.5),
  p90: weightedQuantile(values, weights, 0.9),
});

function isSettled({ course }: RunMember): boolean {
  const last = course.length - 1;
  return (course[Math.max(0, last - LOSING_DAYS / STEP_DAYS)] ?? 1) - (course[last] ?? 1) <= STILL_LOSING_SG;
}

function finishOf(course: Float64Array, end: number): number {
  let [lo, hi] = [0, course.length - 1];
  while (lo < hi) {
    const middle = (lo + hi) >> 1;
    if ((course[middle] ?? 1) - end > FINISHED_WITHIN_SG) lo = middle + 1;
    else hi = middle;
  }
  return lo * STEP_DAYS;
}

/** Equally weighted members instead of weighted ones. @source systematic resampling */
function resampled(members: readonly RunMember[], weights: Float64Array): readonly Float64Array[] {
  const picked: Float64Array[] = [];
  let sum = 0;
  let k = -1;
  for (let i = 0; i < BAND_MEMBERS; i += 1) {
    const at = (i + 0.5) / BAND_MEMBERS;
    while (sum < at && k < members.length - 1) {
      k += 1;
      sum += weights[k] ?? 0;
    }
    const course = members[k]?.course;
    if (course) picked.push(course);
  }
  return picked;
}

function bandOf(courses: readonly Float64Array[]): readonly BandDay[] {
  const steps = (courses[0]?.length ?? 1) - 1;
  const perDay = 1 / STEP_DAYS;
  const values = new Float64Array(courses.length);
  const at = (share: number): number => values[Math.round(share * (values.length - 1))] ?? 1;
  return Array.from({ length: Math.floor(steps * STEP_DAYS) + 1 }, (_, day) => {
    courses.forEach((course, k) => (values[k] = course[Math.min(steps, Math.round(day * perDay))] ?? 1));
    values.sort();
    return { day, p10: at(0.1), p50: at(0.5), p90: at(0.9) };
  });
}
