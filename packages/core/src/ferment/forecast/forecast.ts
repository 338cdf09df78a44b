import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { expectedEnd } from '../verdict/expected-end.js';
import { evenly } from '../../base/numeric/normal.js';
import { seededRandom, type Random } from '../../base/numeric/random.js';
import { temperedSample } from '../../base/numeric/tempered-sampler.js';
import { weighed } from '../../base/numeric/weights.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { curveFrom, FAMILIES, FAMILY_WEIGHTS, gravityAlong, type Curve, type CurvePrior, type Family } from './curve-families.js';
import { curvePrior } from './curve-prior.js';
import { LEAST_EFFECTIVE, type Forecast, type ForecastInput } from './forecast-types.js';
import { summariseCurves, type FittedCurve } from './forecast-summary.js';
import { courseLikelihood, type CourseLikelihood } from './likelihood.js';
import { chanceToStick, answerIndex, DIMENSIONS, driftFrom, rateBelief, WARMTH_ANSWERS } from './traits-prior.js';
import { clockAt } from './warm-clock.js';

const USUAL_MEMBERS = 5000;
const USUAL_HORIZON_DAYS = 200;
/** How often it is drawn anew, with more members, before it says that it cannot tell. */
const REDRAWS = 2;
/** Share of the draws that stick: more than are believed to, each standing for less, so that the chance is known well. */
const DRAWN_STICKING = 0.2;
const LEAST_OF_A_SHAPE = 40;
/** Share of the draws that tell which shapes agree with the readings; the others go to those that do. @source our choice: the same answer from seed to seed */
const FIRST_LOOK = 0.4;
/** Shares of the sugar left at which a ferment may stick. @source our estimate */
const STICK_RANGE = { min: 0.02, max: 0.9 } as const;
/** A draw that counts for less than this share of an equal one is left out of the sums. */
const HARDLY = 1e-4;

interface Run {
  readonly prior: CurvePrior;
  /** What each clock shows at each reading, which is asked for thousands of times. */
  readonly shown: readonly (readonly number[])[];
  readonly likelihood: CourseLikelihood;
  readonly input: ForecastInput;
  readonly chanceToStick: number;
  readonly random: Random;
}

/** A shape that goes on to its end, or one that sticks. */
interface Shape {
  readonly family: Family;
  readonly sticks: boolean;
}
const SHAPES: readonly Shape[] = [false, true].flatMap((sticks) => FAMILIES.map((family) => ({ family, sticks })));

/**
 * What is to be expected of a ferment, from its must, its yeast, its warmth and its readings: many possible courses are
 * drawn, of several shapes, and each counts by how well it agrees with what was read.
 *
 * @param input - see `ForecastInput`; the same input and seed give the same answer
 * @returns the gravity band by day, the day of finish, the end, and the chance of sticking
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source Bayes' rule by tempered sampling over closed-form curves on a clock of warmth, about the growth model's own course
 */
export function forecast(input: ForecastInput): Worked<Forecast> {
  const running = forecastInParts(input);
  for (;;) {
    const part = running.next();
    if (part.done === true) return part.value;
  }
}

/**
 * The same, giving way now and then so that it can be watched or dropped.
 *
 * @param input - see `forecast`
 * @returns a generator of progress, 0–1, that ends with the forecast
 */
export function* forecastInParts(input: ForecastInput): Generator<number, Worked<Forecast>> {
  const yeast = yeastById(input.yeastId);
  const members = inRange('members', input.members ?? USUAL_MEMBERS, { min: 100, max: 100_000 });
  const horizonDays = inRange('horizonDays', input.horizonDays ?? USUAL_HORIZON_DAYS, { min: 10, max: 400 });
  inRange('pitchGPerL', input.pitchGPerL, LIMITS.pitchGPerL);
  for (const { tempC } of input.tempProfile) inRange('tempC', tempC, LIMITS.tempC);
  for (const { day, sg } of input.readings) {
    inRange('day', day, { min: -1, max: horizonDays });
    inRange('sg', sg, LIMITS.sg);
  }
  const readings = input.readings.filter((r) => r.day > 0);
  const lastDay = Math.max(0, ...readings.map((r) => r.day));
  const todayDay = input.todayDay ?? lastDay;
  const { prior, clocks, asleep } = curvePrior(input, rateBelief(input.history ?? []), { lastDay, horizonDays });
  inRange('sugarGPerL', prior.setting.sugarGPerL, { min: 1, max: 800 });
  const lastSg = readings.find((r) => r.day === lastDay)?.sg ?? prior.setting.originalSg;
  const shown = clocks.map((clock) => readings.map(({ day }) => clockAt(clock, day)));
  const run: Run = {
    ...{ prior, shown, likelihood: courseLikelihood(readings), input: { ...input, readings } },
    ...{ chanceToStick: chanceToStick(prior.setting), random: seededRandom(input.seed) },
  };

  let drawn: Drawn[] = [];
  let counted = countOf(drawn);
  for (let attempt = 0; attempt <= REDRAWS; attempt += 1) {
    const drawing = drawnInTwo(run, members * 2 ** attempt);
    for (let part = drawing.next(); ; part = drawing.next()) {
      if (part.done === true) {
        drawn = part.value;
        break;
      }
      yield (attempt + part.value) / (REDRAWS + 1);
    }
    counted = countOf(drawn);
    if (counted.effective >= LEAST_EFFECTIVE) break;
  }
  // Most of what was drawn hardly counts, and need not be summed up.
  const counting = drawn.flatMap((d, k) => ((counted.weights[k] ?? 0) * drawn.length > HARDLY ? [d] : []));
  const end = expectedEnd(input.liquid, yeast.toleranceAbv[1]);
  const summary = summariseCurves(
    counting.map((d) => d.fitted),
    countOf(counting).weights,
    {
      setting: prior.setting,
      clocks,
      todayDay,
      horizonDays,
      expectedEndSg: end.sg,
      asleep,
      usualHalfDays: prior.half,
      lowestSg: readings.length === 0 ? null : lastSg,
    },
  );
  const value: Forecast = { ...summary, effectiveMembers: Math.round(counted.effective) };
  return worked(value, stepsOf(value, run, drawn.length));
}

