import type { Liquid } from '../liquid/liquid.js';
import { abvOf, dryAbvOf, dryGravityOf, gravityOf } from '../liquid/views.js';
import { agreeWithReading, fermentFraction } from '../liquid/ferment-to.js';
import { findRoot } from '../numeric/find-root.js';
import { dateAfter, daysBetween, dayText } from '../quantity/days.js';
import type { YeastKind } from '../reference/yeast-kinds-data.js';
import { figure, gravityText } from '../worked/figures.js';
import { worked, type Worked } from '../worked/worked.js';
import { siftReadings, type GravityReading } from './reading.js';
import type { Evidence, FermentStatus, NextAction, Verdict } from './verdict.js';

/** A temperature the vessel stood at. */
export interface PlaceTemperature {
  readonly at: string;
  readonly tempC: number;
}

/** The acts that matter to a judgement: when yeast went in, and anything that moved the gravity by hand. */
export interface JudgedEntry {
  readonly at: string;
  readonly kind: 'pitched' | 'gravity-changed';
}

/** What a judgement rests on. */
export interface JudgeInput {
  readonly readings: readonly GravityReading[];
  /** The must as pitched, with everything added since, unfermented. */
  readonly liquid: Liquid;
  readonly yeast: YeastKind;
  readonly temps: readonly PlaceTemperature[];
  /** ISO 8601. */
  readonly today: string;
  readonly entries: readonly JudgedEntry[];
}

/** Readings this close are equal. @source readability of a home stem, two readings */
export const EQUAL_SG = 0.001;
/** Days between two readings that can prove an end. @source craft rule: a week, since a cold ferment may lose a point in five days */
export const PROOF_DAYS = 7;
/** Days it must be steady before a slightly high end is accepted. */
const SHORT_PROOF_DAYS = 14;
/** Distance above the expected end that counts as there, and as a touch high. */
const AT_END_SG = 0.002;
const TOUCH_HIGH_SG = 0.006;
/** Distance above the end at which a lone reading may or may not be the end. */
const NEAR_END_SG = 0.004;
/** Highest gravity at which a yeast's usual finish alone may call it dry. */
const DRY_AT_MOST_SG = 1;
const WORKING_SHARE = 0.4;
const SLOWING_SG_PER_WEEK = 0.001;
const UNDER_TOLERANCE_ABV = 1.5;
const TOO_COLD_BY_C = 3;
const ALL_WITHIN_DAYS = 1.5;
const NO_FALL_SG = EQUAL_SG + 1e-6;
const EPS = 1e-6;

interface Facts {
  readonly input: JudgeInput;
  readonly usable: readonly GravityReading[];
  readonly last: GravityReading;
  readonly endSg: number;
  readonly stopsAtTolerance: boolean;
  readonly abvNow: number;
  readonly toleranceAbv: number;
  /** First of the run of equal readings that ends with the last, and how long the run is. */
  readonly steadyFrom: GravityReading;
  readonly steadyDays: number;
  readonly lastRatePerDay: number;
  readonly bestRatePerDay: number;
  readonly tempC: number | null;
  readonly tooCold: boolean;
}

/** Where fermentation should end: bone dry, or at the strength that stops this yeast. */
function expectedEnd(must: Liquid, toleranceAbv: number): { readonly sg: number; readonly stopsAtTolerance: boolean } {
  if (dryAbvOf(must) <= toleranceAbv) return { sg: dryGravityOf(must), stopsAtTolerance: false };
  const fraction = findRoot({ f: (x) => abvOf(fermentFraction(must, x)) - toleranceAbv, lo: 0, hi: 1, tolerance: 1e-9 });
  return { sg: gravityOf(fermentFraction(must, fraction)), stopsAtTolerance: true };
}

function ratesPerDay(readings: readonly GravityReading[]): readonly number[] {
  return readings.slice(1).map((reading, i) => {
    const before = readings[i] ?? reading;
    return (before.sg - reading.sg) / Math.max(0.5, daysBetween(before.at, reading.at));
  });
}

