import { BATCH_ID, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { TakeOutPage } from './take-out-page';

const open = (): Promise<PageHarness> =>
  PageHarness.open(TakeOutPage, { batches: [sampleBatch(finishedLog())], today: 27, inputs: { id: BATCH_ID }, settings: { volume: 'us-gal' } });

it('writes down what was drunk from the vessel, in the maker’s units, and what is left', async () => {
  const page = await open();
  await page.type('amount', '1 gal');
  expect(page.text('trug-before-after')).toContain('5.28 US gal4.28 US gal');
  await page.submit();
  expect(page.written()[0]).toMatchObject({ kind: 'discarded', payload: { volumeL: expect.closeTo(3.785, 3), why: 'drunk from the vessel' } });
});
it('takes no more than there is, and nothing without an amount', async () => {
  const page = await open();
  await page.submit();
  expect(page.text('[role=alert]')).toContain('Write how much');
  await page.type('amount', '9 gal');
  expect(page.text()).toContain('Only 5.28 US gal stand in its vessels.');
  await page.choose('why', 'spilled');
  await page.submit();
  expect(page.written()).toEqual([]);
});
it('draws glasses from a keg, drawn as many as they are', async () => {
  const kegged = sampleEntry('kegged', 27, { vessel: { vesselId: 'K', volumeL: 18 }, lossL: 0.4, targetVolumes: 2.4, storeC: 4, acknowledged: [] });
  const page = await PageHarness.open(TakeOutPage, { batches: [sampleBatch([...finishedLog(), kegged])], today: 30, inputs: { id: BATCH_ID } });
  await page.press('3 glasses');
  expect(page.value('amount')).toBe('900 mL');
  expect(page.count('.full')).toBe(3);
  await page.submit();
  expect(page.written()[0]?.payload).toMatchObject({ volumeL: 0.9 });
});
