import { computed, effect, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { selectBatchViews, type BatchView } from './batch-views.selectors';
import { BatchPageActions } from './batches.actions';

/**
 * The batch a page is about, with its log, which is fetched when it is not here.
 *
 * @param id - the id in the page's address
 * @returns its view; undefined while its log comes, and when there is no such batch
 */
export function injectBatchView(id: Signal<string>): Signal<BatchView | undefined> {
  const store = inject<Store>(Store);
  const views = store.selectSignal(selectBatchViews);
  const found = computed(() => views().find((view) => view.batch.id === id()));
  const isMissing = computed(() => found()?.batch.entries === null);
  effect(() => {
    if (isMissing()) store.dispatch(BatchPageActions.logsWanted({ batchIds: [id()] }));
  });
  return computed(() => (isMissing() ? undefined : found()));
}
