import { inject } from '@angular/core';
import { Actions, createEffect, ofType, type FunctionalEffect } from '@ngrx/effects';
import { mapResponse } from '@ngrx/operators';
import { catchError, EMPTY, map, mergeMap, switchMap } from 'rxjs';
import { AppActions, AppApiActions } from './app.actions';
import { SettingsApiActions } from './settings.actions';
import { problemOf, TrugApi } from './trug-api';

const load = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      // Refused settings mean that another window was quicker: what it stored is fetched.
      ofType(AppActions.opened, AppActions.reloadAsked, SettingsApiActions.settingsRefused),
      switchMap(() =>
        api.load().pipe(
          mapResponse({
            next: (snapshot) => AppApiActions.loaded({ snapshot }),
            error: (error) => AppApiActions.loadFailed({ problem: problemOf(error) }),
          }),
        ),
      ),
    ),
  { functional: true },
);

const refresh = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      ofType(AppActions.listsChangedElsewhere),
      mergeMap(({ lists }) =>
        api.lists(lists).pipe(
          map((fetched) => AppApiActions.listsRefreshed({ lists: fetched })),
          // What cannot be fetched now is fetched with everything else when the server is back.
          catchError(() => EMPTY),
        ),
      ),
    ),
  { functional: true },
);

/** Fetches everything the app opens with, and again what changed elsewhere. */
export const appEffects: Record<string, FunctionalEffect> = { load, refresh };
