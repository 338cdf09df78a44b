import type { Page } from 'puppeteer-core';
import { Bench } from '../pages/bench';
import { demoPlaces, type DemoPlaces } from '../pages/views';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const trug = new TestTrug();
let places: DemoPlaces;
beforeAll(async () => {
  await trug.start(SEASON_DAY, true);
  places = await demoPlaces(trug);
});
afterAll(() => trug.stop());

async function onPage(viewport: typeof DESK | typeof PHONE, work: (bench: Bench, page: Page) => Promise<void>): Promise<void> {
  const { page, faults } = await trug.page(viewport);
  await work(new Bench(page, trug.url), page);
  expect(faults).toEqual([]);
  await page.close();
}
const logOf = async (batch: string): Promise<readonly { kind: string }[]> =>
  (await trug.ask<{ entries: { kind: string }[] }>(`/api/batches/${places.batch(batch)}`)).entries;

it('what is struck out of a log is put back from it, and counts again', async () => {
  await onPage(DESK, async (bench) => {
    await bench.open(`/batch/${places.batch('Gate Blend')}`);
    const before = await bench.batchVerdict();
    await bench.press('Strike out 0.998 of Wed 18 Nov');
    await bench.says(/struck out/, 'trug-log');
    await bench.until(async () => (await bench.batchVerdict()) !== before);
    await bench.pressAt('trug-log ::-p-text(Put back)');
    await bench.until(async () => (await bench.batchVerdict()) === before);
    // The page shows it before the server has it.
    const corrections = async (): Promise<readonly unknown[]> => (await logOf('Gate Blend')).filter((e) => e.kind === 'corrected');
    await bench.until(async () => (await corrections()).length >= 2);
    expect(await corrections()).toHaveLength(2);
  });
});

it('a note written on a phone is taken back with one press, and that as well', async () => {
  await onPage(PHONE, async (bench) => {
    const count = (await logOf('Kitchen Fizz')).length;
    await bench.open(`/batch/${places.batch('Kitchen Fizz')}/note`);
    await bench.fill('text', 'a wren in the shed');
    await bench.press('Write it down');
    await bench.says(/Written down/);
    await bench.press('Undo');
    await bench.says(/Taken back/);
    await bench.says(/struck out/, 'trug-log');
    await bench.press('Undo');
    await bench.until(async () => (await logOf('Kitchen Fizz')).length === count + 3);
    await bench.until(async () => !(await bench.text('trug-log')).includes('struck out'));
  });
});

it('a cleaned vessel is dirty again, a new one is gone again, and a choice is as it was', async () => {
  await onPage(DESK, async (bench) => {
    await bench.open('/cupboard');
    await bench.press('Cleaned: Jar 5');
    await bench.says(/Jar 5 is clean/);
    await bench.press('Undo');
    await bench.says(/dirty/, 'main');
    await bench.press('Add a vessel');
    await bench.fill('name', 'Borrowed jar');
    await bench.press('Put it in');
    await bench.says(/Borrowed jar is in the cupboard/);
    await bench.press('Undo');
    await bench.until(async () => !(await trug.ask<{ name: string }[]>('/api/vessels')).some((v) => v.name === 'Borrowed jar'));
    await bench.open('/settings');
    await bench.choose('volume', 'us-gal');
    await bench.says(/Kept/);
    await bench.press('Undo');
    await bench.until(async () => (await trug.ask<{ volume: string }>('/api/settings')).volume === 'L');
  });
});

it('a batch is called otherwise on a phone, everywhere, and as it was when that is taken back', async () => {
  await onPage(PHONE, async (bench) => {
    const path = `/batch/${places.batch('Terrace Must')}`;
    const called = async (): Promise<string | undefined> =>
      (await trug.ask<{ id: string; name: string }[]>('/api/batches')).find(({ id }) => path.endsWith(id))?.name;
    await bench.open(path);
    await bench.press('Its name and tape');
    await bench.fill('batchName', 'Terrace Late');
    await bench.choose('batchTape', 'moss');
    await bench.press('Call it so');
    await bench.says(/It is called Terrace Late/);
    await bench.says(/Renamed Terrace Late, was Terrace Must/, 'trug-log');
    expect(await called()).toBe('Terrace Late');
    await bench.press('Undo');
    await bench.until(async () => (await called()) === 'Terrace Must');
    await bench.says(/Terrace Must/, 'main h1, trug-tape');
  });
});
