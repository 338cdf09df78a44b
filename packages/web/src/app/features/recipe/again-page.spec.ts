import { SAMPLE_STEEP } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { AgainPage } from './again-page';

const enzyme = sampleEntry('addition', 0.05, { what: 'enzyme', name: 'pectic enzyme', massG: 6 });
const honey = sampleEntry('addition', 0.06, { what: 'fermentable', fermentableId: 'honey', massG: 900 });
const LOG = [filled(), enzyme, honey, pitched(), reading(7, 1.012), reading(18, 0.999)];
const open = (entries = LOG, settings = {}): Promise<PageHarness> =>
  PageHarness.open(AgainPage, { batches: [sampleBatch(entries)], today: 30, inputs: { id: BATCH_ID }, settings });
const left = (key: string): { readonly fields: Readonly<Record<string, string>> } =>
  JSON.parse(localStorage.getItem(`trug.draft.${key}@nobody`) ?? '{}') as { fields: Record<string, string> };

it('is what went in, day by day, for another volume, with what came of it', async () => {
  const page = await open();
  expect(page.text('ol')).toMatch(/First day.*Filled 20 L.*6 g pectic enzyme.*900 g Honey/s);
  await page.type('again', '50 L');
  expect(page.text('ol')).toMatch(/Filled 50 L.*15 g pectic enzyme.*2\.25 kg Honey/s);
  expect(page.text('aside')).toMatch(/After 18 days.*0\.999/s);
});
it('begins it so: the form of a carton finds volume, gravity, strength and yeast, the line what goes in besides', async () => {
  const page = await open();
  await page.type('again', '10 L');
  await page.press('Begin it so');
  expect(left('new-batch').fields).toMatchObject({ name: 'Lot again', volume: '10 L', sg: '1.048', sugar: 'honey', yeast: 'crisp-cider', clean: 'later' });
  expect(left('scribble').fields['line']).toBe('3 g pectic enzyme');
  expect(page.address()).toBe('/new');
});
it('puts what was steeped on the pulp again, in the maker’s own units', async () => {
  const page = await open([sampleEntry('steeped', 0, SAMPLE_STEEP)], { volume: 'us-gal', mass: 'imperial' });
  await page.press('Put it on the pulp');
  expect(left('steep').fields['fruit']).toMatch(/ lb/);
  expect(page.address()).toBe('/juice/steep');
});
it('leaves out what seals: it is worked out anew', async () => {
  const page = await open([
    ...LOG,
    sampleEntry('primed', 27, { fermentableId: 'sucrose', massG: 120, mode: 'bulk', targetVolumes: 2.4, warmestSinceEndC: 18 }),
  ]);
  expect(page.text('ol')).not.toContain('120 g');
  expect(page.text('aside')).toContain('what is left in the drink decides');
});
it('says why a volume cannot be', async () => {
  const page = await open();
  await page.type('again', 'lots');
  expect(page.text()).toContain('write it as');
});
