import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
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

/** A reading by the day, counted from the first of its list: dates are read once. */
interface Point {
  readonly day: number;
  readonly sg: number;
}

function pointsOf(readings: readonly GravityReading[]): readonly Point[] {
  const fromMs = Date.parse(readings[0]?.at ?? '');
  return readings.map((r) => ({ day: (Date.parse(r.at) - fromMs) / DAY_MS, sg: r.sg }));
}

/**
 * The straight line through readings, by least squares.
 *
 * @param readings - at least two, by date, on more than one moment
 * @returns the fall along the line
 * @source ordinary least squares
 */
export const fittedFall = (readings: readonly GravityReading[]): FittedFall => fitted(pointsOf(readings));

function fitted(points: readonly Point[]): FittedFall {
  const meanDay = points.reduce((sum, p) => sum + p.day, 0) / points.length;
  const meanSg = points.reduce((sum, p) => sum + p.sg, 0) / points.length;
  let [across, along] = [0, 0];
  for (const { day, sg } of points) {
    across += (day - meanDay) * (sg - meanSg);
    along += (day - meanDay) ** 2;
  }
  const perDay = along > 0 ? -across / along : 0;
  const lastDay = points.at(-1)?.day ?? 0;
  const days = lastDay - (points[0]?.day ?? 0);
  const onLine = (day: number): number => meanSg - perDay * (day - meanDay);
  const worstSg = points.reduce((worst, { day, sg }) => Math.max(worst, Math.abs(sg - onLine(day))), 0);
  return { days, perDay, fallSg: perDay * days, endSg: onLine(lastDay), worstSg };
}

/** From this many readings on, one may lie off the line. */
const MANY = 4;
/** Of a long run only so many are tried: one that bends the line lies among those farthest off it. */
const MOST_LEFT_OUT = 8;
/** How far a reading of a drink at rest may lie off the others, SG. @source estimate: a home stem ±0.0007, read to 0.001 */
const AT_REST_SG = 0.0016;

/** All of them, then without one of those that lie farthest off, where so many are left that the rest speak for themselves. */
function* withoutWorst(points: readonly Point[]): Generator<readonly Point[]> {
  yield points;
  if (points.length < MANY) return;
  // A rest hardly slopes, so what lies off its middle lies off its line.
  const middle = median(points.map((p) => p.sg));
  const worst = [...points].sort((a, b) => Math.abs(b.sg - middle) - Math.abs(a.sg - middle)).slice(0, MOST_LEFT_OUT);
  for (const left of worst) yield points.filter((other) => other !== left);
}

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
  const points = pointsOf(readings);
  const earliest = earliestFrom(points, equalSg);
  const from = points.findIndex((_point, i) => i >= earliest && i < points.length - 1 && isSteady(points, i, equalSg));
  return from < 0 ? readings.at(-1) : readings[from];
}

/**
 * Where a run up to the last reading can begin at all. The last is kept, neither it nor another that is kept lies far off the line, and one at
 * most is left out: where two are too far from the last no line can do, which spares trying them all.
 */
function earliestFrom(points: readonly Point[], equalSg: number): number {
  const last = points.at(-1);
  let far = 0;
  return (
    points.findLastIndex(({ sg }) => {
      if (Math.abs(sg - (last?.sg ?? sg)) > equalSg + 2 * AT_REST_SG + EPS) far += 1;
      return far > 1;
    }) + 1
  );
}

function isSteady(points: readonly Point[], from: number, equalSg: number): boolean {
  const [first, last] = [points[from], points.at(-1)];
  if (!first || !last) return false;
  for (const kept of withoutWorst(points.slice(from))) {
    // The run must still begin and end where it is said to.
    if (kept[0] !== first || kept.at(-1) !== last) continue;
    const { fallSg, worstSg } = fitted(kept);
    if (Math.abs(fallSg) <= equalSg + EPS && worstSg <= AT_REST_SG) return true;
  }
  return false;
}

/** A rate is told by a fall that stands out of the readings' noise, or by a week. @source estimate: four stems' errors */
const CLEAR_FALL_SG = 0.005;
const CLEAR_DAYS = 7;

/** The shortest run up to a reading that tells a rate; the whole where none is long enough. */
function tellingRun(points: readonly Point[], to: number): readonly Point[] {
  const end = points[to];
  for (let i = to - 1; i > 0; i -= 1) {
    const start = points[i];
    if (!start || !end) break;
    const days = end.day - start.day;
    if (days >= CLEAR_DAYS - EPS || (days >= 1 - EPS && start.sg - end.sg >= CLEAR_FALL_SG - EPS)) return points.slice(i, to + 1);
  }
  return points.slice(0, to + 1);
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
  const points = pointsOf(readings);
  const runs = points.slice(1).map((_point, i) => fitted(tellingRun(points, i + 1)));
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
