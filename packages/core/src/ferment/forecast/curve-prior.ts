import { isTooCold } from '../verdict/judge-facts.js';
import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { cardinalFactor } from './cardinal-temperature.js';
import type { CurvePrior } from './curve-families.js';
import { fermentSetting, typicalTraits, type FermentSetting } from './ferment-model.js';
import type { Feed, ForecastInput } from './forecast-types.js';
import { integrateFerment, STEP_DAYS } from './integrate-ferment.js';
import { tempsBySteps } from './temp-profile.js';
import { WARMTH_ANSWERS, type RateBelief, type WarmthAnswer } from './traits-prior.js';
import { warmClock, type WarmClock } from './warm-clock.js';

/** What a forecast draws its curves about, and by which clocks. */
export interface Frame {
  readonly prior: CurvePrior;
  /** One for each answer to temperature. */
  readonly clocks: readonly WarmClock[];
  /** Whether it is too cold at the horizon for anything to happen. */
  readonly asleep: boolean;
}

/** Warmth that counts as usual where a ferment has stood too cold so far to have a pace of its own, share of the best. */
const USUAL_FACTOR = 0.6;
/** Least mean speed that can be told from sleep. */
const LEAST_FACTOR = 0.02;

/**
 * The textbook's own course of a ferment, from the growth model: about it curves are drawn, and by it food hurries them.
 *
 * @param input - the question
 * @param belief - about the maker's own pace
 * @param span - the last reading's day and how far is looked ahead
 * @returns the prior and the clocks
 * @source the model of `simulateFermentation`
 */
export function curvePrior(
  input: ForecastInput,
  belief: RateBelief,
  { lastDay, horizonDays }: { readonly lastDay: number; readonly horizonDays: number },
): Frame {
  const yeast = yeastById(input.yeastId);
  const setting = fermentSetting(input.liquid, yeast, input.pitchGPerL);
  const steps = Math.ceil(horizonDays / STEP_DAYS);
  const temps = tempsBySteps(input.tempProfile, STEP_DAYS, steps);
  const factors = temps.map((t) => cardinalFactor(t, yeast.tempC));
  const seen = factors.slice(0, Math.max(1, Math.round(Math.max(lastDay, 1) / STEP_DAYS)));
  const mean = seen.reduce((a, b) => a + b, 0) / seen.length;
  const pace = mean >= LEAST_FACTOR ? mean : USUAL_FACTOR;
  const feeds = input.feeds ?? [];
  const hurried = hurry(setting, feeds, { lastDay, factors });
  // Its course at the pace so far, without the food to come, whose help is in the clock.
  const usual = courseOf(
    setting,
    Float64Array.from({ length: steps }, () => pace),
    feeds.filter((f) => f.day <= lastDay),
  );
  const lag = daysUntil(usual, setting, 0.03);
  const half = Math.max(0.5, daysUntil(usual, setting, 0.5) - lag);
  return {
    prior: { setting, belief, lag: Math.max(0.1, lag), half, toleranceAbv: yeast.toleranceAbv },
    clocks: WARMTH_ANSWERS.map((answer) => {
      const speeds = speedsOf(answer, { temps, factors, pace, seenSteps: seen.length, yeast });
      return warmClock(
        Array.from(speeds, (s, i) => s * (i >= hurried.fromStep ? hurried.times : 1)),
        STEP_DAYS,
      );
    }),
    asleep: (factors.at(-1) ?? 0) === 0,
  };
}

interface Warmths {
  readonly temps: Float64Array;
  readonly factors: Float64Array;
  /** Mean of the factors so far. */
  readonly pace: number;
  readonly seenSteps: number;
  readonly yeast: YeastKind;
}

/** Speed in each step, beside the mean speed so far. */
function speedsOf(answer: WarmthAnswer, { temps, factors, pace, seenSteps, yeast }: Warmths): Float64Array {
  if ('power' in answer) return factors.map((f) => (f > 0 ? (f / pace) ** answer.power : 0));
  // Below its least it sleeps, and above its most it dies, by whichever answer.
  const sleeps = (t: number, i: number): boolean => isTooCold(yeast, t) || (factors[i] === 0 && t > yeast.tempC[2]);
  const raw = temps.map((t, i) => (sleeps(t, i) ? 0 : answer.per10C ** (t / 10)));
  const seen = raw.subarray(0, seenSteps);
  const mean = seen.reduce((a, b) => a + b, 0) / seen.length;
  // One that slept all its time so far has no pace of its own: a usual warmth stands for it.
  const usual = mean > 0 ? mean : answer.per10C ** (yeast.tempC[1] / 10);
  return raw.map((r) => r / usual);
}

function courseOf(setting: FermentSetting, heat: Float64Array, feeds: readonly Feed[]): Float64Array {
  const out = new Float64Array(heat.length + 1);
  integrateFerment(setting, typicalTraits(setting), { heat, driftFrom: heat.length, feeds }, out);
  return out;
}

/** Days until a share of the whole fall to dry is gone; the whole course where it never is. */
function daysUntil(course: Float64Array, { originalSg, drySg }: FermentSetting, share: number): number {
  const sg = originalSg - share * (originalSg - drySg);
  const step = course.findIndex((s) => s <= sg);
  return (step < 0 ? course.length : step) * STEP_DAYS;
}

/** Share of what is left that food must have helped through to be told. */
const MOST_OF_IT = 0.9;
/** Food never hurries a ferment by more than this. @source our estimate */
const MOST_TIMES = 3;

/** How much faster food given after the last reading makes the days after it, by the growth model. */
function hurry(
  setting: FermentSetting,
  feeds: readonly Feed[],
  { lastDay, factors }: { readonly lastDay: number; readonly factors: Float64Array },
): { readonly fromStep: number; readonly times: number } {
  const ahead = feeds.filter((f) => f.day >= lastDay);
  const first = ahead[0];
  if (!first) return { fromStep: Infinity, times: 1 };
  const fromStep = Math.round(first.day / STEP_DAYS);
  const without = courseOf(
    setting,
    factors,
    feeds.filter((f) => f.day < lastDay),
  );
  const withFood = courseOf(setting, factors, feeds);
  const sgThen = without[fromStep] ?? setting.originalSg;
  const goal = sgThen - MOST_OF_IT * (sgThen - setting.drySg);
  const stepsTo = (course: Float64Array): number => {
    const found = course.findIndex((sg) => sg <= goal);
    return Math.max(1, (found < 0 ? course.length : found) - fromStep);
  };
  return { fromStep, times: Math.min(MOST_TIMES, Math.max(1, stepsTo(without) / stepsTo(withFood))) };
}
