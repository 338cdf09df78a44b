import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { LabelPage } from './label-page';
import { pictureOf } from './label-picture-file';
import { qrPath } from '../../shared/qr/qr-path';

const bottled = sampleEntry('bottled', 28, {
  bottles: [{ kindId: 'crown-500', count: 30 }],
  testBottle: false,
  lossL: 0.4,
  crate: 'The long table',
  capColour: 'leaf',
  hottestC: 24,
  acknowledged: [],
});
const open = (crateId = bottled.id): Promise<PageHarness> =>
  PageHarness.open(LabelPage, {
    batches: [sampleBatch([...testedLog(), bottled])],
    today: 40,
    inputs: { id: BATCH_ID, crateId },
    settings: { volume: 'us-gal' },
  });

it('shows what the label says, in the maker’s units, and how many sheets it takes', async () => {
  const page = await open();
  const label = page.text('.shown trug-label');
  expect(label).toContain('The long table');
  expect(label).toMatch(/about [67]\.\d % vol16\.9 US fl oz/);
  expect(label).toContain('Contains alcohol.');
  expect(label).toContain('Lot The long table, leaf caps');
  // Eight to a sheet of A4, and two more beside the thirty make no difference.
  expect(page.text('aside')).toContain('30 labels on 4 sheets of A4, 8 to a sheet.');
  expect(page.texts('.sheet-of-labels').length).toBe(4);
  await page.type('count', '9');
  await page.type('from', '8');
  expect(page.text('aside')).toContain('9 labels on 2 sheets');
  await page.type('from', '99');
  await page.submit();
  expect(page.text('[role=alert]')).toContain('on the sheet');
});
it('draws a square code of the address, of which every square is one of its own', async () => {
  const page = await open();
  expect(page.has('.shown .qr')).toBe(false);
  await page.tickBox('A square code');
  expect(page.has('.shown .qr path')).toBe(true);
  const { size, path } = qrPath('http://localhost:4300/batch/01B00000000000000000000000');
  expect((size - 17) % 4).toBe(0);
  const squares = path.split('M').slice(1);
  expect(new Set(squares).size).toBe(squares.length);
  // The three corners are what a reader looks for.
  for (const corner of ['0,0', `${size - 1},0`, `0,${size - 1}`]) expect(path).toContain(`M${corner}h1`);
});
it('has nothing to print of a crate that is not there', async () => {
  expect((await open('01E00000000000000000000000')).text()).toContain('There is no such crate');
});
it('carries a picture of ours or of the maker’s, and says why it cannot take a file', async () => {
  const page = await open();
  expect(page.has('.shown .picture')).toBe(false);
  await page.choose('picture', 'pear');
  expect(page.has('.shown svg.picture')).toBe(true);
  await page.choose('picture', 'own');
  expect(page.has('.shown .picture')).toBe(false);
  await page.choose('kind', 'back');
  expect(page.text('.shown')).toContain('Made of');
  expect(await pictureOf(new File(['x'], 'notes.txt', { type: 'text/plain' }))).toEqual({ why: expect.stringContaining('no picture that can be printed') });
  expect(await pictureOf(new File([new Uint8Array(4_100_000)], 'huge.png', { type: 'image/png' }))).toEqual({
    why: expect.stringContaining('larger than 4 MB'),
  });
  expect(await pictureOf(new File(['x'], 'tree.png', { type: 'image/png' }))).toEqual({ own: 'data:image/png;base64,eA==' });
});
