import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { WaysPage } from './ways-page';

const keg = { id: '01J0000000000000000000KEG1', name: 'Steel keg', kind: 'keg' as const, capacityL: 19 };
const open = (log = testedLog(), vessels = [keg]): Promise<PageHarness> =>
  PageHarness.open(WaysPage, { batches: [sampleBatch(log)], vessels, today: 30, inputs: { id: BATCH_ID }, settings: { temperature: 'degF' } });
const allowed = (page: PageHarness): readonly string[] => page.texts('.ways > li:not(.out) h2');

it('offers what is open with its steps in the maker’s units, and strikes the rest out with the reason', async () => {
  const page = await open();
  expect(allowed(page)).toEqual([
    'With what yeast cannot eat',
    'Sugar, held by sulfite and sorbate',
    'Sugar, in a cold keg',
    'Sugar, in bottles heated in a bath',
  ]);
  expect(page.text('.ways')).toContain('ten minutes at 149 °F');
  await page.tickBox('no hot bath with a thermometer, or no pressure glass');
  expect(allowed(page)).toEqual(['With what yeast cannot eat', 'Sugar, held by sulfite and sorbate', 'Sugar, in a cold keg']);
  expect(page.text('.ways')).toContain('at 39 °F or colder');
  await page.choose('fizz', 'lively');
  expect(allowed(page)).toEqual(['With what yeast cannot eat', 'Sugar, in a cold keg']);
  expect(page.text('.out')).not.toBe('');
  await page.tickBox('someone who minds sugar');
  expect(allowed(page)).toEqual(['With what yeast cannot eat']);
  expect(page.text('.ways')).toContain('Xylitol is deadly to dogs');
  await page.tickBox('dogs in the house');
  expect(page.text('.ways')).not.toMatch(/xylitol/i);
  await page.press('Begin: With what yeast cannot eat');
  expect(page.address()).toBe(`/batch/${BATCH_ID}/sweeten`);
});
it('leaves the cold keg alone to what is not proven, and nothing where there is none', async () => {
  const working = [filled(), pitched(), reading(3, 1.03), reading(6, 1.015)];
  expect(allowed(await open(working))).toEqual(['Sugar, in a cold keg']);
  expect(allowed(await open(working, []))).toEqual([]);
});
it('agrees with the bench on the day it was sweetened: heat is open then, and begins there', async () => {
  const page = await open([...testedLog(), sampleEntry('sweetened', 29.5, { sweetenerId: 'sucrose', massG: 300 })]);
  expect(allowed(page)).toEqual(['Sugar, in a cold keg', 'Sugar, in bottles heated in a bath']);
  await page.press('Begin: Sugar, in bottles heated in a bath');
  expect(page.address()).toBe(`/batch/${BATCH_ID}/bottle`);
});
