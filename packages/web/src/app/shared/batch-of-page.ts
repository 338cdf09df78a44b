import { computed, inject, type Signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { selectBatchViews, type BatchView } from '../state/batch-views.selectors';

/**
 * The batch a page is about.
 *
 * @param id - the id in the page's address
 * @returns its view; undefined when there is no such batch
 */
export function injectBatchView(id: Signal<string>): Signal<BatchView | undefined> {
  const views = inject(Store).selectSignal(selectBatchViews);
  return computed(() => views().find((view) => view.batch.id === id()));
}
