import { abvOf, gravityOf } from '@trug/core';
import { freshVessel } from '../support/fresh-batch';
import { rackPage } from '../pages/rack-page';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Hard little fruit crushed into a bag, sugar by the cup, the bag out after days, racked often, and left alone until next autumn. */
it.each(SCREENS)('hard fruit in a bag rests until next autumn, in a zone ahead of all others, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-04-10', { timeZone: 'Pacific/Auckland' }, screen, hand);
  await bench.open('/juice/steep');
  await way.fills({ volume: '10 L', fruit: '6 kg', sg: '', ta: '', days: '6', name: 'Hedge' });
  await bench.choose('newKind', 'bucket');
  await way.fills({ newCapacity: '25 L' });
  await bench.press('Put it in the cupboard');
  await bench.says(/bucket, holds 25 L/);
  await bench.press('Begin it');
  await bench.says(/waits for yeast/, 'trug-now h2');
  const path = way.here();
  await way.scribbles('2 sulfite tablets');
  await way.on('2026-04-11', path);
  await way.scribbles('2 tsp pectic enzyme, 4 cups of sugar, a packet of neutral champagne yeast at 20C', 3);
  for (const day of ['2026-04-13', '2026-04-15']) {
    await way.on(day, path);
    await way.files(1, () => bench.press('Stirred just now'));
  }
  await way.on('2026-04-17', path);
  await bench.says(/Its 6 days are over/, 'trug-now');
  await bench.press('Strain it');
  await way.fills({ volume: '9.5 L', gravity: '1.040', sample: '20 C' });
  await bench.choose('newKind', 'carboy');
  await way.fills({ newCapacity: '11 L' });
  await bench.press('Put it in the cupboard');
  await bench.says(/is in the cupboard/);
  await way.files(2, () => bench.press('Strain it'));
  expect((await way.drink(path)).volumeL).toBeCloseTo(9.5, 2);

  for (const [day, sg] of [
    ['2026-05-10', '1.004'],
    ['2026-06-01', '0.994'],
    ['2026-06-20', '0.994'],
  ] as const) {
    await way.on(day, path);
    await way.scribbles(`${sg} at 20C`);
  }
  await bench.says(/^Finished/, 'trug-now h2');
  const racks = async (): Promise<void> => {
    const glass = await freshVessel(way.trug, 9.6);
    await bench.open(`${path}/rack`);
    await rackPage(bench).into(glass);
    await way.files(1, () => bench.press('Rack it'));
  };
  await racks();
  await way.on('2026-09-01', path);
  await racks();

  // To be left alone for half a year: said once, and kept.
  await way.on('2026-11-20', '/shelf');
  await bench.says(/Bottle Hedge/, 'trug-job-list');
  await bench.press('Put off: Bottle Hedge');
  await bench.press('Put off for half a year');
  for (const day of ['2027-01-10', '2027-04-20']) {
    await way.on(day, '/shelf');
    expect(await bench.text('trug-job-list')).not.toMatch(/(Overdue|Today)[\s\S]*Hedge[\s\S]*(This week|Later)|Read Hedge/);
  }
  await way.on('2027-05-25', '/shelf');
  await bench.says(/Bottle Hedge/, 'trug-job-list');
  const drink = await way.drink(path);
  expect(gravityOf(drink)).toBeCloseTo(0.994, 3);
  // By hand: four level cups are 800 g of sugar and 6 kg of fruit bring some 300 g in about 10 L; half of 110 g/L is alcohol, 0.79 of it to a litre.
  expect(abvOf(drink)).toBeGreaterThan(6.2);
  expect(abvOf(drink)).toBeLessThan(7.6);
  expect(drink.volumeL).toBeLessThan(9.6);

  // To the bottle: what it may still do is asked first, and bottles, forecast and cellar say the same afterwards.
  await bench.open(`${path}/bottle`);
  await bench.choose('fizz', '2');
  await bench.press('Find out what sugar is left');
  await bench.tickOption('by', 'sugar-test');
  await bench.fill('sugar', '0');
  await way.files(1, () => bench.press('Write it down'));
  await bench.pressElse('Malolactic change');
  await bench.tickOption('is', 'over');
  await way.files(1, () => bench.press('Write it down'));
  await bench.open(`${path}/bottle`);
  await bench.fill('warmest', '20 C');
  const { volumeL } = await way.drink(path);
  await bench.press('Bottle it');
  await bench.says(/In the bottle: \d+ left/, 'trug-now');
  const [crate] = (await way.state(path)).crates;
  // Less the half litre of the test bottle and what stays behind, in half litres.
  expect(crate?.lots.find((lot) => lot.kindId === 'crown-500')?.filled).toBe(Math.floor((volumeL - 0.4 - 0.5) / 0.5));
  // Two volumes, of which some one is in it still: within what crown caps stand four times over.
  expect(crate?.co2Volumes).toBeGreaterThan(1.8);
  expect(crate?.co2Volumes).toBeLessThan(2.3);
  await bench.open('/cellar');
  await bench.says(/Hedge[\s\S]*Ready from about/);
  await way.on('2027-06-05', '/shelf');
  await bench.says(/Squeeze the test bottle/, 'trug-job-list');
  await bench.open(`${path}/squeeze`);
  await bench.tickOption('feel', 'firm');
  await way.files(1, () => bench.press('Write it down'));
  await bench.open('/shelf');
  expect(await bench.text('trug-job-list')).not.toContain('Squeeze');
  expect(way.faults).toEqual([]);
});
