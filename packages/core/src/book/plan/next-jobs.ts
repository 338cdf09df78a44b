import { HIGH_PH } from '../../base/cautions/ph-cautions.js';
import { RELEASE_HOURS } from '../care/release-hours.js';
import { isAtRest, type Verdict } from '../../ferment/verdict/verdict.js';
import { BEFORE_BOTTLING, TESTED_SUGAR } from '../../ferment/verdict/verdict-words.js';
import type { BatchState, Pulp, RunningPlan } from '../state/batch-state.js';
import type { TimedPlan } from '../state/entry-choices.js';
import { dateAfter, dayText } from '../../matter/quantity/days.js';
import { hourIn } from '../../matter/quantity/zone.js';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { crateJobs, kegJobs } from './cellar-jobs.js';
import { infusionJobs } from './infusion-jobs.js';
import { pulpJobs } from './pulp-jobs.js';
import { urgencyOfJob, type Add, type Job, type JobKind, type JobsInput, type JobUrgency } from './job.js';
import type { Method } from './method.js';
import { wantsAcidFirst } from './wants-acid-first.js';
import { clearsUntil } from '../state/clearing.js';

/**
 * The jobs a batch has, most urgent first, derived from its log and nothing else.
 *
 * @param input - the replayed batch, its verdict, its method and today
 * @returns jobs with stable ids
 */
export function nextJobs(input: JobsInput): readonly Job[] {
  const { state } = input;
  const jobs: Job[] = [];
  const add = (kind: JobKind, cause: string, dueAt: string, title: string, detail: string): void => {
    jobs.push({ id: `${input.batchId}:${kind}:${cause}`, kind, title, detail, dueAt, urgency: urgencyOfJob({ kind, dueAt }, input.today, state.zone) });
  };
  if (state.liquid && !state.keg) {
    if (state.pitchedAt) fermentJobs(input, add);
    else if (state.filledAt && !isStarter(state)) pitchJob(input, state.filledAt, add);
    if (state.pulp) pulpJobs(input, state.pulp, add);
    if (state.plan) stepJob(input, state.plan, add);
    careJobs(input, add);
    for (const infusion of state.infusions) infusionJobs(input, infusion, add);
  }
  if (state.keg) kegJobs(input, state.keg, add);
  for (const crate of state.crates) crateJobs(input, crate, add);
  const order: readonly JobUrgency[] = ['overdue', 'today', 'week', 'later'];
  return jobs.sort((a, b) => order.indexOf(a.urgency) - order.indexOf(b.urgency) || (a.dueAt < b.dueAt ? -1 : 1));
}

/** While a starter is being built, its next step takes the place of pitching. */
const isStarter = ({ plan }: BatchState): boolean => plan !== null && plan.plan !== 'finings';

const PLAN_NAMES: Readonly<Record<TimedPlan, string>> = {
  rehydration: 'Yeast',
  starter: 'Starter',
  'wild-starter': 'Wild starter',
  rouse: 'Rousing',
  restart: 'Restart',
  finings: 'Finings',
  keeve: 'Keeving',
};

const isRestart = ({ plan }: RunningPlan): boolean => plan === 'rouse' || plan === 'restart';

/** Whose steps are done on a page of their own. */
const STEP_KINDS: Readonly<Partial<Record<TimedPlan, JobKind>>> = {
  rouse: 'restart-step',
  restart: 'restart-step',
  finings: 'clear-step',
  keeve: 'keeve-step',
};

/** Days between two tastings of a drink in malolactic change. @source our estimate of a change that takes weeks */
const MALOLACTIC_LOOK_DAYS = 21;

