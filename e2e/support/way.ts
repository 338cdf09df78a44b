import { replay, type BatchState, type Entry, type Liquid } from '@trug/core';
import type { Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import type { HandName } from '../pages/hands';
import { TestTrug, type DESK, type PHONE } from './trug';

/** The settings of who walks a way. */
export interface Maker {
  readonly volume?: 'L' | 'us-gal' | 'imp-gal';
  readonly mass?: 'metric' | 'imperial';
  readonly temperature?: 'degC' | 'degF';
  readonly gravity?: 'SG' | 'Bx' | 'g/L';
  readonly timeZone?: string;
}

/** A way of making, walked from the empty shelf. */
export class Way {
  readonly trug = new TestTrug();
  private opened: { readonly bench: Bench; readonly page: Page; readonly faults: string[] } | null = null;

  /** Starts on a day, for a maker, on a screen. */
  async begin(day: string, maker: Maker, screen: typeof DESK | typeof PHONE, hand: HandName): Promise<Bench> {
    await this.trug.start(day);
    const settings = await this.trug.ask<object>('/api/settings');
    await this.trug.send('PUT', '/api/settings', { ...settings, ...maker, timeZoneChosen: maker.timeZone !== undefined });
    const { page, faults } = await this.trug.page(screen);
    this.opened = { bench: new Bench(page, this.trug.url, hand), page, faults };
    return this.bench;
  }

  get bench(): Bench {
    return this.then.bench;
  }

  /** What the page complained of. */
  get faults(): readonly string[] {
    return this.then.faults;
  }

  private get then(): { readonly bench: Bench; readonly page: Page; readonly faults: string[] } {
    if (!this.opened) throw new Error('begin first');
    return this.opened;
  }

  /** The path of the batch whose page, or one of whose pages, is open. */
  here(): string {
    const [path] = /^\/batch\/[^/]+/.exec(new URL(this.then.page.url()).pathname) ?? [];
    if (path === undefined) throw new Error(`${this.then.page.url()} is no batch's`);
    return path;
  }

  /** The log of the batch at a path. */
  async log(path: string): Promise<readonly Entry[]> {
    return (await this.trug.ask<{ entries: readonly Entry[] }>(`/api${path.replace('batch', 'batches')}`)).entries;
  }

  /** What the log of the batch at a path tells; a log that does not add up fails. */
  async state(path: string): Promise<BatchState> {
    const state = replay(await this.log(path));
    if (state.issues.length > 0) throw new Error(state.issues.map((issue) => issue.text).join('; '));
    return state;
  }

  /** What stands in the vessels of the batch at a path. */
  async drink(path: string): Promise<Liquid> {
    const { liquid } = await this.state(path);
    if (!liquid) throw new Error(`nothing of ${path} stands in a vessel`);
    return liquid;
  }

  /** Turns the clock, and opens the batch at a path on that day. */
  async on(day: string, path: string): Promise<void> {
    await this.trug.moveClock(day);
    await this.bench.open(path);
  }

  /** Does something that files entries of the open batch, and waits until so many more are there. */
  async files(more: number, act: () => Promise<void>): Promise<void> {
    const path = this.here();
    const before = (await this.log(path)).length;
    await act();
    await this.bench
      .until(async () => (await this.log(path)).length >= before + more)
      .catch(async (error: unknown) => {
        throw new Error(`nothing was filed; the page says: ${await this.bench.text('body')}`, { cause: error });
      });
    // The page has its answer as well: who leaves before it is asked later which of two is meant.
    await this.bench.quiet();
    const now = (await this.log(path)).length;
    if (now !== before + more) throw new Error(`${now - before} entries were filed, not ${more}`);
  }

  /** Scribbles a line of which so many entries come. */
  async scribbles(line: string, entries = 1): Promise<void> {
    await this.files(entries, async () => {
      await this.bench.press('Scribble a line…');
      await this.bench.fill('scribble', line);
      await this.bench.press('Write it down');
    });
  }

  /** Begins a batch of juice that waits for its yeast, in a vessel of its own. */
  async beginsJuice(fields: Readonly<Record<string, string>>, method?: string): Promise<string> {
    await this.bench.open('/new');
    await this.fills(fields);
    if (method !== undefined) await this.bench.choose('method', method);
    await this.bench.press('Put it in the cupboard');
    await this.bench.tickOption('clean', 'later');
    await this.bench.press('Begin it');
    await this.bench.says(/It waits for yeast/, 'trug-now');
    return this.here();
  }

  /** Chooses a kind of yeast on the page where it is pitched, among the best or all of them. */
  async takesYeast(yeastId: string): Promise<void> {
    if ((await this.bench.page.$(`input[name="yeast"][value="${yeastId}"]`)) === null) await this.bench.press('All 14 kinds');
    await this.bench.tickOption('yeast', yeastId);
  }

  /** Fills several fields. */
  async fills(fields: Readonly<Record<string, string>>): Promise<void> {
    for (const [name, text] of Object.entries(fields)) await this.bench.fill(name, text);
  }
}
