import { readFileSync } from 'node:fs';
import axe from 'axe-core';
import type { Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import { demoPlaces, VIEWS, type DemoPlaces } from '../pages/views';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

interface Violation {
  readonly id: string;
  readonly impact: string;
  readonly where: string;
}

const trug = new TestTrug();
let places: DemoPlaces;
let bench: Bench;
let faults: string[];
beforeAll(async () => {
  await trug.start(SEASON_DAY, true);
  places = await demoPlaces(trug);
  const opened = await trug.page(DESK);
  faults = opened.faults;
  bench = new Bench(opened.page, trug.url);
});
afterAll(() => trug.stop());

const WIDTHS = [DESK, { width: PHONE.width, height: PHONE.height }];
/** A small phone, and a desk at which everything is drawn twice as large. */
const NARROW = [
  { width: 360, height: 740 },
  { width: DESK.width / 2, height: DESK.height / 2 },
];

/** How wide the page is drawn, once it is laid out anew. */
const widthDrawn = (page: Page): Promise<number> =>
  page.evaluate(() => new Promise<number>((resolve) => requestAnimationFrame(() => resolve(Math.max(innerWidth, document.documentElement.scrollWidth)))));

/** Words in drawings that are drawn smaller than can be read, with their size: below 12 px, but for what a browser rounds. */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    Array.from(document.querySelectorAll<SVGTextElement>('main svg text')).flatMap((text) => {
      const scale = text.getScreenCTM();
      if (!scale || text.getClientRects().length === 0) return [];
      const px = Number.parseFloat(getComputedStyle(text).fontSize) * Math.hypot(scale.a, scale.b);
      return px < 11.9 ? [`${px.toFixed(1)} px: ${text.textContent}`] : [];
    }),
  );

/** Whether what is open keeps the rules of access, wide and narrow, and scrolls no way but down. */
async function keepsTheRules(): Promise<void> {
  const { page } = bench;
  await page.evaluate(readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8'));
  for (const viewport of WIDTHS) {
    // The page is laid out anew where it stands: opening it again would say nothing more.
    await page.setViewport(viewport);
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
    const violations = await page.evaluate(async (): Promise<Violation[]> => {
      const results = await (window as unknown as { axe: typeof axe }).axe.run(document, {
        resultTypes: ['violations'],
        runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'],
      });
      return results.violations.map((v) => ({ id: v.id, impact: v.impact ?? '', where: v.nodes.map((n) => n.html.slice(0, 160)).join(' | ') }));
    });
    expect({ width: viewport.width, violations }).toEqual({ width: viewport.width, violations: [] });
    expect(await widthDrawn(page)).toBeLessThanOrEqual(viewport.width);
    expect({ width: viewport.width, tooSmall: await tooSmall(page) }).toEqual({ width: viewport.width, tooSmall: [] });
  }
  for (const viewport of NARROW) {
    await page.setViewport(viewport);
    expect({ at: viewport.width, drawn: await widthDrawn(page) }).toEqual({ at: viewport.width, drawn: viewport.width });
  }
  expect(faults.splice(0)).toEqual([]);
}

it.each(VIEWS)('%s is clean by the rules of access and of best practice and does not scroll sideways, wide or narrow', async (_name, path) => {
  await bench.page.setViewport(DESK);
  await bench.open(path(places));
  await keepsTheRules();
});

it('so is a line that is read back over a place', async () => {
  await bench.page.setViewport(DESK);
  await bench.open('/cellar');
  await bench.press('Scribble a line…');
  await bench.fill('scribble', 'Carton No. 4 1.030 at 64F, eggy, 1 tsp nutrient, 2 sulfite tablets, heaped tsp tannin, racked');
  await bench.says(/level it with a knife/, 'trug-scribble-sheet');
  await keepsTheRules();
  await bench.press('Not yet');
});

it('shows something true on every part of the shelf', async () => {
  await bench.open('/shelf');
  const shelf = await bench.text('main');
  for (const words of [
    'Carton No. 4',
    'stuck',
    'Read again',
    'sulfited',
    'settled a touch high',
    'finished dry',
    '4 of 19 left',
    'Squeeze',
    'Stir Crab and Tea',
  ]) {
    expect(shelf).toContain(words);
  }
});
