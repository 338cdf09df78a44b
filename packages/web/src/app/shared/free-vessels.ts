import { createSelector } from '@ngrx/store';
import { dirtyVessels } from '@trug/core/rack/dirty-vessels';
import { batchesFeature } from '../state/batches.reducer';
import { selectBatchViews } from '../state/batch-views.selectors';
import { cupboardFeature } from '../state/cupboard.reducer';

const selectHeldVesselIds = createSelector(
  selectBatchViews,
  (views) => new Set(views.flatMap((v) => (v.state.liquid ? v.state.vessels.map((f) => f.vesselId) : []))),
);

/** Vessels that came back empty and were not cleaned since. */
export const selectDirtyVessels = createSelector(batchesFeature.selectAll, cupboardFeature.selectVessels, selectHeldVesselIds, (batches, vessels, held) =>
  dirtyVessels(
    batches.map((b) => b.entries),
    vessels.map(({ id, cleanedAt = null }) => ({ id, cleanedAt })),
    held,
  ),
);

/** The maker's vessels with nothing in them. */
export const selectFreeVessels = createSelector(selectHeldVesselIds, cupboardFeature.selectVessels, (held, vessels) =>
  vessels.filter((vessel) => !held.has(vessel.id)),
);
