import type { ElementHandle, HTTPRequest, Page } from 'puppeteer-core';
import { BEHIND, WITHIN_MS } from '../support/trug';
import { HANDS, type HandName } from './hands';

/** Scrolls something clear of the bar at the bottom of a phone, as a thumb would. */
const centred = (handle: ElementHandle): Promise<void> => handle.evaluate((el) => el.scrollIntoView({ block: 'center' }));

/**
 * Waits until something has stayed in its place for some frames, and nothing lies over it: what was typed may still move the page, and
 * a sheet may still be closing. What never comes clear is pressed as it is.
 */
const still = (handle: ElementHandle): Promise<void> =>
  handle.evaluate(
    (el) =>
      new Promise<void>((resolve) => {
        let [last, equal, looks] = ['', 0, 0];
        const look = (): void => {
          const { x, y, width, height } = el.getBoundingClientRect();
          const now = `${x} ${y} ${width}`;
          equal = now === last ? equal + 1 : 0;
          last = now;
          looks += 1;
          const top = document.elementFromPoint(x + width / 2, y + height / 2);
          const isClear = top === null || el.contains(top) || top.contains(el);
          if ((equal >= 4 && isClear) || looks > 300) resolve();
          else requestAnimationFrame(look);
        };
        look();
      }),
  );

/** Nothing was asked for so long: the page has what it wants. */
const QUIET_MS = 150;

/** A little longer than a second press of what writes counts as the first. */
const BLINK_MS = 900;
/** What writes, and so takes a second press in a blink for the first. */
const WRITES = '.btn-main, [data-writes]';

/** The selector of the typed field of a name. */
const fieldOf = (name: string): string => `input[name="${name}"], textarea[name="${name}"]`;

/** The selector of the button or link of a name. */
export const named = (name: string): string => `::-p-aria([name="${name}"])`;

/** So often something is looked for again that was drawn anew meanwhile. */
const MOST_LOOKS = 3;

/** A worker's own script: when the page that called it goes first, nobody is told that it came. */
const WORKER = /\/worker-[^/]*\.js$/;

/** What a person does on any page of Trug; selectors live here alone. */
export class Bench {
  private pressedAtMs = 0;
  private readonly fetching = new Set<HTTPRequest>();
  private askedAtMs = 0;
  private counts = { presses: 0, fields: 0 };

  constructor(
    readonly page: Page,
    private readonly url: string,
    private readonly hand: HandName = 'mouse',
  ) {
    page.on('request', (request) => {
      if (request.resourceType() !== 'eventsource' && !WORKER.test(request.url())) this.fetching.add(request);
      this.askedAtMs = Date.now();
    });
    const ended = (request: HTTPRequest): void => {
      this.fetching.delete(request);
      this.askedAtMs = Date.now();
    };
    // What the page before asked for is nobody's any more.
    page.on('framenavigated', (frame) => {
      if (frame === page.mainFrame()) this.fetching.clear();
    });
    page.on('requestfinished', ended);
    page.on('requestfailed', ended);
  }

  /** Goes to a page: within the window as a link does, or begins the app anew where that would show what was, or the same page. */
  async open(path: string): Promise<void> {
    // Nobody leaves a page in the very moment of pressing: what was just pressed is on its way.
    await this.quiet();
    const here = this.page.url();
    const isThere = new URL(path, this.url).href === here;
    if (isThere || !here.startsWith(this.url) || BEHIND.has(this.page)) await this.openAnew(path);
    else await this.go(path);
  }

  /** Goes to a page as by its address: the app begins anew. */
  private async openAnew(path: string): Promise<void> {
    BEHIND.delete(this.page);
    await this.page.goto(`${this.url}${path}`, { waitUntil: 'domcontentloaded' });
    await this.page.waitForSelector('main h1');
    await this.quiet();
  }

  /** Goes to another page within the same window, as a link does; the app is not begun anew. */
  private async go(path: string): Promise<void> {
    await this.page.evaluate((to) => {
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate'));
    }, path);
    // The router writes down where it is once what was open is put away.
    await this.page.waitForFunction(() => typeof (history.state as { navigationId?: unknown } | null)?.navigationId === 'number', { timeout: WITHIN_MS });
    await this.page.waitForSelector('main h1');
    await this.quiet();
  }

