import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { BurstPage } from './burst-page';

const bottled = sampleEntry('bottled', 28, {
  bottles: [{ kindId: 'swing-500', count: 30 }],
  testBottle: false,
  lossL: 0.4,
  crate: 'Lot',
  capColour: 'rust',
  hottestC: 24,
  acknowledged: [],
});
const open = (crateId: string): Promise<PageHarness> =>
  PageHarness.open(BurstPage, {
    batches: [sampleBatch([...testedLog(), bottled])],
    today: 60,
    inputs: { id: BATCH_ID, crateId },
    settings: { temperature: 'degF', pressure: 'psi' },
  });

it('says what to do with this crate, in the maker’s units, and leads on to a note', async () => {
  const page = await open(bottled.id);
  expect(page.texts('li h2')[0]).toBe('Everyone out, animals too');
  expect(page.text('ol')).toMatch(/At 75 °F they may press with \d+ psi; at 36 °F it is \d+ psi/);
  expect(page.text('ol')).toContain('swing top');
  expect(page.text('trug-cautions')).toContain('Bottles can burst');
  expect(page.attribute('a[href$="' + bottled.id + '"]', 'href')).toBe(`/batch/${BATCH_ID}/pour-back/${bottled.id}`);
  await page.press('Write down what you did');
  expect(page.address()).toBe(`/batch/${BATCH_ID}/note`);
});
it('has nothing to say of a crate that is not there', async () => {
  expect((await open('01E00000000000000000000000')).text()).toContain('Nothing of it stands in bottles');
});
