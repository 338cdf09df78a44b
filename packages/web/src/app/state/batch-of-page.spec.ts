import { PageHarness } from '../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch } from '../../testing/sample-batch';
import { NotePage } from '../features/note/note-page';
import { Shelf } from '../features/shelf/shelf';
import { BatchPageActions } from './batches.actions';

const listed = { ...sampleBatch([filled(), pitched()]), entries: null };
const wanted = (page: PageHarness): number => page.sent(BatchPageActions.logsWanted.type).length;

describe('the log of a batch', () => {
  it('is asked for by a page of it, which shows nothing of it before', async () => {
    const page = await PageHarness.open(NotePage, { batches: [listed], today: 3, inputs: { id: BATCH_ID } });
    expect(wanted(page)).toBe(1);
    expect(page.has('form')).toBe(false);
    const whole = await PageHarness.open(NotePage, { batches: [sampleBatch([filled(), pitched()])], today: 3, inputs: { id: BATCH_ID } });
    expect(wanted(whole)).toBe(0);
    expect(whole.has('form')).toBe(true);
  });
  it('is asked for when its vessel is pointed at, and not by the shelf alone', async () => {
    const vessels = [{ id: 'V', name: 'Jar', kind: 'carboy' as const, capacityL: 23 }];
    const shelf = await PageHarness.open(Shelf, { batches: [listed], vessels, today: 3 });
    expect(wanted(shelf)).toBe(0);
    expect(shelf.text()).toContain('Lot');
    shelf.pointAt(`a[href="/batch/${BATCH_ID}"]`);
    expect(wanted(shelf)).toBe(1);
  });
});
