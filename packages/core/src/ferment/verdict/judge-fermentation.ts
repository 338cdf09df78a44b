import { abvOf, dryAbvOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { agreeWithReading } from '../../matter/liquid/ferment-to.js';
import { strengthOf } from '../../matter/measure/strength-of.js';
import { daysBetween } from '../../matter/quantity/days.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import {
  AT_END_SG,
  EPS,
  EQUAL_SG,
  isTooCold,
  PROOF_DAYS,
  SHORT_PROOF_DAYS,
  TOUCH_HIGH_SG,
  UNDER_TOLERANCE_ABV,
  WORKING_SHARE,
  type Facts,
  type JudgeInput,
} from './judge-facts.js';
import { usualToleranceAbv } from '../../base/reference/yeast-kinds.js';
import { hintEvidence } from './hints.js';
import { expectedEnd } from './expected-end.js';
import { fallRates, steadyFrom } from './fitted-fall.js';
import { lastBegun } from './next-reading.js';
import { siftReadings, type GravityReading } from './reading.js';
import { provesFinished, type JudgedStatus, type Verdict } from './verdict.js';
import { evidenceFor, nextFor, questionedEvidence, sentenceFor, tooFew } from './verdict-words.js';

/** Distance above the end at which a lone reading may or may not be the end. */
const NEAR_END_SG = 0.004;
/** Sugar so little that cold needs no asking, g/L. @source design rule */
const NOTHING_LEFT_G_PER_L = 2;
const SLOWING_SG_PER_WEEK = 0.001;
const ALL_WITHIN_DAYS = 1.5;
const NO_FALL_SG = EQUAL_SG + 1e-6;

/**
 * Readings since sugar last came in, led by the must's own gravity on the day of pitch. Where only water or a like drink
 * came in, readings before it still count, moved as far as it moved the gravity.
 */
function readingsToJudge(input: JudgeInput): readonly GravityReading[] {
  const changes = input.entries.filter((e) => e.kind === 'gravity-changed');
  const pitchedAt = input.entries.find((e) => e.kind === 'pitched')?.at;
  const since = Math.max(-Infinity, ...changes.filter((e) => e.sugarless !== true).map((e) => Date.parse(e.at)));
  const thinned = changes.filter((e) => e.sugarless === true);
  const own = input.readings
    .filter((r) => Date.parse(r.at) >= since)
    .map((r) => ({ ...r, sg: thinned.filter((e) => Date.parse(e.at) > Date.parse(r.at)).reduce((sg, e) => sg + (e.deltaSg ?? 0), r.sg) }));
  const changedAfterPitch = pitchedAt !== undefined && since > Date.parse(pitchedAt);
  if (pitchedAt === undefined || changedAfterPitch) return own;
  const fermenting = own.filter((r) => Date.parse(r.at) > Date.parse(pitchedAt));
  return [{ id: 'must', at: pitchedAt, sg: gravityOf(input.liquid), tempC: null }, ...fermenting];
}

/** Days without a reading since yeast or sugar last went in, all of them warm enough for the yeast; none where nobody knows how warm it stood. */
function unreadWarmDays(input: JudgeInput, usable: readonly GravityReading[]): number | null {
  if (usable.some((r) => r.id !== 'must')) return null;
  const since = lastBegun(input);
  const known = input.temps.filter((t) => Date.parse(t.at) >= Date.parse(since));
  const before = input.temps.filter((t) => Date.parse(t.at) < Date.parse(since)).at(-1);
  const temps = [...(before ? [before] : []), ...known];
  const warm = temps.length > 0 && temps.every((t) => t.tempC >= input.yeast.tempC[1]);
  return warm ? Math.max(0, Math.floor(daysBetween(since, input.today))) : 0;
}

