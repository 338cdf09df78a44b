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

/**
 * How well a course of gravity agrees with the readings. A reading far off counts as mistyped, and then says little
 * about any course.
 *
 * @param gravityAt - gravity at each reading, by its place among them
 * @param readings - as taken
 * @returns the log likelihood
 * @source normal errors mixed with rough ones and a flat share of gross ones
 */
export function logLikelihoodOf(gravityAt: (index: number) => number, readings: readonly DayReading[]): number {
  let sum = 0;
  readings.forEach(({ sg, plusMinus }, i) => {
    const sd = Math.hypot(plusMinus ?? TYPED_SG, COURSE_SG);
    const z = (sg - gravityAt(i)) / sd;
    const fine = (1 - ROUGH_SHARE) * Math.exp((-z * z) / 2);
    const rough = (ROUGH_SHARE / ROUGH_TIMES) * Math.exp(-((z / ROUGH_TIMES) ** 2) / 2);
    sum += Math.log(((1 - MISTYPED_SHARE) * (fine + rough)) / (sd * ROOT_TWO_PI) + MISTYPED_SHARE / MISTYPED_RANGE_SG);
  });
  return sum;
}
