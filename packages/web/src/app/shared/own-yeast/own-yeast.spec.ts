import { replay } from '@trug/core/book/log/replay';
import { yeastById } from '@trug/core/base/reference/yeast-kinds';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, sampleBatch } from '../../../testing/sample-batch';
import { PitchPage } from '../../features/pitch/pitch-page';

const open = async (): Promise<PageHarness> => {
  const page = await PageHarness.open(PitchPage, { batches: [sampleBatch([filled()])], today: 2, inputs: { id: BATCH_ID } });
  await page.shows('trug-own-yeast');
  await page.type('ownYeastName', 'Orchard gold');
  await page.type('ownYeastFrom', '59 F');
  await page.type('ownYeastTo', '24 C');
  return page;
};

it('is kept in the cupboard by what its packet says, chosen, ranked and pitched by that', async () => {
  const page = await open();
  await page.press('Keep it');
  expect(page.text('trug-own-yeast')).toContain('the strength it stands');
  await page.type('ownYeastStands', '9');
  await page.press('Keep it');
  const id = 'own:crisp-cider:9:15-24:Orchard gold';
  expect(page.saved('supplies')).toMatchObject([{ kind: 'yeast', refId: id, name: 'Orchard gold', unit: 'packet', packetG: 5, amount: 1 }]);
  expect(page.text('.chosen')).toContain('Orchard gold');
  expect(page.text('aside dl')).toContain('8–11 %');
  await page.submit();
  const pitched = page.written().find((entry) => entry.kind === 'pitched');
  expect(pitched?.payload).toMatchObject({ yeastId: id });
  const state = replay([filled(), ...page.written()]);
  expect(state.issues).toEqual([]);
  expect(yeastById(state.yeastId ?? '').name).toBe('Orchard gold');
});
it('says what cannot be of a packet', async () => {
  const page = await open();
  await page.type('ownYeastStands', '9');
  await page.type('ownYeastFrom', '30 C');
  await page.press('Keep it');
  expect(page.text('trug-own-yeast')).toContain('the cooler figure first');
  expect(page.saved('supplies')).toEqual([]);
});
