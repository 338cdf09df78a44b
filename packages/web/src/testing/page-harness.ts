// What pages load when they first need it is there already: a cold machine takes seconds over it.
import '@trug/contract';
import '../app/writing/check-by-core';
import type { ComponentHarness, HarnessQuery } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { provideHttpClient } from '@angular/common/http';
import { Component, ChangeDetectionStrategy, provideZonelessChangeDetection, type Provider, type Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { ScannedActionsSubject, provideStore, Store, type Action } from '@ngrx/store';
import {
  DEFAULT_SETTINGS,
  type BatchDto,
  type InstrumentDto,
  type PlaceDto,
  type StoredRecipe,
  type StoredJuice,
  type Problem,
  type SupplyDto,
  type VersionedSettings,
  type VesselDto,
} from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { AppApiActions } from '../app/state/app.actions';
import type { Filing } from '../app/state/batches.actions';
import { fetchFold } from '../app/state/lazy-fold';
import { provideTrugState } from '../app/state/provide-state';
import type { ResourceName, Resources } from '../app/state/resources.actions';
import { dayAt } from './sample-batch';
import { isFiling, isSaving, serverAnswer } from './server-answer';
import { until } from './until';

/** What a page is opened on. */
export interface PageSetting {
  readonly batches?: readonly BatchDto[];
  readonly vessels?: readonly VesselDto[];
  readonly juices?: readonly StoredJuice[];
  readonly supplies?: readonly SupplyDto[];
  readonly instruments?: readonly InstrumentDto[];
  readonly places?: readonly PlaceDto[];
  readonly recipes?: readonly StoredRecipe[];
  readonly providers?: readonly Provider[];
  readonly settings?: Partial<VersionedSettings>;
  /** Day of the sample batch that is today. */
  readonly today?: number;
  readonly inputs?: Readonly<Record<string, unknown>>;
}

@Component({ selector: 'trug-elsewhere', changeDetection: ChangeDetectionStrategy.OnPush, template: '' })
class Elsewhere {}

/** A page as a person meets it: what it says, its fields by name and its buttons by their words. */
export class PageHarness {
  readonly actions: Action[] = [];
  /** What the server answers to entries: nothing against them unless a test says otherwise. */
  refusal: Problem | null = null;

  private constructor(
    private readonly fixture: ComponentFixture<unknown>,
    private readonly root: HTMLElement,
  ) {}

  /** Opens a page on a store that was just loaded; nothing is sent anywhere. */
  static async open(page: Type<unknown>, setting: PageSetting = {}): Promise<PageHarness> {
    localStorage.clear();
    sessionStorage.clear();
    return PageHarness.reopen(page, setting);
  }

  /** The same with the drafts of an earlier visit. */
  static async reopen(
    page: Type<unknown>,
    {
      batches = [],
      vessels = [],
      juices = [],
      supplies = [],
      instruments = [],
      places = [],
      recipes = [],
      providers = [],
      settings = {},
      today = 0,
      inputs = {},
    }: PageSetting,
  ): Promise<PageHarness> {
    // Batches come with their logs here, and with logs comes what folds them.
    await fetchFold();
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [
        provideZonelessChangeDetection(),
        provideRouter([{ path: '**', component: Elsewhere }]),
        provideHttpClient(),
        provideStore(),
        ...provideTrugState(),
        provideEffects(),
        ...providers,
      ],
    });
    const store = TestBed.inject<Store>(Store);
    store.dispatch(
      AppApiActions.loaded({
        snapshot: {
          now: dayAt(today),
          loadedAtMs: Date.now(),
          mode: 'open',
          head: '',
          home: null,
          batches,
          vessels,
          juices,
          supplies,
          instruments,
          places,
          recipes,
          settings: { ...DEFAULT_SETTINGS, ...settings },
        },
      }),
    );
    const fixture = TestBed.createComponent(page);
    for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
    const harness = new PageHarness(fixture, fixture.nativeElement as HTMLElement);
    TestBed.inject(ScannedActionsSubject).subscribe((action) => {
      harness.actions.push(action);
      const answer = serverAnswer(action, harness.refusal);
      if (answer) setTimeout(() => store.dispatch(answer));
    });
    await fixture.whenStable();
    return harness;
  }

  /** Everything the page says, white space folded. */
  text(selector?: string): string {
    const from = selector === undefined ? this.root : this.find(selector);
    return from.textContent.replace(/\s+/g, ' ').trim();
  }

  /** Moves the pointer over something. */
  pointAt(selector: string): void {
    this.find(selector).dispatchEvent(new Event('pointerenter'));
  }

  /** What each of them says. */
  texts(selector: string): readonly string[] {
    return [...this.root.querySelectorAll(selector)].map((el) => el.textContent.replace(/\s+/g, ' ').trim());
  }

  has(selector: string): boolean {
    return this.root.querySelector(selector) !== null;
  }

  /** Waits until something is there, as for an answer worked out beside the page. */
  async shows(selector: string): Promise<void> {
    await until(() => this.has(selector));
    await this.fixture.whenStable();
  }

  attribute(selector: string, name: string): string | null {
    return this.find(selector).getAttribute(name);
  }

  count(selector: string): number {
    return this.root.querySelectorAll(selector).length;
  }

  value(name: string): string {
    return this.root.querySelector(`trug-select[name="${name}"]`)?.getAttribute('data-chosen') ?? this.field(name).value;
  }

  /** The names of every field a person can type into, as they stand. */
  fieldNames(): readonly string[] {
    const typed = [...this.root.querySelectorAll<HTMLInputElement>('input')].filter((el) => el.type === 'text');
    return [...new Set(typed.flatMap((el) => el.name || (el.getAttribute('name') ?? '') || []))];
  }

  /** The names of every field that takes a figure, as they stand. */
  figureNames(): readonly string[] {
    const typed = [...this.root.querySelectorAll<HTMLInputElement>('trug-quantity input, trug-number input, trug-line.count input, input[inputmode=decimal]')];
    // A vessel, a fruit or a sweet thing added on the way is a form of its own.
    return [...new Set(typed.filter((el) => el.closest('trug-add-vessel, trug-own-fruit, trug-own-sugar') === null).map((el) => el.name))];
  }

  async type(name: string, text: string): Promise<void> {
    const field = this.field(name);
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    await this.fixture.whenStable();
  }

  /** Types a field and leaves it, for one that is taken up when it is left. */
  async change(name: string, text: string): Promise<void> {
    const field = this.field(name);
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.dispatchEvent(new Event('change', { bubbles: true }));
    await this.fixture.whenStable();
  }

  /** Chooses one of what a field offers: from its list, or side by side. */
  async choose(name: string, value: string): Promise<void> {
    const field = this.find(`[name="${name}"]`);
    const sideBySide = field.querySelector<HTMLElement>(`mat-button-toggle[data-value="${value}"] button, input[type="radio"][value="${value}"]`);
    if (sideBySide) sideBySide.click();
    else (await this.offered(name)).find((option) => option.dataset['value'] === value)?.click();
    await this.fixture.whenStable();
  }

  /** The values a list offers. */
  async options(name: string): Promise<readonly string[]> {
    return this.read(name, (option) => option.dataset['value'] ?? '');
  }

  /** The words a list offers. */
  async offers(name: string): Promise<readonly string[]> {
    return this.read(name, (option) => option.textContent.trim());
  }

  async tick(selector: string): Promise<void> {
    this.find(selector).click();
    await this.fixture.whenStable();
  }

  /** Ticks the box of these words. */
  async tickBox(words: string): Promise<void> {
    const box = [...this.root.querySelectorAll<HTMLElement>('mat-checkbox')].find((el) => el.textContent.trim().startsWith(words));
    if (!box) throw new Error(`there is no box for "${words}"`);
    await this.tick(`#${box.id} input`);
  }

  /** Presses the button or link of these words. */
  async press(words: string): Promise<void> {
    const all = [...this.root.querySelectorAll<HTMLElement>('button, a')];
    const target = all.find((el) => el.textContent.trim() === words || el.getAttribute('aria-label') === words);
    if (!target) throw new Error(`there is nothing called "${words}", only ${all.map((el) => `"${el.textContent.trim()}"`).join(', ')}`);
    target.click();
    await this.settled();
  }

  /** Keys pressed on something drawn, faster than it is drawn again. */
  async keys(selector: string, ...keys: readonly string[]): Promise<void> {
    for (const key of keys) this.find(selector).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    await this.settled();
  }

  /** Sends the page's form. */
  async submit(): Promise<void> {
    this.find('form').dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    await this.settled();
  }

  /** What the page has sent of one sort, in order. */
  sent<T extends Action>(type: string): readonly T[] {
    return this.actions.filter((action): action is T => action.type === type);
  }

  /** What the page has saved of one resource, in order. */
  saved<N extends ResourceName>(of: N): readonly Resources[N][] {
    return this.actions.flatMap((action) => (isSaving(action) && action.sent.of === of ? [action.sent.resource as Resources[N]] : []));
  }

  /** What the page has filed, in order. */
  filed(): readonly Filing[] {
    return this.actions.flatMap((action) => (isFiling(action) ? [action.sent] : []));
  }

  /** The entries the page has written, in order. */
  written(): readonly Entry[] {
    return this.filed().flatMap((filing) => filing.entries);
  }

  /** The first of the kit's controls of a kind, driven by the kit's own harness. */
  harness<T extends ComponentHarness>(kind: HarnessQuery<T>): Promise<T> {
    return TestbedHarnessEnvironment.loader(this.fixture).getHarness(kind);
  }

  address(): string {
    return TestBed.inject(Router).url;
  }

  private find<T extends HTMLElement = HTMLElement>(selector: string): T {
    const found = this.root.querySelector<T>(selector);
    if (!found) throw new Error(`there is no ${selector}`);
    return found;
  }

  private async read(name: string, what: (option: HTMLElement) => string): Promise<readonly string[]> {
    const read = (await this.offered(name)).map(what);
    await this.keys(`[name="${name}"] mat-select`, 'Escape');
    return read;
  }

  /** The options of a list, opened. */
  private async offered(name: string): Promise<readonly HTMLElement[]> {
    const list = this.find(`[name="${name}"] mat-select`);
    list.click();
    await this.fixture.whenStable();
    return [...document.querySelectorAll<HTMLElement>(`#${list.getAttribute('aria-controls') ?? ''} mat-option`)];
  }

  private field(name: string): HTMLInputElement {
    return this.find<HTMLInputElement>(`[name="${name}"] input, input[name="${name}"], textarea[name="${name}"]`);
  }

  /** Filing checks by the contract first, so a few turns pass before anything is dispatched. */
  async settled(): Promise<void> {
    for (let i = 0; i < 5; i += 1) {
      await new Promise((resolve) => setTimeout(resolve, 5));
      await this.fixture.whenStable();
    }
  }
}
