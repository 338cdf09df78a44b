import { inRange, LIMITS } from '../errors/guards.js';
import { expectedEnd } from '../ferment/expected-end.js';
import { seededRandom, type Random } from '../numeric/random.js';
import { yeastById } from '../reference/yeast-kinds.js';
import { figure, gravityText } from '../worked/figures.js';
import { worked, type Worked } from '../worked/worked.js';
import { curveFrom, FAMILIES, FAMILY_WEIGHTS, gravityOn, type Curve, type CurvePrior, type Family } from './curve-families.js';
import { curvePrior } from './curve-prior.js';
import type { Forecast, ForecastInput } from './forecast-types.js';
import { summariseCurves, type FittedCurve } from './forecast-summary.js';
import { effectiveCount, fitNormals, LEAST_EFFECTIVE, normalised, temperTo, type Normals } from './importance.js';
import { logLikelihoodOf } from './likelihood.js';
import { drawMember, type Draw, type Member } from './members.js';
import { chanceToStick, driftFrom, powerIndex, rateBelief, TEMPERATURE_POWERS } from './traits-prior.js';
import { clockAt, type WarmClock } from './warm-clock.js';

const USUAL_MEMBERS = 8000;
const USUAL_HORIZON_DAYS = 200;
/** Rounds of feeling the way before the real draw, each with this share of the members. @source usual practice of adaptive importance sampling */
const PILOT_ROUNDS = 4;
const PILOT_SHARE = 0.3;
/** Share of a pilot's members that must go on counting when its weights are tempered. */
const PILOT_COUNTING = 0.1;
/** How often it is drawn anew, with more members, before it says that it cannot tell. */
const REDRAWS = 2;

/** Share of the work that feeling the way takes. */
const FELT = 0.5;
/** Share of the draws that every shape gets, however badly it fits, and the fewest of each. */
const EVERY_SHAPE = 0.25;
const LEAST_OF_A_SHAPE = 40;
/** A draw that counts for less than this share of an equal one is left out of the sums. */
const HARDLY = 1e-4;

interface Run {
  readonly prior: CurvePrior;
  readonly clocks: readonly WarmClock[];
  readonly input: ForecastInput;
  readonly todayDay: number;
  readonly draw: Draw;
  readonly random: Random;
}

/**
 * What is to be expected of a ferment, from its must, its yeast, its warmth and its readings: many possible courses are
 * drawn, of several shapes, and each counts by how well it agrees with what was read.
 *
 * @param input - see `ForecastInput`; the same input and seed give the same answer
 * @returns the gravity band by day, the day of finish, the end, and the chance of sticking
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source adaptive importance sampling (Cappé et al. 2004) over closed-form curves on a clock of warmth, about the growth model's own course
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
  inRange('pitchGPerL', input.pitchGPerL, { min: 0, max: 5 });
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
  const shareLeft = Math.min(1, Math.max(0, (lastSg - prior.setting.drySg) / (prior.setting.originalSg - prior.setting.drySg)));
  const draw: Draw = { proposal: null, chanceToStick: chanceToStick(prior.setting), shareLeft };
  const run: Run = { prior, clocks, input: { ...input, readings }, todayDay, draw, random: seededRandom(input.seed) };

  const shapes = FAMILIES.map((family) => felt(run, family, Math.ceil((members * PILOT_SHARE) / FAMILIES.length)));
  yield FELT;
  let drawn: readonly Weighed[] = [];
  for (let attempt = 0; attempt <= REDRAWS; attempt += 1) {
    drawn = shapes.flatMap((shape) => drawnFrom(run, shape, shapes, members * 2 ** attempt));
    yield FELT + ((1 - FELT) * (attempt + 1)) / (REDRAWS + 1);
    if (effectiveCount(Float64Array.from(drawn, (d) => d.logWeight)) >= LEAST_EFFECTIVE) break;
  }
  const logWeights = Float64Array.from(drawn, (d) => d.logWeight);
  const weights = normalised(logWeights);
  // Most of what was drawn hardly counts, and need not be summed up.
  const counting = drawn.flatMap((d, k) => ((weights[k] ?? 0) * drawn.length > HARDLY ? [d] : []));
  const end = expectedEnd(input.liquid, yeast.toleranceAbv[1]);
  const summary = summariseCurves(
    counting.map((d) => d.fitted),
    normalised(Float64Array.from(counting, (d) => d.logWeight)),
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
  const value: Forecast = { ...summary, effectiveMembers: Math.round(effectiveCount(logWeights)) };
  return worked(value, stepsOf(value, run, drawn.length));
}

interface Weighed {
  readonly fitted: FittedCurve;
  readonly logWeight: number;
}

/** A shape, where the readings point among its curves, and how well it fits them at all. */
interface Shape {
  readonly family: Family;
  readonly proposal: Normals | null;
  /** Log of how likely the readings are by this shape, from the last round of feeling the way. */
  readonly logEvidence: number;
}

