import { inject } from '@angular/core';
import { Actions, createEffect, ofType, type FunctionalEffect } from '@ngrx/effects';
import { mapResponse } from '@ngrx/operators';
import { switchMap } from 'rxjs';
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

/** Fetches everything the app opens with. */
export const appEffects: Record<string, FunctionalEffect> = { load };
