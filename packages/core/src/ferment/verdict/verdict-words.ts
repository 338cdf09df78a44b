import { dateAfter, daysBetween, dayText } from '../../matter/quantity/days.js';
import { celsius, figure, gravityText } from '../../base/worked/figures.js';
import { AT_END_SG, EPS, PROOF_DAYS, SHORT_PROOF_DAYS, TOUCH_HIGH_SG, type Facts, type JudgeInput } from './judge-facts.js';
import { firstReadingOn, nextReading } from './next-reading.js';
import type { GravityReading } from './reading.js';
import type { Evidence, FermentStatus, JudgedStatus, NextAction, Verdict } from './verdict.js';
import { helpShowsOn, helpSince, helpText } from './help.js';
import { isWorking } from './verdict.js';
import { countText } from '../../matter/quantity/count-text.js';

/** Why a reading was set aside. */
export function questionedEvidence(reading: GravityReading, zone?: string): Evidence {
  return { text: `${gravityText(reading.sg)} on ${dayText(reading.at, false, zone)} cannot be right beside the others, so it is not used`, speaks: 'note' };
}

/** What is said while there is nothing to judge from. */
export function tooFew(input: JudgeInput, usable: readonly GravityReading[]): Pick<Verdict, 'status' | 'sentence' | 'evidence' | 'next'> {
  const own = usable.filter((r) => r.id !== 'must');
  const last = own.at(-1);
  const dueOn = last ? dateAfter(last.at, 3, input.zone) : firstReadingOn(input);
  const pitchedAt = input.entries.find((e) => e.kind === 'pitched')?.at ?? '';
  const changed = input.entries.filter((e) => e.kind === 'gravity-changed' && e.sugarless !== true && e.at > pitchedAt).at(-1);
  // Readings from before sugar went in are of another drink.
  const sugared = changed !== undefined && input.readings.length > 0 ? changed : null;
  const none = sugared ? `no reading since something that ferments went in on ${dayText(sugared.at, false, input.zone)}` : 'no reading since the yeast went in';
  return {
    status: 'too-few-readings',
    sentence: last ? 'Cannot tell yet: the readings are too few or too close together.' : `Cannot tell yet: ${none}.`,
    evidence: [
      {
        text:
          own.length === 1
            ? 'One reading so far'
            : own.length === 0
              ? sugared
                ? 'No reading since then'
                : 'No reading so far'
              : `${own.length} readings within a day and a half`,
        speaks: 'note',
      },
      { text: 'Bubbles prove nothing either way', speaks: 'note' },
      // Who is to read in a few days needs no word on doing without.
      ...(input.readings.length > 0 || dueOn >= dateAfter(input.today, 0, input.zone)
        ? []
        : [
            {
              text: 'Without a hydrometer nobody can know whether sugar is left: after eight weeks in the warm most is gone, and no more can be said',
              speaks: 'note' as const,
            },
          ]),
    ],
    next: readNext(input, dueOn, ''),
  };
}

/** The next reading: on its day, or now where that has passed. */
function readNext(input: JudgeInput, dueOn: string, why: string, first = ''): NextAction {
  const today = dateAfter(input.today, 0, input.zone);
  const reason = why === '' ? '' : `: ${why}`;
  const text = dueOn < today ? `Read it now: a reading has been due since ${dayText(dueOn, true)}.` : `Read it on ${dayText(dueOn, true)}${reason}.`;
  return { kind: 'read', text: `${first}${text}`, on: dueOn < today ? today : dueOn, dueOn };
}

/** The verdict in one plain sentence. */
export function sentenceFor(facts: Facts, status: JudgedStatus): string {
  const now = gravityText(facts.last.sg);
  const end = gravityText(facts.endSg);
  switch (status) {
    case 'finished-dry':
      return `Finished: steady at ${now} for ${Math.round(facts.steadyDays)} days, where it should be.`;
    case 'finished-at-tolerance':
      return `Stopped at ${figure(facts.strengthNow, 1)} %, about all this yeast can stand, with sugar left at ${now}.`;
    case 'settled-short':
      return `Settled a touch high: steady at ${now} for ${Math.round(facts.steadyDays)} days. Nothing need be wrong; the last points may be sugar or not.`;
    case 'stalled':
      return `Stuck: steady at ${now} for ${Math.round(facts.steadyDays)} days, and it should reach about ${end}.`;
    case 'too-cold':
      return `Cannot tell yet: at ${celsius(facts.tempC ?? 0)} this yeast sleeps, so a steady ${now} proves nothing.`;
    case 'not-started':
      return `Not started: no fall in ${countText(Math.round(daysBetween(facts.usable[0]?.at ?? facts.last.at, facts.last.at)), 'day')}.`;
    case 'slowing':
      return `Slowing: ${now}, and about ${countText(Math.max(1, Math.round((facts.last.sg - facts.endSg) * 1000)), 'point')} to go.`;
    case 'working':
      return facts.last.sg <= facts.endSg + AT_END_SG
        ? `Working: down to ${now}, about where it should end.`
        : `Working: down to ${now}, heading for about ${end}.`;
    case 'too-few-readings':
      return tooFewSentence(facts, now);
  }
}