/** What was begun and must be looked at: clearing, a loosened cap, a malolactic change. */
function careJobs({ batchName, state, verdict }: JobsInput, add: Add): void {
  const { clarified, malolactic, vent } = state;
  const lookAt = clearsUntil(state);
  if (clarified && lookAt !== null) {
    add(
      'look',
      clarified.at,
      dateAfter(lookAt, 0, state.zone),
      `Look at ${batchName}`,
      'Has it cleared? Hold a glass of it before a lamp. Rack it off what has settled.',
    );
  }
  if (vent?.vent === 'loose-cap' && verdict && !isAtRest(verdict.status)) {
    const due = new Date(Date.parse(vent.at) + RELEASE_HOURS * 3_600_000).toISOString();
    add('release', vent.at, due, `Let the gas out of ${batchName}`, `Its cap is only loosened. Three times a day, next from ${hourIn(due, state.zone)}.`);
  }
  if (malolactic?.done === false) {
    add(
      'malolactic',
      malolactic.at,
      dateAfter(malolactic.at, MALOLACTIC_LOOK_DAYS, state.zone),
      `Taste ${batchName}`,
      'Is it softer? Measure the acid, and write down how far the malolactic change has come.',
    );
  }
}

function stepJob({ batchName, state: { zone } }: JobsInput, plan: RunningPlan, add: Add): void {
  const when = plan.dueAt === plan.doneAt ? '' : `, from ${hourIn(plan.dueAt, zone)} on ${dayText(plan.dueAt, false, zone)}`;
  add(
    STEP_KINDS[plan.plan] ?? 'step',
    plan.doneAt,
    plan.dueAt,
    `${PLAN_NAMES[plan.plan]} for ${batchName}`,
    `${plan.next} Step ${plan.step + 1} of ${plan.of}${when}.`,
  );
}

/** Yeast may work on the pulp, or wait until it is strained. */
const pulpPitchText = ({ hot }: Pulp): string =>
  `${hot ? 'Once it is lukewarm, below 25 °C, its' : 'Its'} yeast goes in with the pulp, or when it is strained. No sulfite is in it.`;

const unsulfitedText = (method: Method, heatedJuice: boolean): string => {
  if (method.yeastId === WILD_YEAST_ID) return 'Its own yeast is to do the work. Write down that it is left to it: its days are counted from there.';
  return heatedJuice
    ? 'Shop juice was heated: it needs no sulfite before its yeast.'
    : 'No sulfite is in it. Raw juice wants it a day before bought yeast, unless its own yeast is to do the work.';
};

/** What a must wants first in which spoilage takes hold; none where its pH is only guessed. */
function sharpenFirst(state: BatchState): string {
  const ph = wantsAcidFirst(state);
  return ph === null ? '' : `At pH ${figure(ph, 2)} spoilage takes hold easily: bring it below ${figure(HIGH_PH, 1)} with acid or sharp juice first. `;
}

function pitchJob({ batchName, state, method, today }: JobsInput, filledAt: string, add: Add): void {
  const first = sharpenFirst(state);
  if (!state.sulfitedAt) {
    add(
      'pitch',
      filledAt,
      // What was boiled over is lukewarm by the next day.
      dateAfter(filledAt, state.pulp?.hot === true ? 1 : 0, state.zone),
      `Pitch ${batchName}`,
      state.pulp !== null ? pulpPitchText(state.pulp) : first + unsulfitedText(method, state.heatedJuice),
    );
    return;
  }
  const due = new Date(Date.parse(state.sulfitedAt) + method.waits.sulfiteToPitchH * 3_600_000).toISOString();
  add(
    'pitch',
    state.sulfitedAt,
    due,
    `Pitch ${batchName}`,
    due <= today
      ? `${first}Its sulfite has had its ${method.waits.sulfiteToPitchH} hours.`
      : `${first}Its sulfite needs ${method.waits.sulfiteToPitchH} hours, until ${hourIn(due, state.zone)} on ${dayText(due, false, state.zone)}.`,
  );
}

