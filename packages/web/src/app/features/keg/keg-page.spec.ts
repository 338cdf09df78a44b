import { replay } from '@trug/core/book/log/replay';
import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { LetOffPage } from './let-off-page';
import { KegPage } from './keg-page';

const keg = { id: '01J0000000000000000000KEG1', name: 'Steel keg', kind: 'keg' as const, capacityL: 19 };
const small = { ...keg, id: '01J0000000000000000000KEG2', name: 'Little keg', capacityL: 9.5 };
const WORKING = [filled(), pitched(), reading(3, 1.03), reading(6, 1.015)];
const open = (entries = finishedLog(), today = 27, vessels = [keg, small], settings = {}): Promise<PageHarness> =>
  PageHarness.open(KegPage, { batches: [sampleBatch(entries)], vessels, today, settings, inputs: { id: BATCH_ID } });

describe('KegPage', () => {
  it('says what to set, how much goes in and what is over, and files just that', async () => {
    const page = await open();
    expect(page.text('[data-test=regulator]')).toBe('0.9 bar');
    expect(page.text('aside')).toContain('1.2 L find no room');
    await page.choose('fizz', 'gentle');
    await page.tick('input[name=way][value=quick]');
    await page.submit();
    const [entry] = page.written();
    expect(entry).toMatchObject({ kind: 'kegged', payload: { targetVolumes: 2, storeC: 4, way: 'quick', acknowledged: [] } });
    const state = replay([...finishedLog(), ...page.written()]);
    expect(state.issues).toEqual([]);
    expect(state.keg).toMatchObject({ vesselId: keg.id, gassedOn: '2026-10-30', unproven: false });
    expect(state.liquid?.volumeL).toBeCloseTo(19 * 0.97, 9);
  });
  it('takes the keg that is chosen, in the maker’s units', async () => {
    const page = await open(finishedLog(), 27, [keg, small], { pressure: 'psi', temperature: 'degF', volume: 'us-gal' });
    await page.choose('keg', small.id);
    await page.type('store', '50 F');
    await page.type('altitude', '1500');
    // 2.6 volumes at 10 °C in 6.7 %: 2.6 × 1.01325 ÷ 1.114 − 1.01325 + 0.18 bar.
    expect(page.text('[data-test=regulator]')).toBe('22 psi');
    expect(page.text('[data-test=fill]')).toBe('2.43 US gal');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ vessel: { vesselId: small.id }, storeC: 10 });
  });
  it('asks for words before it shuts in what is not proven, and refuses it in the warm', async () => {
    const page = await open(WORKING, 6);
    expect(page.text()).toContain('not proven');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Gas must get out');
    await page.type('acknowledge', 'I understand');
    await page.type('store', '12 C');
    await page.submit();
    expect(page.text('aside [role=alert]')).toContain('5 °C or colder');
    expect(page.written()).toEqual([]);
    await page.type('store', '4 C');
    await page.submit();
    expect(page.written()[0]).toMatchObject({ kind: 'kegged', payload: { acknowledged: ['sealed-ferment'] } });
    expect(replay([...WORKING, ...page.written()]).keg?.unproven).toBe(true);
  });
  it('closes the keg again that it was opened in, with nothing lost and its gas still there', async () => {
    const kegged = sampleEntry('kegged', 27, { vessel: { vesselId: keg.id, volumeL: 18 }, lossL: 0.4, targetVolumes: 2.4, storeC: 4, acknowledged: [] });
    const log = [...finishedLog(), kegged, sampleEntry('unsealed', 30, {}), sampleEntry('sweetened', 30.1, { sweetenerId: 'apple-concentrate', massG: 500 })];
    const page = await open(log, 30.2, [keg]);
    expect(page.text('aside dl')).toContain('Gas it takesabout 7');
    await page.type('acknowledge', 'I understand');
    await page.submit();
    const [entry] = page.written();
    expect(entry).toMatchObject({ kind: 'kegged', payload: { vessel: { vesselId: keg.id }, lossL: 0, acknowledged: ['sealed-ferment'] } });
    const state = replay([...log, ...page.written()]);
    expect(state.issues).toEqual([]);
    expect(state.keg?.volumeL).toBeGreaterThan(18.3);
  });
  it('puts a keg in the cupboard where there is none', async () => {
    const page = await open(finishedLog(), 27, []);
    await page.submit();
    expect(page.text('[role=alert]')).toContain('No keg is free');
    await page.type('newName', 'Second-hand keg');
    await page.press('Put it in the cupboard');
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['kegged']);
  });
});

describe('LetOffPage', () => {
  const kegged = sampleEntry('kegged', 27, { vessel: { vesselId: keg.id, volumeL: 18 }, lossL: 1, targetVolumes: 2.4, storeC: 4, acknowledged: [] });
  const letOff = (entries = [...finishedLog(), kegged]): Promise<PageHarness> =>
    PageHarness.open(LetOffPage, { batches: [sampleBatch(entries)], vessels: [keg], today: 30, inputs: { id: BATCH_ID } });
  it('asks whether the relief valve lifts, and warns of one that does not', async () => {
    const page = await letOff();
    await page.submit();
    expect(page.text('[role=alert]')).toContain('whether its relief valve lifts');
    await page.choose('valve', 'stuck');
    expect(page.text('trug-cautions')).toContain('nothing that lets gas out');
    await page.submit();
    expect(page.written()[0]).toMatchObject({ kind: 'let-off', payload: { lifts: false } });
    expect(replay([...finishedLog(), kegged, ...page.written()]).keg?.letOff?.lifts).toBe(false);
  });
  it('has nothing to let off where there is no sealed keg', async () => {
    expect((await letOff(finishedLog())).text()).toContain('It stands in no sealed keg');
  });
});
