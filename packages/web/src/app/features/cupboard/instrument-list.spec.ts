import type { InstrumentDto } from '@trug/contract/plain';
import { PageHarness } from '../../../testing/page-harness';
import { filled, pitched, sampleBatch } from '../../../testing/sample-batch';
import { sampleInstrument } from '../../../testing/sample-instrument';
import { until } from '../../../testing/until';
import { DeviceApi } from './device-api';
import { InstrumentList } from './instrument-list';

const saved = (page: PageHarness): InstrumentDto | undefined => page.saved('instruments').at(-1);

/** A card is checked by the contract before it is sent, which takes a moment. */
async function savedSoon(page: PageHarness): Promise<InstrumentDto | undefined> {
  await until(() => saved(page) !== undefined);
  // The answer is waited for as well, so that no test ends in the middle of it.
  await new Promise((resolve) => setTimeout(resolve, 30));
  return saved(page);
}

describe('instruments in the cupboard', () => {
  it('are put in with where their scale is true', async () => {
    const page = await PageHarness.open(InstrumentList);
    await page.press('Add an instrument');
    await page.type('instrumentName', 'Long one');
    await page.type('instrumentAt', '60 F');
    await page.press('Put it in');
    expect(await savedSoon(page)).toMatchObject({ kind: 'hydrometer', name: 'Long one', posts: false, offset: 0, checkedOn: null, batchId: null });
    expect(saved(page)?.calibratedAtC).toBeCloseTo(15.6, 1);
  });
  it('are not put in without a name', async () => {
    const page = await PageHarness.open(InstrumentList);
    await page.press('Add an instrument');
    await page.press('Put it in');
    expect(page.text()).toContain('Give it a name');
    expect(saved(page)).toBeUndefined();
  });
  it('are checked in water, which corrects them from then on', async () => {
    const page = await PageHarness.open(InstrumentList, { instruments: [sampleInstrument()], today: 10 });
    expect(page.text()).toContain('never checked');
    await page.press('Check it');
    await page.type('shown', '1.002');
    await page.press('Write it down');
    expect(page.text()).toContain('reads 0.002 high');
    expect(await savedSoon(page)).toMatchObject({ offset: -0.002, version: 1 });
    expect(saved(page)?.checkedOn).toMatch(/^\d{4}-\d\d-\d\d$/);
  });
  it('are renamed and put away for good, after which nothing is read with them, and used again', async () => {
    const own = sampleInstrument({ offset: -0.002 });
    const page = await PageHarness.open(InstrumentList, { instruments: [own] });
    await page.press('change');
    await page.type('rename', 'Chipped one');
    await page.press('Write it down');
    expect(await savedSoon(page)).toMatchObject({ id: own.id, name: 'Chipped one', offset: -0.002 });
    await page.press('change');
    await page.press('Put it away for good');
    await until(() => page.text().includes('Put away for good: 1'));
    expect(saved(page)?.retiredOn).toMatch(/^\d{4}-\d\d-\d\d$/);
    await page.press('Use again: Chipped one');
    await until(() => saved(page)?.retiredOn === null);
  });
  it('are not corrected by a figure that cannot be', async () => {
    const page = await PageHarness.open(InstrumentList, { instruments: [sampleInstrument()] });
    await page.press('Check it');
    await page.type('shown', '1.05');
    await page.press('Write it down');
    expect(page.text()).toContain('too far off');
    expect(saved(page)).toBeUndefined();
  });
  it('stand in a batch when they send readings, with the address to send them to', async () => {
    const batch = sampleBatch([filled(), pitched()]);
    const float = sampleInstrument({ kind: 'floating-hydrometer', posts: true, name: 'Float' });
    const asked: unknown[] = [];
    const api: Pick<DeviceApi, 'running' | 'start' | 'stop' | 'forget'> = {
      forget: (...args) => {
        asked.push(args);
        return Promise.resolve(null);
      },
      running: () => Promise.resolve([]),
      start: (...args) => {
        asked.push(args);
        return Promise.resolve('Put it into a batch first.');
      },
      stop: () => Promise.resolve(),
    };
    const page = await PageHarness.open(InstrumentList, {
      instruments: [float],
      batches: [batch],
      today: 3,
      providers: [{ provide: DeviceApi, useValue: api }],
    });
    await page.press('Start a stand-in');
    expect(asked).toEqual([[float.id, 2, 15]]);
    expect(page.text()).toContain('Put it into a batch first.');
    await page.choose('standsIn', batch.id);
    expect(saved(page)).toBeUndefined();
    await page.press('It stands there now');
    expect(await savedSoon(page)).toMatchObject({ id: float.id, batchId: batch.id });
    expect(page.text()).toContain(`/api/devices/${float.id}/readings`);
    asked.length = 0;
    await page.press('Take out what it sent about this batch');
    expect(asked).toEqual([]);
    await page.press('Yes, take all of it out for good');
    expect(asked).toEqual([[float.id, batch.id]]);
    expect(page.text()).toContain('The log is as it was');
  });
});
