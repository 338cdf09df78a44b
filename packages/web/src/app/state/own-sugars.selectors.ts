import { createSelector } from '@ngrx/store';
import { isOwnFermentable } from '@trug/core/base/reference/own-fermentable';
import { suppliesFeature } from './resources.reducer';

/** Sweet things of the maker's own that are in the cupboard, to be chosen wherever a sugar is. */
export const selectOwnSugars = createSelector(suppliesFeature.selectAll, (supplies) => {
  const own = supplies.flatMap(({ kind, refId, name }) => (kind === 'sugar' && refId !== null && isOwnFermentable(refId) ? [{ id: refId, name }] : []));
  return [...new Map(own.map((sugar) => [sugar.id, sugar])).values()].map((sugar) => ({ ...sugar, group: 'of your own' }));
});
