import type { BatchDto, BatchFacts, Problem } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { createActionGroup, props } from '@ngrx/store';

/** Entries to file together, with the batches that begin with them. */
export interface Filing {
  readonly batches: readonly BatchFacts[];
  readonly entries: readonly Entry[];
}

/** What people do to batches. */
export const BatchPageActions = createActionGroup({
  source: 'Batch Page',
  events: {
    'Filing Sent': props<{ readonly sent: Filing }>(),
    /** The whole log of a batch is to be shown. */
    'Logs Wanted': props<{ readonly batchIds: readonly string[] }>(),
    /** Another window changed these. */
    'Changed Elsewhere': props<{ readonly batchIds: readonly string[] }>(),
  },
});

/** What the server answers; `sent` is the very object that was sent, so that whoever sent it knows its own answer. */
export const BatchApiActions = createActionGroup({
  source: 'Batch API',
  events: {
    /** Of batches that were begun or touched together the server gives what it then has. */
    'Filing Stored': props<{ readonly sent: Filing; readonly batches: readonly BatchDto[] }>(),
    'Filing Refused': props<{ readonly sent: Filing; readonly problem: Problem }>(),
    /** Batches as the server lists them now, without their logs. */
    'Batches Refreshed': props<{ readonly batches: readonly BatchDto[] }>(),
    /** Batches with their logs. */
    'Logs Fetched': props<{ readonly batches: readonly BatchDto[] }>(),
  },
});
