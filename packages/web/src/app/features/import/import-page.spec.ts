import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch } from '../../../testing/sample-batch';
import { sampleInstrument } from '../../../testing/sample-instrument';
import { until } from '../../../testing/until';
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
    await page.shows('[name=readWith]');
    expect(await page.offers('readWith')).toContainEqual(expect.stringContaining('as the long one showed them'));
    await page.choose('readWith', (await page.options('readWith'))[1] ?? '');
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
  describe('of a device', () => {
    const float = sampleInstrument({ kind: 'floating-hydrometer', name: 'Float', posts: true });
    const asDevice = async (): Promise<{ page: PageHarness; http: HttpTestingController }> => {
      const page = await PageHarness.open(ImportPage, {
        batches: [sampleBatch([filled(), pitched()])],
        instruments: [float],
        providers: [provideHttpClientTesting()],
        today: 30,
        inputs: { id: BATCH_ID },
      });
      await page.type('table', TABLE);
      await page.shows('.into mat-radio-button + mat-radio-button input');
      await page.tick('.into mat-radio-button + mat-radio-button input');
      await page.press('Write them down');
      return { page, http: TestBed.inject(HttpTestingController) };
    };
    it('go beside the log, and say how many were there already', async () => {
      const { page, http } = await asDevice();
      const request = http.expectOne(`/api/devices/${float.id}/readings`);
      expect(request.request.body).toEqual({
        batchId: BATCH_ID,
        readings: [
          { at: '2026-10-10T00:00:00.000Z', sg: 1.03, tempC: 18 },
          { at: '2026-10-15T00:00:00.000Z', sg: 1.02, tempC: 17 },
        ],
      });
      request.flush({ stored: 1, repeated: 1 });
      await until(() => page.address() === `/batch/${BATCH_ID}`);
      expect(page.written()).toEqual([]);
    });
    it('stay in the form when the server refuses them', async () => {
      const { page, http } = await asDevice();
      http.expectOne(`/api/devices/${float.id}/readings`).flush({ detail: 'The clock is wrong.' }, { status: 422, statusText: 'no' });
      await page.shows('[role=alert]');
      expect(page.text('[role=alert]')).toBe('The clock is wrong.');
      expect(page.value('table')).toBe(TABLE);
    });
  });
  it('ask when a date can be read two ways', async () => {
    const page = await open();
    await page.type('table', '02/10/2026,1.03\n03/10/2026,1.02');
    await page.shows('.outcome');
    expect(page.text()).toContain('These dates can be read two ways');
    expect(page.text('.outcome')).toContain('2 Oct 2026');
  });
});
