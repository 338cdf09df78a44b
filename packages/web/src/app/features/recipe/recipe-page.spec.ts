import { keptRecipeAt, stepOf } from '@trug/core/book/recipe/kept-recipe';
import type { StoredRecipe } from '@trug/contract/plain';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { AgainPage } from './again-page';
import { RecipeList } from './recipe-list';
import { RecipePage } from './recipe-page';

const ID = '01J8ZC4V5W6X7Y8Z9ABCDEFGHJ';
const [FILLED] = [filled().payload];
const RECIPE: StoredRecipe = {
  id: ID,
  version: 3,
  name: 'Gallon plain',
  methodId: 'cool-slow',
  note: 'The one for guests.',
  steps: [
    stepOf(0, 'filled', FILLED as Parameters<typeof stepOf<'filled'>>[2]),
    stepOf(0, 'addition', { what: 'fermentable', fermentableId: 'honey', massG: 900 }, 'the dark one'),
    stepOf(1, 'pitched', { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 }),
  ],
};
const open = (recipe: StoredRecipe = RECIPE, settings = {}): Promise<PageHarness> =>
  PageHarness.open(RecipePage, { recipes: [recipe], today: 30, inputs: { id: ID }, settings });
const kept = (page: PageHarness): StoredRecipe => {
  const recipe = page.saved('recipes').at(-1);
  if (!recipe) throw new Error('no recipe was kept');
  return recipe;
};

it('is what goes in day by day, for any volume, in the maker’s units', async () => {
  const page = await open();
  expect(page.text('ol')).toMatch(/First day.*Filled 20 L.*900 g Honey.*the dark one.*Day 1.*5 g/s);
  await page.type('recipeVolume', '10 L');
  expect(page.text('ol')).toMatch(/Filled 10 L.*450 g Honey/s);
  const us = await open(RECIPE, { volume: 'us-gal', mass: 'imperial' });
  expect(us.text('ol')).toMatch(/5\.28 US gal.*1 lb 15\.7 oz Honey/s);
});
it('has a step changed: its amount, its day, and whether it stays as it is at any size', async () => {
  const page = await open();
  await page.press('Change Added 900 g Honey');
  await page.shows('trug-step-form');
  await page.type('massG', '1 lb');
  await page.type('stepDays', '2');
  await page.tickBox('The same at any size');
  await page.press('Change it so');
  expect(kept(page).steps[1]).toMatchObject({ afterDays: 2, fixed: true, note: 'the dark one', payload: { massG: expect.closeTo(453.6, 1) as number } });
  expect(kept(page).version).toBe(3);
});
it('says why an amount or a day cannot be, and keeps the recipe as it was', async () => {
  const page = await open();
  await page.press('Change Added 900 g Honey');
  await page.shows('trug-step-form');
  await page.type('massG', 'a lot');
  await page.press('Change it so');
  expect(page.text('trug-step-form')).toContain('write it as');
  await page.type('massG', '500 g');
  await page.type('stepDays', '9000');
  await page.press('Change it so');
  expect(page.text('trug-step-form')).toContain('days');
  expect(page.saved('recipes')).toEqual([]);
});
it('has a step taken out, but never what it begins with', async () => {
  const page = await open();
  await page.press('Change Filled 20 L of shop juice, 1.048 at 20 °C, hydrometer');
  await page.shows('trug-step-form');
  expect(page.text('trug-step-form')).not.toContain('Take it out');
  await page.press('Not yet');
  await page.press('Change Added 900 g Honey');
  await page.shows('trug-step-form');
  await page.press('Take it out');
  expect(kept(page).steps.map(({ kind }) => kind)).toEqual(['filled', 'pitched']);
});
it('takes more as it would be scribbled, shown before it is kept; what cannot be read stays', async () => {
  const page = await open();
  await page.press('Something more');
  await page.shows('trug-more-steps');
  await page.type('moreLine', '1/2 tsp nutrient, skim the cap, 3 sugar');
  await page.type('moreDays', '3');
  expect(page.text('trug-more-steps ul')).toMatch(/nutrient.*Skim the cap.*3 sugar/s);
  await page.press('Put it in the recipe');
  expect(kept(page).steps.slice(3)).toMatchObject([
    { kind: 'addition', afterDays: 3, payload: { what: 'nutrient' } },
    { kind: 'note', afterDays: 3, payload: { text: 'skim the cap' } },
  ]);
  expect(page.value('moreLine')).toBe('3 sugar');
});
it('is called and noted otherwise, and put away', async () => {
  const page = await open();
  await page.press('Its name and note');
  await page.shows('trug-recipe-facts');
  await page.type('recipeName', 'Gallon dark');
  await page.press('Keep it so');
  expect(kept(page)).toMatchObject({ name: 'Gallon dark', note: 'The one for guests.' });
  await page.press('Put it away');
  expect(kept(page).retiredOn).toMatch(/^\d{4}-/);
});
it('begins a batch: the form finds volume, strength and yeast', async () => {
  const page = await open();
  await page.type('recipeVolume', '5 L');
  await page.press('Begin it so');
  expect(page.address()).toBe('/new');
  const draft = JSON.parse(localStorage.getItem('trug.draft.new-batch@nobody') ?? '{}') as { fields: Record<string, string> };
  expect(draft.fields).toMatchObject({ name: 'Gallon plain', volume: '5 L', sugar: 'honey', yeast: 'crisp-cider', method: 'cool-slow' });
});
it('is made of a batch, at the size that is shown', async () => {
  const log = [filled(), sampleEntry('addition', 0.06, { what: 'fermentable', fermentableId: 'honey', massG: 900 }), pitched(), reading(7, 1.012)];
  const page = await PageHarness.open(AgainPage, { batches: [sampleBatch(log)], today: 30, inputs: { id: BATCH_ID } });
  await page.type('again', '4 L');
  await page.press('Keep it as a recipe');
  const own = kept(page);
  expect(own).toMatchObject({ name: 'Lot', steps: [{ kind: 'filled' }, { payload: { massG: 180 } }, { kind: 'pitched' }] });
  expect(page.address()).toBe(`/recipe/${own.id}`);
  expect(keptRecipeAt(own.steps).beganL).toBe(4);
});
it('is written from nothing, and says what it lacks', async () => {
  const page = await PageHarness.open(RecipeList, { recipes: [RECIPE], today: 1 });
  expect(page.text('.cards')).toMatch(/Gallon plain.*20 L.*900 g Honey/s);
  await page.type('recipeName', 'From nothing');
  await page.press('Write it');
  expect(page.text('form')).toContain('how much juice');
  await page.type('recipeSize', '1 gal');
  await page.type('recipeSg', '1.052');
  await page.press('Write it');
  expect(kept(page)).toMatchObject({ name: 'From nothing', steps: [{ kind: 'filled', payload: { gravity: { reading: 1.052 } } }] });
});
it('says so where a recipe is not there', async () => {
  const page = await PageHarness.open(RecipePage, { recipes: [], today: 1, inputs: { id: ID } });
  expect(page.text()).toContain('No such recipe');
});
