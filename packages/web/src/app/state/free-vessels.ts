import { createSelector } from '@ngrx/store';
import { dirtyVessels } from '@trug/core/book/summary/dirty-vessels';
import { selectBatchViews, selectSummaries } from './batch-views.selectors';
import { vesselsFeature } from './vessels.reducer';

const selectHeldVesselIds = createSelector(
  selectBatchViews,
  (views) => new Set(views.flatMap((v) => (v.state.liquid ? v.state.vessels.map((f) => f.vesselId) : []))),
);

/** Vessels that came back empty and were not cleaned since. */
export const selectDirtyVessels = createSelector(selectSummaries, vesselsFeature.selectInUse, selectHeldVesselIds, (summaries, vessels, held) =>
  dirtyVessels(
    summaries.flatMap((s) => s.emptied),
    vessels.map(({ id, cleanedAt = null }) => ({ id, cleanedAt })),
    held,
  ),
);

/** The maker's vessels with nothing in them, those that are clean first: only they are ever chosen for the maker. */
export const selectFreeVessels = createSelector(selectHeldVesselIds, selectDirtyVessels, vesselsFeature.selectInUse, (held, dirty, vessels) => {
  const soiled = new Set(dirty.map((d) => d.vesselId));
  return vessels
    .filter((vessel) => !held.has(vessel.id))
    .map((vessel) => ({ ...vessel, clean: !soiled.has(vessel.id) }))
    .sort((a, b) => Number(b.clean) - Number(a.clean));
});
