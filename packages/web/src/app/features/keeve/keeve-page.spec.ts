import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, sampleBatch } from '../../../testing/sample-batch';
import { KeevePage } from './keeve-page';

const open = (entries = [filled()], today = 1): Promise<PageHarness> =>
  PageHarness.open(KeevePage, { batches: [sampleBatch(entries)], today, inputs: { id: BATCH_ID } });

it('says what speaks against it, and ticks its steps off with their waits', async () => {
  const page = await open();
  expect(page.text('.signs')).toMatch(/mg\/L of nitrogen/);
  expect(page.count('.signs li')).toBe(3);
  expect(page.text('.failures')).toContain('wakes in spring, in the bottle');
  await page.press('Done: Pectin methylesterase, and no other enzyme, stirred in by its packet: one that splits pectin makes a cap impossible.');
  const [entry] = page.written();
  expect(entry).toMatchObject({ kind: 'stepped', payload: { plan: 'keeve', step: 1, of: 4, waitMin: 720 } });
  const state = replay([filled(), ...page.written()]);
  expect(state.plan).toMatchObject({ plan: 'keeve', step: 1 });
});
it('can be given up: it goes on as any juice', async () => {
  const page = await open();
  await page.press('Done: Pectin methylesterase, and no other enzyme, stirred in by its packet: one that splits pectin makes a cap impossible.');
  await page.settled();
  await page.press('No cap came');
  expect(replay([filled(), ...page.written()]).plan).toBeNull();
});
it('is too late once yeast is in', async () => {
  expect((await open([filled(), pitched()])).text()).toContain('with this drink it is too late');
});
