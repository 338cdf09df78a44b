import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { FunctionalEffect } from '@ngrx/effects';
import { catchError, concatMap, defer, exhaustMap, map, of, switchMap, tap } from 'rxjs';
import { Store } from '@ngrx/store';
import { Says } from '../shared/says/says';
import { BatchApiActions, BatchPageActions } from './batches.actions';
import { AppActions, CellarbookApiActions, CupboardPageActions } from './cellarbook.actions';
import { CellarbookApi, problemOf } from './cellarbook.api';
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
      exhaustMap(({ draft }) =>
        api.beginBatch(draft).pipe(
          map((batch) => BatchApiActions.batchStored({ batch })),
          catchError((error: unknown) => of(BatchApiActions.batchRefused({ problem: problemOf(error) }))),
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

const saveSettings = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi), stored = inject(Store).selectSignal(cupboardFeature.selectStoredSettings)) =>
    actions.pipe(
      ofType(CupboardPageActions.settingsChanged),
      // Changes made in quick succession are sent one after another, each on the version the one before it made.
      concatMap(({ settings }) =>
        defer(() => api.saveSettings({ ...settings, version: stored().version })).pipe(
          map((stored) => CellarbookApiActions.settingsStored({ settings: stored })),
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

/** What the store does beyond itself: load, file, store, tell. */
export const cellarbookEffects: Record<string, FunctionalEffect> = { load, fileEntries, beginBatch, openNewBatch, addVessel, cleanVessel, saveSettings, say };
