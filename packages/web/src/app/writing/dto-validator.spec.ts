import { checkPart, PlaceDto, SupplyDto } from '@trug/contract';
import { PageHarness } from '../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch } from '../../testing/sample-batch';
import { until } from '../../testing/until';
import { VesselForm } from '../features/cupboard/vessel-form';
import { JuicePage } from '../features/juice/form/juice-page';
import { MovePage } from '../features/note/move-page';
import { ReadingPage } from '../features/reading/reading-page';
import { loadContract } from './contract';
import { refusalsText, refusalText } from './refusal-text';

const move = (): Promise<PageHarness> => PageHarness.open(MovePage, { batches: [sampleBatch([filled()])], today: 1, inputs: { id: BATCH_ID } });
const isMarked = (page: PageHarness, name: string): boolean => page.has(`input[name="${name}"][aria-invalid="true"]`);

describe('the rules of the contract', () => {
  it('stand beside the field while it is typed in, and go once it is right', async () => {
    const page = await move();
    await page.type('place', 'p'.repeat(81));
    await until(() => isMarked(page, 'place'));
    expect(page.text()).toContain('That is longer than the 80 characters there is room for. Say it shorter.');
    expect(isMarked(page, 'temp')).toBe(false);
    await page.type('place', 'p'.repeat(80));
    await until(() => !isMarked(page, 'place'));
    expect(page.text()).not.toContain('there is room for');
  });
  it('hold up what is sent, with the focus on the field', async () => {
    const page = await move();
    await page.type('temp', '12 C');
    await page.type('place', 'p'.repeat(81));
    await until(() => isMarked(page, 'place'));
    await page.submit();
    expect(page.filed()).toEqual([]);
    expect(page.text('[role=alert]')).toContain('80 characters');
    expect(document.activeElement?.getAttribute('name')).toBe('place');
    await page.type('place', 'the porch');
    await page.submit();
    expect(page.written().map((e) => e.payload)).toEqual([{ place: 'the porch', tempC: 12 }]);
  });
  it('know a place that is colder or warmer than any, in words of the rule', async () => {
    const page = await PageHarness.open(ReadingPage, { batches: [sampleBatch([filled(), pitched()])], today: 3, inputs: { id: BATCH_ID } });
    await page.type('gravity', '1.040');
    await page.type('place', '90 C');
    await until(() => isMarked(page, 'place'));
    expect(page.text()).toMatch(/It must lie between -?\d+ and \d+\. Look at the unit and the point\./);
    await page.submit();
    expect(page.filed()).toEqual([]);
    await page.type('place', '12 C');
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['reading']);
  });
  it('say nothing of a field that nobody has come to, until it is passed over or sent', async () => {
    const needed = 'Write something here: it is needed.';
    const page = await PageHarness.open(JuicePage);
    await page.type('ph', '3.4');
    await loadContract();
    await page.settled();
    expect([isMarked(page, 'name'), page.text().includes(needed)]).toEqual([false, false]);
    await page.submit();
    expect([isMarked(page, 'name'), page.text('form').includes(needed)]).toEqual([true, true]);
  });
  it('hold a record’s form as well', async () => {
    const page = await PageHarness.open(VesselForm);
    await page.type('name', 'v'.repeat(41));
    await until(() => isMarked(page, 'name'));
    expect(page.text()).toContain('the 40 characters there is room for');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('40 characters');
  });
});

describe('a refusal in words', () => {
  it.each<[string, object, typeof PlaceDto | typeof SupplyDto, string]>([
    ['nothing', { name: '' }, PlaceDto, 'Write something here: it is needed.'],
    ['too much of it', { packetG: 9000 }, SupplyDto, 'It must lie between 0.1 and 5000. Look at the unit and the point.'],
    ['no day', { bestBefore: '2026-02-30' }, SupplyDto, 'That is no day the calendar has. Write it as 16 Oct 2026.'],
  ])('of %s names what is wrong and what to do', (_what, part, dto, words) => {
    expect(checkPart<object>(dto, part).map(refusalText)).toEqual([words]);
  });
  it('says what Trug has no words for as it was told, and each thing once', () => {
    const odd = { path: 'a', code: 'odd', message: 'it is odd' };
    expect(refusalsText([odd, { ...odd, path: 'b' }])).toBe('Trug cannot take that: it is odd.');
  });
});
