import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { StabilisePage } from './stabilise-page';

const racked = sampleEntry('racked', 26.5, { vessels: [{ vesselId: 'V', volumeL: 19.5 }], lossL: 0.5 });
const measured = sampleEntry('reading', 26.6, { gravity: null, ph: 3.55, taGPerL: null, placeC: null, insistedOn: [], bubbles: null, smell: null });
const open = (entries = [...finishedLog(), racked, measured]): Promise<PageHarness> =>
  PageHarness.open(StabilisePage, { batches: [sampleBatch(entries)], today: 27, inputs: { id: BATCH_ID } });

describe('StabilisePage', () => {
  it('files the whole dose, which then counts', async () => {
    const page = await open();
    expect(page.has('.says')).toBe(false);
    expect(page.text('.figures-list')).toMatch(/Potassium sorbate\s*5\.\d g/);
    await page.press('Both are in');
    const [entry] = page.written();
    expect(entry?.kind).toBe('stabilised');
    expect(replay([...finishedLog(), racked, measured, ...page.written()]).stabilisedAt).not.toBeNull();
  });
  it('doses a pH that nobody measured as if it were higher, says so, and leads to where it is written down', async () => {
    const grams = (page: PageHarness): number => Number.parseFloat(/metabisulfite\s*([\d.]+) g/.exec(page.text('.figures-list'))?.[1] ?? '');
    const known = grams(await open());
    const guessed = await open([...finishedLog(), racked]);
    // At pH 3.80 and not 3.55: (1 + 10^1.99) / (1 + 10^1.74) times as much, of which the scale shows tenths.
    expect(grams(guessed) / known).toBeCloseTo(98.7 / 56, 1);
    expect(guessed.text('.says')).toContain('Nobody measured its pH');
    expect(guessed.attribute('.says a', 'href')).toContain('read');
    expect(guessed.text('trug-before-after')).toContain('about 3.5');
    await guessed.press('Both are in');
    expect(replay([...finishedLog(), racked, ...guessed.written()]).stabilisedAt).not.toBeNull();
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
