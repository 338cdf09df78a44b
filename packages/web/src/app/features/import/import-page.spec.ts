import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch } from '../../../testing/sample-batch';
import { sampleInstrument } from '../../../testing/sample-instrument';
import { ImportPage } from './import-page';

const open = (): Promise<PageHarness> => PageHarness.open(ImportPage, { batches: [sampleBatch([filled(), pitched()])], today: 30, inputs: { id: BATCH_ID } });
const TABLE = 'date,sg,temp C\n2026-10-10,1.030,18\n2026-10-12,bad,18\n2026-10-15,1.020,17';

describe('readings from a table', () => {
  it('are shown as understood, and filed as readings of their days', async () => {
    const page = await open();
    await page.type('table', TABLE);
    await page.shows('.outcome');
    expect(page.text('.outcome')).toContain('2 readings from 10 Oct 2026 to 15 Oct 2026, gravity from 1.030 to 1.020.');
    expect(page.text('.outcome')).toContain('row 3: “bad” is no gravity');
    await page.press('Write them down');
    expect(page.written().map((e) => [e.kind, e.at.slice(0, 10), e.kind === 'reading' ? e.payload.gravity?.reading : 0])).toEqual([
      ['reading', '2026-10-10', 1.03],
      ['reading', '2026-10-15', 1.02],
    ]);
  });
  it('are corrected for warmth where the maker says they are not yet', async () => {
    const page = await PageHarness.open(ImportPage, {
      batches: [sampleBatch([filled(), pitched()])],
      instruments: [sampleInstrument({ kind: 'hydrometer', name: 'Long one', calibratedAtC: 15.6, offset: -0.001, posts: false })],
      today: 30,
      inputs: { id: BATCH_ID },
    });
    await page.type('table', TABLE);
    await page.shows('select[name=readWith]');
    expect(page.text('select[name=readWith]')).toContain('as the long one showed them');
    await page.choose('readWith', page.options('readWith')[1] ?? '');
    await page.press('Write them down');
    const raw = page.written().map((e) => (e.kind === 'reading' ? e.payload.gravity : null));
    expect(raw[0]).toMatchObject({ reading: 1.03, sampleC: 18, calibratedAtC: 15.6, offsetSg: -0.001 });
    expect(raw[1]?.sampleC).toBe(17);
  });
  it('follow the maker who knows better what a column holds', async () => {
    const page = await open();
    await page.type('table', TABLE);
    await page.shows('.outcome');
    await page.choose('role1', 'ignore');
    await page.press('Write them down');
    expect(page.text()).toContain('there is neither in this table');
    expect(page.written()).toEqual([]);
  });
  it('ask when a date can be read two ways', async () => {
    const page = await open();
    await page.type('table', '02/10/2026,1.03\n03/10/2026,1.02');
    await page.shows('.outcome');
    expect(page.text()).toContain('These dates can be read two ways');
    expect(page.text('.outcome')).toContain('2 Oct 2026');
  });
});
