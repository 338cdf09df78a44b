import type { BatchDto, BatchFacts, InstrumentDto, PlaceDto, StoredJuice, Problem, SupplyDto } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { createActionGroup, props } from '@ngrx/store';

/** Batches to begin together, with entries on them and on those they come from. */
export interface Pour {
  readonly batches: readonly BatchFacts[];
  readonly entries: readonly Entry[];
}

/** What lies on each shelf of the larder. */
export interface Shelves {
  readonly juices: StoredJuice;
  readonly supplies: SupplyDto;
  readonly places: PlaceDto;
  readonly instruments: InstrumentDto;
}
export type Shelf = keyof Shelves;
/** A card of any shelf. */
export type Card = Shelves[Shelf];
/** A card with the shelf it belongs on. */
export type Shelved = { readonly [S in Shelf]: { readonly shelf: S; readonly card: Shelves[S] } }[Shelf];

/** What people do with cards and pours. */
export const LarderPageActions = createActionGroup({
  source: 'Larder Page',
  events: {
    'Card Saved': props<{ readonly sent: Shelved }>(),
    'Pour Made': props<{ readonly pour: Pour }>(),
  },
});

/** What the server answers; `sent` is the very object that was sent, so that a form knows its own answer. */
export const LarderApiActions = createActionGroup({
  source: 'Larder API',
  events: {
    'Card Stored': props<{ readonly sent: Shelved; readonly card: Card }>(),
    'Card Refused': props<{ readonly sent: Shelved; readonly problem: Problem }>(),
    'Pour Stored': props<{ readonly sent: Pour; readonly batches: readonly BatchDto[] }>(),
    'Pour Refused': props<{ readonly sent: Pour; readonly problem: Problem }>(),
  },
});
