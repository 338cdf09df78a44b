import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gravityOf, replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { freshBatch, freshVessel, pitched, read, type FreshBatch } from '../support/fresh-batch';
import { DESK, PHONE, TestTrug } from '../support/trug';

const TODAY = '2026-11-23';
const DOC = join(__dirname, '../../docs/presses.md');
/** So many more than writing on tape takes, which needs none. */
const MOST_PRESSES = 3;
let trug: TestTrug;
beforeEach(async () => {
  trug = new TestTrug();
  await trug.start(TODAY);
});
afterEach(() => trug.stop());

const logOf = async ({ id }: FreshBatch): Promise<readonly Entry[]> => (await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${id}`)).entries;

/** Sugar in a litre of a gravity, by the published equation, g. */
const solidsGPerL = (sg: number): number => (3.869e-4 - Math.sqrt(3.869e-4 ** 2 - 4 * 1.41e-8 * (sg - 1))) / (2 * 1.41e-8);

it('several acts of one day in one line, opened by its key, read back, filed together and taken back together', async () => {
  const batch = await freshBatch(trug);
  const { page, faults } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  await bench.open('/shelf');
  await page.keyboard.press('/');
  await bench.fill('scribble', `${batch.name}: 1.046 at 20C, 300 g sugar, 1/2 tsp pectic enzyme, heaped tsp nutrient`);
  await bench.says(/Read 1\.046 at 20 °C/, 'trug-scribble-sheet');
  await bench.says(/Added 300 g White sugar/, 'trug-scribble-sheet');
  await bench.says(/level it with a knife/, 'trug-scribble-sheet');
  await page.keyboard.press('Enter');
  await bench.holds('scribble', 'heaped tsp nutrient');
  expect((await logOf(batch)).map((e) => e.kind)).toEqual(['filled', 'reading', 'addition', 'addition']);
  // 4 L of 1.046: sugar takes 0.618 mL a gram, and weighs what it weighs.
  const litres = 4 + 0.3 * 0.618;
  const { liquid } = replay(await logOf(batch));
  if (!liquid) throw new Error('nothing in the jar');
  expect(liquid.volumeL).toBeCloseTo(litres, 2);
  expect(solidsGPerL(gravityOf(liquid))).toBeCloseTo((4 * solidsGPerL(1.046) + 300) / litres, -1);
  await page.keyboard.press('Escape');
  await bench.press('Undo');
  await bench.until(async () => (await logOf(batch)).filter((e) => e.kind === 'corrected').length === 3);
  expect(replay(await logOf(batch)).liquid?.volumeL).toBeCloseTo(4, 6);
  expect(faults).toEqual([]);
});

it('on a phone, in pounds and gallons and another zone, with the day said, and on to the page that asks more', async () => {
  await trug.send('PUT', '/api/settings', {
    ...(await trug.ask<object>('/api/settings')),
    volume: 'us-gal',
    mass: 'imperial',
    temperature: 'degF',
    timeZone: 'Pacific/Auckland',
    timeZoneChosen: true,
  });
  const batch = await freshBatch(trug, [pitched('2026-11-10'), read('2026-11-18', 1.02)]);
  const { page, faults } = await trug.page(PHONE);
  const bench = new Bench(page, trug.url, 'finger');
  await bench.open(batch.path(''));
  await bench.press('Scribble a line…');
  await bench.fill('scribble', 'yesterday at 9pm 1.012 at 64°, eggy, 1 lb honey, racked');
  await bench.says(new RegExp(batch.name), 'trug-scribble-sheet trug-tape');
  await bench.says(/Added 1 lb Honey/, 'trug-scribble-sheet');
  await bench.press('Write it down');
  await bench.says(/Undo/);
  // Nine in the evening in Auckland is eight in the morning by Greenwich.
  expect((await logOf(batch)).slice(-2)).toMatchObject([
    { kind: 'reading', at: expect.stringMatching(/T08:00/), note: 'eggy', payload: { gravity: { sampleC: expect.closeTo((64 - 32) / 1.8, 6) } } },
    { kind: 'addition', payload: { fermentableId: 'honey', massG: expect.closeTo(453.59237, 6) } },
  ]);
  await bench.says(/eggy/, 'trug-log');
  expect(faults).toEqual([]);
});

interface Counted {
  readonly presses: number;
  readonly fields: number;
}
const counts = ({ presses, fields }: Counted): string => `${presses} press${presses === 1 ? '' : 'es'}, ${fields} field${fields === 1 ? '' : 's'}`;
interface UsualAct {
  readonly act: string;
  readonly acts: Parameters<typeof freshBatch>[1];
  readonly line: string;
  readonly byPage: (bench: Bench) => Promise<void>;
  /** What its line leaves to a page. */
  readonly then?: (bench: Bench) => Promise<void>;
}
const WORKING = [pitched('2026-11-10'), read('2026-11-18', 1.02)];
const adjusted = async (bench: Bench, given: string, what?: string): Promise<void> => {
  await bench.pressElse('Adjust it');
  if (what !== undefined) await bench.press(what);
  await bench.fill('given', given);
  await bench.press('Write it down');
};
const noted = async (bench: Bench, text: string, kind?: string): Promise<void> => {
  await bench.press('Write a note');
  await bench.fill('text', text);
  if (kind !== undefined) await bench.choose('kind', kind);
  await bench.press('Write it down');
};
const ACTS: readonly UsualAct[] = [
  {
    act: 'A reading',
    acts: WORKING,
    line: '1.012',
    byPage: async (bench) => {
      await bench.press('Write a reading');
      await bench.fill('gravity', '1.012');
      await bench.press('Write it down');
    },
  },
  { act: 'Sugar', acts: [], line: '300 g sugar', byPage: (bench) => adjusted(bench, '300 g') },
  { act: 'Nutrient', acts: WORKING, line: '2 g nutrient', byPage: (bench) => adjusted(bench, '2 g', 'Nutrient') },
  { act: 'Sulfite', acts: [], line: '1 sulfite tablet', byPage: (bench) => adjusted(bench, '1', 'Sulfite') },
  {
    act: 'Yeast',
    acts: [],
    line: '5 g crisp cider yeast',
    byPage: async (bench) => {
      await bench.press('Pitch the yeast');
      await bench.press('Pitch it');
    },
  },
  {
    act: 'Moved',
    acts: WORKING,
    line: 'moved to the loft 14C',
    byPage: async (bench) => {
      await bench.pressElse('Move it');
      await bench.fill('place', 'the loft');
      await bench.fill('temp', '14 C');
      await bench.press('Write it down');
    },
  },
  { act: 'A note', acts: WORKING, line: 'cloudy, smells of pears', byPage: (bench) => noted(bench, 'cloudy, smells of pears') },
  { act: 'A tasting', acts: WORKING, line: 'tasted sharp', byPage: (bench) => noted(bench, 'sharp', 'tasted') },
  {
    act: 'Racked',
    acts: [pitched('2026-09-01'), read('2026-10-20', 0.998), read('2026-11-03', 0.998), read('2026-11-20', 0.998)],
    line: 'racked',
    byPage: async (bench) => {
      await bench.press('Rack it');
      await bench.says(/Into/, 'main');
      await bench.press('Rack it');
    },
    then: async (bench) => {
      await bench.press('Rack it');
      await bench.says(/Into/, 'main');
      await bench.press('Rack it');
    },
  },
  {
    act: 'Sugar, enzyme and yeast',
    acts: [],
    line: '300 g sugar, 1/2 tsp enzyme, 5 g crisp cider yeast',
    byPage: async (bench) => {
      await adjusted(bench, '300 g');
      await bench.says(/Undo/);
      await adjusted(bench, '1/2 tsp', 'Enzyme');
      await bench.says(/Undo/);
      await bench.press('Pitch the yeast');
      await bench.press('Pitch it');
    },
  },
];

it('takes no more than three presses for an act by one way or the other, as counted in docs/presses.md', async () => {
  const { page, faults } = await trug.page(DESK);
  const bench = new Bench(page, trug.url);
  const rows: string[] = [];
  for (const { act, acts, line, byPage, then } of ACTS) {
    const done = async (how: () => Promise<void>): Promise<Counted> => {
      const batch = await freshBatch(trug, acts);
      if (act === 'Racked') await freshVessel(trug, 4);
      const before = (await logOf(batch)).length;
      await bench.open(batch.path(''));
      await bench.says(new RegExp(batch.name), 'main h1');
      bench.counted();
      await how();
      await bench.until(async () => (await logOf(batch)).length > before);
      return bench.counted();
    };
    const paged = await done(() => byPage(bench));
    const scribbled = await done(async () => {
      await bench.press('Scribble a line…');
      await bench.fill('scribble', line);
      if (then) await then(bench);
      else await bench.press('Write it down');
    });
    expect([act, Math.min(paged.presses, scribbled.presses) <= MOST_PRESSES]).toEqual([act, true]);
    rows.push(`| ${act} | ${counts(paged)} | ${counts(scribbled)} | \`${line}\` |`);
  }
  expect(faults).toEqual([]);
  expect(
    readFileSync(DOC, 'utf8')
      .split('\n')
      .filter((line) => /^\| .*\d press/.test(line)),
  ).toEqual(rows);
});
