import { inject } from '@angular/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { FunctionalEffect } from '@ngrx/effects';
import { catchError, concatMap, map, of } from 'rxjs';
import { CellarbookApi, problemOf } from './cellarbook.api';
import { LarderApiActions, LarderPageActions } from './larder.actions';

const saveJuice = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(LarderPageActions.juiceSaved),
      concatMap(({ juice: sent }) =>
        api.saveJuice(sent).pipe(
          map((juice) => LarderApiActions.juiceStored({ sent, juice })),
          catchError((error: unknown) => of(LarderApiActions.juiceRefused({ sent, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const saveSupply = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(LarderPageActions.supplySaved),
      concatMap(({ supply: sent }) =>
        api.saveSupply(sent).pipe(
          map((supply) => LarderApiActions.supplyStored({ sent, supply })),
          catchError((error: unknown) => of(LarderApiActions.supplyRefused({ sent, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const savePlace = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(LarderPageActions.placeSaved),
      concatMap(({ place: sent }) =>
        api.savePlace(sent).pipe(
          map((place) => LarderApiActions.placeStored({ sent, place })),
          catchError((error: unknown) => of(LarderApiActions.placeRefused({ sent, problem: problemOf(error) }))),
        ),
      ),
    ),
  { functional: true },
);

const saveInstrument = createEffect(
  (actions = inject(Actions), api = inject(CellarbookApi)) =>
    actions.pipe(
      ofType(LarderPageActions.instrumentSaved),
      concatMap(({ instrument: sent }) =>
        api.saveInstrument(sent).pipe(
          map((instrument) => LarderApiActions.instrumentStored({ sent, instrument })),
          catchError((error: unknown) => of(LarderApiActions.instrumentRefused({ sent, problem: problemOf(error) }))),
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
export const larderEffects: Record<string, FunctionalEffect> = { saveJuice, saveSupply, saveInstrument, savePlace, pour };
