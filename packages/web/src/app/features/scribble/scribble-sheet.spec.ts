import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch } from '../../../testing/sample-batch';
import { sampleSupply } from '../../../testing/sample-supply';
import { until } from '../../../testing/until';
import { ScribbleSheet } from './scribble-sheet';

const OTHER = { ...sampleBatch([filled()]), id: '01B0000000000000000000OTHR', name: 'Gate Must' };
const open = (changes: object = {}): Promise<PageHarness> =>
  PageHarness.open(ScribbleSheet, { batches: [sampleBatch([filled(), pitched(), reading(5, 1.03)]), OTHER], today: 9, ...changes });

it('reads a line back before it files it, and files it as acts of one moment', async () => {
  const page = await open();
  await page.type('scribble', 'lot 1.012 at 64F, eggy, 300 g sugar, stirred');
  expect(page.text('ul')).toMatch(/Read 1\.012 at 17\.8 °C, hydrometer “eggy”/);
  expect(page.text('ul')).toMatch(/Added 300 g White sugar/);
  expect(page.written()).toEqual([]);
  await page.submit();
  expect(page.written()).toMatchObject([
    { kind: 'reading', batchId: BATCH_ID, note: 'eggy' },
    { kind: 'addition', payload: { what: 'fermentable', fermentableId: 'sucrose', massG: 300 } },
    { kind: 'stirred' },
  ]);
  expect(localStorage.getItem(Object.keys(localStorage).find((key) => key.startsWith('trug.draft.scribble')) ?? '')).toBeNull();
});
it('knows yeasts and sweet things of the maker’s own by their names, and a spoon as they weighed it', async () => {
  const own = [
    sampleSupply({ id: '01S000000000000000000SWEET', kind: 'sugar', refId: 'own:80:0:clear:Hedge jelly', name: 'Hedge jelly', unit: 'g', amount: 400 }),
    sampleSupply({
      id: '01S000000000000000000YEAST',
      kind: 'yeast',
      refId: 'own:crisp-cider:12:15-24:Orchard gold',
      name: 'Orchard gold',
      unit: 'packet',
      packetG: 5,
    }),
    sampleSupply({ id: '01S000000000000000000FEED0', kind: 'nutrient', refId: 'organic', name: 'Food', unit: 'g', amount: 50, teaspoonG: 3 }),
  ];
  const page = await PageHarness.open(ScribbleSheet, { batches: [sampleBatch([filled()])], supplies: own, today: 2 });
  await page.type('scribble', 'lot 200 g hedge jelly, 2 tsp nutrient, pitched 5 g orchard gold');
  await page.submit();
  expect(page.written()).toMatchObject([
    { kind: 'addition', payload: { what: 'fermentable', fermentableId: own[0]?.refId, massG: 200 } },
    { kind: 'addition', payload: { what: 'nutrient', massG: 6 } },
    { kind: 'pitched', payload: { yeastId: own[1]?.refId, massG: 5 } },
  ]);
});
it('keeps nothing of what was filed when the sheet goes in that very moment', async () => {
  const page = await open();
  await page.type('scribble', 'lot stirred');
  await page.submit();
  const again = await PageHarness.reopen(ScribbleSheet, { batches: [OTHER], today: 9 });
  expect(again.value('scribble')).toBe('');
});
it('asks which batch, and reads back once it is chosen', async () => {
  const page = await open();
  await page.type('scribble', '1.012, stirred');
  expect(page.has('ul')).toBe(false);
  await page.submit();
  expect(page.text()).toContain('Say which batch it is about.');
  await page.choose('scribbleBatch', BATCH_ID);
  await page.submit();
  expect(page.written().map((e) => e.kind)).toEqual(['reading', 'stirred']);
});
it('takes the batch of the page beneath, unless the line names another', async () => {
  const page = await open({ inputs: { batchOfPage: OTHER.id } });
  await page.type('scribble', 'stirred');
  expect(page.text('trug-tape')).toContain('Gate Must');
  await page.type('scribble', 'lot stirred');
  expect(page.text('trug-tape')).toContain('Lot');
});
it('keeps what it could not read in the line, beside its batch, and leads to the page that asks more', async () => {
  const page = await open();
  await page.type('scribble', 'lot stirred, heaped tsp nutrient, racked');
  expect(page.text('ul')).toMatch(/heaped tsp nutrient.*level it/);
  expect(page.text('ul a')).toBe('Rack it');
  await page.submit();
  expect(page.written().map((e) => e.kind)).toEqual(['stirred']);
  expect(page.value('scribble')).toBe('heaped tsp nutrient');
  expect(page.text('trug-tape')).toContain('Lot');
});
it('takes an odd reading along to the page where it may be insisted on', async () => {
  const page = await open();
  await page.type('scribble', 'lot 1.040 at 20 C');
  expect(page.text('ul')).toMatch(/higher than 1\.030 last time/);
  await page.press('To the readings');
  const left = JSON.parse(localStorage.getItem(`trug.draft.reading:${BATCH_ID}@nobody`) ?? '{}') as { fields?: object };
  expect(left.fields).toEqual({ gravity: '1.040', sample: '20 °C' });
});
it('files on the day that the line says, and says why it cannot', async () => {
  const page = await open();
  await page.type('scribble', 'lot 1.012 yesterday at 9pm');
  await page.submit();
  expect(page.written()[0]?.at).toBe('2026-10-09T21:00:00.000Z');
  await page.type('scribble', 'lot stirred 8 days ago');
  expect(page.text()).toMatch(/The log goes on to/);
  await page.submit();
  expect(page.written()).toHaveLength(1);
});
it('keeps every word when it is refused', async () => {
  const page = await open();
  page.refusal = { type: 'about:blank', title: '', status: 422, code: 'no', detail: 'The disk is full.' };
  await page.type('scribble', 'lot stirred');
  await page.submit();
  await until(() => page.text().includes('The disk is full.'));
  expect(page.value('scribble')).toBe('lot stirred');
});
it('shows its cautions before anything is filed', async () => {
  const page = await open({ batches: [sampleBatch([filled()])] });
  await page.type('scribble', 'lot 2 sulfite tablets, 5 g crisp cider yeast');
  expect(page.text('trug-cautions')).toMatch(/asthma/);
});
it('reads and writes in the units of a maker in pounds and gallons', async () => {
  const page = await open({ batches: [sampleBatch(finishedLog())], today: 30, settings: { volume: 'us-gal', mass: 'imperial', temperature: 'degF' } });
  await page.type('scribble', 'lot half a gallon water, 68°');
  expect(page.text('ul')).toMatch(/0\.5 US gal water/);
  expect(page.text('ul')).toMatch(/standing at 68 °F/);
});
