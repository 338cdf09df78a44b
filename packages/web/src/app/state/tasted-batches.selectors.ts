import { createSelector } from '@ngrx/store';
import type { TastedBatch } from '@trug/core/book/tasting/next-time';
import { selectBatchViews } from './batch-views.selectors';

/** Every batch that was tasted, with what makes another one like it. */
export const selectTastedBatches = createSelector(selectBatchViews, (views): readonly TastedBatch[] =>
  views.flatMap(({ batch, state, summary }) =>
    summary.tastings.length === 0
      ? []
      : [
          {
            id: batch.id,
            name: batch.name,
            fruits: [...(state.lastLiquid ? [state.lastLiquid.fruit] : []), ...summary.from.map((part) => part.name)],
            yeastId: state.yeastId,
            methodId: batch.methodId,
            tastings: summary.tastings,
          },
        ],
  ),
);
