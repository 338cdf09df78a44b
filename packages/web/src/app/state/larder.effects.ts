import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { FunctionalEffect } from '@ngrx/effects';
import { catchError, concatMap, map, of } from 'rxjs';
import { CellarbookApi, problemOf } from './cellarbook.api';
import { LarderApiActions, LarderPageActions } from './larder.actions';

const saveCard = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(LarderPageActions.cardSaved),
      concatMap(({ sent }) =>
        api.saveCard(sent).pipe(
          map((card) => LarderApiActions.cardStored({ sent, card })),
          catchError((error: unknown) => of(LarderApiActions.cardRefused({ sent, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const pour = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(LarderPageActions.pourMade),
      concatMap(({ pour: sent }) =>
        api.pour(sent).pipe(
          map(({ batches }) => LarderApiActions.pourStored({ sent, batches })),
          catchError((error: unknown) => of(LarderApiActions.pourRefused({ sent, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Sends cards and pours to the server, one after another. */
export const larderEffects: Record<string, FunctionalEffect> = { saveCard, pour };
