import { gravityOf } from '@trug/core';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Wild fruit without a press: cold water to a mark on the bucket, and nothing read before it is strained. */
it.each(SCREENS)('wild fruit is steeped cold and loose, strained, then sugared, fed and pitched, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-09-06', { timeZone: 'Pacific/Auckland' }, screen, hand);
  await bench.open('/juice/steep');
  await bench.pressAt('trug-own-fruit summary');
  await bench.fill('ownFruitName', 'Hedge crab');
  await bench.choose('ownFruitLike', 'wild-hedgerow-crab');
  await bench.press('Keep it');
  await bench.says(/Hedge crab is in the cupboard/);
  await way.fills({ volume: '5 L', fruit: '2 kg', dried: '250 g', sg: '', ta: '', days: '5' });
  await bench.choose('held', 'loose');
  await bench.choose('newKind', 'bucket');
  await bench.press('Put it in the cupboard');
  await bench.says(/My bucket is in the cupboard/);
  await bench.says(/bucket, holds 25 L/);
  await bench.press('Begin it');
  await bench.says(/waits for yeast/, 'trug-now h2');
  const path = way.here();
  await way.scribbles('1 sulfite tablet');
  for (const day of ['2026-09-07', '2026-09-08', '2026-09-09', '2026-09-10']) {
    await way.on(day, path);
    await way.files(1, () => bench.press('Stirred just now'));
  }

  await way.on('2026-09-11', path);
  await bench.says(/Its 5 days are over/, 'trug-now');
  await bench.press('Strain it');
  await way.fills({ volume: '4.6 L', gravity: '1.034', sample: '20 C' });
  await bench.choose('newKind', 'jar');
  await bench.fill('newCapacity', '5.1 L');
  await bench.press('Put it in the cupboard');
  await bench.says(/My glass jar is in the cupboard/);
  await way.files(2, () => bench.press('Strain it'));
  await way.scribbles('1/2 tsp pectic enzyme, 1 tsp nutrient', 2);
  await bench.open(`${path}/adjust`);
  await bench.fill('sg', '1.080');
  await way.files(1, () => bench.press('Write it down'));
  await way.scribbles('1.080 at 20C, too full, stands on a tray');
  await bench.open(`${path}/pitch`);
  await way.fills({ juice: '14 C' });
  await way.takesYeast('cold-tolerant-slow');
  await way.files(1, () => bench.press('Pitch it'));

  const state = await way.state(path);
  expect(state.pulp).toBeNull();
  expect((await way.log(path)).map((entry) => entry.kind)).toEqual([
    ...['steeped', 'addition', 'stirred', 'stirred', 'stirred', 'stirred', 'strained', 'reading'],
    ...['addition', 'addition', 'addition', 'reading', 'pitched'],
  ]);
  expect(state.must && gravityOf(state.must)).toBeCloseTo(1.08, 3);
  // By hand: 1.034 holds 88 g/L, 4.6 L of it 405 g; at 1.080 there are 208 g/L, and each gram of sugar takes 0.62 mL:
  // 405 + s = 208 (4.6 + 0.00062 s), so s = 634 g and 4.99 L.
  expect(state.liquid?.volumeL).toBeGreaterThan(4.96);
  expect(state.liquid?.volumeL).toBeLessThan(5.02);
  expect(way.faults).toEqual([]);
});
