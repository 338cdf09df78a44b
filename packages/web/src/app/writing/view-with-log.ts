import type { Store } from '@ngrx/store';
import { filter, firstValueFrom, map } from 'rxjs';
import { selectBatchViews, type BatchView } from '../state/batch-views.selectors';
import { BatchPageActions } from '../state/batches.actions';

/** A log that has not come after so long will not, ms. */
const MOST_MS = 20_000;

/**
 * A batch with its log, which is fetched where only its summary is here: what is checked against nothing is not checked.
 *
 * @param store - where the log arrives
 * @param view - the batch as it is here
 * @returns null where the log does not come
 */
export async function viewWithLog(store: Store, view: BatchView): Promise<BatchView | null> {
  if (view.batch.entries !== null) return view;
  const { id } = view.batch;
  const arrived = firstValueFrom(
    store.select(selectBatchViews).pipe(
      map((views) => views.find((v) => v.batch.id === id && v.batch.entries !== null)),
      filter((found) => found !== undefined),
    ),
  );
  const late = new Promise<null>((resolve) => setTimeout(() => resolve(null), MOST_MS));
  store.dispatch(BatchPageActions.logsWanted({ batchIds: [id] }));
  return Promise.race([arrived, late]);
}
