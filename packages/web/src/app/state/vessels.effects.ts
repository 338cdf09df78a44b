import { inject } from '@angular/core';
import { Actions, createEffect, ofType, type FunctionalEffect } from '@ngrx/effects';
import { mapResponse } from '@ngrx/operators';
import { concatMap } from 'rxjs';
import { problemOf, TrugApi } from './trug-api';
import { VesselApiActions, VesselPageActions } from './vessels.actions';

const send = createEffect(
  (actions = inject(Actions), api = inject(TrugApi)) =>
    actions.pipe(
      ofType(VesselPageActions.vesselSent),
      concatMap(({ sent }) =>
        api.vessel(sent).pipe(
          mapResponse({
            next: (vessel) => (vessel ? VesselApiActions.vesselStored({ sent, vessel }) : VesselApiActions.vesselGone({ sent })),
            error: (error) => VesselApiActions.vesselRefused({ sent, problem: problemOf(error) }),
          }),
        ),
      ),
    ),
  { functional: true },
);

/** Sends what is done with vessels, in order. */
export const vesselsEffects: Record<string, FunctionalEffect> = { send };