/** Readings that can prove an end: of the drink, not of the must, and since new yeast went in. */
function provingReadings(usable: readonly GravityReading[], pitchedMs: number): readonly GravityReading[] {
  return usable.filter((r) => Date.parse(r.at) >= pitchedMs);
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
  const base = { steadySince: null, unreadWarmDays: unreadWarmDays(input, usable), expectedEndSg: endSg, questionedIds: questioned.map((r) => r.id) };
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
  const rates = fallRates(usable);
  const lastTemp = [...input.temps].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).at(-1)?.tempC ?? last.tempC;
  const pitches = input.entries.filter((e) => e.kind === 'pitched').map((e) => e.at);
  const pitchedMs = Math.max(...pitches.map((at) => Date.parse(at)));
  const steadiest = steadyFrom(provingReadings(usable, pitchedMs), EQUAL_SG) ?? last;
  const restSg = meanSg(usable.filter((r) => Date.parse(r.at) >= Date.parse(steadiest.at)));
  const now = agreeWithReading(input.liquid, restSg);
  const facts: Facts = {
    input,
    usable,
    last,
    endSg,
    stopsAtTolerance,
    abvNow: abvOf(now),
    strengthNow: strengthOf(now, input.liquid, input.school ?? 'mass-balance'),
    toleranceAbv,
    steadyFrom: steadiest,
    // Readings are dated by the day, and a maker who comes back on the same weekday has waited a week whatever the hour.
    steadyDays: Math.round(daysBetween(steadiest.at, last.at)),
    restSg,
    lastRatePerDay: rates.lastPerDay,
    lastOverDays: rates.lastOverDays,
    bestRatePerDay: rates.bestPerDay,
    rests: rates.rests,
    sawFall: first.sg - last.sg > NO_FALL_SG,
    leftGPerL: fermentableGPerL(now),
    repitchedAt: pitches.length > 1 ? (pitches.at(-1) ?? null) : null,
    tempC: lastTemp,
    tooCold: isTooCold(input.yeast, lastTemp),
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
  const steadySince = provesFinished(status) ? facts.steadyFrom.at : null;
  return worked({ ...base, steadySince, status, sentence: sentenceFor(facts, status), evidence, next: nextFor(facts, status) }, steps);
}

const meanSg = (readings: readonly GravityReading[]): number => readings.reduce((sum, r) => sum + r.sg, 0) / readings.length;

function statusOf(facts: Facts, first: GravityReading): JudgedStatus {
  const { last, restSg, endSg, steadyDays, usable, tooCold, abvNow, toleranceAbv, leftGPerL } = facts;
  const dry = !facts.stopsAtTolerance && restSg <= endSg + AT_END_SG + EPS;
  const asleep = tooCold && leftGPerL > NOTHING_LEFT_G_PER_L;
  const span = daysBetween(first.at, last.at);
  if (!facts.sawFall) {
    if (tooCold) return 'too-cold';
    // Sugar that came in late may have gone before anybody looked: steady at the end for a fortnight, it has.
    if (dry) return steadyDays >= SHORT_PROOF_DAYS - EPS ? 'finished-dry' : 'too-few-readings';
    return usable.length >= 3 && span >= 3 ? 'not-started' : 'too-few-readings';
  }
  if (steadyDays >= PROOF_DAYS - EPS) {
    // Cold explains a steady reading before any finish does.
    if (asleep) return 'too-cold';
    if (dry) return 'finished-dry';
    if (abvNow > toleranceAbv - UNDER_TOLERANCE_ABV && (facts.stopsAtTolerance || restSg > endSg + TOUCH_HIGH_SG)) return 'finished-at-tolerance';
    if (restSg > endSg + TOUCH_HIGH_SG + EPS) return 'stalled';
    return steadyDays >= SHORT_PROOF_DAYS - EPS ? 'settled-short' : 'too-few-readings';
  }
  if (!facts.rests && facts.lastRatePerDay >= WORKING_SHARE * facts.bestRatePerDay - EPS && facts.lastRatePerDay > 0) return 'working';
  if (asleep) return 'too-cold';
  if (last.sg <= endSg + NEAR_END_SG + EPS) return 'too-few-readings';
  return facts.lastRatePerDay * 7 >= SLOWING_SG_PER_WEEK - EPS ? 'slowing' : 'too-few-readings';
}
