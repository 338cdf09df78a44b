import { DEFAULT_SETTINGS, type CellarMode, type VersionedSettings, type VesselDto } from '@trug/contract/plain';
import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import { AppActions, CellarbookApiActions, CupboardPageActions } from './cellarbook.actions';

/** The maker's things and choices, and what day it is. */
export interface CupboardState {
  /** The server's clock at the last load, ISO 8601; empty before it. */
  readonly now: string;
  /** This machine's clock at that moment, ms since 1970. */
  readonly loadedAtMs: number;
  /** Whether the cellar can be written into. */
  readonly mode: CellarMode;
  readonly vessels: readonly VesselDto[];
  readonly settings: VersionedSettings;
  /** The settings as stored, to go back to when a change is refused. */
  readonly storedSettings: VersionedSettings;
}

const initial: CupboardState = { now: '', loadedAtMs: 0, mode: 'open', vessels: [], settings: DEFAULT_SETTINGS, storedSettings: DEFAULT_SETTINGS };

const cleaned = (vessels: readonly VesselDto[], id: string, cleanedAt: string | null): readonly VesselDto[] =>
  vessels.map((v) => (v.id === id ? { ...v, cleanedAt } : v));

/** Choices that are no longer as they were sent. */
function changedSince(sent: VersionedSettings, now: VersionedSettings): Partial<VersionedSettings> {
  const before = new Map(Object.entries(sent));
  return Object.fromEntries(Object.entries(now).filter(([field, value]) => before.get(field) !== value));
}

/** Vessels, settings and the day. */
export const cupboardFeature = createFeature({
  name: 'cupboard',
  reducer: createReducer(
    initial,
    on(CellarbookApiActions.loaded, (_state, { book }) => ({
      now: book.now,
      loadedAtMs: book.loadedAtMs,
      mode: book.mode,
      vessels: book.vessels,
      settings: book.settings,
      storedSettings: book.settings,
    })),
    on(AppActions.ticked, (state, { now, atMs }) => (state.now === '' ? state : { ...state, now, loadedAtMs: atMs })),
    on(CupboardPageActions.vesselAdded, (state, { vessel }) => ({ ...state, vessels: [...state.vessels.filter((v) => v.id !== vessel.id), vessel] })),
    on(CellarbookApiActions.vesselRefused, (state, { vessel }) => ({ ...state, vessels: state.vessels.filter((v) => v.id !== vessel.id) })),
    on(CupboardPageActions.vesselCleaned, (state, { vesselId, at }) => ({ ...state, vessels: cleaned(state.vessels, vesselId, at) })),
    on(CellarbookApiActions.cleaningRefused, (state, { vesselId }) => ({ ...state, vessels: cleaned(state.vessels, vesselId, null) })),
    on(CupboardPageActions.settingsChanged, (state, { settings }) => ({ ...state, settings })),
    on(CellarbookApiActions.settingsStored, (state, { sent, settings }) => ({
      ...state,
      // A later change may be on its way already, so what was changed since stays.
      settings: { ...settings, ...changedSince(sent, state.settings), version: settings.version },
      storedSettings: settings,
    })),
    on(CellarbookApiActions.settingsRefused, (state) => ({ ...state, settings: state.storedSettings })),
  ),
  extraSelectors: ({ selectVessels, selectNow, selectLoadedAtMs }) => ({
    /** The server's clock and this machine's at one moment. */
    selectClock: createSelector(selectNow, selectLoadedAtMs, (now, atMs) => ({ now, atMs })),
    selectVesselById: createSelector(selectVessels, (vessels) => new Map(vessels.map((v) => [v.id, v]))),
  }),
});
