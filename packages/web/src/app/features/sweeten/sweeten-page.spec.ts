import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { sampleSupply } from '../../../testing/sample-supply';
import { SweetenPage } from './sweeten-page';

const sugar = sampleSupply({ kind: 'sugar', refId: 'sucrose', name: 'White sugar (sucrose)', amount: 1000, unit: 'g', packetG: null });
const open = (log = finishedLog(), today = 27, settings = {}): Promise<PageHarness> =>
  PageHarness.open(SweetenPage, { batches: [sampleBatch(log)], supplies: [sugar], today, inputs: { id: BATCH_ID }, settings });

describe('SweetenPage', () => {
  it('weighs it to the taste wished, and says that a drink which is not held will not stay sweet', async () => {
    const page = await open();
    expect(page.text('.fate')).toContain('Yeast cannot eat it');
    await page.choose('sweetener', 'sucrose');
    expect(page.text('.fate')).toContain('It will not stay sweet: the yeast wakes and eats it');
    expect(page.text('aside h2')).toMatch(/^\d{3} g$/);
    expect(page.text('trug-before-after')).toMatch(/It tastes dry, sharp ?off dry, brisk/);
    await page.press('Stabilise it first');
    expect(page.address()).toBe(`/batch/${BATCH_ID}/stabilise`);
  });
  it('leaves the proof alone with what yeast cannot eat, whose dangers it names', async () => {
    const page = await open();
    await page.choose('sweetener', 'xylitol');
    expect(page.text('.fate')).toContain('Yeast cannot eat it');
    expect(page.text('trug-cautions')).toContain('deadly to dogs');
    await page.choose('level', 'medium');
    await page.submit();
    const [entry] = page.written();
    expect(entry).toMatchObject({ kind: 'sweetened', payload: { sweetenerId: 'xylitol' } });
  });
  it('takes the sugar that went in by habit out of the cupboard', async () => {
    const page = await open();
    await page.choose('sweetener', 'sucrose');
    await page.type('mass', '300');
    expect(page.text('aside h2')).toBe('300 g');
    expect(page.text('trug-supply-take')).toContain('300 g, of 1 kg there');
    await page.submit();
    expect(page.written()[0]?.payload).toEqual({ sweetenerId: 'sucrose', massG: 300, supplies: [{ supplyId: sugar.id, amount: 300 }] });
    expect(page.address()).toBe(`/batch/${BATCH_ID}`);
  });
  it('goes by the hydrometer where the maker does, and drops do not', async () => {
    const page = await open();
    await page.choose('sweetener', 'sucrose');
    await page.type('sg', '1.008');
    expect(page.text('trug-before-after')).toContain('1.0080');
    await page.type('mass', '900 kg');
    expect(page.text('aside')).toContain('No drink is made as sweet as that');
    await page.type('mass', '');
    await page.choose('sweetener', 'stevia');
    expect(page.text('aside')).toContain('hardly moves a gravity');
  });
  it('holds what was stabilised in full, and warns that it may wake', async () => {
    const racked = sampleEntry('racked', 27, { vessels: [{ vesselId: 'V', volumeL: 19 }], lossL: 1 });
    const page = await open([...finishedLog(), racked, sampleEntry('stabilised', 27.2, { so2MgPerL: 150, sorbateMgPerL: 200 })], 28);
    expect(page.text('.fate')).toContain('Sulfite and sorbate keep the yeast off it');
    expect(page.text('trug-cautions')).toContain('if it wakes in the bottle, the bottles burst');
  });
  it('says that it is sweeter already, in the maker’s words, and that bottles are sweetened in the glass', async () => {
    const working = await open([filled(), pitched(), reading(6, 1.02)], 7);
    expect(working.text('aside')).toMatch(/it tastes of \d\d g\/L of sugar already\. Choose another/);
    await working.submit();
    expect(working.written()).toEqual([]);
    const gone = await open([...finishedLog(), sampleEntry('discarded', 27, { volumeL: 20, why: 'spilled or thrown out' })], 28);
    expect(gone.text()).toContain('sweetened in the glass');
  });
});
