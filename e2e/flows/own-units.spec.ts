import { BOTTLE_KINDS } from '@trug/core';
import type { Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import { demoPlaces, VIEWS, type DemoPlaces } from '../pages/views';
import { DESK, SEASON_DAY, TestTrug } from '../support/trug';

const trug = new TestTrug();
let places: DemoPlaces;
beforeAll(async () => {
  await trug.start(SEASON_DAY, true);
  places = await demoPlaces(trug);
});
afterAll(() => trug.stop());

/** A number, or the end of a range, before a unit. */
const NUMBER = String.raw`(?<![\w/])[\d.,]*\d\s?`;
/** Units as they are written behind a number; rates such as g/L belong to the craft and are nobody's choice. */
const FOREIGN = {
  metric: ['°?F', 'US gal', 'imp gal', 'gallons?', 'fl oz', 'psi', 'lb', 'oz', '°Bx'],
  us: ['°?C', 'L', 'mL', 'litres?', 'bar', 'kg'],
} as const;
/** Units written out, with no number before them; what is in a litre belongs to the craft. */
const WRITTEN_OUT = { metric: 'pounds?|gallons?|ounces?|Fahrenheit', us: 'kilos?|kilograms?|Celsius' } as const;
const SETTINGS = {
  metric: { volume: 'L', mass: 'metric', temperature: 'degC', gravity: 'SG', pressure: 'bar' },
  us: { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'Bx', pressure: 'psi' },
} as const;
/** A gravity, which nobody who reads Brix has chosen; at 1.000 and below Brix is not defined. */
const SPECIFIC_GRAVITY = /(?<![\d.])1\.(?!000)[01]\d\d(?!\d)/;

/** What a view says, line by line: what is shown, what is drawn, what fields suggest and what is read out. */
const linesOf = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const shown = document.body.innerText.split('\n');
    const drawn = Array.from(document.querySelectorAll('svg text, svg title, svg desc')).map((el) => el.textContent);
    const suggested = Array.from(document.querySelectorAll('[placeholder]')).map((el) => el.getAttribute('placeholder') ?? '');
    const read = Array.from(document.querySelectorAll('[aria-label]')).map((el) => el.getAttribute('aria-label') ?? '');
    return [...new Set([...shown, ...drawn, ...suggested, ...read].map((line) => line.trim()))];
  });

/** Bottles are called what stands on them, and cartons state their sugar in 100 mL. */
const NAMES = new RegExp([...BOTTLE_KINDS.map((kind) => kind.name), 'Sugar in 100 mL'].map((name) => name.replace(/[().]/g, '\\$&')).join('|'), 'g');

/**
 * Everything a view says, with what it folds away and each of its tabs. Workings are left out: sums stand in the units they are done in,
 * and so does what a device has to send.
 */
async function allLinesOf(page: Page): Promise<readonly string[]> {
  await page.$$eval('details:not(trug-working *, trug-instrument-card *)', (all) => all.forEach((details) => (details.open = true)));
  const lines = [...(await linesOf(page))];
  for (const tab of await page.$$('main [role=tab], main [aria-pressed=false], main mat-button-toggle button[aria-checked=false]')) {
    await tab.evaluate((el) => (el as HTMLElement).click());
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
    lines.push(...(await linesOf(page)));
  }
  for (const list of await page.$$('main mat-select')) {
    // A list offers its words only while it is open, and leaves with the tab it stood on.
    if (!(await list.isVisible())) continue;
    await list.focus();
    await page.keyboard.press('Enter');
    await page.waitForSelector('mat-option');
    lines.push(...(await page.$$eval('mat-option, mat-optgroup', (all) => all.map((el) => el.textContent.trim()))));
    await page.keyboard.press('Escape');
    await page.waitForSelector('mat-option', { hidden: true });
  }
  return [...new Set(lines)];
}

/** The settings name every unit there is, and a table of readings is in its file's own. */
const OPEN_TO_ALL = new Set(['settings', 'readings from a table']);

describe.each(['us', 'metric'] as const)('under %s settings', (system) => {
  it('no view speaks in a unit that was not chosen', async () => {
    const settings = await trug.ask<object>('/api/settings');
    await trug.send('PUT', '/api/settings', { ...settings, ...SETTINGS[system] });
    const foreign = new RegExp(`${NUMBER}(?:${FOREIGN[system].join('|')})(?![\\w/])|\\b(?:${WRITTEN_OUT[system]})\\b`, 'i');
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    const found: string[] = [];
    for (const [name, path] of VIEWS) {
      if (OPEN_TO_ALL.has(name)) continue;
      await bench.open(path(places));
      const lines = (await allLinesOf(page)).map((line) => line.replace(NAMES, ''));
      found.push(
        ...lines.filter((line) => foreign.test(line) || (system === 'us' && SPECIFIC_GRAVITY.test(line))).map((line) => `${name}: ${line.slice(0, 160)}`),
      );
    }
    expect(found).toEqual([]);
    expect(faults).toEqual([]);
    await page.close();
  });
});
