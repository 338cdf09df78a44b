import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, dayAt, filled, pitched, reading, sampleBatch } from '../../../testing/sample-batch';
import { ReadingPage } from './reading-page';

const log = [filled(), pitched(), reading(5, 1.02)];
const setting = { batches: [sampleBatch(log)], today: 12, inputs: { id: BATCH_ID } };
const open = (): Promise<PageHarness> => PageHarness.open(ReadingPage, setting);

describe('ReadingPage', () => {
  it('shows the corrected gravity as it is typed, with what changed', async () => {
    const page = await open();
    await page.type('gravity', '1.010');
    await page.type('sample', '77F');
    expect(page.text('[data-test=corrected]')).toBe('1.0110');
    expect(page.text('aside')).toContain('9 points down');
  });
  it.each([
    ['95 F', false],
    ['113 F', true],
    ['100 C', true],
  ])('says what to do about a sample at %s: %s', async (sample, hot) => {
    const page = await PageHarness.open(ReadingPage, { ...setting, settings: { temperature: 'degF' } });
    await page.type('gravity', '1.010');
    await page.type('sample', sample);
    expect(page.text('trug-hot-sample').includes('Warmer than 95 °F a sample reads badly')).toBe(hot);
  });
  it('files what was read, not what was corrected', async () => {
    const page = await open();
    await page.type('gravity', '1.010');
    await page.type('sample', '25 C');
    await page.type('place', '16 C');
    await page.choose('bubbles', 'some');
    await page.type('note', 'clean');
    await page.submit();
    expect(page.written()).toEqual([
      expect.objectContaining({
        kind: 'reading',
        batchId: BATCH_ID,
        note: 'clean',
        payload: {
          gravity: { instrument: 'hydrometer', reading: 1.01, sampleC: 25, calibratedAtC: 20, offsetSg: 0 },
          ph: null,
          taGPerL: null,
          placeC: 16,
          insistedOn: [],
          bubbles: 'some',
          smell: null,
        },
      }),
    ]);
    expect(page.address()).toBe(`/batch/${BATCH_ID}`);
  });
  it('asks about a mistype, mends it on request and files nothing before', async () => {
    const page = await open();
    await page.type('gravity', '1.55');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Answer the question');
    expect([page.attribute('[name=gravity]', 'aria-invalid'), document.activeElement?.getAttribute('name')]).toEqual(['true', 'gravity']);
    expect(page.attribute('[name=gravity]', 'inputmode')).toBe('decimal');
    expect(page.written()).toEqual([]);
    await page.press('I meant 1.055');
    expect(page.value('gravity')).toBe('1.055');
    expect(page.text()).toContain('gravity does not rise');
  });
  it('keeps what was asked when the maker insists', async () => {
    const page = await open();
    await page.type('gravity', '1.030');
    await page.press('It is right as it is');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ insistedOn: ['rise'] });
  });
  it('keeps a draft through a reload and forgets it once filed', async () => {
    const page = await open();
    await page.type('gravity', '1.012');
    await page.type('note', 'eggy');
    const again = await PageHarness.reopen(ReadingPage, setting);
    expect([again.value('gravity'), again.value('note')]).toEqual(['1.012', 'eggy']);
    await again.submit();
    const after = await PageHarness.reopen(ReadingPage, setting);
    expect(after.value('gravity')).toBe('');
  });
  it('keeps everything typed when the server refuses', async () => {
    const page = await open();
    page.refusal = { type: 'about:blank', title: 'No', status: 422, code: 'not-allowed', detail: 'That does not add up.' };
    await page.type('gravity', '1.012');
    await page.type('note', 'eggy');
    await page.submit();
    expect(page.text('[role=alert]')).toBe('That does not add up.');
    expect([page.value('gravity'), page.value('note'), page.address()]).toEqual(['1.012', 'eggy', '/']);
    expect((await PageHarness.reopen(ReadingPage, setting)).value('gravity')).toBe('1.012');
  });
  it('dates a reading by the day chosen', async () => {
    const page = await open();
    await page.choose('dayChoice', dayAt(10).slice(0, 10));
    await page.type('gravity', '1.012');
    await page.submit();
    expect(page.written()[0]?.at.slice(0, 10)).toBe(dayAt(10).slice(0, 10));
  });
  it('files nothing for a day that is none or is still to come, and stays as it is', async () => {
    const page = await open();
    await page.type('gravity', '1.012');
    await page.choose('dayChoice', 'other');
    await page.settled();
    for (const [day, why] of [
      ['never', /Pick the day/],
      ['Wed, 30 Dec 2026', /still to come/],
    ] as const) {
      await page.change('day', day);
      await page.submit();
      expect(page.text('[role=alert]')).toMatch(why);
      expect(page.value('gravity')).toBe('1.012');
    }
    expect(page.written()).toEqual([]);
  });
  it('says what is missing or unreadable', async () => {
    const page = await open();
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Write at least a gravity');
    await page.type('gravity', 'low');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('not a gravity');
    await page.type('gravity', '1.012');
    await page.type('sample', 'tepid');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('“tepid” is not a temperature');
    expect(page.written()).toEqual([]);
  });
  it('refuses a pH that cannot be, beside its field', async () => {
    const page = await open();
    await page.type('ph', '35');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('“35” cannot be right for pH');
  });
  it('begins a correction with what the entry says, and files it as one', async () => {
    const entryId = log[2]?.id ?? '';
    const page = await PageHarness.open(ReadingPage, { ...setting, inputs: { id: BATCH_ID, entryId } });
    expect(page.text('h1')).toBe('Correct a reading');
    expect(page.value('gravity')).toBe('1.020');
    await page.type('gravity', '1.022');
    await page.submit();
    expect(page.written()).toEqual([
      expect.objectContaining({ kind: 'corrected', payload: { entryId, replacement: expect.objectContaining({ kind: 'reading', at: dayAt(5) }) } }),
    ]);
  });
});
