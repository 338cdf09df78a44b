import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, finishedLog, sampleBatch, sampleEntry, sampleView } from '../../../testing/sample-batch';
import { nowWords } from '../batch/now/now-words';
import { InfusePage } from './infuse-page';

const open = (...more: Parameters<typeof sampleBatch>[0]): Promise<PageHarness> =>
  PageHarness.open(InfusePage, { batches: [sampleBatch([...finishedLog(), ...more])], today: 30, inputs: { id: BATCH_ID } });
const berries = sampleEntry('infused', 29, { infusionId: 'raspberry', massG: 2000, days: 10 });

describe('what steeps in a drink', () => {
  it('is told by its usual amount and days, and filed by them where nothing else is said', async () => {
    const page = await open();
    expect(page.text()).toContain('16 g is faint, 30 g usual, 60 g strong');
    expect(page.text('aside')).not.toContain('sugar is counted');
    await page.press('It is in');
    expect(page.written()).toMatchObject([{ kind: 'infused', payload: { infusionId: 'oak-light', massG: 30, days: 28 } }]);
  });
  it('of fruit counts its sugar, and says that nothing is sealed meanwhile', async () => {
    const page = await open();
    await page.choose('what', 'raspberry');
    await page.type('mass', '2 kg');
    await page.type('days', '8');
    expect(page.text('aside')).toMatch(/All its sugar is counted.*nothing can be bottled until it is out/);
    await page.press('It is in');
    expect(page.written()).toMatchObject([{ kind: 'infused', payload: { infusionId: 'raspberry', massG: 2000, days: 8 } }]);
  });
  it('warns of hops where there may be a dog, and of an amount that is odd', async () => {
    const page = await open();
    await page.choose('what', 'hops');
    await page.type('mass', '400');
    expect(page.text('aside')).toContain('Hops can kill a dog');
    expect(page.text('[role=status]')).toContain('more than is usually called strong');
  });
  it('is taken out again from the same page', async () => {
    const page = await open(berries);
    expect(page.text('.in-it')).toMatch(/raspberries 2 kg since .*out by/);
    await page.press('Take out the raspberries');
    expect(page.written()).toMatchObject([{ kind: 'lifted', payload: { infusedId: berries.id, name: 'raspberries' } }]);
  });
});

it('of fruit, Now claims no end, and leads to taking it out', () => {
  const words = nowWords(sampleView([...finishedLog(), berries], 30));
  expect(words.sentence).toContain('No reading proves an end until it is out');
  expect(words.main).toEqual({ page: 'infuse', verb: 'Take it out' });
  const oak = sampleEntry('infused', 29, { infusionId: 'oak-light', massG: 30, days: 28 });
  const calm = nowWords(sampleView([...finishedLog(), oak], 30));
  expect(calm.sentence).toMatch(/^Finished/);
  expect(calm.evidence.some(({ text }) => text.includes('oak chips'))).toBe(true);
});
