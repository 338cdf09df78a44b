import type { TimedPlan } from '../state/entry-choices.js';
import type { Kind } from './kind.js';

/** One step of a timed plan, done; the plan is over when nothing comes next. */
export interface SteppedPayload {
  readonly plan: TimedPlan;
  readonly done: string;
  /** Counted from 1. */
  readonly step: number;
  readonly of: number;
  readonly next: string | null;
  /** From this step to the next. */
  readonly waitMin: number;
}

export const stepped: Kind<SteppedPayload> = {
  apply: (_state, { at, payload: { plan, step, of, next, waitMin } }) => ({
    plan: next === null ? null : { plan, step, of, next, doneAt: at, dueAt: new Date(Date.parse(at) + waitMin * 60_000).toISOString() },
  }),
  words: ({ payload }) => ({ lead: `Step ${payload.step} of ${payload.of}`, rest: payload.done }),
};
