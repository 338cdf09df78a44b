import type { DayReading } from './forecast-types.js';
import { STEP_DAYS } from './integrate-ferment.js';

/** Spread of a typed reading of a home stem, SG. @source readability of a home hydrometer */
const TYPED_SG = 0.0015;
/** How far a real ferment's course strays from any model's, SG. @source our estimate, checked by the calibration tests */
const COURSE_SG = 0.0018;
/** Share of readings that are mistyped, and where such a reading may lie, SG. @source our estimate */
const MISTYPED_SHARE = 0.01;
const MISTYPED_RANGE_SG = 0.2;
/** Share of readings that are rough, such as gassy or hasty ones, and how much wider they lie. @source our estimate */
const ROUGH_SHARE = 0.1;
const ROUGH_TIMES = 2.5;

const ROOT_TWO_PI = Math.sqrt(2 * Math.PI);

/** A reading made ready to be compared with many courses. */
export interface ReadyReading {
  readonly step: number;
  /** Where between two steps it was taken, 0–1. */
  readonly between: number;
  readonly sg: number;
  readonly sd: number;
}

/** Readings made ready, in order. */
export function readyReadings(readings: readonly DayReading[], steps: number): readonly ReadyReading[] {
  return readings.map(({ day, sg, plusMinus }) => {
    const at = Math.min(steps - 1e-9, Math.max(0, day / STEP_DAYS));
    return { step: Math.floor(at), between: at - Math.floor(at), sg, sd: Math.hypot(plusMinus ?? TYPED_SG, COURSE_SG) };
  });
}

/**
 * How well a course of gravity agrees with the readings. A reading far off counts as mistyped, and then says little
 * about any course.
 *
 * @param course - gravity at the beginning of each step
 * @param readings - made ready
 * @returns the log likelihood
 * @source normal errors mixed with rough ones and a flat share of gross ones
 */
export function logLikelihood(course: Float64Array, readings: readonly ReadyReading[]): number {
  let sum = 0;
  for (const { step, between, sg, sd } of readings) {
    const expected = (course[step] ?? 1) * (1 - between) + (course[step + 1] ?? 1) * between;
    const z = (sg - expected) / sd;
    const fine = (1 - ROUGH_SHARE) * Math.exp((-z * z) / 2);
    const rough = (ROUGH_SHARE / ROUGH_TIMES) * Math.exp(-((z / ROUGH_TIMES) ** 2) / 2);
    sum += Math.log(((1 - MISTYPED_SHARE) * (fine + rough)) / (sd * ROOT_TWO_PI) + MISTYPED_SHARE / MISTYPED_RANGE_SG);
  }
  return sum;
}
