import type { DayReading } from './forecast-types.js';

/** Spread of a typed reading of a home stem, SG. @source readability of a home hydrometer */
const TYPED_SG = 0.0011;
/** How far a real ferment's course strays from any curve, SG. @source our estimate, checked by family in the tests */
const COURSE_SG = 0.0003;
/** Share of readings that are mistyped, and where such a reading may lie, SG. @source our estimate */
const MISTYPED_SHARE = 0.01;
const MISTYPED_RANGE_SG = 0.2;
/** Share of readings that are rough, such as gassy or hasty ones, and how much wider they lie. @source our estimate */
const ROUGH_SHARE = 0.1;
const ROUGH_TIMES = 2.5;

const ROOT_TWO_PI = Math.sqrt(2 * Math.PI);

/** How well a course of gravity, by its place among the readings, agrees with them; what cannot reach `atLeast` any more may be called -Infinity. */
export type CourseLikelihood = (gravityAt: (index: number) => number, atLeast?: number) => number;

/**
 * What tells how well courses of gravity agree with readings. A reading far off counts as mistyped, and then says little
 * about any course.
 *
 * @param readings - as taken
 * @returns the log likelihood of a course
 * @source normal errors mixed with rough ones and a flat share of gross ones
 */
export function courseLikelihood(readings: readonly DayReading[]): CourseLikelihood {
  const noise = readings.map(({ sg, plusMinus }) => {
    const sd = Math.hypot(plusMinus ?? TYPED_SG, COURSE_SG);
    const height = (1 - MISTYPED_SHARE) / (sd * ROOT_TWO_PI);
    const best = Math.log(height * (1 - ROUGH_SHARE + ROUGH_SHARE / ROUGH_TIMES) + MISTYPED_SHARE / MISTYPED_RANGE_SG);
    return { sg, sd, height, best };
  });
  const best = noise.reduce((sum, reading) => sum + reading.best, 0);
  return (gravityAt, atLeast = -Infinity) => {
    let [sum, reachable] = [0, best];
    for (let i = 0; i < noise.length; i += 1) {
      const reading = noise[i];
      if (reachable < atLeast || reading === undefined) return -Infinity;
      const z = (reading.sg - gravityAt(i)) / reading.sd;
      const fine = (1 - ROUGH_SHARE) * Math.exp((-z * z) / 2);
      const rough = (ROUGH_SHARE / ROUGH_TIMES) * Math.exp((-z * z) / (2 * ROUGH_TIMES ** 2));
      const told = Math.log(reading.height * (fine + rough) + MISTYPED_SHARE / MISTYPED_RANGE_SG);
      sum += told;
      reachable += told - reading.best;
    }
    return sum;
  };
}
