import { effect, inject, Injectable, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { CupboardPageActions } from '../state/cellarbook.actions';
import { batchesFeature } from '../state/batches.reducer';
import { cupboardFeature } from '../state/cupboard.reducer';

/** The zone this browser lives in. */
export const browserZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** Takes the maker's time zone from the browser, until one is chosen by hand. */
@Injectable({ providedIn: 'root' })
export class ZoneOfBrowser {
  private readonly store = inject(Store);
  private readonly loaded = this.store.selectSignal(batchesFeature.selectLoaded);
  private readonly settings = this.store.selectSignal(cupboardFeature.selectStoredSettings);
  private told = false;

  constructor() {
    effect(() => {
      const settings = this.settings();
      if (!this.loaded() || this.told || settings.timeZoneChosen) return;
      this.told = true;
      const timeZone = browserZone();
      if (timeZone !== settings.timeZone) untracked(() => this.store.dispatch(CupboardPageActions.settingsChanged({ settings: { ...settings, timeZone } })));
    });
  }
}
