import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { BatchPage } from './batch-page';

const vessels = [{ id: 'V', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 }];
const open = (entries = finishedLog(), today = 26, settings = {}): Promise<PageHarness> =>
  PageHarness.open(BatchPage, { batches: [sampleBatch(entries)], vessels, today, settings, inputs: { id: BATCH_ID } });

describe('BatchPage', () => {
  it('says first where it stands, and on what evidence', async () => {
    const page = await open();
    expect(page.text('trug-now h2')).toBe('Finished: steady at 0.999 for 8 days, where it should be.');
    expect(page.text('trug-now ul')).toContain('Readings 8 days apart differ by less than a point');
    expect(page.text('trug-tape')).toContain('Big glass');
  });
  it('shows its working', async () => {
    expect((await open()).text('trug-now trug-working')).toContain('Where it should end');
  });
  it('reckons strength by the school the maker trusts', async () => {
    const strength = async (strengthSchool: string): Promise<string> =>
      /Strength so far\s*([\d.]+ %)/.exec((await open(undefined, 26, { strengthSchool })).text('dl'))?.[1] ?? '';
    // 1.048 to 0.999 is 49 points.
    expect(await strength('x131.25')).toBe('6.4 %');
    expect(await strength('x135')).toBe('6.6 %');
    expect(await strength('mass-balance')).toBe('6.5 %');
  });
  it('writes in the maker’s units', async () => {
    const page = await open(undefined, 26, { volume: 'us-gal', temperature: 'degF' });
    expect(page.text('trug-tape')).toContain('5.28 US gal');
    expect(page.text('trug-log')).toContain('68 °F');
  });
  it('gives the curve as a table too', async () => {
    const page = await open();
    expect(page.count('trug-curve circle.point')).toBe(3);
    await page.press('As a table');
    expect(page.text('trug-curve table')).toContain('Thu 8 Oct1.0120.00118 °C');
  });
  it('strikes an entry out without deleting it', async () => {
    const page = await open();
    await page.press('Strike out 1.012 of Thu 8 Oct');
    expect(page.written()).toEqual([expect.objectContaining({ kind: 'corrected', payload: expect.objectContaining({ replacement: null }) })]);
    expect(page.text('trug-log .struck')).toContain('1.012');
  });
  it('marks a reading that cannot be right beside the others', async () => {
    const page = await open([filled(), pitched(), reading(5, 1.03), reading(8, 1.045), reading(12, 1.015)], 12);
    expect(page.count('circle.questioned')).toBe(1);
    expect(page.text('trug-now')).toContain('1.045 on 9 Oct cannot be right');
  });
  it('names an entry that does not add up', async () => {
    const tooMuch = sampleEntry('discarded', 27, { volumeL: 90, why: 'spilt' });
    expect((await open([...finishedLog(), tooMuch], 27)).text('trug-log')).toContain('Not counted: cannot lose 90 L');
  });
  it('says what is in it', async () => {
    const page = await open([filled(), pitched(), reading(5, 1.02)], 6);
    await page.tick('[role=tab]:nth-of-type(2)');
    const contents = page.text('trug-contents');
    for (const words of ['Volume 20 L', 'Gravity 1.020', 'pH about 3.55, not measured', 'Acid, as malic 5.1 to 5.4 g/L, until measured'])
      expect(contents).toContain(words);
  });
});
