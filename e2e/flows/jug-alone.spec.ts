import { replay, taOf, type Entry, type Liquid } from '@trug/core';
import { Bench } from '../pages/bench';
import { SCREENS } from '../support/screens';
import { TestTrug } from '../support/trug';

const JUG_L = 4.54609;
let trug: TestTrug;
beforeEach(async () => {
  trug = new TestTrug();
  await trug.start('2026-11-02');
});
afterEach(() => trug.stop());

/** Nothing but a jug with its own cap: no hydrometer, no airlock, no scale. */
it.each(SCREENS)('a jug of juice with its own cap is followed to a bottle at the maker’s own risk, %s', async (_where, screen, hand) => {
  const settings = await trug.ask<object>('/api/settings');
  await trug.send('PUT', '/api/settings', {
    ...settings,
    volume: 'imp-gal',
    mass: 'imperial',
    temperature: 'degC',
    timeZone: 'Pacific/Auckland',
    timeZoneChosen: true,
  });
  const { page, faults } = await trug.page(screen);
  const bench = new Bench(page, trug.url, hand);
  await bench.open('/new');
  await bench.fill('name', 'Jug');
  await bench.fill('volume', '1 gal');
  await bench.fill('cartonSugar', '10.8');
  await bench.fill('newCapacity', '1.1 gal');
  await bench.press('Put it in the cupboard');
  await bench.press('Begin it');
  await bench.says(/no reading/, 'trug-now');
  const path = new URL(page.url()).pathname;
  const log = async (): Promise<readonly Entry[]> => (await trug.ask<{ entries: readonly Entry[] }>(`/api${path.replace('batch', 'batches')}`)).entries;
  const drink = async (): Promise<Liquid> => {
    const { liquid } = replay(await log());
    if (!liquid) throw new Error('nothing in the jug');
    return liquid;
  };
  const scribbled = async (line: string, entries: number): Promise<void> => {
    await bench.press('Scribble a line…');
    await bench.fill('scribble', line);
    await bench.says(/Jug/, 'trug-scribble-sheet trug-tape');
    await bench.press('Write it down');
    await bench.until(async () => (await log()).length === entries);
  };

  const before = taOf(await drink());
  await scribbled('half a lemon, two tea bags, half a tsp boiled baking yeast, cap loosened', 6);
  // A lemon brings 2.2 g of citric acid, which counts 67.05 ÷ 64.04 of its weight as malic.
  expect(taOf(await drink()) - before).toBeCloseTo((1.1 * 67.05) / 64.04 / JUG_L, 1);
  expect((await drink()).tanninGPerL * JUG_L).toBeGreaterThan(0.29);
  await bench.says(/a cap that sticks makes a bomb of it/);

  await trug.moveClock('2026-11-04');
  await bench.open('/shelf');
  await bench.says(/Let the gas out of Jug/, 'trug-job-list');
  await bench.open(path);
  await scribbled('let the gas off, bubbling away, smells of apples', 8);
  await bench.says(/smells of apples/, 'trug-log');

  await trug.moveClock('2027-01-20');
  await bench.open(path);
  // A quiet jug proves nothing: what would settle it is said.
  await bench.says(/Cannot tell yet/, 'trug-now');
  await scribbled('no bubbles', 9);
  await bench.says(/Cannot tell yet/, 'trug-now');
  await bench.open(`${path}/bottle`);
  await bench.says(/Its end is not proven|plastic/);
  expect(faults).toEqual([]);
});
