import { gravityOf, type Liquid } from '@trug/core';
import { rackPage } from '../pages/rack-page';
import { freshVessel } from '../support/fresh-batch';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

const sugarG = (drink: Liquid): number => (drink.sucroseGPerL + drink.hexoseGPerL) * drink.volumeL;
let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Two sorts off the garden, one of no known name, give half of what was hoped for; cartons fill it up. */
it.each(SCREENS)('garden fruit falls short of the vessel and ends in jars with a bit over, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-10', { timeZone: 'Pacific/Auckland' }, screen, hand);
  await bench.open('/juice/press');
  await way.fills({ mass: '12 kg' });
  await bench.choose('fruitId', 'egremont-russet');
  await bench.press('Weigh it in');
  await bench.choose('fruitId', '');
  await way.fills({ mass: '8000 g' });
  await bench.press('Weigh it in');
  await way.fills({ run: '4 L' });
  await bench.press('Write the run');
  await way.fills({ run: '1.8 L' });
  await bench.press('Write the run');
  await bench.says(/5.8 L from 20 kg/);
  await bench.press('Done: measure the juice');
  await bench.says(/What is known of it/);
  // Off the stem's scale of strength: 6.2 % is about forty-seven points.
  await way.fills({ gravity: '6.2 %', sample: '20 C' });
  await bench.press('Write it down');
  await bench.says(/5.8 L in hand in/);
  await bench.open('/juice/new');
  await bench.choose('origin', 'bought');
  await bench.choose('instrument', 'carton');
  await way.fills({ name: 'Four cartons', volume: '4 L', gravity: '10.6' });
  await bench.press('Write it down');
  await bench.says(/9.8 L in hand in 2 cylinders/);

  const bucket = await freshVessel(way.trug, 15);
  await bench.press('Blend bench');
  await way.fills({ total: '9.8 L' });
  await bench.says(/if left dry/, '.words');
  await bench.press('Pour it');
  await way.fills({ batchName: 'Garden', juiceTemp: '16 C' });
  await bench.says(new RegExp(bucket));
  await bench.press('Pour it into the vessels');
  await bench.says(/It waits for yeast/, 'trug-now');
  const path = way.here();
  const juice = await way.drink(path);
  // By hand: 1.047 and the carton's 106 g in a litre; some 108 g of sugar in each litre of both.
  expect(juice.volumeL).toBeCloseTo(9.8, 1);
  expect(sugarG(juice) / juice.volumeL).toBeGreaterThan(98);
  expect(sugarG(juice) / juice.volumeL).toBeLessThan(112);

  await way.scribbles('2 sulfite tablets, 1 tsp pectic enzyme', 2);
  await way.scribbles('250 g sugar, 1.056 at 20C', 2);
  await way.scribbles('one cup of sugar, 1.063 at 20C', 2);
  const must = await way.drink(path);
  expect(gravityOf(must)).toBeCloseTo(1.063, 3);
  // A level cup is 200 g; a gram takes 0.62 mL.
  expect(must.volumeL).toBeCloseTo(9.8 + 0.45 * 0.62, 1);

  await way.on('2026-10-12', path);
  await way.scribbles('a packet of crisp cider yeast sprinkled at 17C');
  await way.on('2026-10-19', path);
  await way.scribbles('1.030 at 18C');
  const [first, second, third] = [await freshVessel(way.trug, 4.6), await freshVessel(way.trug, 4.6), await freshVessel(way.trug, 1)];
  await bench.open(`${path}/rack`);
  await rackPage(bench).into(first, second, third);
  // The bit over goes into the fridge, to be drunk young.
  await bench.says(/find no room/);
  await rackPage(bench).topUpWith('in the fridge');
  await way.files(2, () => bench.press('Rack it'));
  const { vessels, liquid } = await way.state(path);
  expect(vessels).toHaveLength(3);
  expect(vessels.reduce((sum, fill) => sum + fill.volumeL, 0)).toBeCloseTo(liquid?.volumeL ?? 0, 2);
  expect(liquid?.volumeL).toBeGreaterThan(9.2);
  await bench.says(/Racked/, 'trug-log');
  expect(way.faults).toEqual([]);
});
