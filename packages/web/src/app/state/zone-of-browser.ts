import { effect, inject, Injectable, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { browserZone } from '../browser/browser-zone';
import { appFeature } from './app.reducer';
import { SettingsPageActions } from './settings.actions';
import { settingsFeature } from './settings.reducer';

/** Takes the maker's time zone from the browser, until one is chosen by hand. */
@Injectable({ providedIn: 'root' })
export class ZoneOfBrowser {
  private readonly store = inject(Store);
  private readonly loaded = this.store.selectSignal(appFeature.selectLoaded);
  private readonly settings = this.store.selectSignal(settingsFeature.selectStored);
  private told = false;

  constructor() {
    effect(() => {
      const settings = this.settings();
      if (!this.loaded() || this.told || settings.timeZoneChosen) return;
      this.told = true;
      const timeZone = browserZone();
      if (timeZone !== settings.timeZone) untracked(() => this.store.dispatch(SettingsPageActions.settingsChanged({ sent: { ...settings, timeZone } })));
    });
  }
}
