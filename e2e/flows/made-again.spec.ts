import { gravityOf, replay, type Entry, type Liquid } from '@trug/core';
import { Bench } from '../pages/bench';
import { SCREENS } from '../support/screens';
import { TestTrug } from '../support/trug';

const DAY_ONE = '2026-11-01';
const GALLON_L = 3.785411784;
let trug: TestTrug;
beforeEach(async () => {
  trug = new TestTrug();
  await trug.start(DAY_ONE);
  await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), volume: 'us-gal', mass: 'imperial', temperature: 'degF' });
});
afterEach(() => trug.stop());

const logsOf = async (): Promise<readonly { readonly id: string; readonly name: string; readonly entries: readonly Entry[] }[]> =>
  trug.ask('/api/batches?with=logs');
const mustOf = async (name: string): Promise<Liquid> => {
  const batch = (await logsOf()).find((b) => b.name === name);
  const { must } = replay(batch?.entries ?? []);
  if (!must) throw new Error(`${name} has no must`);
  return must;
};

it.each(SCREENS)('a recipe for one gallon, by the spoon, is made again in five, %s', async (_where, screen, hand) => {
  const { page, faults } = await trug.page(screen);
  const bench = new Bench(page, trug.url, hand);
  await bench.open('/new');
  await bench.fill('name', 'Spoons');
  await bench.fill('volume', '1 gal');
  await bench.fill('sg', '1.048');
  await bench.fill('newCapacity', '1.2 gal');
  await bench.press('Put it in the cupboard');
  await bench.tickOption('clean', 'sulfite');
  await bench.press('Begin it');
  await bench.says(/Waiting out its sulfite/, 'trug-now');
  await bench.press('Scribble a line…');
  await bench.fill('scribble', '1/2 tsp pectic enzyme, a quarter tsp tannin, 1 tsp malic acid, half a tsp nutrient, 8 oz sugar');
  await bench.says(/8 oz White sugar/, 'trug-scribble-sheet');
  await bench.press('Write it down');
  await bench.says(/8 oz White sugar/, 'trug-log');
  const path = new URL(page.url()).pathname;
  await trug.moveClock('2026-11-02');
  await bench.open(path);
  await bench.press('Scribble a line…');
  await bench.fill('scribble', 'one packet crisp cider yeast at 66F');
  await bench.press('Write it down');
  await bench.says(/Crisp cider type/, 'trug-log');

  await bench.press('Make it again');

  await bench.press('Keep it as a recipe');
  await bench.says(/All recipes/);
  // Kept, and changed: a note of its own, and something to do on a day of its own.
  await bench.press('Something more');
  await bench.fill('moreLine', '1/2 tsp nutrient, skim the cap');
  await bench.fill('moreDays', '3');
  await bench.says(/Skim the cap/, 'trug-more-steps');
  await bench.press('Put it in the recipe');
  await bench.says(/Day 3/, 'trug-recipe-days');
  await bench.press('Done');
  await bench.press('Its name and note');
  await bench.fill('recipeName', 'Spoons again');
  await bench.fill('recipeNote', 'Good with the russets.');
  await bench.press('Keep it so');
  await bench.says(/Good with the russets/);
  await bench.open('/recipes');
  await bench.says(/Spoons again/, '.cards');
  await bench.pressAt('.cards a');
  await bench.says(/Good with the russets/);
  await bench.fill('recipeVolume', '5 gal');
  // Level spoons of 3, 2.2, 4.5 and 4 g: five times a half, a quarter, one and a half; five times half a pound.
  for (const amount of [/7\.5 g pectic enzyme/, /2\.8 g tannin/, /2[23](\.5)? g malic acid/, /10 g organic yeast nutrient/, /2 lb 8 oz White sugar/]) {
    await bench.says(amount, 'trug-recipe-page');
  }
  expect(await bench.text('trug-recipe-page ol')).not.toMatch(/25 g sprinkled/);
  await bench.press('Begin it so');
  await bench.holds('volume', '5 US gal');
  await bench.holds('name', 'Spoons again');
  await bench.fill('newCapacity', '6 gal');
  await bench.press('Put it in the cupboard');
  await bench.says(/Sugar to add/);
  await bench.press('Begin it');
  await bench.says(/Waiting out its sulfite/, 'trug-now');
  await bench.press('Scribble a line…');
  await bench.says(/7\.5 g pectic enzyme/, 'trug-scribble-sheet');
  await bench.press('Write it down');
  await bench.until(async () => ((await logsOf()).find((b) => b.name === 'Spoons again')?.entries.length ?? 0) === 7);

  const [one, five] = [await mustOf('Spoons'), await mustOf('Spoons again')];
  // Half a pound of sugar takes 0.618 mL a gram: the must of one gallon, by hand, and five of it.
  expect(one.volumeL).toBeCloseTo(GALLON_L + (226.796 * 0.618) / 1000, 2);
  expect(five.volumeL / one.volumeL).toBeCloseTo(5, 1);
  expect(gravityOf(five)).toBeCloseTo(gravityOf(one), 3);
  expect(five.tanninGPerL - one.tanninGPerL).toBeCloseTo(0, 2);
  expect(faults).toEqual([]);
});
