// Refreshes docs/screenshots from the demo season: one picture of each main view.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM_FLAGS, ensureBuild, ensureChromium, ROOT, say } from './lib.mjs';
import { withDemo, withEmpty } from './with-demo.mjs';

ensureBuild();
const chromium = ensureChromium();
const { default: puppeteer } = await import('puppeteer-core');
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true, deviceScaleFactor: 2 };
const folder = join(ROOT, 'docs/screenshots');

const typeInto = async (page, name, text) => {
  await page.type(`[name="${name}"] input, input[name="${name}"], textarea[name="${name}"]`, text);
};

const choose = async (page, name, value) => {
  await page.click(`[name="${name}"] mat-select`);
  const option = await page.waitForSelector(`mat-option[data-value="${value}"]`, { visible: true });
  await option.evaluate((el) => el.click());
  await page.waitForSelector('mat-option', { hidden: true });
};

/** Each view: its file, its address, the screen, and what to do before the picture. */
const VIEWS = [
  { file: 'shelf', path: () => '/shelf' },
  {
    file: 'scribble-phone',
    path: () => '/shelf',
    viewport: PHONE,
    dark: true,
    act: async (page) => {
      await page.click('button.scribble');
      await page.waitForSelector('[name="scribble"]');
      await typeInto(page, 'scribble', 'Carton No. 4 1.030 at 64F, eggy, 1 tsp nutrient, heaped tsp tannin, racked');
    },
  },
  { file: 'shelf-phone', path: () => '/shelf', viewport: PHONE },
  { file: 'ledger', path: () => '/batches' },
  {
    file: 'quick-sums',
    path: () => '/shelf',
    act: async (page) => {
      await page.keyboard.press('q');
      await page.waitForSelector('trug-quick-sums');
      await typeInto(page, 'scales-sg', '12.4 Bx');
    },
  },
  {
    file: 'new-batch',
    path: () => '/new',
    act: async (page) => {
      await typeInto(page, 'name', 'Carton No. 5');
      await typeInto(page, 'volume', '4.5 L');
      await typeInto(page, 'sg', '1.048');
      await typeInto(page, 'abv', '7');
    },
  },
  { file: 'batch', path: (id) => `/batch/${id('Carton No. 4')}`, act: (page) => page.waitForSelector('trug-ahead .lead') },
  {
    file: 'reading-phone',
    path: (id) => `/batch/${id('Gate B')}/read`,
    viewport: PHONE,
    act: async (page) => {
      await typeInto(page, 'gravity', '1.001');
      await typeInto(page, 'sample', '64F');
    },
  },
  { file: 'juice', path: () => '/juice' },
  { file: 'blend-bench', path: () => '/juice/blend', act: (page) => page.waitForSelector('.result dd') },
  {
    file: 'press-day',
    path: () => '/juice/press',
    act: async (page) => {
      await choose(page, 'fruitId', 'egremont-russet');
      await typeInto(page, 'mass', '29 kg');
      await page.click('.add .btn');
      await typeInto(page, 'run', '8 L');
      await page.$eval('.runs .btn', (el) => el.click());
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    file: 'adjust',
    path: (id) => `/batch/${id('Terrace Must')}/adjust`,
    act: async (page) => {
      await page.$$eval('mat-button-toggle button', (all) => all.find((b) => b.textContent.trim() === 'Acid down')?.click());
      await typeInto(page, 'ta', '5.6');
    },
  },
  { file: 'pitch', path: (id) => `/batch/${id('Terrace Must')}/pitch` },
  { file: 'fault', path: (id) => `/batch/${id('Lane Perry')}/fault` },
  {
    file: 'taste',
    path: (id) => `/batch/${id('Old Terrace')}/taste`,
    act: async (page) => {
      for (const value of ['gold', 'bright', 'lively']) await page.click(`[data-value="${value}"] button`);
      for (const word of ['ripe-apple', 'honey']) await page.click(`[data-word="${word}"]`);
    },
  },
  { file: 'bottle-bench', path: (id) => `/batch/${id('Gate Blend')}/bottle` },
  { file: 'cellar', path: () => '/cellar' },
  { file: 'cupboard', path: () => '/cupboard' },
];

/** What is there before anything is written down. */
const FIRST_VIEWS = [{ file: 'first-run', path: () => '/shelf', act: (page) => page.waitForSelector('trug-first-run li') }];

async function takeAll(views, url) {
  const batches = await (await fetch(`${url}/api/batches?with=logs`)).json();
  const id = (name) => batches.find((b) => b.name === name)?.id;
  const browser = await puppeteer.launch({
    executablePath: chromium,
    args: [...CHROMIUM_FLAGS, '--force-color-profile=srgb', '--font-render-hinting=none'],
    headless: true,
  });
  for (const { file, path, viewport = DESK, act, dark = false } of views) {
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    await page.setViewport(viewport);
    await page.emulateMediaFeatures([
      { name: 'prefers-reduced-motion', value: 'reduce' },
      { name: 'prefers-color-scheme', value: dark ? 'dark' : 'light' },
    ]);
    await page.goto(`${url}${path(id)}`, { waitUntil: 'networkidle2' });
    await page.evaluate(() => document.fonts.ready);
    if (act) await act(page);
    await page.evaluate(() => document.activeElement?.blur());
    await page.screenshot({ path: join(folder, `${file}.png`) });
    say(`docs/screenshots/${file}.png`);
    await context.close();
  }
  await browser.close();
}

mkdirSync(folder, { recursive: true });
await withEmpty((url) => takeAll(FIRST_VIEWS, url));
await withDemo((url) => takeAll(VIEWS, url));
