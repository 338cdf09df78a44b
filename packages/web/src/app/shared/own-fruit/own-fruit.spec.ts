import { PageHarness } from '../../../testing/page-harness';
import { SupplyList } from '../../features/cupboard/supply-list';
import { PressDay } from '../../features/juice/press/press-day';
import { SteepPage } from '../../features/juice/steep/steep-page';

const GATE = 'own:seedling-apple:1.054:-:-:Gate tree';
const KEPT = {
  id: '01J8ZC4V5W6X7Y8Z9ABCDEFGHJ',
  version: 1,
  kind: 'fruit',
  refId: GATE,
  name: 'Gate tree',
  amount: 0,
  unit: 'g',
  packetG: null,
  bestBefore: null,
} as const;

it('is kept where fruit is weighed, chosen at once, and gives the juice its figures', async () => {
  const page = await PageHarness.open(PressDay, { today: 2 });
  await page.shows('trug-own-fruit');
  await page.press('Keep it');
  expect(page.text('trug-own-fruit')).toContain('what you call it');
  await page.type('ownFruitName', 'Gate tree');
  await page.type('ownFruitSg', '1.054');
  await page.press('Keep it');
  expect(page.saved('supplies')).toMatchObject([{ kind: 'fruit', refId: GATE, name: 'Gate tree', amount: 0 }]);
  await page.type('mass', '12 kg');
  await page.press('Weigh it in');
  expect(page.text('.lines')).toContain('Gate tree');
  await page.type('run', '7 L');
  await page.press('Write the run');
  await page.press('Done: measure the juice');
  expect(page.saved('juices')).toMatchObject([{ fruitId: GATE, pressing: { lots: [{ fruitId: GATE, massKg: 12 }] } }]);
});
it('is offered first wherever fruit is chosen, and says what cannot be of a juice', async () => {
  const page = await PageHarness.open(SteepPage, { today: 2, supplies: [KEPT] });
  expect((await page.offers('fruitId')).slice(0, 2)).toContain('Gate tree');
  await page.shows('trug-own-fruit');
  await page.type('ownFruitName', 'Hedge');
  await page.type('ownFruitTa', '400');
  await page.press('Keep it');
  expect(page.text('trug-own-fruit')).toMatch(/1 to 15 g\/L/);
  expect(page.saved('supplies')).toEqual([]);
});
it('stands in the cupboard by itself, and is never used up', async () => {
  const page = await PageHarness.open(SupplyList, { today: 2, supplies: [KEPT] });
  expect(page.text()).toMatch(/Fruit of your own.*Gate tree.*much like/s);
  expect(page.text()).not.toContain('Used up');
  await page.press('Take Gate tree away');
  expect(page.sent<{ type: string; sent: object }>('[Resource Page] Resource Removed')).toMatchObject([
    { sent: { of: 'supplies', resource: { refId: GATE } } },
  ]);
});