/** Days that equal readings must span to prove an end where it stands; null where it stands near none. */
function proofDays({ stopsAtTolerance, last, endSg, sawFall }: Facts): number | null {
  if (stopsAtTolerance || last.sg > endSg + TOUCH_HIGH_SG) return null;
  return last.sg <= endSg + AT_END_SG && sawFall ? PROOF_DAYS : SHORT_PROOF_DAYS;
}

/** What an equal reading would prove, and after how long: less than the craft's week never does. */
function tooFewSentence(facts: Facts, now: string): string {
  const days = proofDays(facts);
  if (days === null) return `Cannot tell yet: ${now}, and too few readings, or too close together, to say more.`;
  const stood =
    facts.steadyDays > 0
      ? `steady at ${now} for ${facts.steadyDays === 1 ? 'a day' : `${facts.steadyDays} days`}, which is too short`
      : `${now} is one reading`;
  if (days === PROOF_DAYS) return `Cannot tell yet: ${stood}. Equal readings over a week would prove it.`;
  return facts.last.sg <= facts.endSg + AT_END_SG
    ? `Cannot tell yet: ${stood}. Nobody saw it fall since something was stirred or poured in, so equal readings must span two weeks to prove an end.`
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

/** Points of gravity, by tenths while they are few. */
const pointsText = (points: number): string => countText(points < 10 ? Math.round(points * 10) / 10 : Math.round(points), 'point');

/** How much it fell over which days, and how that compares with its best. */
function fallText({ lastRatePerDay, lastOverDays, bestRatePerDay }: Facts): string {
  const days = Math.max(1, Math.round(lastOverDays));
  const points = Math.max(0, lastRatePerDay * lastOverDays * 1000);
  const share = bestRatePerDay > 0 ? lastRatePerDay / bestRatePerDay : 1;
  const pace = share >= 0.95 ? 'its best pace so far' : `${figure(share * 100, 0)} % of its best pace`;
  return `Lost ${pointsText(points)} in the last ${days === 1 ? 'day' : `${days} days`} read, ${pace}`;
}

/** How far two gravities lie apart, in whole points. */
function pointsBetween(sg: number, otherSg: number): string {
  const points = Math.abs(sg - otherSg) * 1000;
  return points < 0.95 ? 'less than a point' : pointsText(points);
}

/** What speaks for a verdict and what against it. */
export function evidenceFor(facts: Facts, status: FermentStatus): readonly Evidence[] {
  const { last, steadyFrom, steadyDays, endSg, strengthNow, input } = facts;
  const out: Evidence[] = [];
  const low = input.yeast.toleranceAbv[0];
  const high = input.yeast.toleranceAbv[1];
  if (steadyDays >= PROOF_DAYS - EPS || facts.rests) {
    const apart = `Readings ${countText(Math.round(steadyDays), 'day')} apart differ by ${pointsBetween(steadyFrom.sg, last.sg)}`;
    out.push({ text: apart, speaks: steadyDays >= PROOF_DAYS - EPS ? 'for' : 'note' });
  } else if (facts.lastRatePerDay > 0) {
    out.push({
      text: fallText(facts),
      speaks: status === 'too-few-readings' ? 'against' : 'for',
    });
  }
  const standsAt = steadyDays >= PROOF_DAYS - EPS ? facts.restSg : last.sg;
  const above = (standsAt - endSg) * 1000;
  out.push({
    text:
      above <= AT_END_SG * 1000 + EPS
        ? `${gravityText(last.sg)} is where it should end, about ${gravityText(endSg)}`
        : `${countText(Math.round(above), 'point')} above where it should end, about ${gravityText(endSg)}`,
    speaks: status === 'stalled' || status === 'finished-dry' || isWorking(status) ? 'for' : 'note',
  });
  if (last.sg > endSg + AT_END_SG && last.sg <= input.yeast.expectedFg[1] + AT_END_SG) {
    out.push({
      text: `This kind of yeast often ends at ${gravityText(input.yeast.expectedFg[0])}–${gravityText(input.yeast.expectedFg[1])}: that explains it, and proves nothing`,
      speaks: 'note',
    });
  }
  const help = helpSince(facts);
  if (help && !isWorking(status)) {
    out.push({ text: `${helpText(help, input.zone)}: that changes no gravity, so the readings before it still count`, speaks: 'note' });
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
          ? `${figure(strengthNow, 1)} % is below what this yeast can stand, ${low}–${high} %`
          : `${figure(strengthNow, 1)} % is about what this yeast can stand, ${low}–${high} %`,
      speaks: 'for',
    });
  }
  if (input.liquid.fruit === 'pear') {
    const text = 'Pears hold sorbitol, which does not ferment';
    if (status === 'settled-short') out.push({ text, speaks: 'for' });
    if (status === 'stalled') out.push({ text: `${text}: more of it than usual would look just like this`, speaks: 'note' });
  }
  if (facts.tempC !== null) {
    const [least, comfortable] = input.yeast.tempC;
    if (facts.tooCold) out.push({ text: `${celsius(facts.tempC)} is well below the ${least} °C this yeast needs`, speaks: 'against' });
    else if (facts.tempC < comfortable && status !== 'finished-dry' && !isWorking(status))
      out.push({ text: `At ${celsius(facts.tempC)} it may only be drowsy; warmth will tell`, speaks: 'against' });
  }
  const age = daysBetween(last.at, input.today);
  if (age > 10) out.push({ text: `The last reading is ${Math.round(age)} days old`, speaks: 'against' });
  return out;
}

