import { createSelector } from '@ngrx/store';
import type { SupplyKind } from '@trug/contract/plain';
import { isOwnFermentable } from '@trug/core/base/reference/own-fermentable';
import { isOwnFruit } from '@trug/core/base/reference/own-fruit';
import { suppliesFeature } from './resources.reducer';

/** Things of one kind that the maker has as their own, to be chosen wherever one of the library is: each once. */
const ownOf = (kind: SupplyKind, isOwn: (refId: string) => boolean) =>
  createSelector(suppliesFeature.selectAll, (supplies) => {
    const own = supplies.flatMap((supply) =>
      supply.kind === kind && supply.refId !== null && isOwn(supply.refId) ? [{ id: supply.refId, name: supply.name }] : [],
    );
    return [...new Map(own.map((thing) => [thing.id, thing])).values()].map((thing) => ({ ...thing, group: 'of your own' }));
  });

/** Sweet things of the maker's own that are in the cupboard. */
export const selectOwnSugars = ownOf('sugar', isOwnFermentable);

/** Fruit of the maker's own. */
export const selectOwnFruits = ownOf('fruit', isOwnFruit);
