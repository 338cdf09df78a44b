import { provideHttpClient, withFetch } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, inject, provideZonelessChangeDetection } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, RouterOutlet } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore, Store } from '@ngrx/store';

/** Nothing, drawn with everything that Trug is drawn with: what its shelf is measured beside. */
@Component({
  selector: 'blank-root',
  imports: [RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<main>Blank</main>
    <router-outlet />`,
})
class Blank {
  protected readonly store = inject(Store);
  protected readonly bar = inject(MatSnackBar);
}

await bootstrapApplication(Blank, {
  providers: [provideZonelessChangeDetection(), provideRouter([]), provideHttpClient(withFetch()), provideStore({}), provideEffects()],
});
