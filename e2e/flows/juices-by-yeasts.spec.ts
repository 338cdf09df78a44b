import { gravityOf, type Entry, type EntryOf } from '@trug/core';
import { SCREENS } from '../support/screens';
import { Way } from '../support/way';

let way: Way;
beforeEach(() => {
  way = new Way();
});
afterEach(() => way.trug.stop());

const later = (iso: string, hours: number): string => new Date(Date.parse(iso) + hours * 3_600_000).toISOString();
const isReading = (entry: Entry): entry is EntryOf<'reading'> => entry.kind === 'reading';

/** Juices with names of their own, each with two yeasts weighed small, begun in one go and read in one table. */
it.each(SCREENS)('several juices with two yeasts are begun from a grid and read in a table, %s', async (_where, screen, hand) => {
  const bench = await way.begin('2026-10-05', { volume: 'us-gal', temperature: 'degF', timeZone: 'America/Los_Angeles' }, screen, hand);
  await bench.open('/new');
  await bench.press('Several at once');
  await bench.fill('juices', 'Lane windfalls 1.048');
  await bench.page.keyboard.press('Enter');
  await bench.page.keyboard.type('Shop cloudy 11.2 Bx');
  await way.fills({ volume: '1 qt', mass1: '0.3 g', temp: '66 F' });
  await bench.choose('yeast2', 'fruity-cider');
  await way.fills({ mass2: '0.4 g' });
  await bench.says(/4 jars/, 'aside h2');
  await bench.press('Begin them');
  await bench.says(/Read several/, 'main h1');
  const batches = await way.trug.ask<{ id: string; name: string }[]>('/api/batches');
  expect(batches.map((b) => b.name).sort()).toEqual([
    'Lane windfalls × Crisp cider',
    'Lane windfalls × Fruity cider',
    'Shop cloudy × Crisp cider',
    'Shop cloudy × Fruity cider',
  ]);
  const idOf = (name: string): string => batches.find((b) => b.name === name)?.id ?? '';
  for (const [name, grams, sg] of [
    ['Lane windfalls × Fruity cider', 0.4, 1.048],
    // 11.2 °Bx by the usual table is 1.045.
    ['Shop cloudy × Crisp cider', 0.3, 1.045],
  ] as const) {
    const { must } = await way.state(`/batch/${idOf(name)}`);
    expect(must && gravityOf(must)).toBeCloseTo(sg, 3);
    // A US quart.
    expect(must?.volumeL).toBeCloseTo(0.946, 3);
    const [, pitch] = await way.log(`/batch/${idOf(name)}`);
    expect(pitch).toMatchObject({ kind: 'pitched', payload: { massG: grams } });
  }

  await way.trug.moveClock('2026-10-15');
  await bench.open('/readings');
  await way.fills({ sample: '68 F' });
  const read = { 'Lane windfalls × Crisp cider': '1.020', 'Lane windfalls × Fruity cider': '1.026', 'Shop cloudy × Crisp cider': '1.012' };
  for (const [name, text] of Object.entries(read)) await bench.fill(idOf(name), text);
  await bench.press('Write down 3 readings');
  await bench.until(async () => (await way.log(`/batch/${idOf('Shop cloudy × Crisp cider')}`)).some(isReading));
  for (const [name, text] of Object.entries(read)) {
    const found = (await way.log(`/batch/${idOf(name)}`)).filter(isReading);
    expect([name, found.map((e) => e.payload.gravity?.reading)]).toEqual([name, [Number(text)]]);
  }
  expect((await way.log(`/batch/${idOf('Shop cloudy × Fruity cider')}`)).filter(isReading)).toEqual([]);
  // Side by side: which fell how far.
  await bench.open('/batches');
  await bench.fill('find', 'windfalls');
  await bench.says(/1\.048[\s\S]*1\.0(20|26)[\s\S]*1\.0(20|26)/, 'main table');
  expect(way.faults).toEqual([]);
});

/** The skins' own yeast, woken over days, smelled before it is used, and a jug of sweetened juice begun with it. */
it.each(SCREENS)('a wild starter is fed over days and pitched, %s', async (_where, screen, hand) => {
  const from = '2026-10-05T09:00:00.000Z';
  const bench = await way.begin(from, { timeZone: 'Pacific/Auckland' }, screen, hand);
  const path = await way.beginsJuice({ name: 'Wild jug', volume: '4 L', sg: '1.044', newCapacity: '5 L' }, 'wild-cold');
  const juice = await way.drink(path);
  await way.scribbles('100 g sugar');
  await bench.open(`${path}/pitch`);
  await way.fills({ juice: '16 C' });
  await way.takesYeast('wild-spontaneous');
  await bench.choose('way', 'wild');
  let at = from;
  for (const [hours, says] of [
    [24, /Stir twice a day. Throw it out if it smells of vinegar/],
    [48, /smells clean, feed it/],
    [24, /Pour it in while it works/],
  ] as const) {
    await way.files(1, () => bench.pressAt('trug-timed-steps li.now button'));
    at = later(at, hours);
    await way.on(at, `${path}/pitch`);
    await bench.says(says, 'trug-timed-steps li.now');
  }
  await bench.open(path);
  await way.scribbles('the starter smells clean, of apples and bread');
  await bench.open(`${path}/pitch`);
  await way.files(1, () => bench.press('Pitch it'));
  await way.on('2026-10-25', path);
  await way.scribbles('1.030 at 18C, lively');
  expect(await bench.batchVerdict()).toMatch(/[Ww]orking|Cannot tell/);
  const log = await way.log(path);
  expect(log.map((e) => e.kind)).toEqual(['filled', 'addition', 'stepped', 'stepped', 'stepped', 'note', 'pitched', 'reading']);
  expect(log.find((e) => e.kind === 'pitched')?.payload).toMatchObject({ yeastId: 'wild-spontaneous', method: 'starter', massG: 0 });
  const { must } = await way.state(path);
  // By hand: 100 g of sugar in 4 L and its own 62 mL.
  expect((must?.sucroseGPerL ?? 0) * (must?.volumeL ?? 0) - juice.sucroseGPerL * juice.volumeL).toBeCloseTo(100, 0);
  expect(must?.volumeL).toBeCloseTo(4.062, 2);
  expect(way.faults).toEqual([]);
});
