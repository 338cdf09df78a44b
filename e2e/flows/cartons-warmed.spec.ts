import { abvOf, gravityOf, phOf } from '@trug/core';
import { rackPage } from '../pages/rack-page';
import { freshVessel } from '../support/fresh-batch';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

const GALLON_L = 3.785411784;
const celsius = (degF: number): number => (degF - 32) / 1.8;
const US = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', timeZone: 'America/Los_Angeles' } as const;
let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

/** Shop juice out of a cold garage: cleared, sugared to a gravity, part of it heated, pitched warm; racked under water when it is done. */
it.each(SCREENS)('cartons warmed to pitch, racked and topped up, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-01', US, screen, hand);
  const path = await way.beginsJuice({ name: 'Garage', volume: '5 gal', sg: '1.048', newCapacity: '6 gal' });

  await way.scribbles('20 g bentonite, 1 tsp nutrient', 2);
  await bench.pressElse('Adjust it');
  await bench.fill('sg', '1.055');
  await way.files(1, () => bench.press('Write it down'));
  expect(gravityOf(await way.drink(path))).toBeCloseTo(1.055, 4);

  await bench.press('Pitch the yeast');
  await bench.fill('juice', '50 F');
  await bench.fill('place', '60 F');
  await bench.says(/To warm it to/, 'trug-warmth-note');
  const note = await bench.text('trug-warmth-note');
  const [, wantedF = ''] = /warm it to (\d+) °F/.exec(note) ?? [];
  const [, heatGal = '', potF = ''] = /Heat ([\d.]+) US gal of it to (\d+) °F/.exec(note) ?? [];
  // Heat balance by hand: so much of it at the pan's warmth, the rest as cold as it is.
  const { volumeL } = await way.drink(path);
  const heatL = (volumeL * (celsius(Number(wantedF)) - celsius(50))) / (celsius(Number(potF)) - celsius(50));
  expect(Math.abs(Number(heatGal) * GALLON_L - heatL)).toBeLessThan(0.15);
  expect(note).toContain('never into a glass jar');
  await bench.fill('juice', '64 F');
  await way.files(2, () => bench.press('Pitch it'));

  for (const [day, line] of [
    ['2026-10-10', '1.020 at 62F, bubbling away'],
    ['2026-11-10', '0.998 at 60F'],
    ['2026-11-24', '0.998 at 60F, clear at last'],
  ] as const) {
    await way.on(day, path);
    await way.scribbles(line);
  }
  await bench.says(/^Finished/, 'trug-now h2');

  // Into glass that it just does not fill: water tops it up, and what that costs is said first.
  const before = await way.drink(path);
  const glass = await freshVessel(way.trug, Math.round(before.volumeL) + 2);
  await bench.open(`${path}/rack`);
  await rackPage(bench).into(glass);
  await bench.says(/cooled water/, '.ways');
  await rackPage(bench).topUpWith('cooled water');
  await way.files(2, () => bench.press('Rack it'));
  await bench.says(/Racked/, 'trug-log');
  const after = await way.drink(path);
  const waterL = (await way.log(path)).reduce((sum, e) => (e.kind === 'addition' && e.payload.what === 'water' ? sum + e.payload.volumeL : sum), 0);
  expect(waterL).toBeGreaterThan(0.1);
  // Alcohol is neither made nor lost: by hand, what was there over what there is with the water.
  expect(abvOf(after)).toBeCloseTo((abvOf(before) * before.volumeL) / (before.volumeL + waterL), 1);
  expect(phOf(after)).toBeGreaterThanOrEqual(phOf(before) - 0.01);
  expect(way.faults).toEqual([]);
});
