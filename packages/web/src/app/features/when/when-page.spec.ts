import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { WhenPage } from './when-page';

const note = { ...sampleEntry('note', 3, { text: 'eggy' }), at: '2026-12-30T09:30:00.000Z' };
const open = (timeZone = 'UTC'): Promise<PageHarness> =>
  PageHarness.open(WhenPage, {
    batches: [sampleBatch([filled(), pitched(), reading(4, 1.03), note])],
    today: 6,
    settings: { timeZone },
    inputs: { id: BATCH_ID, entryId: note.id },
  });

describe('WhenPage', () => {
  it('shows the maker’s own day and hour of an entry dated ahead, and puts it right as a correction', async () => {
    const page = await open('Pacific/Auckland');
    expect(page.value('hour')).toBe('22:30');
    expect(page.text('trug-act-head')).toContain('Wed 30 Dec 2026, 22:30');
    await page.change('day', 'Mon, 5 Oct 2026');
    await page.type('hour', '8:15');
    await page.submit();
    expect(page.written()).toMatchObject([
      { kind: 'corrected', payload: { entryId: note.id, replacement: { kind: 'note', at: '2026-10-04T19:15:00.000Z', payload: { text: 'eggy' } } } },
    ]);
  });
  it.each([
    ['hour', 'teatime', /as 14:30/],
    ['hour', '25:00', /as 14:30/],
    ['day', 'never', /Pick the day/],
  ])('says what is wrong with a %s of “%s”, and files nothing', async (field, text, why) => {
    const page = await open();
    await page.change(field, text);
    await page.submit();
    expect(page.text('[role=alert]')).toMatch(why);
    expect(page.written()).toEqual([]);
  });
  it('says so when there is no such entry any more', async () => {
    const page = await PageHarness.open(WhenPage, { batches: [sampleBatch([filled()])], inputs: { id: BATCH_ID, entryId: 'gone' } });
    expect(page.text()).toContain('No such entry');
  });
});
