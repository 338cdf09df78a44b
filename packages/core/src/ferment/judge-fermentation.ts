import { abvOf, dryAbvOf, gravityOf } from '../liquid/views.js';
import { agreeWithReading } from '../liquid/ferment-to.js';
import { daysBetween } from '../quantity/days.js';
import { figure, gravityText } from '../worked/figures.js';
import { worked, type Worked } from '../worked/worked.js';
import { AT_END_SG, EPS, EQUAL_SG, PROOF_DAYS, TOUCH_HIGH_SG, UNDER_TOLERANCE_ABV, type Facts, type JudgeInput } from './judge-facts.js';
import { usualToleranceAbv } from '../reference/yeast-kinds.js';
import { hintEvidence } from './hints.js';
import { expectedEnd } from './expected-end.js';
import { siftReadings, type GravityReading } from './reading.js';
import type { FermentStatus, Verdict } from './verdict.js';
import { evidenceFor, nextFor, questionedEvidence, sentenceFor, tooFew } from './verdict-words.js';

/** Days it must be steady before a slightly high end is accepted. */
const SHORT_PROOF_DAYS = 14;
/** Distance above the end at which a lone reading may or may not be the end. */
const NEAR_END_SG = 0.004;
/** Highest gravity at which a yeast's usual finish alone may call it dry. */
const DRY_AT_MOST_SG = 1;
const WORKING_SHARE = 0.4;
const SLOWING_SG_PER_WEEK = 0.001;
const TOO_COLD_BY_C = 3;
const ALL_WITHIN_DAYS = 1.5;
const NO_FALL_SG = EQUAL_SG + 1e-6;

function ratesPerDay(readings: readonly GravityReading[]): readonly number[] {
  return readings.slice(1).map((reading, i) => {
    const before = readings[i] ?? reading;
    return (before.sg - reading.sg) / Math.max(0.5, daysBetween(before.at, reading.at));
  });
}

/** New yeast begins the proof anew: readings before it say nothing about where it will end. */
function steadyRunStart(readings: readonly GravityReading[], last: GravityReading, pitchedMs: number): GravityReading {
  let first = last;
  for (let i = readings.length - 1; i >= 0; i -= 1) {
    const reading = readings[i];
    if (!reading || Math.abs(reading.sg - last.sg) > EQUAL_SG + EPS || Date.parse(reading.at) < pitchedMs) break;
    first = reading;
  }
  return first;
}

/** Readings since the gravity was last moved by hand, led by the must's own gravity on the day of pitch. */
function readingsToJudge(input: JudgeInput): readonly GravityReading[] {
  const changes = input.entries.filter((e) => e.kind === 'gravity-changed').map((e) => Date.parse(e.at));
  const pitchedAt = input.entries.find((e) => e.kind === 'pitched')?.at;
  const since = Math.max(-Infinity, ...changes);
  const own = input.readings.filter((r) => Date.parse(r.at) >= since);
  const changedAfterPitch = pitchedAt !== undefined && since > Date.parse(pitchedAt);
  if (pitchedAt === undefined || changedAfterPitch) return own;
  const fermenting = own.filter((r) => Date.parse(r.at) > Date.parse(pitchedAt));
  return [{ id: 'must', at: pitchedAt, sg: gravityOf(input.liquid), tempC: null }, ...fermenting];
}

/**
 * Judges a ferment from its readings, and refuses to when they cannot prove anything. A quiet airlock is no reading.
 *
 * @param input - readings, the must, the yeast, temperatures, today and what was added when
 * @returns the verdict with its evidence and next action
 * @source equal means within 0.001, at least 7 days apart, nothing added between, at a workable temperature; expected end by mass balance or tolerance
 */
