import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { FaultPage } from './fault-page';

const open = (...more: Parameters<typeof sampleBatch>[0]): Promise<PageHarness> =>
  PageHarness.open(FaultPage, {
    batches: [sampleBatch([filled(), pitched(), reading(4, 1.03), reading(8, 1.018), ...more])],
    today: 9,
    inputs: { id: BATCH_ID },
  });

describe('the fault finder', () => {
  it('begins with what the log knows, and claims little', async () => {
    const page = await open();
    expect(page.text('article')).toContain('Nothing wrong');
    expect(page.text('article')).not.toContain('very likely');
  });
  it('reads a smell out of a note, and gives what to do and how to spare the next batch', async () => {
    const page = await open(sampleEntry('note', 8.5, { text: 'Stinks of bad eggs' }));
    expect(page.text('article h2')).toBe('Bad eggs');
    expect(page.text()).toContain('From your note of');
    expect(page.text('article')).toMatch(/Now.*feed it.*Can it be drunk\?.*next batch is spared/);
  });
  it('follows each answer, and files what was found with what was seen', async () => {
    const page = await open();
    await page.choose('surface', 'fur');
    expect(page.text('article')).toContain('Leave it. No.');
    expect(page.text('article')).toContain('Pour mouldy cider away untasted');
    await page.press('Write it down');
    expect(page.written()[0]).toMatchObject({
      kind: 'note',
      payload: { text: expect.stringMatching(/^Looked for a fault\. Mould, very likely.* Seen: .*furry spots/) },
    });
  });
  it('lets a maker take back what a note said', async () => {
    const page = await open(sampleEntry('note', 8.5, { text: 'Stinks of bad eggs' }));
    await page.choose('smell', 'unknown');
    expect(page.text('article h2')).toBe('Nothing wrong');
  });
});
