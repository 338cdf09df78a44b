import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, reading, sampleBatch } from '../../../testing/sample-batch';
import { SeveralReadings } from './several-readings';

const OTHER = '01B00000000000000000000001';
const one = sampleBatch([filled(), pitched(), reading(5, 1.02)]);
const other = { ...one, id: OTHER, name: 'Other lot', entries: [filled(), pitched()].map((e) => ({ ...e, id: e.id.replace(/.$/, 'Z'), batchId: OTHER })) };
const open = (): Promise<PageHarness> => PageHarness.open(SeveralReadings, { batches: [one, other], today: 8, settings: { temperature: 'degF' } });

it('files one reading for each line that was written in, in one go', async () => {
  const page = await open();
  await page.submit();
  expect(page.text('[role=alert]')).toContain('Write at least one gravity');
  await page.type('sample', '77 F');
  await page.type(BATCH_ID, '1.010');
  expect(page.text('tbody')).toContain('1.0110');
  expect(page.text('.acts')).toContain('Write down 1 reading');
  await page.type(OTHER, '1.030');
  await page.submit();
  expect(page.filed()).toHaveLength(1);
  expect(page.written().map((e) => [e.batchId, e.kind === 'reading' ? e.payload.gravity?.reading : null])).toEqual([
    [OTHER, 1.03],
    [BATCH_ID, 1.01],
  ]);
});
it('asks about what is odd beneath its line, and files none meanwhile', async () => {
  const page = await open();
  await page.type(OTHER, '1.030');
  await page.type(BATCH_ID, '1.034');
  expect(page.text('tbody')).toContain('gravity does not rise unless something was added');
  await page.submit();
  expect(page.text('[role=alert]')).toContain('comes first');
  expect(page.filed()).toEqual([]);
});
