import { createSelector } from '@ngrx/store';
import { selectBatchViews } from '../state/batch-views.selectors';
import { cupboardFeature } from '../state/cupboard.reducer';

/** The maker's vessels with nothing in them. */
export const selectFreeVessels = createSelector(selectBatchViews, cupboardFeature.selectVessels, (views, vessels) => {
  const used = new Set(views.flatMap((v) => (v.state.liquid ? v.state.vessels.map((f) => f.vesselId) : [])));
  return vessels.filter((vessel) => !used.has(vessel.id));
});
