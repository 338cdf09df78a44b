import { DEFAULT_SETTINGS, type VersionedSettings, type VesselDto } from '@trug/contract/plain';
import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import { CellarbookApiActions, CupboardPageActions } from './cellarbook.actions';

/** The maker's things and choices, and what day it is. */
export interface CupboardState {
  /** The server's clock at the last load, ISO 8601; empty before it. */
  readonly now: string;
  readonly vessels: readonly VesselDto[];
  readonly settings: VersionedSettings;
  /** The settings as stored, to go back to when a change is refused. */
  readonly storedSettings: VersionedSettings;
}

const initial: CupboardState = { now: '', vessels: [], settings: DEFAULT_SETTINGS, storedSettings: DEFAULT_SETTINGS };

const cleaned = (vessels: readonly VesselDto[], id: string, cleanedAt: string | null): readonly VesselDto[] =>
  vessels.map((v) => (v.id === id ? { ...v, cleanedAt } : v));

/** Vessels, settings and the day. */
export const cupboardFeature = createFeature({
  name: 'cupboard',
  reducer: createReducer(
    initial,
    on(CellarbookApiActions.loaded, (_state, { book }) => ({ now: book.now, vessels: book.vessels, settings: book.settings, storedSettings: book.settings })),
    on(CupboardPageActions.vesselAdded, (state, { vessel }) => ({ ...state, vessels: [...state.vessels, vessel] })),
    on(CellarbookApiActions.vesselRefused, (state, { vessel }) => ({ ...state, vessels: state.vessels.filter((v) => v.id !== vessel.id) })),
    on(CupboardPageActions.vesselCleaned, (state, { vesselId, at }) => ({ ...state, vessels: cleaned(state.vessels, vesselId, at) })),
    on(CellarbookApiActions.cleaningRefused, (state, { vesselId }) => ({ ...state, vessels: cleaned(state.vessels, vesselId, null) })),
    on(CupboardPageActions.settingsChanged, (state, { settings }) => ({ ...state, settings })),
    // A later change may be on its way already, so only the version is taken over.
    on(CellarbookApiActions.settingsStored, (state, { settings }) => ({
      ...state,
      settings: { ...state.settings, version: settings.version },
      storedSettings: settings,
    })),
    on(CellarbookApiActions.settingsRefused, (state) => ({ ...state, settings: state.storedSettings })),
  ),
  extraSelectors: ({ selectVessels }) => ({
    selectVesselById: createSelector(selectVessels, (vessels) => new Map(vessels.map((v) => [v.id, v]))),
  }),
});
