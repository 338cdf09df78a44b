import type { Store } from '@ngrx/store';
import { batchesFeature } from './batches.reducer';
import { resourceById } from './resources.reducer';
import { vesselsFeature } from './vessels.reducer';

/**
 * Whether the store shows something as kept.
 *
 * @param store - the store
 * @param id - of a batch, an entry of a log that is here, a vessel or a resource
 */
export function isStored(store: Store, id: string): boolean {
  const batches = store.selectSignal(batchesFeature.selectEntities)();
  return (
    batches[id] !== undefined ||
    store.selectSignal(vesselsFeature.selectEntities)()[id] !== undefined ||
    resourceById(store, id) !== null ||
    Object.values(batches).some((batch) => batch?.entries?.some((entry) => entry.id === id))
  );
}
