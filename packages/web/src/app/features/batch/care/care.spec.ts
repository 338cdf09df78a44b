import { PageHarness } from '../../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../../testing/sample-batch';
import { until } from '../../../../testing/until';
import { BatchPage } from '../batch-page';

async function open(log: ReturnType<typeof finishedLog>, today: number): Promise<PageHarness> {
  const page = await PageHarness.open(BatchPage, { batches: [sampleBatch(log)], today, inputs: { id: BATCH_ID } });
  // It comes after what the page is about.
  await page.shows('trug-care');
  return page;
}
const working = [filled(), pitched(), reading(3, 1.04), reading(6, 1.03)];

describe('care beside the verdict', () => {
  it('files how the gas gets out, and shows what a loosened cap asks for', async () => {
    const page = await open(working, 7);
    await page.choose('vent', 'loose-cap');
    // Arrow keys move through a select: only the button files.
    expect(page.written()).toHaveLength(0);
    await page.press('Write it down');
    await until(() => page.written().length > 0);
    expect(page.written()[0]).toMatchObject({ kind: 'vented', payload: { vent: 'loose-cap' } });
    await new Promise((resolve) => setTimeout(resolve, 30));
    const later = await open([...working, sampleEntry('vented', 6.5, { vent: 'loose-cap' })], 7);
    expect(later.text('trug-care')).toMatch(/three times a day.*about 12 hours ago/);
    expect(later.text('trug-care')).toContain('gas must get out');
    await later.press('Let out just now');
    expect(later.written()).toHaveLength(1);
  });
  it('warns of heat, and is silent where nothing is to mind', async () => {
    const hot = await open([...working, sampleEntry('moved', 6.2, { place: 'stove', tempC: 30 })], 7);
    expect(hot.text('trug-care .act')).toContain('more than crisp cider type stands');
    const done = await open(finishedLog(), 27);
    expect(done.has('trug-care section')).toBe(false);
  });
});
