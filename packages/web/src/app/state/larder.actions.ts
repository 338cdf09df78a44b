import type { BatchDto, InstrumentDto, PlaceDto, StoredJuice, Problem, SupplyDto } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { createActionGroup, props } from '@ngrx/store';

/** Batches to begin together, with entries on them and on those they come from. */
export interface Pour {
  readonly batches: readonly Omit<BatchDto, 'entries'>[];
  readonly entries: readonly Entry[];
}

/** What people do with juices, supplies and pours. */
export const LarderPageActions = createActionGroup({
  source: 'Larder Page',
  events: {
    'Juice Saved': props<{ readonly juice: StoredJuice }>(),
    'Supply Saved': props<{ readonly supply: SupplyDto }>(),
    'Place Saved': props<{ readonly place: PlaceDto }>(),
    'Instrument Saved': props<{ readonly instrument: InstrumentDto }>(),
    'Pour Made': props<{ readonly pour: Pour }>(),
  },
});

/** What the server answers; `sent` is the very object that was sent, so that a form knows its own answer. */
export const LarderApiActions = createActionGroup({
  source: 'Larder API',
  events: {
    'Juice Stored': props<{ readonly sent: StoredJuice; readonly juice: StoredJuice }>(),
    'Juice Refused': props<{ readonly sent: StoredJuice; readonly problem: Problem }>(),
    'Supply Stored': props<{ readonly sent: SupplyDto; readonly supply: SupplyDto }>(),
    'Supply Refused': props<{ readonly sent: SupplyDto; readonly problem: Problem }>(),
    'Place Stored': props<{ readonly sent: PlaceDto; readonly place: PlaceDto }>(),
    'Place Refused': props<{ readonly sent: PlaceDto; readonly problem: Problem }>(),
    'Instrument Stored': props<{ readonly sent: InstrumentDto; readonly instrument: InstrumentDto }>(),
    'Instrument Refused': props<{ readonly sent: InstrumentDto; readonly problem: Problem }>(),
    'Pour Stored': props<{ readonly sent: Pour; readonly batches: readonly BatchDto[] }>(),
    'Pour Refused': props<{ readonly sent: Pour; readonly problem: Problem }>(),
  },
});
