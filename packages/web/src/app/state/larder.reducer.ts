import type { InstrumentDto, PlaceDto, StoredJuice, SupplyDto } from '@trug/contract/plain';
import { createFeature, createReducer, on } from '@ngrx/store';
import { CellarbookApiActions } from './cellarbook.actions';
import { LarderApiActions } from './larder.actions';

/** Juices in hand and what the cupboard holds besides vessels. */
export interface LarderState {
  readonly juices: readonly StoredJuice[];
  readonly supplies: readonly SupplyDto[];
  readonly instruments: readonly InstrumentDto[];
  readonly places: readonly PlaceDto[];
}

const initial: LarderState = { juices: [], supplies: [], instruments: [], places: [] };

function withCard<T extends { readonly id: string }>(cards: readonly T[], card: T): readonly T[] {
  return cards.some((c) => c.id === card.id) ? cards.map((c) => (c.id === card.id ? card : c)) : [...cards, card];
}

/** Juices and supplies, as the server last stored them. */
export const larderFeature = createFeature({
  name: 'larder',
  reducer: createReducer(
    initial,
    on(CellarbookApiActions.loaded, (_state, { book }) => ({
      juices: book.juices,
      supplies: book.supplies,
      instruments: book.instruments,
      places: book.places,
    })),
    on(LarderApiActions.juiceStored, (state, { juice }) => ({ ...state, juices: withCard(state.juices, juice) })),
    on(LarderApiActions.supplyStored, (state, { supply }) => ({ ...state, supplies: withCard(state.supplies, supply) })),
    on(LarderApiActions.placeStored, (state, { place }) => ({ ...state, places: withCard(state.places, place) })),
    on(LarderApiActions.instrumentStored, (state, { instrument }) => ({ ...state, instruments: withCard(state.instruments, instrument) })),
  ),
});
