import { inRange, LIMITS } from '../errors/guards.js';
import { expectedEnd } from '../ferment/expected-end.js';
import { seededRandom, type Random } from '../numeric/random.js';
import { yeastById } from '../reference/yeast-kinds.js';
import { figure, gravityText } from '../worked/figures.js';
import { worked, type Worked } from '../worked/worked.js';
import { cardinalFactor } from './cardinal-temperature.js';
import { fermentSetting, type FermentSetting, type FermentTraits } from './ferment-model.js';
import type { Forecast, ForecastInput } from './forecast-types.js';
import { summariseMembers, type RunMember } from './forecast-summary.js';
import { effectiveCount, fitNormals, normalised, temperTo, type Normals } from './importance.js';
import { integrateFerment, STEP_DAYS } from './integrate-ferment.js';
import { logLikelihood, readyReadings, type ReadyReading } from './likelihood.js';
import { drawMember, type Draw, type Member } from './members.js';
import { tempsBySteps } from './temp-profile.js';
import { chanceToStick, driftFrom, powerIndex, rateBelief, TEMPERATURE_POWERS, traitsFrom, type RateBelief } from './traits-prior.js';

const USUAL_MEMBERS = 1000;
const USUAL_HORIZON_DAYS = 200;
/** Rounds of feeling the way before the real draw, each with this share of the members. @source usual practice of adaptive importance sampling */
const PILOT_ROUNDS = 4;
const PILOT_SHARE = 0.45;
/** Share of a pilot's members that must go on counting when its weights are tempered. */
const PILOT_COUNTING = 0.15;
/** Members between two reports of progress. */
const CHUNK = 50;

interface Run {
  readonly setting: FermentSetting;
  readonly belief: RateBelief;
  readonly heats: readonly Float64Array[];
  readonly readings: readonly ReadyReading[];
  readonly input: ForecastInput;
  /** The step that is today, from which a ferment may drift. */
  readonly todayStep: number;
  readonly random: Random;
}

