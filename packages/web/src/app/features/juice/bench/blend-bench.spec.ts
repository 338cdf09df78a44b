import { taOf } from '@trug/core/matter/liquid/acid-chemistry';
import { PageHarness, type PageSetting } from '../../../../testing/page-harness';
import { sampleJuice } from '../../../../testing/sample-juice';
import { BlendBench } from './blend-bench';

const russet = sampleJuice();
const bitter = sampleJuice({ name: 'Bitter-sweets', fruitId: 'harry-masters-jersey', volumeL: 12, ph: 4.15, taGPerL: 2.3, tanninGPerL: 2.4 });
const sharp = sampleJuice({ name: 'Sharps', fruitId: 'seedling-apple', volumeL: 8, ph: 3.1, taGPerL: 9.8, tanninGPerL: null });
const party = sampleJuice({ name: 'Party juice', origin: 'bought', volumeL: 2, preserved: true });
const vessel = { id: '01J00000000000000000000V01', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 };

describe('BlendBench', () => {
  const open = async (setting: PageSetting = {}): Promise<PageHarness> => {
    const page = await PageHarness.open(BlendBench, { juices: [russet, bitter, sharp, party], vessels: [vessel], ...setting });
    await page.type('total', '20 L');
    await page.tick('h1');
    return page;
  };
  it('blends towards a style, in words and figures, and leaves preserved juice out', async () => {
    const page = await open();
    await page.press('Closest');
    expect(page.text('.words')).toMatch(/if left dry/);
    expect(page.text('.result')).toMatch(/Gravity 1\.05\d\d± 0\.00/);
    expect(page.text()).toContain('will not ferment: Party juice');
    expect(page.count('trug-cylinder')).toBe(3);
  });
  it('says plainly when there is not that much to pour', async () => {
    const page = await open();
    await page.type('total', '90 L');
    await page.press('Closest');
    expect(page.text()).toContain('There are only 37.5 L to pour');
    expect(page.value('total')).toBe('90 L');
  });
  it('holds a juice, uses one up, and lets it go again', async () => {
    const page = await open();
    await page.press('Closest');
    await page.press('Use Sharps up');
    expect(page.text('.row')).toContain('used up');
    expect(page.text('.row')).toContain('8 L');
    await page.press('used up: let Sharps go');
    expect(page.text('.row')).not.toContain('used up');
  });
  it('pours: names the batch, fills the vessel, and takes just that from the juices', async () => {
    const page = await open();
    await page.press('Closest');
    await page.press('Pour it');
    await page.type('batchName', 'Autumn');
    await page.type('juiceTemp', '14 C');
    await page.submit();
    const [sent] = page.filed();
    const entry = sent?.entries[0];
    expect(sent?.batches[0]).toMatchObject({ name: 'Autumn' });
    if (entry?.kind !== 'blended') throw new Error('nothing was poured');
    const { parts, vessels, tempC } = entry.payload;
    expect(parts.reduce((sum, p) => sum + p.liquid.volumeL, 0)).toBeCloseTo(20, 6);
    expect(vessels).toEqual([{ vesselId: vessel.id, volumeL: expect.closeTo(20, 6) as number }]);
    expect(tempC).toBe(14);
    const part = parts.find((p) => p.name === 'Russet row');
    expect(part ? taOf(part.liquid) : NaN).toBeCloseTo(6.9, 6);
    expect(page.address()).toBe(`/batch/${entry.batchId}`);
  });
  it('pours nothing into vessels too small, and keeps what was typed', async () => {
    const page = await open({ vessels: [{ ...vessel, capacityL: 5 }] });
    await page.press('Closest');
    await page.press('Pour it');
    await page.type('batchName', 'Autumn');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Choose vessels that hold all of it');
    expect(page.value('batchName')).toBe('Autumn');
    expect(page.filed()).toEqual([]);
  });
  it('ends for want of no vessel: one is put in the cupboard there, of its own size, and filled', async () => {
    const page = await open({ vessels: [] });
    await page.press('Closest');
    await page.press('Pour it');
    await page.type('newName', 'Uncle’s cask');
    await page.type('newCapacity', 'a lot');
    await page.press('Put it in the cupboard');
    expect(page.text('trug-add-vessel')).toContain('“a lot” is not a volume');
    await page.type('newCapacity', '25 L');
    await page.press('Put it in the cupboard');
    expect(page.text('fieldset')).toContain('Uncle’s cask 25 L');
    await page.submit();
    const entry = page.written()[0];
    expect(entry?.kind === 'blended' && entry.payload.vessels.map((v) => v.volumeL)).toEqual([expect.closeTo(20, 6)]);
  });
  it('loses no step of the keys, however quick they come', async () => {
    const page = await open();
    const [sg, acid] = [Number(page.value('aim-sg')), Number(page.value('aim-taGPerL'))];
    await page.keys('trug-reach-map .cross', 'ArrowRight', 'ArrowRight', 'ArrowUp', 'ArrowUp', 'ArrowUp');
    expect(Number(page.value('aim-sg'))).toBeCloseTo(sg + 0.001, 6);
    expect(Number(page.value('aim-taGPerL'))).toBeCloseTo(acid + 0.3, 6);
    const pouredL = (): number => Number(page.attribute('trug-cylinder .peg', 'aria-valuenow'));
    const before = pouredL();
    await page.keys('trug-cylinder .peg', 'ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown');
    expect(pouredL()).toBeCloseTo(before + 0.4, 6);
  });
  it('takes a target as figures, and refuses one no drink has without losing it', async () => {
    const page = await open();
    await page.change('aim-taGPerL', '7,2');
    await page.change('aim-sg', '13 Bx');
    await page.change('aim-tanninGPerL', '');
    await page.press('Closest');
    expect(page.value('aim-sg')).toMatch(/^1\.052\d$/);
    expect(page.text('.result')).toMatch(/Acid, as malic 7\.[12]/);
    expect(page.value('aim-tanninGPerL')).toBe('');
    await page.change('aim-taGPerL', 'sharp');
    expect(page.text('.map [role=alert]')).toContain('“sharp” cannot be aimed at here. Write a figure from 0 to 25, such as 5.5.');
    expect(page.value('aim-taGPerL')).toBe('sharp');
  });
  it('keeps to the least and the most of a juice, and names what cannot be', async () => {
    const page = await open();
    await page.type(`least-${sharp.id}`, '6 L');
    await page.type(`most-${bitter.id}`, '2 L');
    await page.press('Closest');
    expect(page.text('summary')).toContain('set for 2');
    await page.press('Keep to compare');
    expect(page.text('.kept')).toMatch(/[6-8](\.\d+)? L Sharps/);
    expect(page.text('.kept')).toMatch(/2 L Bitter-sweets|1\.\d+ L Bitter-sweets/);
    await page.type(`least-${sharp.id}`, '60 L');
    expect(page.text('trug-juice-limits')).toContain('There are only 8 L of it');
    await page.type(`least-${sharp.id}`, '5 L');
    await page.type(`most-${sharp.id}`, '4 L');
    expect(page.text('trug-juice-limits')).toContain('The least is more than the most');
    expect(page.value(`least-${sharp.id}`)).toBe('5 L');
  });
});
