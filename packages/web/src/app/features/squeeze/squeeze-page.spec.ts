import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { SqueezePage } from './squeeze-page';

const run = (testBottle: boolean) =>
  sampleEntry('bottled', 28, {
    bottles: [{ kindId: 'swing-500', count: 30 }],
    testBottle,
    lossL: 0.4,
    crate: 'Lot',
    capColour: 'rust',
    hottestC: 24,
    acknowledged: [],
  });
const bottled = run(true);
const open = (crate = bottled): Promise<PageHarness> =>
  PageHarness.open(SqueezePage, { batches: [sampleBatch([...testedLog(), crate])], today: 40, inputs: { id: BATCH_ID } });

it('asks how it feels, says what that means, and files it of its crate', async () => {
  const page = await open();
  expect(page.text('.sheet')).not.toContain('Which crate');
  await page.submit();
  expect(page.text('[role=alert]')).toContain('Say how it feels');
  await page.choose('feel', 'soft');
  expect(page.text('.sheet')).toContain('Squeeze it again about 17 Nov');
  await page.submit();
  expect(page.written()[0]).toMatchObject({ kind: 'squeezed', payload: { crateId: bottled.id, feel: 'soft' } });
});
it('leads from a hard bottle to what to do now, and keeps that in the crate', async () => {
  const page = await open();
  await page.choose('feel', 'hard');
  expect(page.text('trug-cautions')).toContain('Bottles can burst');
  await page.submit();
  const state = replay([...testedLog(), bottled, ...page.written()]);
  expect(state.issues).toEqual([]);
  expect(state.crates[0]?.squeezed?.feel).toBe('hard');
});
it('has nothing to ask where no test bottle was filled', async () => {
  expect((await open(run(false))).text()).toContain('None of its crates has a test bottle');
});
