import { PageHarness } from '../../../testing/page-harness';
import { SupplyList } from './supply-list';

const open = async (what: string): Promise<PageHarness> => {
  const page = await PageHarness.open(SupplyList, { today: 2 });
  await page.press('Add a packet or jar');
  await page.shows('trug-supply-form');
  await page.choose('supplyWhat', what);
  return page;
};

it('keeps what the packet of an enzyme asks for in a litre, and what a spoon of it weighs', async () => {
  const page = await open('enzyme:');
  await page.type('supplyAmount', '50 g');
  await page.type('supplyDose', 'a little');
  await page.press('Put it in');
  expect(page.saved('supplies')).toEqual([]);
  await page.type('supplyDose', '0.2');
  await page.type('supplySpoon', '2.6');
  await page.press('Put it in');
  expect(page.saved('supplies')).toMatchObject([{ kind: 'enzyme', amount: 50, doseGPerL: 0.2, teaspoonG: 2.6 }]);
});
it('asks for no dose of what the sums of the must dose', async () => {
  const page = await open('acid:malic');
  expect(page.has('[name=supplyDose]')).toBe(false);
});
