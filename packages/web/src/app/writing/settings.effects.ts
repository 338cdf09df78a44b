import { inject, Injector } from '@angular/core';
import { Actions, createEffect, ofType, type FunctionalEffect } from '@ngrx/effects';
import { mapResponse } from '@ngrx/operators';
import { Store } from '@ngrx/store';
import type { Problem, VersionedSettings } from '@trug/contract/plain';
import { catchError, concatMap, defer, from, switchMap, throwError } from 'rxjs';
import { SettingsApiActions, SettingsPageActions } from '../state/settings.actions';
import { settingsFeature } from '../state/settings.reducer';
import { problemOf, TrugApi } from '../state/trug-api';

/**
 * The choices made here on top of those another window has stored. Where both changed the same one, the maker chooses.
 *
 * @returns what to store; null when it is no conflict, or the maker leaves it
 */
async function joinedSettings(mine: VersionedSettings, base: VersionedSettings, problem: Problem, injector: Injector): Promise<VersionedSettings | null> {
  const theirs = problem.code === 'conflict' ? (problem.current as VersionedSettings | undefined) : undefined;
  if (!theirs) return null;
  const fields = Object.keys(mine) as (keyof VersionedSettings)[];
  const changed = fields.filter((field) => field !== 'version' && mine[field] !== base[field]);
  const both = changed.filter((field) => theirs[field] !== base[field] && theirs[field] !== mine[field]);
  const own = Object.fromEntries(changed.map((field) => [field, mine[field]]));
  if (both.length === 0) return { ...theirs, ...own };
  // Two windows seldom disagree: what asks the maker is loaded when they do.
  const { TwoVersions } = await import('./two-versions/two-versions');
  return injector.get(TwoVersions).ofSettings({ ...theirs, ...own }, theirs);
}

const save = createEffect(
  (actions = inject(Actions), api = inject(TrugApi), stored = inject(Store).selectSignal(settingsFeature.selectStored), injector = inject(Injector)) =>
    actions.pipe(
      ofType(SettingsPageActions.settingsChanged),
      // Changes made in quick succession are sent one after another, each on the version the one before it made.
      concatMap(({ sent }) =>
        defer(() => {
          const base = stored();
          return api.saveSettings({ ...sent, version: base.version }).pipe(
            // Another window was quicker: what it changed stays, and what was changed here is put on top of it.
            catchError((error: unknown) =>
              from(joinedSettings(sent, base, problemOf(error), injector)).pipe(
                switchMap((joined) => (joined ? api.saveSettings(joined) : throwError(() => error))),
              ),
            ),
          );
        }).pipe(
          mapResponse({
            next: (settings) => SettingsApiActions.settingsStored({ sent, settings }),
            error: (error) => SettingsApiActions.settingsRefused({ sent, problem: problemOf(error) }),
          }),
        ),
      ),
    ),
  { functional: true },
);

/** Stores the maker's choices, and joins them with another window's. */
export const settingsEffects: Record<string, FunctionalEffect> = { save };