function steadyRunStart(readings: readonly GravityReading[], last: GravityReading): GravityReading {
  let first = last;
  for (let i = readings.length - 1; i >= 0; i -= 1) {
    const reading = readings[i];
    if (!reading || Math.abs(reading.sg - last.sg) > EQUAL_SG + EPS) break;
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
  const toleranceAbv = (input.yeast.toleranceAbv[0] + input.yeast.toleranceAbv[1]) / 2;
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
    return worked({ ...base, ...tooFew(input, usable) }, steps);
  }
  const rates = ratesPerDay(usable);
  const lastTemp = [...input.temps].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).at(-1)?.tempC ?? last.tempC;
  const steadyFrom = steadyRunStart(usable, last);
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
  const evidence = [...evidenceFor(facts, status), ...questioned.map((r) => questionedEvidence(r))];
  steps.push({
    label: 'How fast',
    expression: `last stretch ${figure(facts.lastRatePerDay * 7000, 1)} points a week, best so far ${figure(facts.bestRatePerDay * 7000, 1)}`,
    result: facts.bestRatePerDay > 0 ? `${figure((facts.lastRatePerDay / facts.bestRatePerDay) * 100, 0)} %` : 'no fall',
    source: 'working at 40 % or more of the best rate',
  });
  return worked({ ...base, status, sentence: sentenceFor(facts, status), evidence, next: nextFor(facts, status) }, steps);
}

