import { taOf } from '@trug/core';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

const JUG_L = 4.54609;
let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Nothing but a jug with its own cap: no hydrometer, no airlock, no scale. */
it.each(SCREENS)('a jug of juice with its own cap is followed to a bottle at the maker’s own risk, %s', async (_where, screen, hand) => {
  const maker = { volume: 'imp-gal', mass: 'imperial', temperature: 'degC', timeZone: 'Pacific/Auckland' } as const;
  const bench = await way.begin('2026-11-02', maker, screen, hand);
  await bench.open('/new');
  await way.fills({ name: 'Jug', volume: '1 gal', cartonSugar: '10.8', newCapacity: '1.1 gal' });
  await bench.press('Put it in the cupboard');
  await bench.press('Begin it');
  await bench.says(/no reading/, 'trug-now');
  const path = way.here();
  const scribbled = (line: string, entries: number): Promise<void> =>
    way.files(entries, async () => {
      await bench.press('Scribble a line…');
      await bench.fill('scribble', line);
      await bench.says(/Jug/, 'trug-scribble-sheet trug-tape');
      await bench.press('Write it down');
    });

  const before = taOf(await way.drink(path));
  await scribbled('half a lemon, two tea bags, half a tsp boiled baking yeast, cap loosened', 4);
  // A lemon brings 2.2 g of citric acid, which counts 67.05 ÷ 64.04 of its weight as malic.
  expect(taOf(await way.drink(path)) - before).toBeCloseTo((1.1 * 67.05) / 64.04 / JUG_L, 1);
  expect((await way.drink(path)).tanninGPerL * JUG_L).toBeGreaterThan(0.29);
  await bench.says(/a cap that sticks makes a bomb of it/);

  await way.on('2026-11-04', '/shelf');
  await bench.says(/Let the gas out of Jug/, 'trug-job-list');
  await bench.open(path);
  await scribbled('let the gas off, bubbling away, smells of apples', 2);
  await bench.says(/smells of apples/, 'trug-log');

  await way.on('2027-01-20', path);
  // A quiet jug proves nothing: what would settle it is said.
  await bench.says(/Cannot tell yet/, 'trug-now');
  await scribbled('no bubbles', 1);
  await bench.says(/Cannot tell yet/, 'trug-now');
  await bench.open(`${path}/bottle`);
  await bench.says(/Its end is not proven|plastic/);
  expect(way.faults).toEqual([]);
});
