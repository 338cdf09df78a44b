import type { Method } from '@trug/core';
import { provesFinished, type FermentStatus } from '@trug/core/ferment/verdict';
import { STAGES, type BatchState, type Stage } from '@trug/core/log/batch-state';
import { plannedDates } from '@trug/core/plan/planned-dates';
import { calendarDays, dayText } from '@trug/core/quantity/days';
import { dayIn } from '@trug/core/quantity/zone';

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
 * @returns the stops in order
 */
export function pathStops(state: BatchState, method: Method, startedAt: string, now: string, status: FermentStatus | null): readonly PathStop[] {
  const here = STAGES.indexOf(standsAt(state, status));
  const planned = new Map(plannedDates({ startAt: startedAt, sulfited: state.sulfitedAt !== null, method, zone: state.zone }).map((p) => [p.stage, p.on]));
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

/** Racking does not end a ferment, and an end without racking leads to it: the verdict knows, the log alone does not. */
function standsAt(state: BatchState, status: FermentStatus | null): Stage {
  if (status === null || state.primed || state.stabilisedAt || state.stage === 'drink') return state.stage;
  if (!provesFinished(status)) return 'ferment';
  return state.rackedAt ? 'rest' : 'rack';
}

function lineOf(stage: Stage, status: PathStop['state'], at: string | null, state: BatchState, planned: string | undefined, now: string): string {
  if (stage === 'settle' && at === null && state.pitchedAt) return 'none';
  if (stage === 'ferment' && status === 'here' && state.pitchedAt) return `day ${calendarDays(state.pitchedAt, now, state.zone)}`;
  if (at !== null) return dayText(at, false, state.zone);
  if (status === 'here') return 'now';
  if (status === 'done') return '';
  return planned === undefined || planned < dayIn(now, state.zone) ? '' : `about ${dayText(planned)}`;
}
