import { abvOf, gravityOf, type EntryOf } from '@trug/core';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Sweets from the shop in water and juice, by what their packet says, with two yeasts weighed apart. */
it.each(SCREENS)('an ingredient of the maker’s own counts by its packet, with two yeasts, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-05', { mass: 'imperial', timeZone: 'America/Los_Angeles' }, screen, hand);
  const path = await way.beginsJuice({ name: 'Sweet shop', volume: '4 L', sg: '1.040', newCapacity: '5.5 L' });
  const juice = await way.drink(path);
  await bench.open(`${path}/adjust`);
  await bench.pressAt('trug-own-sugar summary');
  await way.fills({ ownName: 'Boiled sweets', ownCarbohydrate: '95', ownLasting: '10', ownAmount: '2 lb' });
  await bench.choose('ownLook', 'hazy');
  await bench.press('Keep it');
  await bench.says(/Boiled sweets is in the cupboard/);
  await bench.fill('given', '12 oz');
  await bench.says(/of boiled sweets/, 'aside h2');
  await bench.says(/hazy/, 'aside');
  await way.files(1, () => bench.press('Write it down'));
  await bench.says(/12 oz Boiled sweets/, 'trug-log');
  const must = await way.drink(path);
  // By hand: 12 oz are 340.2 g, 85 in a hundred of them ferment and 10 stay; 1 g of each takes 0.618 mL.
  expect(must.sucroseGPerL * must.volumeL - juice.sucroseGPerL * juice.volumeL).toBeCloseTo(340.2 * 0.85, 0);
  expect(must.otherSolidsGPerL * must.volumeL - juice.otherSolidsGPerL * juice.volumeL).toBeCloseTo(34, 0);
  expect(must.volumeL).toBeCloseTo(4 + 0.3402 * (0.95 * 0.618 + 0.05), 2);
  expect(gravityOf(must)).toBeCloseTo((1.04 * 4 + 0.3402) / must.volumeL, 2);

  // What is kept is offered the next time, and drawn on by what went in.
  await bench.open('/cupboard');
  await bench.says(/Boiled sweets[\s\S]*1 lb 4 oz/);
  for (const [yeast, grams] of [
    ['fruity-cider', '2 g'],
    ['english-ale', '1.5 g'],
  ] as const) {
    await bench.open(`${path}/pitch`);
    await way.fills({ juice: '18 C', given: grams });
    await way.takesYeast(yeast);
    await way.files(1, () => bench.press('Pitch it'));
  }
  const pitches = (await way.log(path)).filter((e): e is EntryOf<'pitched'> => e.kind === 'pitched');
  expect(pitches.map(({ payload }) => [payload.yeastId, payload.massG])).toEqual([
    ['fruity-cider', 2],
    ['english-ale', 1.5],
  ]);
  await way.on('2026-10-20', path);
  await way.scribbles('1.020 at 18C');
  const drink = await way.drink(path);
  // Some 69 points down to 20 are about forty-nine: 6.4 to 6.9 %.
  expect(abvOf(drink)).toBeGreaterThan(5.8);
  expect(abvOf(drink)).toBeLessThan(7);
  expect(way.faults).toEqual([]);
});