function questionedEvidence(reading: GravityReading): Evidence {
  return { text: `${gravityText(reading.sg)} on ${dayText(reading.at)} cannot be right beside the others, so it is not used`, speaks: 'note' };
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

function tooFew(input: JudgeInput, usable: readonly GravityReading[]): Pick<Verdict, 'status' | 'sentence' | 'evidence' | 'next'> {
  const own = usable.filter((r) => r.id !== 'must');
  const last = own.at(-1);
  const on = last ? dateAfter(last.at, 3) : input.today.slice(0, 10);
  return {
    status: 'too-few-readings',
    sentence: last ? 'Cannot tell yet: the readings are too few or too close together.' : 'Cannot tell yet: no reading since the yeast went in.',
    evidence: [
      {
        text: own.length === 1 ? 'One reading so far' : own.length === 0 ? 'No reading so far' : `${own.length} readings within a day and a half`,
        speaks: 'note',
      },
      { text: 'Bubbles prove nothing either way', speaks: 'note' },
    ],
    next: { kind: 'read', text: `Take a reading on ${dayText(on, true)}.`, on },
  };
}

function sentenceFor(facts: Facts, status: FermentStatus): string {
  const now = gravityText(facts.last.sg);
  const end = gravityText(facts.endSg);
  switch (status) {
    case 'finished-dry':
      return `Finished: steady at ${now} for ${Math.round(facts.steadyDays)} days, where it should be.`;
    case 'finished-at-tolerance':
      return `Stopped at ${figure(facts.abvNow, 1)} %, about all this yeast can stand, with sugar left at ${now}.`;
    case 'settled-short':
      return `Settled a touch high: steady at ${now} for ${Math.round(facts.steadyDays)} days, and nothing is wrong.`;
    case 'stalled':
      return `Stuck: steady at ${now} for ${Math.round(facts.steadyDays)} days, and it should reach about ${end}.`;
    case 'too-cold':
      return `Cannot tell yet: at ${figure(facts.tempC ?? 0, 0)} °C this yeast sleeps, so a steady ${now} proves nothing.`;
    case 'not-started':
      return `Not started: no fall in ${Math.round(daysBetween(facts.usable[0]?.at ?? facts.last.at, facts.last.at))} days.`;
    case 'slowing':
      return `Slowing: ${now}, and about ${Math.max(1, Math.round((facts.last.sg - facts.endSg) * 1000))} points to go.`;
    case 'working':
      return `Working: down to ${now}, heading for about ${end}.`;
    case 'too-few-readings':
      return facts.last.sg <= facts.endSg + TOUCH_HIGH_SG
        ? `Cannot tell yet: ${now} is one reading. An equal one a week later would prove it.`
        : `Cannot tell yet: ${now}, and too few readings, or too close together, to say more.`;
  }
}

function evidenceFor(facts: Facts, status: FermentStatus): readonly Evidence[] {
  const { last, steadyFrom, steadyDays, endSg, abvNow, input } = facts;
  const out: Evidence[] = [];
  const low = input.yeast.toleranceAbv[0];
  const high = input.yeast.toleranceAbv[1];
  if (steadyDays >= PROOF_DAYS - EPS) {
    out.push({ text: `Readings ${Math.round(steadyDays)} days apart differ by ${Math.abs(steadyFrom.sg - last.sg).toFixed(3)}`, speaks: 'for' });
  } else if (facts.lastRatePerDay > 0) {
    out.push({
      text: `Lost ${figure(facts.lastRatePerDay * 7000, 1)} points a week lately, ${figure(facts.bestRatePerDay * 7000, 1)} at its best`,
      speaks: status === 'too-few-readings' ? 'against' : 'for',
    });
  }
  const above = (last.sg - endSg) * 1000;
  out.push({
    text:
      above <= 2
        ? `${gravityText(last.sg)} is where it should end, about ${gravityText(endSg)}`
        : `${figure(above, 0)} points above where it should end, about ${gravityText(endSg)}`,
    speaks: status === 'stalled' || status === 'finished-dry' || status === 'working' || status === 'slowing' ? 'for' : 'note',
  });
  if (status === 'finished-dry' && last.sg > endSg + AT_END_SG) {
    out.push({ text: `This kind of yeast usually ends at ${gravityText(input.yeast.expectedFg[0])}–${gravityText(input.yeast.expectedFg[1])}`, speaks: 'for' });
  }
  if (status === 'stalled' || status === 'finished-at-tolerance') {
    out.push({
      text:
        status === 'stalled'
          ? `${figure(abvNow, 1)} % is below what this yeast can stand, ${low}–${high} %`
          : `${figure(abvNow, 1)} % is about what this yeast can stand, ${low}–${high} %`,
      speaks: 'for',
    });
  }
  if (status === 'settled-short' && input.liquid.fruit === 'pear') {
    out.push({ text: 'Pears hold sorbitol, which does not ferment', speaks: 'for' });
  }
  if (facts.tempC !== null) {
    const [least, comfortable] = input.yeast.tempC;
    if (facts.tooCold) out.push({ text: `${figure(facts.tempC, 0)} °C is well below the ${least} °C this yeast needs`, speaks: 'against' });
    else if (facts.tempC < comfortable && status !== 'finished-dry')
      out.push({ text: `At ${figure(facts.tempC, 0)} °C it may only be drowsy; warmth will tell`, speaks: 'against' });
  }
  const age = daysBetween(last.at, input.today);
  if (age > 10) out.push({ text: `The last reading is ${Math.round(age)} days old`, speaks: 'against' });
  return out;
}

function nextFor(facts: Facts, status: FermentStatus): NextAction {
  const today = facts.input.today.slice(0, 10);
  const notBeforeToday = (on: string): string => (on < today ? today : on);
  const readOn = notBeforeToday(dateAfter(facts.last.at, PROOF_DAYS));
  const [, from, to] = facts.input.yeast.tempC;
  switch (status) {
    case 'finished-dry':
    case 'settled-short':
      return { kind: 'rack-or-bottle', text: 'Rack it off the lees, or bottle it.', on: today };
    case 'finished-at-tolerance':
      return { kind: 'stabilise', text: 'Leave it sweet and stabilise it. Do not bottle it as it is: the sugar could wake.', on: today };
    case 'stalled': {
      const on = dateAfter(today, 5);
      return { kind: 'restart', text: `First move it to ${to - 3}–${to} °C for five days, then read again on ${dayText(on, true)}.`, on: today };
    }
    case 'too-cold':
      return { kind: 'warm', text: `Move it to ${from}–${to} °C, then read again after a week.`, on: today };
    case 'not-started':
      return { kind: 'restart', text: `Bring it to ${from}–${to} °C and pitch fresh yeast.`, on: today };
    case 'working':
    case 'slowing':
      return { kind: 'read', text: `Leave it. Read again on ${dayText(readOn, true)}.`, on: readOn };
    case 'too-few-readings':
      return { kind: 'read', text: `Read again on ${dayText(readOn, true)}.`, on: readOn };
  }
}