  /** Waits until nothing more is fetched. Streams stay open for as long as their page. */
  async quiet(): Promise<void> {
    for (const from = Date.now(); this.fetching.size > 0 || Date.now() - this.askedAtMs < QUIET_MS; ) {
      if (Date.now() - from > WITHIN_MS) throw new Error(`still fetching ${[...this.fetching].map((request) => request.url()).join(', ')}`);
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
  }

  /** How often something was pressed and how many fields were written in since it was last asked. */
  counted(): { readonly presses: number; readonly fields: number } {
    const { counts } = this;
    this.counts = { presses: 0, fields: 0 };
    return counts;
  }

  /** Types into the field of a name, replacing what is there. */
  async fill(name: string, text: string): Promise<void> {
    this.counts.fields += 1;
    await this.onStanding(fieldOf(name), async (field) => {
      await HANDS[this.hand].enter(this.page, field);
      await this.page.keyboard.press('Backspace');
      await field.type(text);
    });
  }

  /** Chooses one of what a field offers: from its list, or side by side. */
  async choose(name: string, value: string, within = ''): Promise<void> {
    const field = `${within} [name="${name}"]`;
    const shown = await this.page.waitForSelector(`${field} mat-select, ${field} mat-button-toggle`);
    const sideBySide = await this.page.$(`${field} mat-button-toggle[data-value="${value}"] button`);
    if (!shown) throw new Error(`there is no ${name}`);
    await centred(sideBySide ?? shown);
    // A list is opened, and then one of it is taken.
    this.counts.presses += sideBySide ? 1 : 2;
    if (sideBySide) {
      await HANDS[this.hand].press(this.page, sideBySide, 1);
      return;
    }
    await HANDS[this.hand].take(this.page, shown, value, still);
    await this.page.waitForSelector('mat-option', { hidden: true });
  }

  async tickOption(name: string, value: string): Promise<void> {
    const option = await this.page.waitForSelector(`input[name="${name}"][value="${value}"]`);
    if (!option) throw new Error(`there is no ${value} of ${name}`);
    await centred(option);
    await option.click();
  }

  /** Ticks the box of these words, or takes the tick away. */
  async tickBox(words: string): Promise<void> {
    await this.pressAt(`main mat-checkbox ::-p-text(${words})`);
  }

  /** What the field of a name holds. */
  async valueOf(name: string): Promise<string> {
    await this.page.waitForSelector(fieldOf(name));
    return this.page.$eval(fieldOf(name), (el) => (el instanceof HTMLInputElement || el instanceof HTMLTextAreaElement ? el.value : ''));
  }

  /** Clicks the button or link of that name. */
  async press(name: string): Promise<void> {
    await this.pressAt(named(name));
  }

  /** Goes through one of the doors of an empty shelf. */
  async pressDoor(words: string): Promise<void> {
    await this.pressAt(`trug-first-run ::-p-text(${words})`);
  }

  /** Takes one of the acts beside a batch's main one. */
  async pressElse(name: string): Promise<void> {
    await this.press('Something else');
    await this.press(name);
  }

  /** Clicks what a selector finds; twice, as an impatient or a shaky hand does. */
  async pressAt(selector: string, times: 1 | 2 = 1): Promise<void> {
    // Nobody without a mouse presses in the very moment at which the page is drawn anew, or while what is worked out still moves it.
    if (this.hand !== 'mouse') {
      await this.quiet();
      await this.page.waitForFunction(() => document.querySelector('trug-ahead mat-progress-bar') === null, { timeout: WITHIN_MS });
    }
    await this.onStanding(selector, async (target) => {
      await this.paced(target);
      await HANDS[this.hand].press(this.page, target, times);
    });
    this.counts.presses += times;
    this.pressedAtMs = Date.now();
  }

  /** Does something with what a selector finds, once it stays in its place: what is drawn anew in that moment is looked for again. */
  private async onStanding(selector: string, act: (target: ElementHandle) => Promise<void>): Promise<void> {
    for (let tries = 1; ; tries += 1) {
      const target = await this.page.waitForSelector(selector, { visible: true });
      if (!target) throw new Error(`there is no ${selector}`);
      try {
        await centred(target);
        await still(target);
        await act(target);
        return;
      } catch (error) {
        if (tries === MOST_LOOKS || !String(error).includes('detached')) throw error;
      }
    }
  }

  /** Nobody without a mouse presses twice within a blink, and what was pressed so is taken for one press. */
  private async paced(target: ElementHandle): Promise<void> {
    if (this.hand === 'mouse' || !(await target.evaluate((el, selector) => el.closest(selector) !== null, WRITES))) return;
    const waitMs = this.pressedAtMs + BLINK_MS - Date.now();
    if (waitMs > 0) await new Promise((resolve) => setTimeout(resolve, waitMs));
  }

  /** Clicks something that has no name of its own. */
  async pressWithin(selector: string): Promise<void> {
    const target = await this.page.waitForSelector(selector);
    await target?.evaluate((el) => (el as HTMLElement).click());
  }

  /** Waits until something holds, asked of the server rather than of the page. */
  async until(holds: () => Promise<boolean>): Promise<void> {
    for (const from = Date.now(); !(await holds()); ) {
      if (Date.now() - from > WITHIN_MS) throw new Error(`never came about: ${holds.toString()}`);
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }

  /** Waits until the page whose address ends so was left. */
  async leaves(end: string): Promise<void> {
    try {
      await this.page.waitForFunction((e) => !location.pathname.endsWith(e), { timeout: WITHIN_MS }, end);
    } catch (cause) {
      const said = await this.page.$$eval('[role="alert"], mat-error', (all) => all.map((el) => el.textContent.trim()));
      throw new Error(`stayed on ${end}, which says: ${said.join(' · ') || 'nothing'}`, { cause });
    }
  }

  /** Gives the focus to something drawn, as tabbing to it would. */
  async focus(selector: string): Promise<void> {
    await this.page.waitForSelector(selector);
    await this.page.$eval(selector, (el) => {
      if (el instanceof SVGElement || el instanceof HTMLElement) el.focus();
    });
  }

  async text(selector = 'main'): Promise<string> {
    const found = await this.page.waitForSelector(selector);
    return (await found?.evaluate((el) => (el as HTMLElement).innerText)) ?? '';
  }

  /** Waits until the field of a name holds something. */
  async holds(name: string, value: string): Promise<void> {
    await this.page.waitForFunction(
      (wanted, text) => document.querySelector<HTMLInputElement>(`input[name="${wanted}"]`)?.value === text,
      { timeout: WITHIN_MS },
      name,
      value,
    );
  }

  /** Waits until the page says something. */
  async says(words: RegExp, selector = 'body'): Promise<void> {
    const wanted = this.page.waitForFunction(
      (sel, source, flags) => new RegExp(source, flags).test(document.querySelector<HTMLElement>(sel)?.innerText ?? ''),
      { timeout: WITHIN_MS },
      selector,
      words.source,
      words.flags,
    );
    await wanted.catch(async (error: unknown) => {
      // Where it was waited for may not be there at all: then what the page shows instead tells more.
      const there = (await this.page.$(selector)) ? selector : 'body';
      throw new Error(`${selector} never said ${String(words)}; ${there} of ${this.page.url()} says: ${await this.text(there)}`, { cause: error });
    });
    // What was just said is read before anything is pressed.
    this.pressedAtMs = Date.now();
  }

  /** Tabs until the field of a name has the focus, as someone without a mouse would. */
  async tabTo(name: string): Promise<void> {
    for (let i = 0; i < 80; i += 1) {
      await this.page.keyboard.press('Tab');
      const here = await this.page.evaluate(() => {
        const el = document.activeElement as HTMLInputElement | null;
        if (el?.name !== '' && el?.name !== undefined) return el.name;
        // What is chosen from is named by its field.
        return el?.closest('trug-select, trug-toggle')?.getAttribute('name') ?? el?.innerText.trim() ?? '';
      });
      if (here === name) return;
    }
    throw new Error(`tabbing never reached ${name}`);
  }

  async batchVerdict(): Promise<string> {
    return this.text('trug-now h2');
  }
}
