import { abvOf, type EntryOf } from '@trug/core';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

const IMP_GALLON_L = 4.54609;
let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

const later = (iso: string, hours: number): string => new Date(Date.parse(iso) + hours * 3_600_000).toISOString();
/** Ticks off the first steps of a timed plan, each on its hour. */
async function ticks(path: string, from: string, hours: readonly number[]): Promise<void> {
  let at = from;
  for (const wait of hours) {
    await way.files(1, () => way.bench.pressAt('trug-timed-steps li.now button'));
    at = later(at, wait);
    await way.on(at, `${path}/pitch`);
  }
}

/** Cloths and a screw, a gallon by so many kilos, and yeast woken before it goes in. */
it.each(SCREENS)('pressed through cloths, with a starter, a bucket first and jars after, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-05T09:00:00.000Z', { volume: 'imp-gal', timeZone: 'Europe/London' }, screen, hand);
  await bench.open('/juice/press');
  await way.fills({ wanted: '2 gal' });
  await bench.says(/About \d+ kg; \d+ kg to be nearly sure/);
  await way.fills({ mass: '16 kg' });
  await bench.press('Weigh it in');
  await way.fills({ run: '2 gal', into: 'the bucket' });
  await bench.press('Write the run');
  await bench.press('Done: measure the juice');
  await way.fills({ gravity: '1.050', sample: '15 C' });
  await bench.press('Write it down');
  await bench.says(/2 imp gal in hand in/);
  await bench.press('Begin a batch');
  await way.fills({ total: '2 gal' });
  await bench.says(/if left dry/, '.words');
  await bench.press('Pour it');
  await way.fills({ batchName: 'Cloths', juiceTemp: '16 C' });
  await bench.choose('newKind', 'bucket');
  await way.fills({ newCapacity: '3 gal' });
  await bench.press('Put it in the cupboard');
  await bench.says(/is in the cupboard/);
  await bench.press('Pour it into the vessels');
  await bench.says(/It waits for yeast/, 'trug-now');
  const path = way.here();
  await bench.open(`${path}/pitch`);
  await way.fills({ juice: '16 C' });
  await bench.choose('way', 'starter');
  await ticks(path, '2026-10-05T09:00:00.000Z', [1, 24, 12]);
  await bench.says(/Pour it in while it works/);
  await way.files(1, () => bench.press('Pitch it'));
  const [pitch] = (await way.log(path)).filter((e): e is EntryOf<'pitched'> => e.kind === 'pitched');
  expect(pitch?.payload.method).toBe('starter');

  await way.on('2026-10-14', path);
  await way.scribbles('1.020 at 16C');
  const drink = await way.drink(path);
  expect(drink.volumeL).toBeCloseTo(2 * IMP_GALLON_L, 1);
  // Thirty points at 7.46 to the per cent.
  expect(abvOf(drink)).toBeGreaterThan(3.7);
  expect(abvOf(drink)).toBeLessThan(4.3);
  expect(way.faults).toEqual([]);
});

/** A packet years past its date goes in and does nothing; the second, grown first, does the work. */
it.each(SCREENS)('an old packet is warned of, and a second yeast follows it, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-01T09:00:00.000Z', { timeZone: 'Europe/London' }, screen, hand);
  await bench.open('/cupboard');
  await bench.press('Add a packet or jar');
  await way.fills({ supplyAmount: '1', supplyUntil: '1 May 2023' });
  await bench.pressAt('trug-supply-list form.card button[type=submit]');
  await bench.says(/past its date/);
  const path = await way.beginsJuice({ name: 'Late', volume: '4 L', sg: '1.050', newCapacity: '5 L' });
  await bench.open(`${path}/pitch`);
  await bench.says(/past its date/);
  await way.fills({ juice: '18 C' });
  await way.takesYeast('crisp-cider');
  await bench.says(/3 years past its date: perhaps/, 'aside');
  await bench.fill('given', '1 packet');
  await way.files(1, () => bench.press('Pitch it'));

  for (const day of ['2026-10-05', '2026-10-09', '2026-10-12']) {
    await way.on(`${day}T09:00:00.000Z`, path);
    await way.scribbles('1.050 at 18C, no bubbles');
  }
  expect(await bench.batchVerdict()).toMatch(/[Nn]ot started|has not begun|[Nn]othing/);
  await bench.open(`${path}/pitch`);
  await way.fills({ juice: '18 C' });
  await bench.tickOption('yeast', 'neutral-champagne');
  await bench.choose('way', 'starter');
  await ticks(path, '2026-10-12T09:00:00.000Z', [1, 24, 12]);
  await way.files(1, () => bench.press('Pitch it'));
  await way.on('2026-10-20', path);
  await way.scribbles('1.030 at 18C');
  expect(await bench.batchVerdict()).toMatch(/[Ww]orking/);
  const pitches = (await way.log(path)).filter((e): e is EntryOf<'pitched'> => e.kind === 'pitched');
  expect(pitches.map((e) => e.payload.yeastId)).toEqual(['crisp-cider', 'neutral-champagne']);
  expect((await way.drink(path)).volumeL).toBeCloseTo(4, 1);
  expect(way.faults).toEqual([]);
});
