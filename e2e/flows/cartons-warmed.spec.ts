import { abvOf, gravityOf, phOf, replay, type Entry, type Liquid } from '@trug/core';
import { Bench } from '../pages/bench';
import { rackPage } from '../pages/rack-page';
import { freshVessel } from '../support/fresh-batch';
import { SCREENS } from '../support/screens';
import { TestTrug } from '../support/trug';

const GALLON_L = 3.785411784;
const celsius = (degF: number): number => (degF - 32) / 1.8;
let trug: TestTrug;
beforeEach(async () => {
  trug = new TestTrug();
  await trug.start('2026-10-01');
  const settings = await trug.ask<object>('/api/settings');
  await trug.send('PUT', '/api/settings', {
    ...settings,
    volume: 'us-gal',
    mass: 'imperial',
    temperature: 'degF',
    timeZone: 'America/Los_Angeles',
    timeZoneChosen: true,
  });
});
afterEach(() => trug.stop());

/** Shop juice out of a cold garage: cleared, sugared to a gravity, part of it heated, pitched warm; racked under water when it is done. */
it.each(SCREENS)('cartons warmed to pitch, racked and topped up, %s', async (_where, screen, hand) => {
  const { page, faults } = await trug.page(screen);
  const bench = new Bench(page, trug.url, hand);
  await bench.open('/new');
  await bench.fill('name', 'Garage');
  await bench.fill('volume', '5 gal');
  await bench.fill('sg', '1.048');
  await bench.fill('newCapacity', '6 gal');
  await bench.press('Put it in the cupboard');
  await bench.tickOption('clean', 'later');
  await bench.press('Begin it');
  await bench.says(/It waits for yeast/, 'trug-now');
  const path = new URL(page.url()).pathname;
  const log = async (): Promise<readonly Entry[]> => (await trug.ask<{ entries: readonly Entry[] }>(`/api${path.replace('batch', 'batches')}`)).entries;
  const drink = async (): Promise<Liquid> => {
    const { liquid } = replay(await log());
    if (!liquid) throw new Error('nothing in the vessel');
    return liquid;
  };
  const filed = (entries: number): Promise<void> => bench.until(async () => (await log()).length === entries);
  const scribbled = async (line: string, entries: number): Promise<void> => {
    await bench.press('Scribble a line…');
    await bench.fill('scribble', line);
    await bench.press('Write it down');
    await filed(entries);
  };

  await scribbled('20 g bentonite, 1 tsp nutrient', 3);
  await bench.pressElse('Adjust it');
  await bench.fill('sg', '1.055');
  await bench.press('Write it down');
  await filed(4);
  expect(gravityOf(await drink())).toBeCloseTo(1.055, 4);

  await bench.press('Pitch the yeast');
  await bench.fill('juice', '50 F');
  await bench.fill('place', '60 F');
  await bench.says(/To warm it to/, 'trug-warmth-note');
  const note = await bench.text('trug-warmth-note');
  const [, wantedF = ''] = /warm it to (\d+) °F/.exec(note) ?? [];
  const [, heatGal = '', potF = ''] = /Heat ([\d.]+) US gal of it to (\d+) °F/.exec(note) ?? [];
  // Heat balance by hand: so much of it at the pan's warmth, the rest as cold as it is.
  const { volumeL } = await drink();
  const heatL = (volumeL * (celsius(Number(wantedF)) - celsius(50))) / (celsius(Number(potF)) - celsius(50));
  expect(Math.abs(Number(heatGal) * GALLON_L - heatL)).toBeLessThan(0.15);
  expect(note).toContain('never into a glass jar');
  await bench.fill('juice', '64 F');
  await bench.press('Pitch it');
  await filed(6);

  for (const [day, line, entries] of [
    ['2026-10-10', '1.020 at 62F, bubbling away', 7],
    ['2026-11-10', '0.998 at 60F', 8],
    ['2026-11-24', '0.998 at 60F, clear at last', 9],
  ] as const) {
    await trug.moveClock(day);
    await bench.open(path);
    await scribbled(line, entries);
  }
  await bench.says(/^Finished/, 'trug-now h2');

  // Into glass that it just does not fill: water tops it up, and what that costs is said first.
  const before = await drink();
  const glass = await freshVessel(trug, Math.round(before.volumeL) + 2);
  await bench.open(`${path}/rack`);
  await rackPage(bench).into(glass);
  await bench.says(/cooled water/, '.ways');
  await rackPage(bench).topUpWith('cooled water');
  await bench.press('Rack it');
  await bench.says(/Racked/, 'trug-log');
  await filed(11);
  const after = await drink();
  const waterL = (await log()).reduce((sum, e) => (e.kind === 'addition' && e.payload.what === 'water' ? sum + e.payload.volumeL : sum), 0);
  expect(waterL).toBeGreaterThan(0.1);
  // Alcohol is neither made nor lost: by hand, what was there over what there is with the water.
  expect(abvOf(after)).toBeCloseTo((abvOf(before) * before.volumeL) / (before.volumeL + waterL), 1);
  expect(phOf(after)).toBeGreaterThanOrEqual(phOf(before) - 0.01);
  expect(faults).toEqual([]);
});
