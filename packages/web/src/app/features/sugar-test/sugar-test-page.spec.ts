import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch } from '../../../testing/sample-batch';
import { SugarTestPage } from './sugar-test-page';

const open = (entries = finishedLog(), today = 26): Promise<PageHarness> =>
  PageHarness.open(SugarTestPage, { batches: [sampleBatch(entries)], today, inputs: { id: BATCH_ID } });

describe('SugarTestPage', () => {
  it('says what a sample fermented out has found, and files it as read', async () => {
    const page = await open();
    await page.submit();
    expect(page.text('[role=alert]')).toContain('both gravities');
    for (const [name, text] of [
      ['before', '0.999'],
      ['after', '0.998'],
      ['temp', '25 C'],
    ] as const)
      await page.type(name, text);
    expect(page.text('[role=status]')).toContain('2.2 g/L can still ferment');
    await page.submit();
    expect(page.written()[0]).toMatchObject({
      kind: 'tested',
      payload: { by: 'forced-ferment', before: { reading: 0.999 }, after: { reading: 0.998 }, days: 6, tempC: 25, acknowledged: [] },
    });
  });
  it('keeps a sample that stood too short or too cold, and says why it is not filed', async () => {
    const page = await open();
    for (const [name, text] of [
      ['before', '0.999'],
      ['after', '0.998'],
      ['days', '2'],
      ['temp', '64 F'],
    ] as const)
      await page.type(name, text);
    await page.submit();
    expect(page.text('[role=alert]')).toContain('longer, or warmer');
    expect(page.written()).toEqual([]);
    expect(page.value('days')).toBe('2');
  });
  it('asks for words where a test contradicts the sums', async () => {
    const page = await open([filled(), pitched(), reading(3, 1.03)], 3.2);
    await page.tick('input[name=by][value=sugar-test]');
    await page.type('sugar', '0');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('far more sugar');
    await page.type('acknowledge', 'I understand');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ by: 'sugar-test', sugarGPerL: 0, acknowledged: ['test-disagrees'] });
  });
  it('asks for a reading of the day, without which it cannot tell what of the gravity is no sugar', async () => {
    expect((await open(finishedLog(), 40)).text()).toContain('Read its gravity on the day');
    expect((await open(finishedLog(), 26)).text()).not.toContain('Read its gravity on the day');
  });
});
