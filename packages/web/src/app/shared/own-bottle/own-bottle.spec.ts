import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, testedLog } from '../../../testing/sample-batch';
import { BottleBench } from '../../features/bottle/bottle-bench';

const ID = 'own:crown-500:660:3.5:-:Tall brown';

const open = async (): Promise<PageHarness> => {
  const page = await PageHarness.open(BottleBench, { batches: [sampleBatch(testedLog())], today: 27, inputs: { id: BATCH_ID } });
  await page.press('A bottle of my own');
  await page.shows('trug-own-bottle');
  await page.type('ownBottleName', 'Tall, brown');
  await page.type('ownBottleSize', '660 mL');
  await page.type('ownBottleCount', '12');
  return page;
};

it('is kept by what is marked on it, filled and judged by that', async () => {
  const page = await open();
  await page.type('ownBottleLimit', '350 kPa');
  await page.press('Keep this bottle');
  expect(page.saved('supplies')).toMatchObject([{ kind: 'bottles', refId: ID, name: 'Tall brown', unit: 'bottle', amount: 12, packetG: null }]);
  expect(page.text('trug-bottle-choice')).toContain('12 bottles in the cupboard');
  // Those first, and what is over goes into the usual ones.
  expect(page.text('[data-test=run]')).toMatch(/12 × Tall brown$/);
  expect(page.text('trug-pressure-column')).toContain('Tall brown');
  await page.choose('fizz', '2.6');
  // What a usual crown cap stands is past what these are marked for.
  expect(page.text('.verdict.bad')).toContain('Tall brown: do not bottle');
  await page.choose('fizz', '1.5');
  expect(page.has('.verdict.bad')).toBe(false);
  await page.submit();
  const [, run] = page.written();
  expect(run?.kind === 'bottled' && run.payload.bottles).toContainEqual({ kindId: ID, count: 12 });
  const state = replay([...testedLog(), ...page.written()]);
  expect(state.issues).toEqual([]);
  expect(state.crates[0]?.lots).toContainEqual({ kindId: ID, filled: 12, left: 12 });
});
it('says what cannot be of a bottle, and asks for no pressure where it is made for none', async () => {
  const page = await open();
  await page.type('ownBottleLimit', '17 bar');
  await page.press('Keep this bottle');
  expect(page.text('trug-own-bottle [role=alert]')).toMatch(/0\.5 to 8 bar\. More is the pressure at which one broke/);
  await page.choose('ownBottleLike', 'wine-750');
  expect(page.has('[name=ownBottleLimit]')).toBe(false);
  await page.type('ownBottleSize', '20 mL');
  await page.press('Keep this bottle');
  expect(page.text('trug-own-bottle [role=alert]')).toContain('between 0.1 and 5 L');
  expect(page.saved('supplies')).toEqual([]);
});
