import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  Injector,
  signal,
  viewChild,
} from '@angular/core';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { toSignal } from '@angular/core/rxjs-interop';
import { Store } from '@ngrx/store';
import { filter, map } from 'rxjs';
import { Icon } from '../shared/icon/icon';
import { selectBatchViews } from '../state/batch-views.selectors';
import { Clock } from '../state/clock';
import { Trouble } from '../browser/trouble';
import { DraftOffers } from '../writing/draft-offers';
import { Units } from '../units/units';
import { isTyping, keyAct } from './keys';
import { KeysHelp } from './keys-help';
import { QuickSums } from './quick-sums';
import { ScribbleSheet } from '../features/scribble/scribble-sheet';
import { PLACES } from './places';
import { AppActions } from '../state/app.actions';
import { appFeature } from '../state/app.reducer';
import { LiveChanges } from '../state/live-changes';
import { settingsFeature } from '../state/settings.reducer';
import { TrugApi } from '../state/trug-api';
import { ZoneOfBrowser } from '../state/zone-of-browser';
import { Outbox } from '../writing/outbox';

/** How often the clock of an open window moves on. */
const TICK_MS = 60_000;

/** The frame: the rail of places, the day, and whatever place is open. */
@Component({
  selector: 'trug-root',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterOutlet, RouterLink, RouterLinkActive, Icon, KeysHelp, QuickSums, ScribbleSheet],
  templateUrl: './app.html',
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'press($event)' },
})
export class App {
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly now = this.store.selectSignal(appFeature.selectNow);
  private readonly theme = this.store.selectSignal(settingsFeature.selectSettings);
  private afterG = false;
  protected readonly loaded = this.store.selectSignal(appFeature.selectLoaded);
  protected readonly problem = this.store.selectSignal(appFeature.selectProblem);
  protected readonly places = PLACES;
  private readonly drafts = inject(DraftOffers);
  protected readonly offers = this.drafts.all;
  private readonly units = inject(Units);
  private readonly outbox = inject(Outbox);
  protected readonly sending = this.outbox.sending;
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => event.urlAfterRedirects),
    ),
    { initialValue: location.pathname },
  );
  /** Where the book itself is looked after, which opens even when nothing can be read out of it. */
  protected readonly atBook = computed(() => this.url().startsWith('/settings/book'));
  private readonly views = this.store.selectSignal(selectBatchViews);
  /** The batch the page is about; null where it is about none. */
  protected readonly batchOfPage = computed(() => /^\/batch\/([^/?#]+)/.exec(this.url())?.[1] ?? null);
  /** Whether the page is about a batch that is not there: no page of a batch has anything to show then. */
  protected readonly lost = computed(() => {
    const id = this.batchOfPage();
    return id !== null && !this.views().some((view) => view.batch.id === id);
  });
  protected readonly home = this.store.selectSignal(appFeature.selectHome);
  private readonly changes = inject(LiveChanges);
  private readonly api = inject(TrugApi);
  private readonly mode = this.store.selectSignal(appFeature.selectMode);
  /** What stands in the way of writing, on every page but the one where it is mended. */
  protected readonly notice = computed(() =>
    this.mode() === 'salvaged' && !this.atBook() ? 'Your cellar is damaged. You see what could be saved; nothing can be written down.' : null,
  );
  /** What went wrong inside Trug itself, where something did. */
  protected readonly trouble = inject(Trouble).said;
  protected readonly helpOpen = signal(false);
  protected readonly sumsOpen = signal(false);
  protected readonly scribbling = signal(false);
  private readonly scribble = viewChild<ElementRef<HTMLElement>>('scribble');
  private readonly injector = inject(Injector);
  protected readonly today = computed(() => (this.now() === '' ? '' : this.units.day(this.now(), true)));

  constructor() {
    this.changes.follow();
    this.store.dispatch(AppActions.opened());
    inject(ZoneOfBrowser);
    const clock = inject(Clock);
    // Hours and days are counted from now, and a window may stay open for weeks.
    const tick = setInterval(() => {
      if (document.visibilityState !== 'hidden') this.store.dispatch(AppActions.ticked({ now: clock.now(), atMs: Date.now() }));
    }, TICK_MS);
    // Before the form hears of it, which only the capturing phase does.
    const hold = (event: Event): void => this.holdBack(event);
    for (const kind of ['click', 'submit']) document.addEventListener(kind, hold, true);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(tick);
      for (const kind of ['click', 'submit']) document.removeEventListener(kind, hold, true);
    });
    effect(() => {
      this.url();
      this.outbox.release();
    });
    effect(() => {
      const { theme } = this.theme();
      if (theme === 'system') delete document.documentElement.dataset['theme'];
      else document.documentElement.dataset['theme'] = theme;
    });
  }

  /** The line is put away, and the keys go on from where it is opened. */
  protected putAway(): void {
    this.scribbling.set(false);
    afterNextRender(() => this.scribble()?.nativeElement.focus(), { injector: this.injector });
  }

  protected reload(): void {
    this.store.dispatch(AppActions.reloadAsked());
  }

  protected press(event: KeyboardEvent): void {
    // A list or a calendar that was closed by it has had the key.
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    if (event.key === 'Escape') {
      this.leave(event);
      return;
    }
    if (isTyping(event.target)) return;
    const act = keyAct(event.key, this.afterG);
    this.afterG = act === 'waiting';
    if (act === 'sums' || act === 'scribble') {
      // The letter is not typed into the field that opens.
      event.preventDefault();
      (act === 'sums' ? this.sumsOpen : this.scribbling).set(true);
    } else if (act === 'help') this.helpOpen.update((open) => !open);
    else if (act !== null && act !== 'waiting') {
      event.preventDefault();
      void this.router.navigateByUrl(act.go);
    }
  }

  /** While something is on its way to be filed, nothing that writes sends anything more. */
  private holdBack(event: Event): void {
    if (!this.outbox.holds() || !(event.target instanceof Element)) return;
    if (event instanceof MouseEvent && event.type === 'click' && !isHeld(event.target, event.detail)) return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** Back to the maker's own cellar, whether or not the season could still be told. */
  protected leaveSeason(home: string): void {
    const go = (): void => {
      location.assign(home);
    };
    // What is about to end is followed no more: the stream would ask for it again and again.
    this.changes.end();
    this.api.leaveSeason().subscribe({ next: go, error: go });
  }

  protected leaveOffer(key: string): void {
    this.drafts.withdraw(key);
  }

  protected moment(atMs: number): string {
    return this.units.moment(new Date(atMs).toISOString());
  }

  protected hour(atMs: number): string {
    return this.units.hour(new Date(atMs).toISOString());
  }

  private leave(event: KeyboardEvent): void {
    if (this.sumsOpen()) this.sumsOpen.set(false);
    else if (this.scribbling()) this.putAway();
    else if (this.helpOpen()) this.helpOpen.set(false);
    else if (isTyping(event.target) && event.target instanceof HTMLElement) event.target.blur();
    else {
      const [, place, id, page] = this.router.url.split('/');
      if (place === 'batch' && page !== undefined) void this.router.navigateByUrl(`/batch/${id ?? ''}`);
      else void this.router.navigateByUrl('/shelf');
    }
  }
}

/** Main buttons are held back, and the second press of a double one where another button may stand under the finger by now. */
function isHeld(target: Element, pressedTimes: number): boolean {
  return target.closest('.btn-main') !== null || (pressedTimes > 1 && target.closest('[data-writes]') !== null);
}
