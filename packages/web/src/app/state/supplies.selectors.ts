import { createSelector } from '@ngrx/store';
import type { SupplyDto } from '@trug/contract/plain';
import { soonestFirst, type SupplyInHand } from '@trug/core/book/cupboard/supply-for';
import { sumAmounts } from '@trug/core/book/summary/sum-over-logs';
import { selectSummaries } from './batch-views.selectors';
import { suppliesFeature } from './resources.reducer';

/** A supply with what the logs have left of it, in its own unit. */
export type SupplyLeft = SupplyInHand & Pick<SupplyDto, 'name'>;

/** Every supply with what is left, the one to use up first first. */
export const selectSuppliesLeft = createSelector(suppliesFeature.selectAll, selectSummaries, (supplies, summaries): readonly SupplyLeft[] => {
  const used = sumAmounts(summaries.flatMap((s) => s.used));
  return supplies
    .map(({ id, kind, refId, name, amount, unit, packetG, teaspoonG, doseGPerL, bestBefore }) => {
      const left = Math.max(0, Math.round((amount - (used.get(id) ?? 0)) * 100) / 100);
      return {
        id,
        kind,
        refId,
        name,
        unit,
        packetG,
        bestBefore,
        left,
        ...(teaspoonG === undefined ? {} : { teaspoonG }),
        ...(doseGPerL === undefined ? {} : { doseGPerL }),
      };
    })
    .sort(soonestFirst);
});
