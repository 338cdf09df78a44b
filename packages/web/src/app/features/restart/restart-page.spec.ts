import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry, sampleView } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { sampleSupply } from '../../../testing/sample-supply';
import { nowWords } from '../batch/now/now-words';
import { RestartPage } from './restart-page';

const stuck = [filled(), pitched(), reading(5, 1.036), reading(12, 1.024), reading(22, 1.024), reading(31, 1.024)];
const packet = sampleSupply({ kind: 'yeast', refId: 'restart', name: 'Restart type', amount: 3, unit: 'packet', packetG: 5 });
const open = (entries = stuck, today = 32): Promise<PageHarness> =>
  PageHarness.open(RestartPage, { batches: [sampleBatch(entries)], supplies: [packet], today, inputs: { id: BATCH_ID } });

describe('RestartPage', () => {
  it('is where the verdict on a stuck batch leads', () => {
    expect(nowWords(sampleView(stuck, 32))).toMatchObject({ main: { page: 'restart' }, tone: 'act' });
    expect(sampleView(stuck, 32).jobs[0]).toMatchObject({ kind: 'restart', title: 'Set Lot going again' });
  });
  it('lists what is free first, then the starter with amounts for this volume, and ticks them off in the log', async () => {
    const page = await open();
    expect(page.text('[aria-labelledby=anew]')).toContain('9.0 g of restart yeast');
    expect(page.text('aside')).toContain('foams over');
    await page.press('Done: Move it to 17 to 20 °C, by a few degrees a day, wrapped against the night. It likes 14 to 20 °C.').catch(async () => {
      await page.press('Done: Keep it at 17 to 20 °C. It likes 14 to 20 °C.');
    });
    expect(page.written()[0]).toMatchObject({ kind: 'stepped', payload: { plan: 'rouse', step: 1, of: 4, waitMin: 1440 } });
    const after = sampleView([...stuck, ...page.written()], 32);
    expect(after.jobs.map((j) => j.kind)).toEqual(['restart-step']);
  });
  it('files the new yeast out of the cupboard, and then follows how it goes', async () => {
    const page = await open();
    await page.press('The starter is in');
    expect(page.written()[0]?.payload).toMatchObject({ yeastId: 'restart', method: 'starter', supplies: [{ supplyId: packet.id, amount: 2 }] });
    const pitchedAgain = sampleEntry('pitched', 32, { yeastId: 'restart', massG: 9, method: 'starter', juiceC: 18 });
    expect((await open([...stuck, pitchedAgain], 33)).text('.outcome')).toContain('Read it after 4 days');
    const going = [...stuck, pitchedAgain, reading(36, 1.016)];
    expect((await open(going, 36)).text('.outcome.good')).toContain('8 points down in 4 days');
    expect(nowWords(sampleView(going, 36)).sentence).toMatch(/^Working/);
  });
  it('starts the proof anew: equal readings on both sides of new yeast prove nothing', () => {
    const pitchedAgain = sampleEntry('pitched', 32, { yeastId: 'restart', massG: 9, method: 'starter', juiceC: 18 });
    expect(sampleView([...stuck, pitchedAgain, reading(35, 1.024)], 35).verdict?.value.status).toBe('too-few-readings');
  });
  it('has nothing to do where nothing is stuck', async () => {
    expect((await open([filled()], 1)).text()).toContain('There is no ferment in this batch');
    expect((await open([filled(), pitched(), reading(20, 0.998)], 21)).text()).toContain('nothing is stuck');
  });
});
