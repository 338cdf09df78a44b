import { DEFAULT_SETTINGS, type VersionedSettings } from '@trug/contract/plain';
import { createFeature, createReducer, on } from '@ngrx/store';
import { AppApiActions } from './app.actions';
import { SettingsApiActions, SettingsPageActions } from './settings.actions';

/** The maker's choices. */
export interface SettingsState {
  readonly settings: VersionedSettings;
  /** As stored, to go back to when a change is refused. */
  readonly stored: VersionedSettings;
}

const initial: SettingsState = { settings: DEFAULT_SETTINGS, stored: DEFAULT_SETTINGS };

/** Choices that are no longer as they were sent. */
function changedSince(sent: VersionedSettings, now: VersionedSettings): Partial<VersionedSettings> {
  const before = new Map(Object.entries(sent));
  return Object.fromEntries(Object.entries(now).filter(([field, value]) => before.get(field) !== value));
}

/** The maker's choices: in force at once, and as they were when a change is refused. */
export const settingsFeature = createFeature({
  name: 'settings',
  reducer: createReducer(
    initial,
    on(AppApiActions.loaded, (_state, { snapshot: { settings } }) => ({ settings, stored: settings })),
    on(AppApiActions.listsRefreshed, (state, { lists: { settings } }) => (settings ? { settings, stored: settings } : state)),
    on(SettingsPageActions.settingsChanged, (state, { sent }) => ({ ...state, settings: sent })),
    on(SettingsApiActions.settingsStored, (state, { sent, settings }) => ({
      // A later change may be on its way already, so what was changed since stays.
      settings: { ...settings, ...changedSince(sent, state.settings), version: settings.version },
      stored: settings,
    })),
    on(SettingsApiActions.settingsRefused, (state) => ({ ...state, settings: state.stored })),
  ),
});
