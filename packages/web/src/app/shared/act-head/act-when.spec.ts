import { BATCH_ID, filled, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { NotePage } from '../../features/note/note-page';
import { PitchPage } from '../../features/pitch/pitch-page';

const inputs = { id: BATCH_ID };
/** A batch filled five days ago, and nothing since. */
const openNote = (timeZone = 'UTC'): Promise<PageHarness> =>
  PageHarness.open(NotePage, { batches: [sampleBatch([filled()])], today: 5, settings: { timeZone }, inputs });

const yesterday = async (page: PageHarness): Promise<string> => (await page.options('dayChoice')).filter((day) => day !== '')[0] ?? '';

describe('an act that is written down later than it was done', () => {
  it('is filed for the day and the hour the maker says, by the maker’s own clock', async () => {
    const page = await openNote('America/Los_Angeles');
    await page.press('Done earlier?');
    await page.choose('dayChoice', await yesterday(page));
    await page.type('doneHour', '5 pm');
    expect(page.text('trug-act-when')).toMatch(/written down for .*17:00/);
    await page.type('text', 'smells of pears');
    await page.submit();
    const [note] = page.written();
    expect(new Date(note?.at ?? '').toLocaleString('en-GB', { timeZone: 'America/Los_Angeles' })).toMatch(/17:00:00/);
    expect((note?.writtenAt ?? '') > (note?.at ?? '')).toBe(true);
  });
  it('is not filed for a moment that is no hour, is still to come, or is before what the log holds', async () => {
    const page = await openNote();
    await page.press('Done earlier?');
    await page.type('text', 'smells of pears');
    for (const [hour, why] of [
      ['teatime', /14:30 or 2:30 pm/],
      ['23:59', /still to come/],
    ] as const) {
      await page.type('doneHour', hour);
      expect(page.text('trug-act-when .field-error')).toMatch(why);
      await page.submit();
      expect(page.written()).toEqual([]);
    }
    await page.type('doneHour', '');
    await page.choose('dayChoice', (await page.options('dayChoice')).at(-2) ?? '');
    expect(page.text('trug-act-when .field-error')).toMatch(/The log goes on/);
    await page.submit();
    expect(page.written()).toEqual([]);
    await page.press('It is done now');
    await page.submit();
    expect(page.written()[0]).toMatchObject({ kind: 'note' });
    expect(page.written()[0]?.at).toBe(page.written()[0]?.writtenAt);
  });
  it('is worked out for that moment: the sulfite had not had its day yet', async () => {
    const sulfite = sampleEntry('addition', 4, { what: 'sulfite', so2MgPerL: 75 });
    const page = await PageHarness.open(PitchPage, { batches: [sampleBatch([filled(), sulfite])], today: 6, inputs });
    expect(page.text()).not.toContain('starts late and weakly');
    await page.press('Done earlier?');
    await page.choose('dayChoice', await yesterday(page));
    await page.type('doneHour', '1:00');
    expect(page.text('trug-cautions')).toContain('starts late and weakly');
  });
});
