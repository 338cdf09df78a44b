import type { BatchDto, BatchFacts, Problem } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { createActionGroup, emptyProps, props } from '@ngrx/store';

/** A batch to begin, with its first entries. */
export interface BatchDraft {
  readonly batch: BatchFacts;
  readonly entries: readonly Entry[];
}

/** What people do to batches. */
export const BatchPageActions = createActionGroup({
  source: 'Batch Page',
  events: {
    /** Entries written down; `said` is what to tell the maker once they are. */
    'Entries Written': props<{ readonly entries: readonly Entry[]; readonly said: string }>(),
    'Batch Begun': props<{ readonly draft: BatchDraft }>(),
    'Reload Asked': emptyProps(),
    /** The whole log of a batch is to be shown. */
    'Log Wanted': props<{ readonly batchId: string }>(),
    /** Another window changed these. */
    'Changed Elsewhere': props<{ readonly batchIds: readonly string[] }>(),
  },
});

/** What the server answers. */
export const BatchApiActions = createActionGroup({
  source: 'Batch API',
  events: {
    'Entries Filed': props<{ readonly entries: readonly Entry[]; readonly said: string }>(),
    'Entries Refused': props<{ readonly entries: readonly Entry[]; readonly problem: Problem }>(),
    'Batch Stored': props<{ readonly batch: BatchDto }>(),
    'Batch Refused': props<{ readonly batchId: string; readonly problem: Problem }>(),
    /** Batches as the server has them now. */
    'Batches Refreshed': props<{ readonly batches: readonly BatchDto[] }>(),
  },
});
