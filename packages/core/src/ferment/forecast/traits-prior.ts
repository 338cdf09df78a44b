import { evenly } from '../../base/numeric/normal.js';
import type { Random } from '../../base/numeric/random.js';
import type { FermentSetting } from './ferment-model.js';
import type { PastFerment } from './forecast-types.js';

/** Ferments differ in this many ways that readings can tell. Each is a standard normal before any reading. */
export const DIMENSIONS = 9;

/** Spread of a trait between batches, as standard deviations of logarithms. @source our estimates, checked by the calibration tests */
export const SPREAD = {
  rate: 0.6,
  rateWithinMaker: 0.2,
  drift: 0.35,
} as const;

/**
 * How a ferment may answer to warmth: by a power of its kind's cardinal curve, which cold nearly stops, or by so many times
 * as fast for ten degrees, which slows less.
 */
export type WarmthAnswer = { readonly power: number } | { readonly per10C: number };

/** Answers are drawn from a few, so that their tables are made once: neighbours are alike. @source our estimate; two to three times for ten degrees is usual of living things */
export const WARMTH_ANSWERS: readonly WarmthAnswer[] = [
  ...[1.6, 2.2, 3].map((per10C) => ({ per10C })),
  ...[-1.5, -0.75, 0, 0.75, 1.5].map((z) => ({ power: Math.exp(0.3 * z) })),
];

/** What is believed of the speed before any reading. */
export interface RateBelief {
  readonly meanLog: number;
  readonly sdLog: number;
}

/**
 * Learns from earlier batches of the same maker with the same kind of yeast.
 *
 * @param history - their speeds beside the textbook's
 * @returns the belief about the next one: nearer to the maker's own, and narrower, the more there are
 * @source normal means with known variances
 */
export function rateBelief(history: readonly PastFerment[]): RateBelief {
  const between = SPREAD.rate ** 2;
  const within = SPREAD.rateWithinMaker ** 2;
  const count = history.length;
  const mean = count === 0 ? 0 : history.reduce((sum, h) => sum + Math.log(h.rate), 0) / count;
  const precision = 1 / (between - within) + count / within;
  return { meanLog: (count / within / precision) * mean, sdLog: Math.sqrt(1 / precision + within) };
}

/** Which of the few answers a normal stands for. */
export const answerIndex = (z: number): number => Math.min(WARMTH_ANSWERS.length - 1, Math.floor(evenly(z) * WARMTH_ANSWERS.length));

/** How the days to come differ from those gone by: nobody can read that off the log. */
export const driftFrom = (random: Random): number => Math.exp(SPREAD.drift * random.normal());

/** Base chance of sticking, and what raises it. @source our estimate: a few in a hundred of well-kept home ferments */
const STICKS = { base: 0.02, nitrogen: 0.04, strength: 0.1, mostOf: 0.3 };

/**
 * Chance before any reading that a ferment of this setting sticks.
 *
 * @param setting - the must and kind
 * @returns 0–0.3, higher when nitrogen is short or the strength comes near what the yeast stands
 * @source our estimate
 */
export function chanceToStick({ nitrogenLack, dryAbv, toleranceAbv: [low, high] }: FermentSetting): number {
  const near = Math.min(1, Math.max(0, (dryAbv - (low - 1)) / (high - low + 1)));
  return Math.min(STICKS.mostOf, STICKS.base + STICKS.nitrogen * nitrogenLack + STICKS.strength * near);
}