/** What to do for warmth: only ever warmer, and nothing where it is warm enough. */
function warmWords({ tempC, input }: Facts, [low, high]: readonly [number, number]): string {
  if (tempC === null || tempC < low) return `Move it to ${low}–${high} °C`;
  return tempC <= high
    ? `It stands warm enough at ${celsius(tempC)}`
    : `At ${celsius(tempC)} it is warmer than this yeast likes, up to ${input.yeast.tempC[2]} °C`;
}

/** Of what settled above its end, before it is sealed. */
export const BEFORE_BOTTLING =
  'Before it is bottled, ferment a sample out in the warm or test it for sugar: until then what the sums still find counts as fizz.';

/** The same once it was tested. */
export const TESTED_SUGAR = 'What the test of its sugar found counts as fizz.';

/** What rests in the cool may only rest because of it, and is warmed before it is racked. */
const rackWords = ({ tempC, input }: Facts): string =>
  tempC !== null && tempC < input.yeast.tempC[1]
    ? `Give it a week at ${input.yeast.tempC[1]} °C or more and read it again, since cold alone may hold it. Rack it then.`
    : 'Rack it.';

/** What to do next, and when. */
export function nextFor(facts: Facts, status: JudgedStatus): NextAction {
  const { input, last } = facts;
  const today = dateAfter(input.today, 0, input.zone);
  const since = dateAfter(last.at, 0, input.zone);
  const now = (kind: NextAction['kind'], text: string): NextAction => ({ kind, text, on: today, dueOn: since });
  const [, from, to] = input.yeast.tempC;
  switch (status) {
    case 'finished-dry':
      return now('rack-or-bottle', 'Rack it off the lees, or bottle it.');
    case 'settled-short':
      return now('rack-or-bottle', `${rackWords(facts)} ${BEFORE_BOTTLING}`);
    case 'finished-at-tolerance':
      return now(
        'stabilise',
        'Do not bottle it as it is: the sugar could wake. Rack it and stabilise it for a still, sweet drink, keep it cold in a keg, or ferment a sample out to know what is left.',
      );
    case 'stalled': {
      const help = helpSince(facts);
      if (help) return readNext(input, helpShowsOn(help, input.zone), 'by then a fall would show', `${helpText(help, input.zone)}. `);
      return now(
        'restart',
        `${warmWords(facts, [to - 3, to])}. Rouse it, give it five days, and read again. If it stands at the same figure, a sugar test or a sample fermented out says whether anything is left.`,
      );
    }
    case 'too-cold':
      return now('warm', `${warmWords(facts, [from, to])}, then read again after a week.`);
    case 'not-started':
      return now('restart', `${warmWords(facts, [from, to])}. Pitch fresh yeast.`);
    case 'working':
    case 'slowing': {
      const { on, why } = nextReading(facts);
      return readNext(input, on, why, 'Leave it. ');
    }
    case 'too-few-readings':
      return readNext(input, proofOn(facts), '');
  }
}
