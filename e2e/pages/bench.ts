import type { ElementHandle, Page } from 'puppeteer-core';

/** Scrolls something clear of the bar at the bottom of a phone, as a thumb would. */
const centred = (handle: ElementHandle): Promise<void> => handle.evaluate((el) => el.scrollIntoView({ block: 'center' }));

/** A machine that is busy with other tests may take its time; nothing is measured by this. */
const SAID_WITHIN_MS = 90_000;

/** Waits until something has stayed in its place for some frames: what was typed may still move the page. */
const still = (handle: ElementHandle): Promise<void> =>
  handle.evaluate(
    (el) =>
      new Promise<void>((resolve) => {
        let [last, equal] = ['', 0];
        const look = (): void => {
          const { x, y, width } = el.getBoundingClientRect();
          const now = `${x} ${y} ${width}`;
          equal = now === last ? equal + 1 : 0;
          last = now;
          if (equal >= 4) resolve();
          else requestAnimationFrame(look);
        };
        look();
      }),
  );

/** The selector of the typed field of a name. */
const fieldOf = (name: string): string => `input[name="${name}"], textarea[name="${name}"]`;

/** The selector of the button or link of a name. */
export const named = (name: string): string => `::-p-aria([name="${name}"])`;

/** What a person does on any page of Trug; selectors live here alone. */
export class Bench {
  constructor(
    readonly page: Page,
    private readonly url: string,
  ) {}

  async open(path: string): Promise<void> {
    // A batch's page keeps one stream open for its devices.
    await this.page.goto(`${this.url}${path}`, { waitUntil: 'networkidle2' });
    await this.page.waitForSelector('main h1');
  }

  /** Types into the field of a name, replacing what is there. */
  async fill(name: string, text: string): Promise<void> {
    const field = await this.page.waitForSelector(fieldOf(name));
    if (!field) throw new Error(`there is no field ${name}`);
    await centred(field);
    await field.click({ count: 3 });
    await this.page.keyboard.press('Backspace');
    await field.type(text);
  }

  /** Chooses one of what a field offers: from its list, or side by side. */
  async choose(name: string, value: string, within = ''): Promise<void> {
    const field = `${within} [name="${name}"]`;
    const shown = await this.page.waitForSelector(`${field} mat-select, ${field} mat-button-toggle`);
    const sideBySide = await this.page.$(`${field} mat-button-toggle[data-value="${value}"] button`);
    if (!shown) throw new Error(`there is no ${name}`);
    await centred(sideBySide ?? shown);
    await (sideBySide ?? shown).click();
    if (sideBySide) return;
    const option = await this.page.waitForSelector(`mat-option[data-value="${value}"]`, { visible: true });
    if (!option) throw new Error(`there is no ${value} of ${name}`);
    await still(option);
    await option.click();
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

  /** Takes one of the acts beside a batch's main one. */
  async pressElse(name: string): Promise<void> {
    await this.press('Something else');
    await this.press(name);
  }

  /** Clicks what a selector finds; twice, as an impatient or a shaky hand does. */
  async pressAt(selector: string, times: 1 | 2 = 1): Promise<void> {
    const target = await this.page.waitForSelector(selector, { visible: true });
    if (!target) throw new Error(`there is no ${selector}`);
    await centred(target);
    await still(target);
    await target.click({ count: times, delay: 60 });
  }

  /** Clicks something that has no name of its own. */
  async pressWithin(selector: string): Promise<void> {
    const target = await this.page.waitForSelector(selector);
    await target?.evaluate((el) => (el as HTMLElement).click());
  }

  /** Waits until something holds, asked of the server rather than of the page. */
  async until(holds: () => Promise<boolean>): Promise<void> {
    for (const from = Date.now(); !(await holds()); ) {
      if (Date.now() - from > SAID_WITHIN_MS) throw new Error(`never came about: ${holds.toString()}`);
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }

  /** Waits until the page whose address ends so was left. */
  async leaves(end: string): Promise<void> {
    await this.page.waitForFunction((e) => !location.pathname.endsWith(e), { timeout: SAID_WITHIN_MS }, end);
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
      { timeout: SAID_WITHIN_MS },
      name,
      value,
    );
  }

  /** Waits until the page says something. */
  async says(words: RegExp, selector = 'body'): Promise<void> {
    const wanted = this.page.waitForFunction(
      (sel, source, flags) => new RegExp(source, flags).test(document.querySelector<HTMLElement>(sel)?.innerText ?? ''),
      { timeout: SAID_WITHIN_MS },
      selector,
      words.source,
      words.flags,
    );
    await wanted.catch(async (error: unknown) => {
      throw new Error(`it never said ${String(words)}, but: ${await this.text(selector)}`, { cause: error });
    });
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
