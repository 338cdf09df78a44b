import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { sampleJuice } from '../../../testing/sample-juice';
import { RackPage } from './rack-page';

const SPARE_ID = '01B00000000000000000000001';
const wide = { id: '01J0000000000000000000W1DE', name: 'Demijohn', kind: 'jar' as const, capacityL: 23 };
const spare = {
  ...sampleBatch([filled(6), pitched(), reading(18, 0.999), reading(26, 0.999)].map((e) => ({ ...e, batchId: SPARE_ID }))),
  id: SPARE_ID,
  name: 'Spare',
};
const open = (log = finishedLog(), today = 27): Promise<PageHarness> =>
  PageHarness.open(RackPage, { batches: [sampleBatch(log), spare], vessels: [wide], juices: [sampleJuice()], today, inputs: { id: BATCH_ID } });
const way = (page: PageHarness, words: RegExp): string => {
  const found = page.texts('.ways button').find((text) => words.test(text));
  if (found === undefined) throw new Error(`no way like ${String(words)} among ${page.texts('.ways button').join(' | ')}`);
  return found;
};

describe('air over a cider at rest', () => {
  it('is filled from a like cider: racking, what leaves the one and what joins the other are sent together', async () => {
    const page = await open();
    await page.tick('li input[type=checkbox]');
    expect(page.text('.room')).toContain('There is air over it');
    await page.press(way(page, /of Spare: .* proven again/));
    expect(page.text('aside')).toContain('3 L of Spare go in on top');
    await page.submit();
    const sent = page.filed()[0];
    expect(sent?.entries.map((e) => [e.batchId, e.kind])).toEqual([
      [SPARE_ID, 'split'],
      [BATCH_ID, 'racked'],
      [BATCH_ID, 'blended'],
    ]);
    const topped = replay([...finishedLog(), ...(sent?.entries ?? []).filter((e) => e.batchId === BATCH_ID)]);
    expect(topped.issues).toEqual([]);
    expect(topped.liquid?.volumeL).toBeCloseTo(23 * 0.98, 6);
    expect(topped.vessels).toEqual([{ vesselId: wide.id, volumeL: expect.closeTo(23 * 0.98, 6) as number }]);
    const left = replay([...spare.entries, ...(sent?.entries ?? []).filter((e) => e.batchId === SPARE_ID)]);
    expect((left.liquid?.volumeL ?? 0) + (topped.liquid?.volumeL ?? 0)).toBeCloseTo(6 + 19.5, 6);
    expect(page.address()).toBe(`/batch/${BATCH_ID}`);
  });
  it('is taken up by marbles, which the log remembers and which change nothing', async () => {
    const page = await open();
    await page.tick('li input[type=checkbox]');
    await page.press(way(page, /marbles thin nothing/));
    await page.submit();
    const [racked] = page.written();
    expect(racked).toMatchObject({ kind: 'racked', note: '3 L of boiled glass marbles fill the air' });
    expect(replay([...finishedLog(), ...page.written()]).liquid?.volumeL).toBeCloseTo(19.5, 6);
  });
  it('is topped with juice only under warning, and a choice can be taken back', async () => {
    const page = await open();
    await page.tick('li input[type=checkbox]');
    await page.press(way(page, /of the juice Russet row: .*seal nothing/));
    expect(page.text('aside')).toContain('go in on top');
    await page.press('Take that back');
    expect(page.text('aside')).not.toContain('go in on top');
  });
  it('is no matter while it works', async () => {
    const page = await open([filled(), pitched(), sampleEntry('note', 2, { text: 'lively' }), reading(3, 1.03)], 4);
    await page.tick('li input[type=checkbox]');
    expect(page.has('.ways')).toBe(false);
  });
});
