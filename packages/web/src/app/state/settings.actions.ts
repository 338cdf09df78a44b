import type { Problem, VersionedSettings } from '@trug/contract/plain';
import { createActionGroup, props } from '@ngrx/store';

/** What people choose. */
export const SettingsPageActions = createActionGroup({
  source: 'Settings Page',
  events: { 'Settings Changed': props<{ readonly sent: VersionedSettings }>() },
});

/** What the server answers. */
export const SettingsApiActions = createActionGroup({
  source: 'Settings API',
  events: {
    /** As they were sent and as they were stored, on top of what another window may have stored. */
    'Settings Stored': props<{ readonly sent: VersionedSettings; readonly settings: VersionedSettings }>(),
    'Settings Refused': props<{ readonly sent: VersionedSettings; readonly problem: Problem }>(),
  },
});
