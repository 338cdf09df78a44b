import { DAY_MS } from '../quantity/days.js';
import { EPS, EQUAL_SG, WORKING_SHARE } from './judge-facts.js';
import type { GravityReading } from './reading.js';

/** How gravity fell over some readings, each counting alike. */
export interface FittedFall {
  readonly days: number;
  /** SG a day; above zero while it falls. */
  readonly perDay: number;
  /** What a straight line through them falls from first to last, SG. */
  readonly fallSg: number;
  /** Where the line stands at the last of them, SG. */
  readonly endSg: number;
  /** How far the reading farthest from the line lies off it, SG. */
  readonly worstSg: number;
}

/**
 * The straight line through readings, by least squares.
 *
 * @param readings - at least two, by date, on more than one moment
 * @returns the fall along the line
 * @source ordinary least squares
 */
export function fittedFall(readings: readonly GravityReading[]): FittedFall {
  const days = readings.map((r) => (Date.parse(r.at) - Date.parse(readings[0]?.at ?? r.at)) / DAY_MS);
  const meanDay = days.reduce((a, b) => a + b, 0) / days.length;
  const meanSg = readings.reduce((sum, r) => sum + r.sg, 0) / readings.length;
  let [across, along] = [0, 0];
  readings.forEach((r, i) => {
    const d = (days[i] ?? 0) - meanDay;
    across += d * (r.sg - meanSg);
    along += d * d;
  });
  const perDay = along > 0 ? -across / along : 0;
  const span = days.at(-1) ?? 0;
  const onLine = (day: number): number => meanSg - perDay * (day - meanDay);
  const worstSg = Math.max(...readings.map((r, i) => Math.abs(r.sg - onLine(days[i] ?? 0))));
  return { days: span, perDay, fallSg: perDay * span, endSg: onLine(span), worstSg };
}

/** Without the reading that lies farthest off, where so many are left that the rest speak for themselves. */
function withoutWorst(readings: readonly GravityReading[]): readonly (readonly GravityReading[])[] {
  if (readings.length < MANY) return [readings];
  return [readings, ...readings.map((r) => readings.filter((other) => other !== r))];
}

/** From this many readings on, one may lie off the line. */
const MANY = 4;
/** How far a reading of a drink at rest may lie off the others, SG. @source estimate: a home stem ±0.0007, read to 0.001 */
const AT_REST_SG = 0.0016;

/**
 * The longest run of readings, up to the last, in which the gravity stood still: over the whole of it a line through them
 * falls by no more than two equal readings may differ, and none lies off it by more than a stem does. One of four may.
 *
 * @param readings - usable ones by date
 * @param equalSg - fall that still counts as none, SG
 * @returns the first reading of the run, which is the last reading where there is none
 * @source our rule: the craft's two equal readings, with every reading between counted
 */
export function steadyFrom(readings: readonly GravityReading[], equalSg: number): GravityReading | undefined {
  const last = readings.at(-1);
  for (let i = 0; i < readings.length - 1; i += 1) {
    const run = readings.slice(i);
    if (isSteady(run, equalSg)) return readings[i];
  }
  return last;
}

function isSteady(run: readonly GravityReading[], equalSg: number): boolean {
  const [first, last] = [run[0], run.at(-1)];
  if (!first || !last) return false;
  if (run.length === 2) return Math.abs(first.sg - last.sg) <= equalSg + EPS;
  return withoutWorst(run).some((kept) => {
    // The run must still begin and end where it is said to.
    if (kept[0] !== first || kept.at(-1) !== last) return false;
    const { fallSg, worstSg } = fittedFall(kept);
    return Math.abs(fallSg) <= equalSg + EPS && worstSg <= AT_REST_SG;
  });
}

/** A rate is told by a fall that stands out of the readings' noise, or by a week. @source estimate: four stems' errors */
const CLEAR_FALL_SG = 0.005;
const CLEAR_DAYS = 7;

/** The shortest run up to a reading that tells a rate; the whole where none is long enough. */
function tellingRun(readings: readonly GravityReading[], to: number): readonly GravityReading[] {
  const end = readings[to];
  for (let i = to - 1; i > 0; i -= 1) {
    const start = readings[i];
    if (!start || !end) break;
    const days = (Date.parse(end.at) - Date.parse(start.at)) / DAY_MS;
    if (days >= CLEAR_DAYS || (days >= 1 && start.sg - end.sg >= CLEAR_FALL_SG - EPS)) return readings.slice(i, to + 1);
  }
  return readings.slice(0, to + 1);
}

/** How fast it falls now and how fast at its best, SG a day, and over how long the first was seen. */
export interface FallRates {
  readonly lastPerDay: number;
  readonly lastOverDays: number;
  readonly bestPerDay: number;
  /** Whether it has stood still for so long that a working ferment would have shown it, though too short to tell a rate. */
  readonly rests: boolean;
}

/** A fall that two readings would show, SG. @source estimate: two stems' errors of 0.0011 */
const SHOWN_FALL_SG = 0.003;

/**
 * How fast gravity falls, told over stretches long enough to stand out of the noise.
 *
 * @param readings - usable ones by date, at least two
 * @returns rates of the last such stretch and of the quickest, and whether it rests since
 */
export function fallRates(readings: readonly GravityReading[]): FallRates {
  const runs = readings.slice(1).map((_r, i) => fittedFall(tellingRun(readings, i + 1)));
  const last = runs.at(-1);
  const bestPerDay = Math.max(0, ...runs.map((r) => r.perDay));
  const [from, to] = [steadyFrom(readings, EQUAL_SG), readings.at(-1)];
  const restDays = from && to ? (Date.parse(to.at) - Date.parse(from.at)) / DAY_MS : 0;
  return {
    lastPerDay: last?.perDay ?? 0,
    lastOverDays: last?.days ?? 0,
    bestPerDay,
    rests: bestPerDay > 0 && WORKING_SHARE * bestPerDay * restDays >= SHOWN_FALL_SG,
  };
}
