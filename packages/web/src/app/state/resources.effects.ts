import { inject } from '@angular/core';
import { Actions, createEffect, ofType, type FunctionalEffect } from '@ngrx/effects';
import { mapResponse } from '@ngrx/operators';
import { concatMap } from 'rxjs';
import { ResourceApiActions, ResourcePageActions } from './resources.actions';
import { problemOf, TrugApi } from './trug-api';

const save = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      ofType(ResourcePageActions.resourceSaved),
      concatMap(({ sent }) =>
        api.save(sent).pipe(
          mapResponse({
            next: (resource) => ResourceApiActions.resourceStored({ sent, resource }),
            error: (error) => ResourceApiActions.resourceRefused({ sent, problem: problemOf(error) }),
          }),
        ),
      ),
    ),
  { functional: true },
);

const remove = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      ofType(ResourcePageActions.resourceRemoved),
      concatMap(({ sent }) =>
        api.remove(sent).pipe(
          mapResponse({
            next: () => ResourceApiActions.resourceGone({ sent }),
            error: (error) => ResourceApiActions.resourceRefused({ sent, problem: problemOf(error) }),
          }),
        ),
      ),
    ),
  { functional: true },
);

/** Sends juices, supplies, places and instruments, one after another. */
export const resourcesEffects: Record<string, FunctionalEffect> = { save, remove };
