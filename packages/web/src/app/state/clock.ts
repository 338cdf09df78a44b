import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import { appFeature } from './app.reducer';

/** Now by the server's clock, which may stand at another day than this machine's. */
@Injectable({ providedIn: 'root' })
export class Clock {
  private readonly loaded = inject(Store).selectSignal(appFeature.selectClock);

  /** ISO 8601; this machine's own time before anything is loaded. */
  now(): string {
    const { now, atMs } = this.loaded();
    return new Date(now === '' ? Date.now() : Date.parse(now) + (Date.now() - atMs)).toISOString();
  }
}
