import { BATCH_ID, filled, sampleBatch } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { SplitPage } from './split-page';

const own = { id: 'V', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 };
const other = { id: 'W', name: 'Other glass', kind: 'carboy' as const, capacityL: 23 };
const jar = { id: 'J', name: 'Jar 1', kind: 'jar' as const, capacityL: 5 };

describe('SplitPage', () => {
  const open = (): Promise<PageHarness> =>
    PageHarness.open(SplitPage, { batches: [sampleBatch([filled()])], vessels: [own, other, jar], today: 1, inputs: { id: BATCH_ID } });
  it('puts half of it into a vessel that would hold all, and shows both before it is filed', async () => {
    const page = await open();
    expect(page.has('input[name=each]')).toBe(false);
    await page.tickBox('Other glass');
    await page.type('each', '10 L');
    expect(page.text('aside')).toMatch(/10 L[\s\S]* B10 L/);
    await page.submit();
    expect(page.written().map(({ kind, payload }) => ({ kind, payload }))).toMatchObject([
      { kind: 'split', payload: { into: [{ volumeL: 10 }], vessels: [{ volumeL: 10 }], lossL: 0 } },
      { kind: 'blended', payload: { vessels: [{ vesselId: 'W', volumeL: 10 }] } },
    ]);
  });
  it('says which vessel does not hold so much, and files nothing', async () => {
    const page = await open();
    await page.tickBox('Jar 1');
    await page.type('each', '6 L');
    await page.submit();
    expect(page.text('aside trug-refusal')).toContain('Jar 1 holds no more than 5 L');
    expect(page.written()).toEqual([]);
    await page.type('each', '4.5 L');
    await page.submit();
    expect(page.written()).toHaveLength(2);
  });
});
