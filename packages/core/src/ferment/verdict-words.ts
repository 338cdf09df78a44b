import { dateAfter, daysBetween, dayText } from '../quantity/days.js';
import { figure, gravityText } from '../worked/figures.js';
import { AT_END_SG, EPS, PROOF_DAYS, SHORT_PROOF_DAYS, TOUCH_HIGH_SG, type Facts, type JudgeInput } from './judge-facts.js';
import type { GravityReading } from './reading.js';
import type { Evidence, FermentStatus, NextAction, Verdict } from './verdict.js';
import { isWorking } from './verdict.js';

/** Why a reading was set aside. */
export function questionedEvidence(reading: GravityReading, zone?: string): Evidence {
  return { text: `${gravityText(reading.sg)} on ${dayText(reading.at, false, zone)} cannot be right beside the others, so it is not used`, speaks: 'note' };
}

/** What is said while there is nothing to judge from. */
export function tooFew(input: JudgeInput, usable: readonly GravityReading[]): Pick<Verdict, 'status' | 'sentence' | 'evidence' | 'next'> {
  const own = usable.filter((r) => r.id !== 'must');
  const last = own.at(-1);
  const on = last ? dateAfter(last.at, 3, input.zone) : dateAfter(input.today, 0, input.zone);
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

/** The verdict in one plain sentence. */
export function sentenceFor(facts: Facts, status: FermentStatus): string {
  const now = gravityText(facts.last.sg);
  const end = gravityText(facts.endSg);
  switch (status) {
    case 'finished-dry':
      return `Finished: steady at ${now} for ${Math.round(facts.steadyDays)} days, where it should be.`;
    case 'finished-at-tolerance':
      return `Stopped at ${figure(facts.abvNow, 1)} %, about all this yeast can stand, with sugar left at ${now}.`;
    case 'settled-short':
      return `Settled a touch high: steady at ${now} for ${Math.round(facts.steadyDays)} days. Nothing need be wrong; the last points may be sugar or not.`;
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
      return tooFewSentence(facts, now);
  }
}

/** Days that equal readings must span to prove an end where it stands; null where it stands near none. */
function proofDays({ stopsAtTolerance, last, endSg }: Facts): number | null {
  if (stopsAtTolerance || last.sg > endSg + TOUCH_HIGH_SG) return null;
  return last.sg <= endSg + AT_END_SG ? PROOF_DAYS : SHORT_PROOF_DAYS;
}

/** What an equal reading would prove, and after how long: less than the craft's week never does. */
function tooFewSentence(facts: Facts, now: string): string {
  const days = proofDays(facts);
  if (days === null) return `Cannot tell yet: ${now}, and too few readings, or too close together, to say more.`;
  const stood = facts.steadyDays > 0 ? `steady at ${now} for ${facts.steadyDays} days, which is too short` : `${now} is one reading`;
  return days === PROOF_DAYS
    ? `Cannot tell yet: ${stood}. Equal readings over a week would prove it.`
    : `Cannot tell yet: ${stood}. It is a touch high, so equal readings must span two weeks to prove an end.`;
}

/** The day from which a reading would prove an end; a week on where the gravity is nowhere near one. */
function proofOn(facts: Facts): string {
  const { zone } = facts.input;
  const days = proofDays(facts);
  if (days === null) return dateAfter(facts.last.at, PROOF_DAYS, zone);
  const from = facts.steadyDays > 0 ? facts.steadyFrom.at : facts.last.at;
  const on = dateAfter(from, days, zone);
  return on > dateAfter(facts.last.at, 0, zone) ? on : dateAfter(facts.last.at, PROOF_DAYS, zone);
}

/** What speaks for a verdict and what against it. */
export function evidenceFor(facts: Facts, status: FermentStatus): readonly Evidence[] {
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
  const standsAt = steadyDays >= PROOF_DAYS - EPS ? facts.restSg : last.sg;
  const above = (standsAt - endSg) * 1000;
  out.push({
    text:
      above <= AT_END_SG * 1000 + EPS
        ? `${gravityText(last.sg)} is where it should end, about ${gravityText(endSg)}`
        : `${figure(above, 0)} points above where it should end, about ${gravityText(endSg)}`,
    speaks: status === 'stalled' || status === 'finished-dry' || isWorking(status) ? 'for' : 'note',
  });
  if (last.sg > endSg + AT_END_SG && last.sg <= input.yeast.expectedFg[1] + AT_END_SG) {
    out.push({
      text: `This kind of yeast often ends at ${gravityText(input.yeast.expectedFg[0])}–${gravityText(input.yeast.expectedFg[1])}: that explains it, and proves nothing`,
      speaks: 'note',
    });
  }
  if (facts.repitchedAt !== null && status !== 'finished-dry') {
    out.push({ text: `New yeast went in on ${dayText(facts.repitchedAt, false, input.zone)}, so only readings since then can prove an end`, speaks: 'note' });
  }
  if (status === 'too-cold') {
    out.push({ text: 'Steady because it is cold: sealed now, it wakes when the bottles warm, and bursts them', speaks: 'against' });
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

/** What to do next, and when. */
export function nextFor(facts: Facts, status: FermentStatus): NextAction {
  const { zone } = facts.input;
  const today = dateAfter(facts.input.today, 0, zone);
  const notBeforeToday = (on: string): string => (on < today ? today : on);
  const dueOn = status === 'too-few-readings' ? proofOn(facts) : dateAfter(facts.last.at, PROOF_DAYS, zone);
  const readOn = notBeforeToday(dueOn);
  const [, from, to] = facts.input.yeast.tempC;
  switch (status) {
    case 'finished-dry':
      return { kind: 'rack-or-bottle', text: 'Rack it off the lees, or bottle it.', on: today };
    case 'settled-short':
      return {
        kind: 'rack-or-bottle',
        text: 'Rack it. Before it is bottled, ferment a sample out in the warm or test it for sugar: until then what the sums still find counts as fizz.',
        on: today,
      };
    case 'finished-at-tolerance':
      return {
        kind: 'stabilise',
        text: 'Do not bottle it as it is: the sugar could wake. Rack it and stabilise it for a still, sweet drink, keep it cold in a keg, or ferment a sample out to know what is left.',
        on: today,
      };
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
      return { kind: 'read', text: `Read again on ${dayText(readOn, true)}.`, on: readOn, dueOn };
  }
}
