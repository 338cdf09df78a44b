import { readyWindow } from '../../finish/bottle/ready-window.js';
import { PROOF_DAYS } from '../../ferment/verdict/judge-facts.js';
import type { Method } from './method.js';
import type { Job } from './job.js';
import { isAtRest, type FermentStatus } from '../../ferment/verdict/verdict.js';
import { STAGES, type BatchState, type Stage } from '../state/batch-state.js';
import { plannedDates } from './planned-dates.js';
import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { dayIn } from '../../matter/quantity/zone.js';

/** A stop of the path as drawn. */
export interface PathStop {
  readonly stage: Stage;
  readonly name: string;
  /** Skipped where it is behind and its act was never done. */
  readonly state: 'done' | 'skipped' | 'here' | 'ahead';
  readonly line: string;
}

const NAMES: Readonly<Record<Stage, string>> = {
  juice: 'Juice',
  settle: 'Settle',
  pitch: 'Pitch',
  ferment: 'Ferment',
  rack: 'Rack',
  rest: 'Rest',
  finish: 'Finish',
  bottle: 'Bottle',
  drink: 'Drink',
};

/** What the path of a batch is drawn from. */
export interface PathInput {
  readonly state: BatchState;
  /** For the days ahead. */
  readonly method: Method;
  /** ISO 8601. */
  readonly startedAt: string;
  /** ISO 8601. */
  readonly now: string;
  /** The verdict's; null when there is none. */
  readonly status: FermentStatus | null;
  /** The day on which the forecast sees its end; null while there is none. */
  readonly endOn?: string | null;
  /** The day of the next reading, before which nothing can be proven; null while there is none. */
  readonly readOn?: string | null;
  /** What is due, by which a finished batch goes on. */
  readonly jobs?: readonly Pick<Job, 'kind' | 'dueAt'>[];
}

/**
 * The nine stops of a batch: what is done, where it stands, and what lies ahead with its likely day.
 *
 * @param input - the batch, its method, the day, and what verdict, forecast and jobs say
 * @returns the stops in order
 */
export function pathStops(input: PathInput): readonly PathStop[] {
  const { state, now, status } = input;
  const here = STAGES.indexOf(standsAt(state, status));
  const planned = daysAhead(input);
  const bottledAt = state.crates[0]?.bottledAt ?? state.keg?.at ?? null;
  const doneAt: Partial<Record<Stage, string | null>> = {
    juice: state.filledAt,
    settle: state.settledAt,
    pitch: state.pitchedAt,
    rack: state.rackedAt,
    bottle: bottledAt,
  };
  return STAGES.map((stage, i) => {
    const at = doneAt[stage] ?? null;
    const passed = at === null && stage in doneAt ? 'skipped' : 'done';
    const status = i === here ? 'here' : i < here || at !== null ? passed : 'ahead';
    return { stage, name: NAMES[stage], state: status, line: lineOf(stage, status, at, state, planned.get(stage), now) };
  });
}

/**
 * The likely days ahead: by the method until something was read, by the forecast from then on, and none where neither knows,
 * so that the path never names another day than the panels beside it.
 */
function daysAhead({ state, method, startedAt, now, status, endOn = null, readOn = null, jobs = [] }: PathInput): ReadonlyMap<Stage, string> {
  const today = dayIn(now, state.zone);
  const crate = state.crates.at(-1);
  if (crate) return new Map([['drink', readyWindow(crate, state.zone).from]]);
  if (status !== null && isAtRest(status)) return daysOfJobs(jobs, method, state.zone, today);
  if (state.pitchedAt !== null && state.readings.length > 0 && endOn === null) return new Map();
  if (endOn !== null) {
    const { restDays, firstBottleDays } = method.waits;
    const provenBy = dateAfter(endOn, PROOF_DAYS);
    // Whatever the forecast sees, an end is proven by a reading, and by a second one a week later while it still works.
    const readBy = readOn === null ? provenBy : status === 'too-few-readings' ? readOn : dateAfter(readOn, PROOF_DAYS);
    const rack = provenBy > readBy ? provenBy : readBy;
    if (rack < today) return new Map();
    const after = (days: number): string => dateAfter(rack, days);
    return new Map<Stage, string>([
      ['rack', rack],
      ['rest', rack],
      ['finish', after(restDays)],
      ['bottle', after(restDays)],
      ['drink', after(restDays + firstBottleDays)],
    ]);
  }
  return new Map(
    plannedDates({ startAt: state.pitchedAt ?? startedAt, sulfited: state.pitchedAt === null && state.sulfitedAt !== null, method, zone: state.zone }).map(
      (p) => [p.stage, p.on],
    ),
  );
}

/** The days of a finished batch are those by which its next act is due; none where nothing is due. */
function daysOfJobs(jobs: NonNullable<PathInput['jobs']>, { waits }: Method, zone: string, today: string): ReadonlyMap<Stage, string> {
  const dueOf = (kind: Job['kind']): string | undefined => {
    const due = jobs.find((job) => job.kind === kind)?.dueAt;
    return due === undefined ? undefined : dateAfter(due, 0, zone);
  };
  const rack = dueOf('rack');
  const bottle = rack === undefined ? dueOf('bottle') : dateAfter(rack, waits.restDays);
  if (bottle === undefined) return new Map();
  const stops = new Map<Stage, string>([
    ['rest', bottle],
    ['finish', bottle],
    ['bottle', bottle],
    // What is overdue is done today at the earliest.
    ['drink', dateAfter(bottle > today ? bottle : today, waits.firstBottleDays)],
  ]);
  return rack === undefined ? stops : stops.set('rack', rack).set('rest', rack);
}

/** Racking does not end a ferment, and an end without racking leads to it: the verdict knows, the log alone does not. */
function standsAt(state: BatchState, status: FermentStatus | null): Stage {
  if (status === null || state.primed || state.stabilisedAt || state.stage === 'drink') return state.stage;
  if (!isAtRest(status)) return 'ferment';
  return state.rackedAt ? 'rest' : 'rack';
}

function lineOf(stage: Stage, status: PathStop['state'], at: string | null, state: BatchState, planned: string | undefined, now: string): string {
  if (status === 'skipped') return 'none';
  if (stage === 'ferment' && status === 'here' && state.pitchedAt) return `day ${calendarDays(state.pitchedAt, now, state.zone)}`;
  if (at !== null) return dayText(at, false, state.zone);
  if (stage === 'drink' && status === 'here' && planned !== undefined && planned > dayIn(now, state.zone)) return `from ${dayText(planned)}`;
  const isAhead = planned !== undefined && planned >= dayIn(now, state.zone);
  if (status === 'here' && stage === 'rack' && isAhead) return `by ${dayText(planned)}`;
  if (status === 'here' && stage === 'rest' && planned !== undefined) return isAhead ? `until ${dayText(planned)}` : 'over';
  if (status === 'here') return 'now';
  if (status === 'done') return '';
  return isAhead ? `about ${dayText(planned)}` : '';
}
