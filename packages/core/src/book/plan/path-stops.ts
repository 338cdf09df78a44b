import { readyWindow } from '../../finish/bottle/ready-window.js';
import { PROOF_DAYS } from '../../ferment/verdict/judge-facts.js';
import type { Method } from './method.js';
import { isAtRest, type FermentStatus } from '../../ferment/verdict/verdict.js';
import { STAGES, type BatchState, type Stage } from '../state/batch-state.js';
import { plannedDates } from './planned-dates.js';
import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { dayIn } from '../../matter/quantity/zone.js';

/** A stop of the path as drawn. */
export interface PathStop {
  readonly stage: Stage;
  readonly name: string;
  readonly state: 'done' | 'here' | 'ahead';
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

/**
 * The nine stops of a batch: what is done, where it stands, and what lies ahead with its likely day.
 *
 * @param state - the batch
 * @param method - its method, for the days ahead
 * @param startedAt - ISO 8601
 * @param now - ISO 8601
 * @param status - the verdict's status; null when there is none
 * @param endOn - the day on which the forecast sees its end; null while there is none
 * @param readOn - the day of the next reading, before which nothing can be proven; null while there is none
 * @returns the stops in order
 */
export function pathStops(
  state: BatchState,
  method: Method,
  startedAt: string,
  now: string,
  status: FermentStatus | null,
  endOn: string | null = null,
  readOn: string | null = null,
): readonly PathStop[] {
  const here = STAGES.indexOf(standsAt(state, status));
  const planned = daysAhead(state, method, startedAt, status, endOn, { readOn, today: dayIn(now, state.zone) });
  const bottledAt = state.crates[0]?.bottledAt ?? state.keg?.at ?? null;
  const doneAt: Partial<Record<Stage, string | null>> = {
    juice: state.filledAt,
    settle: state.sulfitedAt,
    pitch: state.pitchedAt,
    rack: state.rackedAt,
    bottle: bottledAt,
  };
  return STAGES.map((stage, i) => {
    const at = doneAt[stage] ?? null;
    const status = i === here ? 'here' : i < here || at !== null ? 'done' : 'ahead';
    return { stage, name: NAMES[stage], state: status, line: lineOf(stage, status, at, state, planned.get(stage), now) };
  });
}

/**
 * The likely days ahead: by the method until something was read, by the forecast from then on, and none where neither knows,
 * so that the path never names another day than the panels beside it.
 */
function daysAhead(
  state: BatchState,
  method: Method,
  startedAt: string,
  status: FermentStatus | null,
  endOn: string | null,
  { readOn, today }: { readonly readOn: string | null; readonly today: string },
): ReadonlyMap<Stage, string> {
  const crate = state.crates.at(-1);
  if (crate) return new Map([['drink', readyWindow(crate, state.zone).from]]);
  const ended = status !== null && isAtRest(status);
  if (ended || (state.pitchedAt !== null && state.readings.length > 0 && endOn === null)) return new Map();
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

/** Racking does not end a ferment, and an end without racking leads to it: the verdict knows, the log alone does not. */
function standsAt(state: BatchState, status: FermentStatus | null): Stage {
  if (status === null || state.primed || state.stabilisedAt || state.stage === 'drink') return state.stage;
  if (!isAtRest(status)) return 'ferment';
  return state.rackedAt ? 'rest' : 'rack';
}

function lineOf(stage: Stage, status: PathStop['state'], at: string | null, state: BatchState, planned: string | undefined, now: string): string {
  if (stage === 'settle' && at === null && state.pitchedAt) return 'none';
  if (stage === 'ferment' && status === 'here' && state.pitchedAt) return `day ${calendarDays(state.pitchedAt, now, state.zone)}`;
  if (at !== null) return dayText(at, false, state.zone);
  if (stage === 'drink' && status === 'here' && planned !== undefined && planned > dayIn(now, state.zone)) return `from ${dayText(planned)}`;
  if (status === 'here') return 'now';
  if (status === 'done') return '';
  return planned === undefined || planned < dayIn(now, state.zone) ? '' : `about ${dayText(planned)}`;
}
