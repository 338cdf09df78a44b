import { createSelector } from '@ngrx/store';
import { pricePerUnit, type Prices } from '@trug/core/book/summary/batch-cost';
import { juicesFeature, suppliesFeature } from './resources.reducer';

/** What was paid, as far as the maker wrote it down. */
export const selectPrices = createSelector(
  juicesFeature.selectAll,
  suppliesFeature.selectAll,
  (juices, supplies): Prices => ({
    perLitre: new Map(juices.map(({ id, costPerL }) => [id, costPerL])),
    perUnit: new Map(supplies.map((supply) => [supply.id, pricePerUnit(supply)])),
  }),
);
