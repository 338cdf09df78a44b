import type { Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import { DESK, TestTrug } from '../support/trug';

const TODAY = '2026-11-23';
let trug: TestTrug;
let gate: string;
beforeAll(async () => {
  trug = new TestTrug();
  await trug.start(TODAY, true);
  gate = (await trug.ask<{ id: string; name: string }[]>('/api/batches')).find((b) => b.name === 'Gate Blend')?.id ?? '';
});
afterAll(() => trug.stop());

async function twoWindows(): Promise<readonly [Bench, Bench, Page, Page]> {
  const [one, two] = [await trug.page(DESK), await trug.page(DESK)];
  return [new Bench(one.page, trug.url), new Bench(two.page, trug.url), one.page, two.page];
}

it('a window in view shows within a second what another has written', async () => {
  const [one, two, pageOne, pageTwo] = await twoWindows();
  await two.open(`/batch/${gate}`);
  await one.open(`/batch/${gate}/note`);
  await one.fill('text', 'a robin on the airlock');
  // Headless pages are all in view; a person has two windows side by side.
  await one.press('Write it down');
  await one.says(/a robin/, 'trug-log');
  const from = Date.now();
  await two.says(/a robin on the airlock/, 'trug-log');
  expect(Date.now() - from).toBeLessThan(1000);
  await pageOne.close();
  await pageTwo.close();
});

it('a card changed in both is shown in both versions, and joined as the maker ticks', async () => {
  const juice = (await trug.ask<{ id: string; name: string; ph: number | null; note: string; version: number }[]>('/api/juices'))[0];
  if (!juice) throw new Error('there is no juice');
  const { page } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  await bench.open(`/juice/${juice.id}`);
  // Held back from hearing of the other change, as a sleeping laptop is.
  await page.evaluate(() => window.dispatchEvent(new Event('blur')));
  await bench.fill('name', 'Renamed here');
  await trug.send('PUT', `/api/juices/${juice.id}`, { ...juice, note: 'changed elsewhere' });
  await bench.press('Write it down');
  await bench.says(/Two versions/, 'mat-dialog-container');
  const dialog = await bench.text('mat-dialog-container');
  expect(dialog).toContain('Renamed here');
  expect(dialog).toContain('changed elsewhere');
  await bench.pressWithin('tr:has(#row-note) input[value=theirs]');
  await bench.press('Join them as ticked');
  await bench.says(/Renamed here/);
  const stored = (await trug.ask<{ id: string; name: string; note: string }[]>('/api/juices')).find((j) => j.id === juice.id);
  expect(stored).toMatchObject({ name: 'Renamed here', note: 'changed elsewhere' });
  await page.close();
});

it('a form begun in one window is offered in the other, and brought over when asked', async () => {
  const [one, two, pageOne, pageTwo] = await twoWindows();
  await one.open(`/batch/${gate}/note`);
  await one.fill('text', 'half a thought');
  await two.open(`/batch/${gate}/note`);
  await two.says(/Another window has begun this form/);
  expect(await pageTwo.$eval('textarea[name=text]', (el) => el.value)).toBe('');
  await two.press('Bring it here');
  expect(await pageTwo.$eval('textarea[name=text]', (el) => el.value)).toBe('half a thought');
  await pageOne.close();
  await pageTwo.close();
});

it('half a draft, whatever is in it, blanks no page', async () => {
  const { page, faults } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  await bench.open('/shelf');
  const garbled = ['{', 'null', '7', '{"fields":{"sheet":"{","text":7,"day":"never","gravity":"x","volume":"-1 L","picked":",,,"}}'];
  const forms = ['note', 'reading', 'move', 'rack', 'bottle', 'split', 'adjust', 'pitch', 'clear', 'fault', 'import', 'malolactic'];
  for (const [i, form] of forms.entries()) {
    await page.evaluate((key, text) => localStorage.setItem(key, text), `trug.draft.${form}:${gate}@nobody`, garbled[i % garbled.length] ?? '');
    await bench.open(`/batch/${gate}/${form === 'reading' ? 'read' : form}`);
    expect((await bench.text('main h1')).length).toBeGreaterThan(3);
  }
  for (const [key, path] of [
    ['press-day', '/juice/press'],
    ['blend-bench', '/juice/blend'],
    ['steep', '/juice/steep'],
    ['new-batch', '/new'],
    ['juice', '/juice/new'],
  ] as const) {
    await page.evaluate((name, text) => localStorage.setItem(name, text), `trug.draft.${key}@nobody`, garbled[3] ?? '');
    await bench.open(path);
    expect((await bench.text('main h1')).length).toBeGreaterThan(3);
  }
  expect(faults).toEqual([]);
  await page.close();
});

describe.each(['America/Los_Angeles', 'Pacific/Auckland'])('a maker in %s', (zone) => {
  it('has their own days, from the reading to the log', async () => {
    const { page, faults } = await trug.page(DESK);
    await page.emulateTimezone(zone);
    const bench = new Bench(page, trug.url);
    await bench.open('/shelf');
    await bench.until(async () => (await trug.ask<{ timeZone: string }>('/api/settings')).timeZone === zone);
    const wild = (await trug.ask<{ id: string; name: string }[]>('/api/batches')).find((b) => b.name === 'North Wall Wild')?.id ?? '';
    // 10:00 UTC is the small hours of the same day in the west, and eleven at night in the east.
    await bench.says(/Mon 23 Nov/, 'header');
    await bench.open(`/batch/${wild}/read`);
    await bench.fill('place', '8 C');
    await bench.choose('day', '2026-11-22');
    await bench.fill('note', `from ${zone}`);
    await bench.press('Write it down');
    await bench.says(new RegExp(`from ${zone}`), 'trug-log');
    const line = await page.$$eval(
      'trug-log li',
      (all, words) => all.map((li) => (li as HTMLElement).innerText).find((text) => text.includes(words)) ?? '',
      `from ${zone}`,
    );
    expect(line).toContain('Sun 22 Nov');
    expect(faults).toEqual([]);
    await page.close();
  });
});
