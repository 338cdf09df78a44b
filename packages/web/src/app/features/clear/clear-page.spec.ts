import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { ClearPage } from './clear-page';

const open = (log = finishedLog(), today = 30): Promise<PageHarness> =>
  PageHarness.open(ClearPage, { batches: [sampleBatch(log)], today, inputs: { id: BATCH_ID } });

describe('clearing', () => {
  it('offers what moves the haze first, with its dose, and files it', async () => {
    const page = await open();
    await page.choose('haze', 'pectin');
    expect(page.text('.chosen')).toMatch(/Pectic enzyme ?suits it/);
    expect(page.text('.card')).toContain('Stir in 20.0 g');
    await page.press('It is in');
    expect(page.written()[0]).toMatchObject({ kind: 'clarified', payload: { means: 'enzyme', massG: 20, waitDays: 14 } });
  });
  it('leads two-part finings by the hour: the second part is refused before the first', async () => {
    const page = await open();
    await page.tick('li:last-child .way');
    expect(page.text('.card')).toContain('crustacean shells');
    await page.press('Both parts are in');
    expect(page.text()).toContain('first part of the finings is not in yet');
    expect(page.written()).toEqual([]);
  });
  it('files the second part once the hour is over', async () => {
    const first = sampleEntry('stepped', 29, { plan: 'finings', done: 'first', step: 1, of: 2, next: 'Stir in the second part', waitMin: 60 });
    const page = await open([...finishedLog(), first]);
    expect(page.text('.card h2')).toBe('Two-part finings');
    await page.press('Both parts are in');
    expect(page.written()[0]).toMatchObject({ kind: 'clarified', payload: { means: 'finings', waitDays: 2 } });
  });
  it('leaves a working drink to time', async () => {
    const page = await open([filled(), pitched(), reading(3, 1.04), reading(6, 1.03)], 6);
    expect(page.text('.card')).toContain('Time');
    expect(page.text('ul')).toMatch(/Two-part finings ?not for this/);
  });
});