/**
 * What is to be expected of a ferment, from its must, its yeast, its warmth and its readings: many possible ferments are
 * run, and each counts by how well it agrees with what was read.
 *
 * @param input - see `ForecastInput`; the same input and seed give the same answer
 * @returns the gravity band by day, the day of finish, the end, and the chance of sticking
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source adaptive importance sampling (Cappé et al. 2004) over the model of `simulateFermentation`
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
  const members = inRange('members', input.members ?? USUAL_MEMBERS, { min: 100, max: 5000 });
  const horizonDays = inRange('horizonDays', input.horizonDays ?? USUAL_HORIZON_DAYS, { min: 10, max: 400 });
  inRange('pitchGPerL', input.pitchGPerL, { min: 0, max: 5 });
  for (const { tempC } of input.tempProfile) inRange('tempC', tempC, LIMITS.tempC);
  for (const { day, sg } of input.readings) {
    inRange('day', day, { min: -1, max: horizonDays });
    inRange('sg', sg, LIMITS.sg);
  }
  const steps = Math.ceil(horizonDays / STEP_DAYS);
  const setting = fermentSetting(input.liquid, yeast, input.pitchGPerL);
  inRange('sugarGPerL', setting.sugarGPerL, { min: 1, max: 800 });
  const factors = tempsBySteps(input.tempProfile, STEP_DAYS, steps).map((t) => cardinalFactor(t, yeast.tempC));
  const lastDay = Math.max(0, ...input.readings.map((r) => r.day));
  const run: Run = {
    setting,
    belief: rateBelief(input.history ?? []),
    heats: TEMPERATURE_POWERS.map((power) => factors.map((f) => f ** power)),
    readings: readyReadings(
      input.readings.filter((r) => r.day > 0),
      steps,
    ),
    input,
    todayStep: Math.floor((input.todayDay ?? lastDay) / STEP_DAYS),
    random: seededRandom(input.seed),
  };
  const lastSg = input.readings.find((r) => r.day === lastDay)?.sg ?? setting.originalSg;
  const shareLeft = Math.min(1, Math.max(0, (lastSg - setting.drySg) / (setting.originalSg - setting.drySg)));
  const chance = chanceToStick(setting);
  const draw: Draw = { proposal: null, chanceToStick: chance, shareLeft };
  const pilotSteps = Math.ceil(lastDay / STEP_DAYS) + 1;
  const pilots = run.readings.length === 0 ? 0 : PILOT_ROUNDS;
  const work = pilots * PILOT_SHARE * members * pilotSteps + members * steps;
  let done = 0;

  let proposal: Normals | null = null;
  for (let round = 0; round < pilots; round += 1) {
    const count = Math.ceil(members * PILOT_SHARE);
    const drawn: Member[] = [];
    const logWeights = new Float64Array(count);
    for (let k = 0; k < count; k += 1) {
      const member = drawMember({ ...draw, proposal }, run.random);
      const out = new Float64Array(pilotSteps + 2);
      logWeights[k] = runMember(run, member, pilotSteps + 1, 1, out).logWeight;
      drawn.push(member);
      done += pilotSteps;
      if (k % CHUNK === CHUNK - 1) yield done / work;
    }
    const power = temperTo(logWeights, PILOT_COUNTING * count);
    proposal = fitNormals(
      drawn.map((m) => m.z),
      normalised(logWeights, power),
    );
  }

  const finished: RunMember[] = [];
  const logWeights = new Float64Array(members);
  for (let k = 0; k < members; k += 1) {
    const member = drawMember({ ...draw, proposal }, run.random);
    const out = new Float64Array(steps + 1);
    const { logWeight, traits } = runMember(run, member, steps, driftFrom(run.random), out);
    logWeights[k] = logWeight;
    finished.push({ course: out, traits });
    done += steps;
    if (k % CHUNK === CHUNK - 1) yield Math.min(1, done / work);
  }
  const weights = normalised(logWeights);
  const end = expectedEnd(input.liquid, yeast.toleranceAbv[1]);
  const asleep = (factors.at(-1) ?? 0) === 0;
  const summary = summariseMembers(finished, weights, { setting, expectedEndSg: end.sg, asleep });
  const value: Forecast = { ...summary, effectiveMembers: Math.round(effectiveCount(logWeights)) };
  return worked(value, stepsOf(value, run, members));
}

interface Ran {
  readonly logWeight: number;
  readonly traits: FermentTraits;
}

function runMember({ setting, belief, heats, readings, input, todayStep }: Run, member: Member, steps: number, drift: number, out: Float64Array): Ran {
  const traits: FermentTraits = { ...traitsFrom(member.z, setting, belief), sticksAtShare: member.sticksAtShare, drift };
  const heat = (heats[powerIndex(member.z[7] ?? 0)] ?? new Float64Array(steps)).subarray(0, steps);
  integrateFerment(setting, traits, { heat, driftFrom: todayStep, feeds: input.feeds ?? [] }, out);
  return { logWeight: member.logCorrection + logLikelihood(out, readings), traits };
}

function stepsOf(value: Forecast, { setting, readings, belief, input }: Run, members: number): Worked<Forecast>['steps'] {
  const past = input.history?.length ?? 0;
  return [
    {
      label: 'Possible ferments',
      expression: `${members} of ${gravityText(setting.originalSg)} with ${figure(setting.yanMgPerL, 0)} mg/L nitrogen, each a little different`,
      result: `${value.effectiveMembers} still count`,
      source: 'growth by nitrogen, uptake by sugar, both slowed by alcohol; cardinal temperatures',
    },
    {
      label: 'Readings',
      expression: `${readings.length} since pitching, each ±0.0015, and one in thirty may be mistyped`,
      result: `speed ${figure(value.rate.p50, 2)} × usual`,
      source: 'normal errors mixed with gross ones',
    },
    {
      label: 'Your own batches',
      expression: past === 0 ? 'none with this kind of yeast yet' : `${past} with this kind of yeast`,
      result: `expected ${figure(Math.exp(belief.meanLog), 2)} × usual, give or take ${figure((Math.exp(belief.sdLog) - 1) * 100, 0)} %`,
      source: 'our estimate of how batches differ',
    },
  ];
}
