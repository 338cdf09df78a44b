import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { StabilisePage } from './stabilise-page';

const racked = sampleEntry('racked', 26.5, { vessels: [{ vesselId: 'V', volumeL: 19.5 }], lossL: 0.5 });
const open = (entries = [...finishedLog(), racked]): Promise<PageHarness> =>
  PageHarness.open(StabilisePage, { batches: [sampleBatch(entries)], today: 27, inputs: { id: BATCH_ID } });

describe('StabilisePage', () => {
  it('files the whole dose, which then counts', async () => {
    const page = await open();
    expect(page.has('.says')).toBe(false);
    expect(page.text('.figures-list')).toMatch(/Potassium sorbate\s*5\.\d g/);
    await page.press('Both are in');
    const [entry] = page.written();
    expect(entry?.kind).toBe('stabilised');
    expect(replay([...finishedLog(), racked, ...page.written()]).stabilisedAt).not.toBeNull();
  });
  it.each([
    ['its end was not proven', finishedLog().slice(0, 4), 'read'],
    ['it still stood on its lees', finishedLog(), 'rack'],
  ])('says that it would not count because %s, and leads there', async (why, entries, way) => {
    const page = await open(entries);
    expect(page.text('.says')).toContain(why);
    expect(page.attribute('.says a', 'href')).toContain(way);
  });
});
