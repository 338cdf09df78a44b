import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { dayText } from '@trug/core/quantity/days';
import { Icon } from '../shared/icon/icon';
import { batchesFeature } from '../state/batches.reducer';
import { BatchPageActions } from '../state/batches.actions';
import { AppActions } from '../state/cellarbook.actions';
import { cupboardFeature } from '../state/cupboard.reducer';
import { isTyping, keyAct } from './keys';
import { PLACES } from './places';

/** The frame: the rail of places, the day, and whatever place is open. */
@Component({
  selector: 'trug-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, RouterLink, RouterLinkActive, Icon],
  templateUrl: './app.html',
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'press($event)' },
})
export class App {
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly now = this.store.selectSignal(cupboardFeature.selectNow);
  private readonly theme = this.store.selectSignal(cupboardFeature.selectSettings);
  private afterG = false;
  protected readonly loaded = this.store.selectSignal(batchesFeature.selectLoaded);
  protected readonly problem = this.store.selectSignal(batchesFeature.selectProblem);
  protected readonly places = PLACES;
  protected readonly helpOpen = signal(false);
  protected readonly today = computed(() => (this.now() === '' ? '' : dayText(this.now(), true)));

  constructor() {
    this.store.dispatch(AppActions.opened());
    effect(() => {
      const { theme } = this.theme();
      if (theme === 'system') delete document.documentElement.dataset['theme'];
      else document.documentElement.dataset['theme'] = theme;
    });
  }

  protected reload(): void {
    this.store.dispatch(BatchPageActions.reloadAsked());
  }

  protected press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'Escape') {
      this.leave(event);
      return;
    }
    if (isTyping(event.target)) return;
    const act = keyAct(event.key, this.afterG);
    this.afterG = act === 'waiting';
    if (act === 'help') this.helpOpen.update((open) => !open);
    else if (act !== null && act !== 'waiting') {
      event.preventDefault();
      void this.router.navigateByUrl(act.go);
    }
  }

  private leave(event: KeyboardEvent): void {
    if (this.helpOpen()) this.helpOpen.set(false);
    else if (isTyping(event.target) && event.target instanceof HTMLElement) event.target.blur();
    else {
      const [, place, id, page] = this.router.url.split('/');
      if (place === 'batch' && page !== undefined) void this.router.navigateByUrl(`/batch/${id ?? ''}`);
      else void this.router.navigateByUrl('/shelf');
    }
  }
}
