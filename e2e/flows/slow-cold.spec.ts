import { abvOf } from '@trug/core';
import { freshVessel } from '../support/fresh-batch';
import { rackPage } from '../pages/rack-page';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Pressed in autumn, a little sulfite, its own yeast, a cold room: months at a few points a week, racked at winter's end. */
it.each(SCREENS)('slow and cold through a winter, with no nagging, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-20', { timeZone: 'America/Los_Angeles' }, screen, hand);
  const path = await way.beginsJuice({ name: 'Cold room', volume: '20 L', sg: '1.052', newName: 'Cube', newCapacity: '23 L', temp: '9 C' }, 'wild-cold');
  await way.scribbles('30 mg/L sulfite');
  await way.on('2026-10-22', path);
  await way.scribbles('a packet of cold tolerant yeast at 10C');
  for (const [day, line, entries] of [
    ['2026-11-20', '1.044 at 9C, 1 tsp nutrient', 2],
    ['2027-01-10', '1.030 at 4C', 1],
    ['2027-02-20', '1.022 at 4C', 1],
  ] as const) {
    await way.on(day, path);
    await way.scribbles(line, entries);
    // Slow in the cold is not stuck.
    expect(await bench.batchVerdict()).not.toMatch(/[Ss]tuck|[Ff]inished/);
  }
  await way.on('2027-03-05', path);
  const cube = await freshVessel(way.trug, 22);
  await bench.open(`${path}/rack`);
  await rackPage(bench).into(cube);
  await way.files(1, () => bench.press('Rack it'));
  for (const [day, line] of [
    ['2027-04-20', '1.008 at 12C'],
    ['2027-05-20', '0.998 at 15C'],
    ['2027-06-05', '0.998 at 16C'],
  ] as const) {
    await way.on(day, path);
    await way.scribbles(line);
  }
  await bench.says(/^Finished/, 'trug-now h2');
  const drink = await way.drink(path);
  // 1.052 to 0.998 is fifty-four points: 7.0 to 7.4 % by anybody's factor.
  expect(abvOf(drink)).toBeGreaterThan(6.9);
  expect(abvOf(drink)).toBeLessThan(7.5);
  expect(drink.volumeL).toBeGreaterThan(18.5);
  expect(drink.volumeL).toBeLessThan(20);
  expect(way.faults).toEqual([]);
});