interface Drawn {
  readonly fitted: FittedCurve;
  readonly logWeight: number;
  /** Share of its fellows that are no copies of one another. */
  readonly fresh: number;
}

/** How much each draw counts, and how many really do. */
function countOf(drawn: readonly Drawn[]): { readonly weights: Float64Array; readonly effective: number } {
  const { weights, effective } = weighed(Float64Array.from(drawn, (d) => d.logWeight));
  const fresh = weights.reduce((sum, w, k) => sum + w * (drawn[k]?.fresh ?? 0), 0);
  return { weights, effective: fresh * effective };
}

/** Where a curve of a shape lies in the space that is drawn from. */
function curveOf({ prior }: Run, { family, sticks }: Shape, z: Float64Array): { readonly curve: Curve; readonly power: number } {
  const stopsAt = sticks ? STICK_RANGE.min + (STICK_RANGE.max - STICK_RANGE.min) * evenly(z[DIMENSIONS] ?? 0) : 0;
  const power = answerIndex(z[7] ?? 0);
  return { curve: curveFrom(family, z, prior, stopsAt), power };
}

/** Curves of one shape that agree with the readings, and how well the shape does. */
interface Population {
  readonly shape: Shape;
  readonly fitted: readonly FittedCurve[];
  readonly logBelief: number;
  readonly fresh: number;
}

function populationOf(run: Run, shape: Shape, count: number): Population {
  const { prior, shown, likelihood, random } = run;
  const { originalSg } = prior.setting;
  const believed = FAMILY_WEIGHTS[shape.family] * (shape.sticks ? run.chanceToStick : 1 - run.chanceToStick);
  const { points, logEvidence, fresh } = temperedSample({
    dimensions: DIMENSIONS + (shape.sticks ? 1 : 0),
    count,
    random,
    logLikelihood: (z, atLeast) => {
      const { curve, power } = curveOf(run, shape, z);
      const gravity = gravityAlong(curve, originalSg);
      return likelihood((i) => gravity(shown[power]?.[i] ?? 0), atLeast);
    },
  });
  const fitted = points.map((z) => ({ ...curveOf(run, shape, z), drift: driftFrom(random) }));
  return { shape, fitted, logBelief: Math.log(believed) + logEvidence, fresh };
}

/**
 * Draws of all shapes, each weighed by how well its shape agrees with the readings: a few of each first, and then most of those that do,
 * which are what the answer rests on. Gives way with the share that is done.
 */
function* drawnInTwo(run: Run, members: number): Generator<number, Drawn[]> {
  const looked: Population[] = [];
  for (const [i, shape] of SHAPES.entries()) {
    const share = (shape.sticks ? DRAWN_STICKING : 1 - DRAWN_STICKING) / FAMILIES.length;
    looked.push(populationOf(run, shape, Math.max(LEAST_OF_A_SHAPE, Math.round(members * share * FIRST_LOOK))));
    yield (FIRST_LOOK * (i + 1)) / SHAPES.length;
  }
  const { weights } = weighed(Float64Array.from(looked, ({ logBelief }) => logBelief));
  const further: Population[] = [];
  for (const [i, shape] of SHAPES.entries()) {
    const count = Math.round(members * (1 - FIRST_LOOK) * (weights[i] ?? 0));
    if (count >= LEAST_OF_A_SHAPE) further.push(populationOf(run, shape, count));
    yield FIRST_LOOK + ((1 - FIRST_LOOK) * (i + 1)) / SHAPES.length;
  }
  const all = [...looked, ...further];
  return all.flatMap(({ shape, fitted, logBelief, fresh }) => {
    // Of two samples of a shape each stands for its share of their number.
    const count = all.reduce((sum, other) => sum + (other.shape === shape ? other.fitted.length : 0), 0);
    return fitted.map((curve) => ({ fitted: curve, logWeight: logBelief - Math.log(count), fresh }));
  });
}

function stepsOf(value: Forecast, { prior: { setting, belief }, input }: Run, count: number): Worked<Forecast>['steps'] {
  const past = input.history?.length ?? 0;
  return [
    {
      label: 'Possible courses',
      expression: `${count} of ${gravityText(setting.originalSg)}, of ${FAMILIES.length} shapes: abrupt ends, long tails, two phases, a second wind`,
      result: `${value.effectiveMembers} still count`,
      source: 'closed-form curves on a clock of warmth, about a growth model by nitrogen, sugar and alcohol',
    },
    {
      label: 'Readings',
      expression: `${input.readings.length} since pitching, each ±0.0011, one in ten rough and one in a hundred mistyped`,
      result: `speed ${figure(value.rate.p50, 2)} × usual, among ${WARMTH_ANSWERS.length} answers to warmth`,
      source: 'normal errors mixed with rough and gross ones',
    },
    {
      label: 'Your own batches',
      expression: past === 0 ? 'none with this kind of yeast yet' : `${past} with this kind of yeast`,
      result: `expected ${figure(Math.exp(belief.meanLog), 2)} × usual, give or take ${figure((Math.exp(belief.sdLog) - 1) * 100, 0)} %`,
      source: 'our estimate of how batches differ',
    },
  ];
}
