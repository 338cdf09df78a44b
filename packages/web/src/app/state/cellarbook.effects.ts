import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { FunctionalEffect } from '@ngrx/effects';
import { EMPTY, catchError, concatMap, defer, forkJoin, filter, from, map, mergeMap, of, switchMap, tap, throwError } from 'rxjs';
import { Store } from '@ngrx/store';
import type { BatchDto, Problem, VersionedSettings } from '@trug/contract/plain';
import { TwoVersions } from '../shared/two-versions/two-versions';
import { Says } from '../shared/says/says';
import { BatchApiActions, BatchPageActions } from './batches.actions';
import { AppActions, CellarbookApiActions, CupboardPageActions } from './cellarbook.actions';
import { CellarbookApi, problemOf } from './cellarbook.api';
import { batchesFeature, isBehind } from './batches.reducer';
import { cupboardFeature } from './cupboard.reducer';

const load = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      // Refused settings mean that another window was quicker: what it stored is fetched.
      ofType(AppActions.opened, BatchPageActions.reloadAsked, CellarbookApiActions.settingsRefused),
      switchMap(() =>
        api.load().pipe(
          map((book) => CellarbookApiActions.loaded({ book })),
          catchError((error: unknown) => of(CellarbookApiActions.loadFailed({ problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const fileEntries = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(BatchPageActions.entriesWritten),
      // Entries of one batch build on one another, so they are sent in the order written.
      concatMap(({ entries, said }) =>
        api.fileEntries(entries).pipe(
          map(() => BatchApiActions.entriesFiled({ entries, said })),
          catchError((error: unknown) => of(BatchApiActions.entriesRefused({ entries, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const beginBatch = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(BatchPageActions.batchBegun),
      concatMap(({ draft }) =>
        api.beginBatch(draft).pipe(
          map((batch) => BatchApiActions.batchStored({ batch })),
          catchError((error: unknown) => of(BatchApiActions.batchRefused({ batchId: draft.batch.id, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const openNewBatch = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(BatchApiActions.batchStored),
      tap(({ batch }) => void router.navigate(['/batch', batch.id])),
    ),
  { functional: true, dispatch: false },
);

const addVessel = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(CupboardPageActions.vesselAdded),
      concatMap(({ vessel }) =>
        api.addVessel(vessel).pipe(
          map((stored) => CellarbookApiActions.vesselStored({ vessel: stored })),
          catchError((error: unknown) => of(CellarbookApiActions.vesselRefused({ vessel, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const cleanVessel = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(CupboardPageActions.vesselCleaned),
      concatMap(({ vesselId, at }) =>
        api.cleanVessel(vesselId, at).pipe(
          map((vessel) => CellarbookApiActions.cleaningStored({ vessel })),
          catchError((error: unknown) => of(CellarbookApiActions.cleaningRefused({ vesselId, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

/**
 * The choices made here on top of those another window has stored. Where both changed the same one, the maker chooses.
 *
 * @returns what to store; null when it is no conflict, or the maker leaves it
 */
async function joinedSettings(mine: VersionedSettings, base: VersionedSettings, problem: Problem, versions: TwoVersions): Promise<VersionedSettings | null> {
  const theirs = problem.code === 'conflict' ? (problem.current as VersionedSettings | undefined) : undefined;
  if (!theirs) return null;
  const fields = Object.keys(mine) as (keyof VersionedSettings)[];
  const changed = fields.filter((field) => field !== 'version' && mine[field] !== base[field]);
  const both = changed.filter((field) => theirs[field] !== base[field] && theirs[field] !== mine[field]);
  const own = Object.fromEntries(changed.map((field) => [field, mine[field]]));
  if (both.length === 0) return { ...theirs, ...own };
  return versions.ofSettings({ ...theirs, ...own }, theirs);
}

const saveSettings = createEffect(
  (
    actions = inject(Actions),
    api = inject(CellarbookApi),
    stored = inject(Store).selectSignal(cupboardFeature.selectStoredSettings),
    versions = inject(TwoVersions),
  ) =>
    actions.pipe(
      ofType(CupboardPageActions.settingsChanged),
      // Changes made in quick succession are sent one after another, each on the version the one before it made.
      concatMap(({ settings }) =>
        defer(() => {
          const base = stored();
          return api.saveSettings({ ...settings, version: base.version }).pipe(
            // Another window was quicker: what it changed stays, and what was changed here is put on top of it.
            catchError((error: unknown) =>
              from(joinedSettings(settings, base, problemOf(error), versions)).pipe(
                switchMap((joined) => (joined ? api.saveSettings(joined) : throwError(() => error))),
              ),
            ),
          );
        }).pipe(
          map((saved) => CellarbookApiActions.settingsStored({ sent: settings, settings: saved })),
          catchError((error: unknown) => of(CellarbookApiActions.settingsRefused({ settings, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const say = createEffect(
  (actions = inject(Actions), says = inject(Says)) =>
    actions.pipe(
      ofType(
        BatchApiActions.entriesFiled,
        BatchApiActions.entriesRefused,
        BatchApiActions.batchRefused,
        CellarbookApiActions.vesselRefused,
        CellarbookApiActions.cleaningRefused,
        CellarbookApiActions.settingsRefused,
      ),
      tap((action) => {
        if (action.type === BatchApiActions.entriesFiled.type) says.filed(action.said, action.entries);
        else says.refused(action.problem);
      }),
    ),
  { functional: true, dispatch: false },
);

/** Batches whose logs are to be fetched: those changed elsewhere, asked for, or here and behind their summaries. */
function logsToFetch(action: LogAction, known: Readonly<Record<string, BatchDto | undefined>>): readonly string[] {
  switch (action.type) {
    case BatchPageActions.changedElsewhere.type:
      return action.batchIds;
    case BatchPageActions.logWanted.type:
      return [action.batchId];
    case CellarbookApiActions.loaded.type:
      return Object.values(known).flatMap((batch) => (batch && isBehind(batch) ? [batch.id] : []));
    case BatchApiActions.entriesFiled.type:
      // Of a batch whose log is not here nothing was shown at once.
      return [...new Set(action.entries.map((e) => e.batchId))].filter((id) => known[id]?.entries === null);
  }
}

type LogAction = ReturnType<
  typeof BatchPageActions.changedElsewhere | typeof BatchPageActions.logWanted | typeof CellarbookApiActions.loaded | typeof BatchApiActions.entriesFiled
>;

const refresh = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi), known = inject(Store).selectSignal(batchesFeature.selectEntities)) =>
    actions.pipe(
      ofType(BatchPageActions.changedElsewhere, BatchPageActions.logWanted, CellarbookApiActions.loaded, BatchApiActions.entriesFiled),
      map((action) => logsToFetch(action, known())),
      filter((batchIds) => batchIds.length > 0),
      mergeMap((batchIds) =>
        forkJoin(batchIds.map((id) => api.batch(id))).pipe(
          map((batches) => BatchApiActions.batchesRefreshed({ batches })),
          // What cannot be fetched now is fetched with everything else when the server is back.
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);

/** What the store does beyond itself: load, file, store, tell. */
export const cellarbookEffects: Record<string, FunctionalEffect> = {
  load,
  fileEntries,
  beginBatch,
  openNewBatch,
  addVessel,
  cleanVessel,
  saveSettings,
  say,
  refresh,
};