/** Feels the way to the curves of one shape that agree with the readings. */
function felt(run: Run, family: Family, pilots: number): Shape {
  const { input, random } = run;
  let proposal: Normals | null = null;
  let logEvidence = Math.log(FAMILY_WEIGHTS[family]);
  for (let round = 0; input.readings.length > 0 && round < PILOT_ROUNDS; round += 1) {
    const drawn: Member[] = [];
    const logWeights = new Float64Array(pilots);
    for (let k = 0; k < pilots; k += 1) {
      const member = drawMember({ ...run.draw, proposal }, random);
      logWeights[k] = weigh(run, family, member).logWeight;
      drawn.push(member);
    }
    logEvidence = logMean(logWeights);
    proposal = fitNormals(
      drawn.map((m) => m.z),
      normalised(logWeights, temperTo(logWeights, PILOT_COUNTING * pilots)),
    );
  }
  return { family, proposal, logEvidence };
}

/** Draws from a shape: the more the better it fits, and some in any case; each draw then stands for fewer. */
function drawnFrom(run: Run, { family, proposal, logEvidence }: Shape, shapes: readonly Shape[], members: number): readonly Weighed[] {
  const most = Math.max(...shapes.map((s) => s.logEvidence));
  const whole = shapes.reduce((sum, s) => sum + Math.exp(s.logEvidence - most), 0);
  const share = EVERY_SHAPE / shapes.length + (1 - EVERY_SHAPE) * (Math.exp(logEvidence - most) / whole);
  const count = Math.max(LEAST_OF_A_SHAPE, Math.round(members * share));
  return Array.from({ length: count }, () => {
    const one = weigh(run, family, drawMember({ ...run.draw, proposal }, run.random));
    return { ...one, logWeight: one.logWeight - Math.log(count) };
  });
}

function logMean(logWeights: Float64Array): number {
  const most = logWeights.reduce((a, b) => Math.max(a, b), -Infinity);
  return most + Math.log(logWeights.reduce((sum, w) => sum + Math.exp(w - most), 0) / logWeights.length);
}

function weigh({ prior, clocks, input, random }: Run, family: Family, member: Member): Weighed {
  const curve: Curve = curveFrom(family, member.z, prior, member.sticksAtShare);
  const power = powerIndex(member.z[7] ?? 0);
  const clock = clocks[power];
  const { originalSg } = prior.setting;
  const believed = Math.log(FAMILY_WEIGHTS[family]) + member.logCorrection;
  const logWeight = believed + logLikelihoodOf((day) => gravityOn(curve, originalSg, clock ? clockAt(clock, day) : day), input.readings);
  return { fitted: { curve, power, drift: driftFrom(random) }, logWeight };
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
      result: `speed ${figure(value.rate.p50, 2)} × usual, among temperature answers ${TEMPERATURE_POWERS.length}`,
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
