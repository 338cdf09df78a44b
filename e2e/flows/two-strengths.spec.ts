import { abvOf, gravityOf, type Liquid } from '@trug/core';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

const GALLON_L = 3.785411784;
const POUND_G = 453.59237;
const sugarG = (drink: Liquid): number => (drink.sucroseGPerL + drink.hexoseGPerL) * drink.volumeL;
const US = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'Bx', timeZone: 'America/Los_Angeles' } as const;
let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Mill juice in two carboys: one as it is, one sugared by the pound up to a wine, each with its own yeast. */
it.each(SCREENS)('mill juice goes two ways, read in °Bx, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-03', US, screen, hand);
  const begins = async (name: string): Promise<string> => {
    const path = await way.beginsJuice({ name, volume: '5 gal', sg: '12.4 Bx', newName: `${name} carboy`, newCapacity: '6.5 gal' });
    await way.scribbles('1/4 tsp metabisulfite');
    await bench.says(/Waiting out its sulfite/, 'trug-now');
    return path;
  };
  const cider = await begins('Cider lot');
  const wine = await begins('Wine lot');
  const must = await way.drink(wine);
  // A level quarter spoon of 1.4 g in 18.9 L, of which rather more than half is sulfite.
  expect(must.totalSo2MgPerL).toBeGreaterThan(35);
  expect(must.totalSo2MgPerL).toBeLessThan(50);

  await way.on('2026-10-04', wine);
  await way.scribbles('5 lb sugar, 1 lb dark brown sugar', 2);
  const sweet = await way.drink(wine);
  // By hand: six pounds in five gallons, brown sugar 95 % sugar.
  const addedG = 5 * POUND_G + POUND_G * 0.95;
  expect(sugarG(sweet) - sugarG(must)).toBeGreaterThan(addedG * 0.98);
  expect(sugarG(sweet) - sugarG(must)).toBeLessThan(addedG * 1.07);
  await way.scribbles('22.6 Bx at 68F');
  await bench.pressElse('Adjust it');
  await bench.fill('sg', '24 Bx');
  await way.files(1, () => bench.press('Write it down'));
  await way.scribbles('24 Bx at 68F, stands on a tray');
  expect(gravityOf(await way.drink(wine))).toBeCloseTo(1.101, 2);

  for (const [path, yeast] of [
    [wine, 'neutral-champagne'],
    [cider, 'crisp-cider'],
  ] as const) {
    await bench.open(`${path}/pitch`);
    await way.fills({ juice: '66 F', place: '66 F' });
    await way.takesYeast(yeast);
    await bench.choose('way', 'rehydrated');
    await bench.says(/°F/, 'aside');
    await way.files(2, () => bench.press('Pitch it'));
  }
  for (const [day, path, line] of [
    ['2026-10-20', cider, '1.012 at 66F'],
    ['2026-11-10', cider, '0.999 at 64F'],
    ['2026-11-24', cider, '0.999 at 64F'],
    ['2026-11-24', wine, '1.020 at 64F'],
    ['2026-12-20', wine, '0.991 at 64F'],
    ['2027-01-20', wine, '0.991 at 64F'],
  ] as const) {
    await way.on(day, path);
    await way.scribbles(line);
  }
  await bench.says(/^Finished/, 'trug-now h2');
  const [weak, strong] = [await way.drink(cider), await way.drink(wine)];
  // By the gravity drop over 7.46, which is what a maker would reckon with: 1.050 to 0.999, 1.101 to 0.991.
  expect(abvOf(weak)).toBeGreaterThan(6.3);
  expect(abvOf(weak)).toBeLessThan(7.2);
  expect(abvOf(strong)).toBeGreaterThan(13.7);
  expect(abvOf(strong)).toBeLessThan(15.3);
  expect(weak.volumeL).toBeCloseTo(5 * GALLON_L, 1);
  expect(way.faults).toEqual([]);
});
