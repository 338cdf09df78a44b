import { createEntityAdapter, type EntityState } from '@ngrx/entity';
import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import type { VesselDto } from '@trug/contract/plain';
import { isInUse } from './in-use';
import { AppApiActions } from './app.actions';
import { VesselApiActions, VesselPageActions, type VesselWrite } from './vessels.actions';

const adapter = createEntityAdapter<VesselDto>();

/** As it is shown before the server answers. */
function shown(state: EntityState<VesselDto>, sent: VesselWrite): EntityState<VesselDto> {
  if (sent.act === 'add' || sent.act === 'change') return adapter.upsertOne(sent.vessel, state);
  return sent.act === 'clean' ? adapter.upsertOne({ ...sent.vessel, cleanedAt: sent.at }, state) : state;
}

/** The maker's vessels: what is done to one is shown at once and taken back when it is refused. */
export const vesselsFeature = createFeature({
  name: 'vessels',
  reducer: createReducer(
    adapter.getInitialState(),
    on(AppApiActions.loaded, (state, { snapshot }) => adapter.setAll([...snapshot.vessels], state)),
    on(AppApiActions.listsRefreshed, (state, { lists }) => (lists.vessels ? adapter.setAll([...lists.vessels], state) : state)),
    on(VesselPageActions.vesselSent, (state, { sent }) => shown(state, sent)),
    on(VesselApiActions.vesselStored, (state, { vessel }) => adapter.upsertOne(vessel, state)),
    on(VesselApiActions.vesselGone, (state, { sent }) => adapter.removeOne(sent.vessel.id, state)),
    on(VesselApiActions.vesselRefused, (state, { sent }) =>
      sent.act === 'add' ? adapter.removeOne(sent.vessel.id, state) : adapter.upsertOne(sent.act === 'change' ? sent.was : sent.vessel, state),
    ),
  ),
  extraSelectors: ({ selectVesselsState }) => {
    const selectors = adapter.getSelectors(selectVesselsState);
    return {
      ...selectors,
      /** Those that are used; logs tell of the others by their ids. */
      selectInUse: createSelector(selectors.selectAll, (vessels) => vessels.filter((v) => isInUse(v))),
      selectVesselById: createSelector(selectors.selectAll, (vessels) => new Map(vessels.map((v) => [v.id, v]))),
    };
  },
});