export function judgeFermentation(input: JudgeInput): Worked<Verdict> {
  const { usable, questioned } = siftReadings(readingsToJudge(input));
  const toleranceAbv = usualToleranceAbv(input.yeast);
  const { sg: endSg, stopsAtTolerance } = expectedEnd(input.liquid, input.yeast.toleranceAbv[1]);
  const last = usable[usable.length - 1];
  const first = usable[0];
  const base = { expectedEndSg: endSg, questionedIds: questioned.map((r) => r.id) };
  const steps = [
    {
      label: 'Where it should end',
      expression: stopsAtTolerance
        ? `${figure(dryAbvOf(input.liquid), 1)} % if dry is past what this yeast stands, ${input.yeast.toleranceAbv[0]}–${input.yeast.toleranceAbv[1]} %`
        : `all ${gravityText(gravityOf(input.liquid))} of sugar gone, ${figure(dryAbvOf(input.liquid), 1)} %`,
      result: gravityText(endSg),
      source: 'mass balance; tolerance of this kind of yeast',
    },
  ];
  if (!last || !first || usable.length < 2 || daysBetween(first.at, last.at) < ALL_WITHIN_DAYS) {
    const few = tooFew(input, usable);
    return worked({ ...base, ...few, evidence: [...few.evidence, ...hintEvidence(input.hints ?? [], few.status, input.today, input.zone)] }, steps);
  }
  const rates = ratesPerDay(usable);
  const lastTemp = [...input.temps].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).at(-1)?.tempC ?? last.tempC;
  const pitchedMs = Math.max(...input.entries.filter((e) => e.kind === 'pitched').map((e) => Date.parse(e.at)));
  const steadyFrom = steadyRunStart(usable, last, pitchedMs);
  const facts: Facts = {
    input,
    usable,
    last,
    endSg,
    stopsAtTolerance,
    abvNow: abvOf(agreeWithReading(input.liquid, last.sg)),
    toleranceAbv,
    steadyFrom,
    // Readings are dated by the day, and a maker who comes back on the same weekday has waited a week whatever the hour.
    steadyDays: Math.round(daysBetween(steadyFrom.at, last.at)),
    lastRatePerDay: rates.at(-1) ?? 0,
    bestRatePerDay: Math.max(0, ...rates),
    tempC: lastTemp,
    tooCold: lastTemp !== null && lastTemp <= input.yeast.tempC[0] - TOO_COLD_BY_C,
  };
  const status = statusOf(facts, first);
  const evidence = [
    ...evidenceFor(facts, status),
    ...questioned.map((r) => questionedEvidence(r, input.zone)),
    ...hintEvidence(input.hints ?? [], status, input.today, input.zone),
  ];
  steps.push({
    label: 'How fast',
    expression: `last stretch ${figure(facts.lastRatePerDay * 7000, 1)} points a week, best so far ${figure(facts.bestRatePerDay * 7000, 1)}`,
    result: facts.bestRatePerDay > 0 ? `${figure((facts.lastRatePerDay / facts.bestRatePerDay) * 100, 0)} %` : 'no fall',
    source: 'working at 40 % or more of the best rate',
  });
  return worked({ ...base, status, sentence: sentenceFor(facts, status), evidence, next: nextFor(facts, status) }, steps);
}

/** The gravity at or under which a steady ferment counts as dry: within two points of the reckoning, or where this yeast is known to end. */
function dryCeiling(facts: Facts): number {
  return Math.max(facts.endSg + AT_END_SG, Math.min(facts.input.yeast.expectedFg[1], DRY_AT_MOST_SG));
}

function statusOf(facts: Facts, first: GravityReading): FermentStatus {
  const { last, endSg, steadyDays, usable, tooCold, abvNow, toleranceAbv } = facts;
  const sugarLeft = last.sg > dryCeiling(facts) + EPS;
  const span = daysBetween(first.at, last.at);
  const fell = first.sg - last.sg;
  if (fell <= NO_FALL_SG) {
    if (tooCold) return 'too-cold';
    return usable.length >= 3 && span >= 3 ? 'not-started' : 'too-few-readings';
  }
  if (steadyDays >= PROOF_DAYS - EPS) {
    if (!sugarLeft && !facts.stopsAtTolerance) return 'finished-dry';
    if (tooCold) return 'too-cold';
    if (abvNow > toleranceAbv - UNDER_TOLERANCE_ABV && (facts.stopsAtTolerance || last.sg > endSg + TOUCH_HIGH_SG)) return 'finished-at-tolerance';
    if (last.sg > endSg + TOUCH_HIGH_SG + EPS) return 'stalled';
    return steadyDays >= SHORT_PROOF_DAYS - EPS ? 'settled-short' : 'too-few-readings';
  }
  if (facts.lastRatePerDay >= WORKING_SHARE * facts.bestRatePerDay - EPS && facts.lastRatePerDay > 0) return 'working';
  if (tooCold && sugarLeft) return 'too-cold';
  const nearEnd = last.sg <= Math.max(endSg + NEAR_END_SG, Math.min(facts.input.yeast.expectedFg[1], DRY_AT_MOST_SG) + AT_END_SG) + EPS;
  if (nearEnd) return 'too-few-readings';
  return facts.lastRatePerDay * 7 >= SLOWING_SG_PER_WEEK - EPS ? 'slowing' : 'too-few-readings';
}
