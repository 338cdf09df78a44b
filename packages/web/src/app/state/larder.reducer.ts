import { createFeature, createReducer, on } from '@ngrx/store';
import { CellarbookApiActions } from './cellarbook.actions';
import { LarderApiActions, type Card, type Shelf, type Shelves } from './larder.actions';

/** Juices in hand and what the cupboard holds besides vessels. */
export type LarderState = { readonly [S in Shelf]: readonly Shelves[S][] };

const initial: LarderState = { juices: [], supplies: [], instruments: [], places: [] };

function withCard(cards: readonly Card[], card: Card): readonly Card[] {
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
    on(LarderApiActions.cardStored, (state, { sent: { shelf }, card }) => ({ ...state, [shelf]: withCard(state[shelf], card) })),
  ),
});
