import type { ElementHandle, Page } from 'puppeteer-core';

/** How someone works the page: with a mouse, with keys alone, or with a finger. */
export type HandName = 'mouse' | 'keys' | 'finger';

/** What a hand does with something on the page. */
export interface Hand {
  /** Presses a button, a link, a box or a choice; twice as an impatient hand does. */
  readonly press: (page: Page, target: ElementHandle, times: number) => Promise<void>;
  /** Puts the caret into a field and marks what is there. */
  readonly enter: (page: Page, field: ElementHandle) => Promise<void>;
  /** Opens a list and takes one of its options. */
  readonly take: (page: Page, list: ElementHandle, value: string, still: (option: ElementHandle) => Promise<void>) => Promise<void>;
}

/** Marks all of the field that has the focus. */
async function markAll(page: Page): Promise<void> {
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
}

/** More stops than any page has. */
const MOST_STOPS = 400;
const optionOf = (value: string): string => `mat-option[data-value="${value}"]`;

/** Whether what has the focus is the target, holds it, or is the box that a label belongs to. */
const isThere = (page: Page, target: ElementHandle): Promise<boolean> =>
  page.evaluate((el) => {
    const here = document.activeElement;
    if (!here || !(el instanceof Element)) return false;
    const box = el.closest('mat-checkbox, mat-radio-button, mat-button-toggle');
    // Words within a link or a button are pressed by pressing that.
    const isOf = here.matches('a, button, summary') && here.contains(el);
    return isOf || here === el || el.contains(here) || (box?.contains(here) ?? false);
  }, target);

async function stepTo(page: Page, target: ElementHandle, key: 'Tab' | 'ArrowDown'): Promise<void> {
  for (let i = 0; i < MOST_STOPS; i += 1) {
    if (await isThere(page, target)) return;
    await page.keyboard.press(key);
  }
  throw new Error(`${key} never reached ${await target.evaluate((el) => (el as HTMLElement).outerHTML.slice(0, 200))}`);
}

/** Whether an option of the open list is marked, as the eye sees it: which one is, is drawn a frame after the key. */
const isMarked = (page: Page, value: string): Promise<boolean> =>
  page.evaluate(
    (selector) =>
      new Promise<boolean>((resolve) => {
        const look = (): void => {
          const named = document.activeElement?.getAttribute('aria-activedescendant') ?? '';
          resolve(named !== '' && document.querySelector(selector)?.id === named);
        };
        requestAnimationFrame(() => requestAnimationFrame(look));
      }),
    optionOf(value),
  );

/** Of choices side by side only one is a stop: arrows lead from it to the others, and take them. */
const choiceGroupOf = (target: ElementHandle): Promise<ElementHandle | null> =>
  target.evaluateHandle((el) => el.closest('mat-radio-group, mat-button-toggle-group')).then((handle) => handle.asElement() as ElementHandle | null);

const KEYS: Hand = {
  press: async (page, target, times) => {
    const group = await choiceGroupOf(target);
    const inMenu = await target.evaluate((el) => el.closest('[role=menu]') !== null);
    if (group) {
      await stepTo(page, group, 'Tab');
      for (let i = 0; i < 20 && !(await isThere(page, target)); i += 1) await page.keyboard.press('ArrowDown');
    } else await stepTo(page, target, inMenu ? 'ArrowDown' : 'Tab');
    const isBox = await page.evaluate(() => document.activeElement instanceof HTMLInputElement);
    for (let i = 0; i < times; i += 1) await page.keyboard.press(isBox ? 'Space' : 'Enter');
  },
  enter: async (page, field) => {
    await stepTo(page, field, 'Tab');
    await markAll(page);
  },
  take: async (page, list, value) => {
    await stepTo(page, list, 'Tab');
    await page.keyboard.press('Enter');
    await page.waitForSelector('mat-option', { visible: true });
    await page.keyboard.press('Home');
    for (let i = 0; !(await isMarked(page, value)); i += 1) {
      if (i === MOST_STOPS) throw new Error(`ArrowDown never reached ${value}`);
      await page.keyboard.press('ArrowDown');
    }
    await page.keyboard.press('Enter');
  },
};

/** A pointer of either kind: what differs is how it comes down. */
const pointer = (comesDown: (target: ElementHandle, times: number) => Promise<void>): Hand => ({
  press: (_page, target, times) => comesDown(target, times),
  enter: async (page, field) => {
    await comesDown(field, 1);
    await markAll(page);
  },
  take: async (page, list, value, still) => {
    await comesDown(list, 1);
    const option = await page.waitForSelector(optionOf(value), { visible: true });
    if (!option) throw new Error(`there is no ${value}`);
    await option.evaluate((el) => el.scrollIntoView({ block: 'nearest' }));
    await still(option);
    await comesDown(option, 1);
  },
});

/** The hands there are. */
export const HANDS: Readonly<Record<HandName, Hand>> = {
  mouse: pointer((target, times) => target.click({ count: times, delay: 60 })),
  finger: pointer(async (target, times) => {
    for (let i = 0; i < times; i += 1) await target.tap();
  }),
  keys: KEYS,
};
