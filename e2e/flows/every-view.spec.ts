import { readFileSync } from 'node:fs';
import axe from 'axe-core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, TestTrug } from '../support/trug';

interface Violation {
  readonly id: string;
  readonly impact: string;
  readonly where: string;
}

const trug = new TestTrug();
let ids: Record<string, string> = {};
let anEntry = '';
beforeAll(async () => {
  await trug.start('2026-11-23', true);
  const batches = (await (await fetch(`${trug.url}/api/batches?with=logs`)).json()) as { id: string; name: string; entries: { id: string }[] }[];
  anEntry = batches.find((b) => b.name === 'Gate Blend')?.entries[0]?.id ?? '';
  ids = Object.fromEntries(batches.map((b) => [b.name, b.id]));
});
afterAll(() => trug.stop());

const VIEWS: readonly (readonly [name: string, path: () => string])[] = [
  ['shelf', () => '/shelf'],
  ['new batch', () => '/new'],
  ['batch, stuck', () => `/batch/${ids['Hollow Wild'] ?? ''}`],
  ['batch, bottled', () => `/batch/${ids['Kitchen Fizz'] ?? ''}`],
  ['reading', () => `/batch/${ids['Gate B'] ?? ''}/read`],
  ['pitch', () => `/batch/${ids['Terrace Must'] ?? ''}/pitch`],
  ['rack', () => `/batch/${ids['Lane Perry'] ?? ''}/rack`],
  ['bottle bench', () => `/batch/${ids['Gate Blend'] ?? ''}/bottle`],
  ['note', () => `/batch/${ids['Kitchen Fizz'] ?? ''}/note`],
  ['move', () => `/batch/${ids['Hollow Wild'] ?? ''}/move`],
  ['cellar', () => '/cellar'],
  ['cupboard', () => '/cupboard'],
  ['settings', () => '/settings'],
  ['where it is kept', () => '/settings/book'],
  ['when was it', () => `/batch/${ids['Gate Blend'] ?? ''}/when/${anEntry}`],
  ['juice', () => '/juice'],
  ['blend bench', () => '/juice/blend'],
  ['press day', () => '/juice/press'],
  ['steep', () => '/juice/steep'],
  ['a juice', () => '/juice/new'],
  ['adjust', () => `/batch/${ids['Terrace Must'] ?? ''}/adjust`],
  ['split', () => `/batch/${ids['Terrace Must'] ?? ''}/split`],
  ['restart', () => `/batch/${ids['Hollow Wild'] ?? ''}/restart`],
  ['batch, with a device', () => `/batch/${ids['Carton No. 4'] ?? ''}`],
  ['fault finder', () => `/batch/${ids['Lane Perry'] ?? ''}/fault`],
  ['clear it', () => `/batch/${ids['Lane Perry'] ?? ''}/clear`],
  ['what sugar is left', () => `/batch/${ids['Gate Blend'] ?? ''}/test`],
  ['stabilise', () => `/batch/${ids['Gate Blend'] ?? ''}/stabilise`],
  ['open the keg', () => `/batch/${ids['Keg of the Row'] ?? ''}/open-keg`],
  ['malolactic change', () => `/batch/${ids['Gate Blend'] ?? ''}/malolactic`],
  ['readings from a table', () => `/batch/${ids['Gate B'] ?? ''}/import`],
  ['year', () => '/year'],
  ['practice', () => '/practice'],
];

describe.each([
  ['1280×800', DESK],
  ['390×844', PHONE],
] as const)('at %s', (_size, viewport) => {
  it.each(VIEWS)('%s has no serious violation and does not scroll sideways', async (_name, path) => {
    const { page, faults } = await trug.page(viewport);
    const bench = new Bench(page, trug.url);
    await bench.open(path());
    await page.evaluate(readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8'));
    const violations = await page.evaluate(async (): Promise<Violation[]> => {
      const results = await (window as unknown as { axe: typeof axe }).axe.run(document, {
        runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'],
      });
      return results.violations
        .filter((v) => v.impact === 'serious' || v.impact === 'critical')
        .map((v) => ({ id: v.id, impact: v.impact ?? '', where: v.nodes.map((n) => n.html.slice(0, 160)).join(' | ') }));
    });
    expect(violations).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(viewport.width);
    expect(faults).toEqual([]);
    await page.close();
  });
});

it('shows something true on every part of the shelf', async () => {
  const { page } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  await bench.open('/shelf');
  const shelf = await bench.text('main');
  for (const words of ['Carton No. 4', 'stuck', 'Read again', 'sulfited', 'settled a touch high', 'finished dry', '11 of 26 left', 'Squeeze the test bottle']) {
    expect(shelf).toContain(words);
  }
});