function fermentJobs({ batchName, state, verdict, method, today }: JobsInput, add: Add): void {
  const pitchedAt = state.pitchedAt ?? today;
  const { zone } = state;
  if (!verdict) return;
  const last = state.readings.filter((r) => Date.parse(r.at) > Date.parse(pitchedAt) && !verdict.questionedIds.includes(r.id)).at(-1);
  const cause = last?.id ?? pitchedAt;
  switch (verdict.status) {
    case 'stalled':
    case 'not-started':
      // Its steps say what is next while a restart is under way.
      if (state.plan && isRestart(state.plan)) return;
      if (verdict.next.kind === 'read') {
        add('read', cause, verdict.next.dueOn, `Read ${batchName}`, `${verdict.sentence} ${verdict.next.text}`);
        return;
      }
      add(
        'restart',
        cause,
        verdict.next.dueOn,
        verdict.status === 'stalled' ? `Set ${batchName} going again` : `Start ${batchName} again`,
        `${verdict.sentence} ${verdict.next.text}`,
      );
      return;
    case 'too-cold':
      add('warm', cause, verdict.next.dueOn, `Move ${batchName} to the warm`, verdict.next.text);
      return;
    case 'finished-at-tolerance':
      add('stabilise', cause, verdict.next.dueOn, `Find out what sugar is left in ${batchName}`, verdict.next.text);
      return;
    case 'held':
      add('bottle', cause, verdict.next.dueOn, `Bottle or keg ${batchName}`, `${verdict.sentence} ${verdict.next.text}`);
      return;
    case 'finished-dry':
    case 'settled-short':
      finishedJobs({ batchName, state, method, cause, endedAt: verdict.steadySince ?? last?.at ?? today, ...endWords(verdict, state, last?.sg ?? 1) }, add);
      return;
    case 'working':
    case 'slowing':
      add(
        'read',
        cause,
        verdict.next.dueOn,
        `Read ${batchName}`,
        `${last ? `${gravityText(last.sg)} on ${dayText(last.at, false, zone)}, ${verdict.status}.` : verdict.sentence} ${verdict.next.text}`,
      );
      return;
    case 'too-few-readings':
      if (last)
        add('second-reading', cause, verdict.next.dueOn, `Read ${batchName} again`, `Last read on ${dayText(last.at, false, zone)}. ${verdict.sentence}`);
      else
        add(
          'read',
          cause,
          verdict.next.dueOn,
          `First reading of ${batchName}`,
          `${yeastById(state.yeastId ?? '').name} went in on ${dayText(pitchedAt, false, zone)}.`,
        );
      return;
  }
}

interface Finished {
  readonly batchName: string;
  readonly state: BatchState;
  readonly method: Method;
  readonly cause: string;
  /** When it came to rest, from which it is kept off its lees: a reading that shows the same again puts nothing off. */
  readonly endedAt: string;
  /** How it ended, and what is next while it stands on its lees and once it is racked. */
  readonly ended: string;
  readonly onLees: string;
  readonly racked: string;
}

/** How it ended, as its verdict says: what settled above its end is not called finished, and is tested before it is sealed. */
const endWords = ({ status, next }: Verdict, { tested }: BatchState, sg: number): Pick<Finished, 'ended' | 'onLees' | 'racked'> =>
  status === 'settled-short'
    ? {
        ended: `Settled a touch high at ${gravityText(sg)}`,
        onLees: tested ? `Rack it. ${TESTED_SUGAR}` : next.text,
        racked: ` ${tested ? TESTED_SUGAR : BEFORE_BOTTLING}`,
      }
    : { ended: `Finished at ${gravityText(sg)}`, onLees: 'Off its lees, or straight to the bottle if it is clear.', racked: '' };

function finishedJobs({ batchName, state, method, cause, endedAt, ended, onLees, racked }: Finished, add: Add): void {
  const stillUntil = clearsUntil(state);
  /** What disturbs it waits until it has cleared. */
  const after = (from: string, days: number): string => {
    const due = dateAfter(from, days, state.zone);
    const cleared = stillUntil === null ? due : dateAfter(stillUntil, 0, state.zone);
    return cleared > due ? cleared : due;
  };
  if (!state.rackedAt) {
    add('rack', cause, after(endedAt, method.waits.rackWithinDays), `Rack ${batchName}`, `${ended}. ${onLees}`);
    return;
  }
  const since = state.rackedAt > endedAt ? state.rackedAt : endedAt;
  add(
    'bottle',
    cause,
    after(since, method.waits.restDays),
    `Bottle ${batchName}`,
    `${ended}, racked on ${dayText(state.rackedAt, false, state.zone)}.${racked}`,
  );
}
