import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { HeatPage } from './heat-page';

const sweet = sampleEntry('sweetened', 28, { sweetenerId: 'sucrose', massG: 300 });
const bottled = sampleEntry('bottled', 28.2, {
  bottles: [{ kindId: 'crown-500', count: 20 }],
  testBottle: false,
  lossL: 0.4,
  crate: 'Lot',
  capColour: 'rust',
  hottestC: 24,
  toHeat: { headspace: 0.05 },
  acknowledged: ['heat-due', 'hot-bottles'],
});
const log = [...testedLog(), sweet, bottled];
const open = (today = 28.5, settings = {}): Promise<PageHarness> =>
  PageHarness.open(HeatPage, { batches: [sampleBatch(log)], today, inputs: { id: BATCH_ID }, settings });
const understood = (page: PageHarness) => page.type('acknowledge', 'I understand');

it('counts units while minutes are typed, and files what was done', async () => {
  const page = await open();
  expect(page.text('aside')).toMatch(/crown-capped 500 mLabout [3-5]\.\d bar, stands 6\.5 bar hot/);
  await page.submit();
  expect(page.text('[role=alert]')).toContain('Say how many minutes');
  await page.type('minutes', '5');
  expect(page.text('[data-test=units]')).toBe('26 units of 50: 5 minutes more at 65 °C.');
  await page.type('core', '66');
  await page.type('minutes', '10');
  // 10 minutes at 66 °C: 10 × 1.393^6.
  expect(page.text('[data-test=units]')).toContain('73 units of 50: enough');
  await page.submit();
  expect(page.text('[role=alert]')).toContain('Pressure multiplies');
  await understood(page);
  await page.submit();
  const [entry] = page.written();
  expect(entry).toMatchObject({ kind: 'heated', payload: { crateId: bottled.id, steps: [{ minutes: 10, coreC: 66 }], openedSg: null } });
  expect(replay([...log, ...page.written()]).crates[0]?.wakesVolumes).toBeNull();
});
it("reads a logger's table in the maker's degrees, draws it, and says which row it cannot read", async () => {
  const page = await open(28.5, { temperature: 'degF' });
  await page.choose('way', 'table');
  await page.type('table', '14:00 68\n14:30 149\n14:40 149');
  await page.shows('.trace');
  expect(page.text('[data-test=units]')).toContain('52 units of 50: enough');
  await page.type('table', '14:00 68\n14:30 hot');
  await page.submit();
  expect(page.text()).toContain('row 2, “14:30 hot”, is no time and temperature');
  expect(page.written()).toEqual([]);
});
it('does not heat unseen what stood for days, and heats it once one was opened and read', async () => {
  const page = await open(30.5);
  expect(page.text('[role=alert]')).toContain('nobody knows what gas is in them');
  await page.type('minutes', '11');
  await understood(page);
  await page.submit();
  expect(page.written()).toEqual([]);
  // What no drink weighs is refused beside its field, and blanks no page.
  await page.type('opened', '1.5');
  expect(page.text('trug-gravity')).toContain('must lie between 0.98 and 1.4');
  await page.submit();
  expect(page.written()).toEqual([]);
  await page.type('opened', '0.996');
  expect(page.text('aside')).toContain('more than 2.5 volumes are never heated');
  await page.type('opened', '1.0045');
  await page.type('openedAt', '20 C');
  await page.submit();
  expect(page.written()[0]?.payload).toMatchObject({ openedSg: 1.0045 });
});
it('shows the way to the bench where no bottles wait', async () => {
  const page = await PageHarness.open(HeatPage, { batches: [sampleBatch(testedLog())], today: 30, inputs: { id: BATCH_ID } });
  expect(page.text()).toContain('No bottles of it wait to be heated');
});
