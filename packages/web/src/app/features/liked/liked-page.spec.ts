import { PageHarness } from '../../../testing/page-harness';
import { filled, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { LikedPage } from './liked-page';

const batch = (i: number, volumeL: number, again: boolean | null, tempC = 18) => {
  const made = sampleBatch([
    filled(volumeL),
    ...finishedLog().slice(1),
    sampleEntry('moved', 27, { place: 'shed', tempC }),
    sampleEntry('tasted', 30, { text: `glass ${i}`, sparkle: null, again }),
  ]);
  const id = `01B0000000000000000000000${'0123456789ABCDEF'[i] ?? ''}`;
  return { ...made, id, name: `Batch ${i}`, entries: made.entries.map((e) => ({ ...e, id: `${e.id.slice(0, 25)}${i}`, batchId: id })) };
};

describe('what was liked', () => {
  it('says how to begin where nothing was tasted, or only one side was', async () => {
    const page = await PageHarness.open(LikedPage, { batches: [], today: 40 });
    expect(page.text()).toContain('Nothing tasted yet');
    const one = await PageHarness.open(LikedPage, { batches: [batch(0, 20, true), batch(1, 20, null)], today: 40 });
    expect(one.text()).toContain('so far 1 and 0');
    expect(one.text()).toContain('not said');
  });
  it('shows few batches and claims nothing of them', async () => {
    const page = await PageHarness.open(LikedPage, { batches: [batch(0, 20, true, 12), batch(1, 20, false, 22), batch(2, 20, true, 13)], today: 40 });
    expect(page.text()).toContain('2 liked, 1 liked less. So few cannot tell a reason from chance');
    expect(page.text()).not.toContain('cellars');
    const warmth = 'svg[aria-label^="Warmth"]';
    expect(page.count(`${warmth} circle.liked`)).toBe(2);
    expect(page.count(`${warmth} circle`)).toBe(3);
  });
  it('tells of many how rare it is by chance', async () => {
    const batches = Array.from({ length: 14 }, (_none, i) => batch(i, 20, i % 2 === 0, i % 2 === 0 ? 10 : 24));
    const page = await PageHarness.open(LikedPage, { batches, today: 40 });
    expect(page.text()).toMatch(/Warmth while it worked.*in the middle of the liked.*So far apart by chance once in \d+ cellars/);
  });
});
