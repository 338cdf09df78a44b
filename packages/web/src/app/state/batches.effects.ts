import { inject } from '@angular/core';
import { Actions, createEffect, ofType, type FunctionalEffect } from '@ngrx/effects';
import { mapResponse } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import type { BatchDto } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { catchError, concatMap, EMPTY, filter, map, mergeMap } from 'rxjs';
import { AppApiActions } from './app.actions';
import { BatchApiActions, BatchPageActions } from './batches.actions';
import { batchesFeature, isBehind } from './batches.reducer';
import { problemOf, TrugApi } from './trug-api';

const file = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      ofType(BatchPageActions.filingSent),
      // Entries of one batch build on one another, so they are sent in the order written.
      concatMap(({ sent }) =>
        api.file(sent).pipe(
          mapResponse({
            next: (batches) => BatchApiActions.filingStored({ sent, batches }),
            error: (error) => BatchApiActions.filingRefused({ sent, problem: problemOf(error) }),
          }),
        ),
      ),
    ),
  { functional: true },
);

/** Batches whose logs are to be fetched: those asked for, or here and behind their summaries. */
function logsToFetch(action: LogAction, known: Readonly<Record<string, BatchDto | undefined>>): readonly string[] {
  switch (action.type) {
    case BatchPageActions.logsWanted.type:
      return action.batchIds;
    case BatchApiActions.batchesRefreshed.type:
    case AppApiActions.loaded.type:
      return Object.values(known).flatMap((batch) => (batch && isBehind(batch) ? [batch.id] : []));
    case BatchApiActions.filingRefused.type:
      // Shown no more, though an earlier version of it may be kept.
      return action.problem.code === 'conflict' ? logsHere(action.sent.entries, known) : [];
    case BatchApiActions.filingStored.type:
      // Of a batch whose log is not here nothing was shown at once.
      return [...new Set(action.sent.entries.map((e) => e.batchId))].filter((id) => known[id]?.entries === null);
  }
}
type LogAction = ReturnType<
  | typeof BatchPageActions.logsWanted
  | typeof BatchApiActions.batchesRefreshed
  | typeof AppApiActions.loaded
  | typeof BatchApiActions.filingStored
  | typeof BatchApiActions.filingRefused
>;
const logsHere = (entries: readonly Entry[], known: Readonly<Record<string, BatchDto | undefined>>): readonly string[] =>
  [...new Set(entries.map((e) => e.batchId))].filter((id) => known[id]);

const fetchLogs = createEffect(
  (actions = inject(Actions), api = inject(TrugApi), known = inject(Store).selectSignal(batchesFeature.selectEntities)) =>
    actions.pipe(
      ofType(BatchPageActions.logsWanted, BatchApiActions.batchesRefreshed, AppApiActions.loaded, BatchApiActions.filingStored, BatchApiActions.filingRefused),
      map((action) => logsToFetch(action, known())),
      filter((batchIds) => batchIds.length > 0),
      mergeMap((batchIds) =>
        api.logs(batchIds).pipe(
          map((batches) => BatchApiActions.logsFetched({ batches })),
          // What cannot be fetched now is fetched with everything else when the server is back.
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);

const refresh = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      ofType(BatchPageActions.changedElsewhere),
      mergeMap(({ batchIds }) =>
        api.summaries(batchIds).pipe(
          map((batches) => BatchApiActions.batchesRefreshed({ batches })),
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);

/** Files entries and fetches logs. */
export const batchesEffects: Record<string, FunctionalEffect> = { file, refresh, fetchLogs };
