import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, finishedLog, sampleBatch } from '../../../testing/sample-batch';
import { TrialPage } from './trial-page';

const open = (today = 30): Promise<PageHarness> => PageHarness.open(TrialPage, { batches: [sampleBatch(finishedLog())], today, inputs: { id: BATCH_ID } });

const pressGlass = (page: PageHarness, place: number): Promise<void> =>
  page.press(page.attribute(`trug-blind-round li:nth-child(${place}) button`, 'aria-label') ?? '');

describe('a bench trial', () => {
  it('tells the stock and what goes into each glass, and what nobody can tell apart', async () => {
    const page = await open();
    await page.choose('which', 'erythritol');
    await page.type('doses', '0 8 16');
    expect(page.text('aside')).toContain('40 g of erythritol in enough of the drink itself');
    // 80 mL × 16 ÷ (400 − 16).
    expect(page.text('.glasses')).toMatch(/as it isnothing8 g\/L1\.6 mL of stock16 g\/L3\.3 mL of stock/);
    await page.type('doses', '0 8 8.2');
    expect(page.text('aside')).toContain('8 g/L and 8.2 g/L: nobody tells these apart');
  });
  it('asks who tastes, and for doses that can be read', async () => {
    const page = await open();
    await page.press('Pour it');
    expect(page.text('[role=alert]')).toContain('Say who tastes');
    await page.type('names', 'Wren');
    await page.type('doses', '0,8,16');
    await page.press('Pour it');
    expect(page.text('[role=alert]')).toContain('with spaces between them');
    await page.choose('way', 'triangle');
    await page.type('doses', '0 8 16');
    expect(page.text('aside')).toContain('there are two doses, not more');
  });
  it('shows nobody what another said or what is in a glass, then opens all of it and files it', async () => {
    const page = await open();
    await page.type('doses', '0 8 16');
    await page.type('names', 'Wren, Ash and Rowan');
    await page.press('Pour it');
    expect(page.text('trug-blind-pour')).toContain('8 g/L');
    await page.press('It is poured: hand it to Wren');
    expect(page.text()).not.toContain('g/L');
    for (const name of ['Wren', 'Ash', 'Rowan']) {
      expect(page.text('trug-blind-round h2')).toBe(`${name} tastes`);
      expect(page.text('trug-blind-round ul')).not.toMatch(/best|second|third/);
      await pressGlass(page, 1);
      expect(page.text('trug-blind-round li:nth-child(1)')).toContain('best');
      await page.press('Take the last press back');
      for (const place of [3, 1]) await pressGlass(page, place);
    }
    await page.press('Everybody has judged: show it');
    await page.choose('chosen', '1');
    // 20 L less three times three glasses, × 8 ÷ (1 − 8 × 0.00062).
    expect(page.text('.scaled')).toMatch(/For 19\.3 L that is 155 g of white sugar/);
    await page.press('Write it down, then dose it');
    const [trial, drunk] = page.written();
    expect(trial).toMatchObject({
      kind: 'trialled',
      payload: { substance: { kind: 'sweetener', id: 'sucrose', name: '' }, doses: [0, 8, 16], glassMl: 80, way: 'rank', chosen: 1 },
    });
    expect(trial?.kind === 'trialled' && trial.payload.judged.map(({ name, said }) => [name, [...said].sort()])).toEqual([
      ['Wren', [0, 1, 2]],
      ['Ash', [0, 1, 2]],
      ['Rowan', [0, 1, 2]],
    ]);
    // Three glasses of 80 mL for three.
    expect(drunk).toMatchObject({ kind: 'discarded', payload: { volumeL: 0.72 } });
    expect(page.address()).toBe(`/batch/${BATCH_ID}/sweeten`);
  });
  it('doses sulfite by the milligram, with what is said of it, and takes it on to the adjust page as powder', async () => {
    const page = await open();
    await page.choose('kind', 'sulfite');
    await page.type('doses', '0 50');
    expect(page.text('aside')).toMatch(/potassium metabisulfite[\s\S]*50 mg\/L/);
    expect(page.text('aside')).toContain('people with asthma');
    await page.type('names', 'Wren');
    await page.press('Pour it');
    await page.press('It is poured: hand it to Wren');
    await pressGlass(page, 1);
    await page.press('Everybody has judged: show it');
    await page.choose('chosen', '1');
    // 20 L less two glasses of 80 mL, × 0.05 ÷ 0.576.
    expect(page.text('.scaled')).toContain('1.7 g of potassium metabisulfite');
    await page.press('Write it down, then dose it');
    expect(page.address()).toBe(`/batch/${BATCH_ID}/adjust`);
  });
});
