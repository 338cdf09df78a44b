import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { sampleSupply } from '../../../testing/sample-supply';
import { MovePage } from '../note/move-page';
import { Cellar } from './cellar';

const run = (day: number, crate: string, kindId: string, count: number, capColour: 'rust' | 'leaf') =>
  sampleEntry('bottled', day, { bottles: [{ kindId, count }], testBottle: false, lossL: 0.1, crate, capColour, hottestC: 24, acknowledged: [] });
const still = run(28, 'Still ones', 'crown-330', 12, 'leaf');
const primed = sampleEntry('primed', 28.1, { fermentableId: 'sucrose', massG: 70, mode: 'bulk', targetVolumes: 2, warmestSinceEndC: 18 });
const lively = run(28.2, 'Lively ones', 'crown-500', 20, 'rust');
const log = [...testedLog(), still, primed, lively];
const open = (entries = log): Promise<PageHarness> => PageHarness.open(Cellar, { batches: [sampleBatch(entries)], today: 60 });
/** More crates than are seen at a glance. */
const many = [...log, ...['A', 'B'].map((name, i) => run(20 + i, `Older ${name}`, 'crown-500', 1, 'rust'))];
const names = (page: PageHarness): readonly string[] => page.texts('li trug-tape');

it('finds crates by their words and by what they are', async () => {
  const page = await open(many);
  expect(names(page)).toHaveLength(4);
  await page.choose('fizz', 'sparkling');
  expect(names(page)).toEqual(['Lively ones']);
  await page.choose('fizz', '');
  await page.type('find', 'lively rust');
  expect(names(page)).toEqual(['Lively ones']);
  await page.type('find', 'plum');
  expect(page.text()).toContain('No crate is like that');
});
it('asks nothing where there are few crates, and says what sets their end', async () => {
  const page = await open();
  expect(page.has('.find')).toBe(false);
  expect(page.texts('li')[1]).toContain('Still, with hardly any sulfite against air');
});
it('says when few are left', async () => {
  const page = await open([...log, sampleEntry('opened', 40, { kindId: 'crown-500', count: 17, crateId: lively.id })]);
  expect(page.text()).toContain('Only 3 left: keep one');
});
it('moves a crate to where it stands from now on', async () => {
  const page = await PageHarness.open(MovePage, { batches: [sampleBatch(log)], today: 60, inputs: { id: BATCH_ID, crate: lively.id } });
  await page.type('place', 'under the stairs');
  await page.type('temp', '12 C');
  await page.submit();
  expect(page.written()[0]).toMatchObject({ kind: 'moved', payload: { place: 'under the stairs', crateId: lively.id } });
  const there = await open([...log, ...page.written()]);
  expect(there.text('li')).toContain('Where: under the stairs');
});
it('tells what a bottle cost by what was paid, and what has no price', async () => {
  const pitched = sampleEntry('addition', 3, { what: 'acid', acid: 'malic', massG: 20, supplies: [{ supplyId: 'ACID', amount: 20 }, { supplyId: 'GONE', amount: 1 }] }); // prettier-ignore
  const priced = (paid?: number) => PageHarness.open(Cellar, { batches: [sampleBatch([...log, pitched])], today: 60, supplies: [sampleSupply({ id: 'ACID', amount: 100, paid })] }); // prettier-ignore
  expect((await priced()).text()).not.toContain('a bottle');
  const page = await priced(50);
  // A fifth of it, 10, over 3.96 L and 10 L in bottle and what still stands.
  expect(page.texts('.why').filter((text) => text.startsWith('About'))).toEqual([
    expect.stringMatching(/^About 0\.2\d a bottle; 2 things in it have no price$/),
    expect.stringMatching(/^About 0\.1\d a bottle; 2 things in it have no price$/),
  ]);
});
