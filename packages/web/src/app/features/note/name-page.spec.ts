import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { NamePage } from './name-page';

const BOTTLED = sampleEntry('bottled', 30, {
  bottles: [{ kindId: 'crown-500', count: 12 }],
  testBottle: false,
  lossL: 0,
  crate: 'Row',
  capColour: 'leaf',
  hottestC: 20,
  acknowledged: [],
});
const open = (log = [filled(), pitched()]): Promise<PageHarness> =>
  PageHarness.open(NamePage, { batches: [sampleBatch(log)], today: 40, inputs: { id: BATCH_ID } });

it('calls a batch otherwise, on another tape, and keeps what it was', async () => {
  const page = await open();
  expect(page.value('batchName')).toBe('Lot');
  await page.type('batchName', 'Gate row ');
  await page.choose('batchTape', 'moss');
  expect(page.text('.tape trug-tape')).toContain('Gate row');
  await page.submit();
  expect(page.written()).toMatchObject([{ kind: 'renamed', payload: { name: 'Gate row', tape: 'moss', was: { name: 'Lot' } } }]);
});
it('files nothing where nothing is different, or it has no name', async () => {
  const page = await open();
  await page.submit();
  expect(page.text('form')).toContain('Nothing is different yet');
  await page.type('batchName', ' ');
  await page.submit();
  expect(page.text('form')).toContain('Write what it is called');
  expect(page.written()).toEqual([]);
});
it('corrects the caps of a crate in its log', async () => {
  const page = await open([filled(), pitched(), BOTTLED]);
  await page.choose(`cap-${BOTTLED.id}`, 'plum');
  await page.submit();
  expect(page.written()).toMatchObject([
    { kind: 'corrected', payload: { entryId: BOTTLED.id, replacement: { kind: 'bottled', payload: { capColour: 'plum', crate: 'Row' } } } },
  ]);
});
