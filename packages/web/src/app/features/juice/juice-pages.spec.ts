import { replay } from '@trug/core/book/log/replay';
import { gravityOf } from '@trug/core/matter/liquid/views';
import type { Problem } from '@trug/contract/plain';
import { PageHarness } from '../../../testing/page-harness';
import { sampleJuice } from '../../../testing/sample-juice';
import { JuicePage } from './form/juice-page';
import { JuicePlace } from './place/juice-place';
import { PressDay } from './press/press-day';
import { SteepPage } from './steep/steep-page';

const russet = sampleJuice();
const sharp = sampleJuice({ name: 'Sharps', fruitId: 'seedling-apple', volumeL: 8, ph: 3.1, taGPerL: 9.8, tanninGPerL: null });
const party = sampleJuice({ name: 'Party juice', origin: 'bought', volumeL: 2, preserved: true });
const problem: Problem = { type: 'about:blank', title: 'No', status: 409, detail: 'Another window changed this juice.', code: 'conflict' };

describe('JuicePlace', () => {
  it('teaches the next step when there is nothing', async () => {
    const page = await PageHarness.open(JuicePlace);
    expect(page.text()).toContain('No juice in hand');
    expect(page.has('a[href="/juice/press"]')).toBe(true);
  });
  it('shows each juice with its class, and never passes typical figures off as measured', async () => {
    const page = await PageHarness.open(JuicePlace, { juices: [russet, sharp, party] });
    expect(page.text()).toContain('27.5 L in hand in 3 cylinders');
    expect(page.text('ul.row')).toContain('acid 6.9 g/L');
    expect(page.text('ul.row')).toContain('pH 3.10about tannin 0.9 g/L');
    expect(page.text('ul.row')).toContain('preservedwill not ferment');
    expect(page.count('trug-sugar-acid-tannin .own')).toBe(3);
    await page.press('As figures');
    expect(page.text('table')).toContain('Sharps');
  });
  it('keeps fruit that waits for the press in sight', async () => {
    const waiting = sampleJuice({
      name: 'Lane',
      volumeL: 0,
      gravity: null,
      pressing: { pressId: 'mill-rack', lots: [{ fruitId: null, massKg: 12, ripeness: 'ripe', condition: 'sound' }], runs: [] },
    });
    const page = await PageHarness.open(JuicePlace, { juices: [waiting] });
    expect(page.text('.waiting')).toContain('12 kg weighed in, not pressed yet');
  });
});

describe('JuicePage', () => {
  it('turns a titration into acidity with its working, and shows what was not measured as typical', async () => {
    const page = await PageHarness.open(JuicePage);
    await page.type('name', 'Lane');
    await page.type('volume', '8 L');
    await page.choose('fruitId', 'foxwhelp');
    await page.type('titrantMl', '8.0');
    expect(page.text('aside')).toContain('5.4 ± 0.3 g/L as malic');
    expect(page.text('aside')).toContain('typical, not measured');
    expect(page.text('trug-working')).toContain('8.0 mL × 0.1 N × 67.05 ÷ 10.0 mL');
    await page.submit();
    expect(page.saved('juices')[0]).toMatchObject({
      name: 'Lane',
      volumeL: 8,
      fruitId: 'foxwhelp',
      gravity: null,
      ph: null,
      taGPerL: expect.closeTo(5.364, 3) as number,
    });
    expect(page.address()).toBe('/juice');
  });
  it('converts acidity from the acid it was written as', async () => {
    const page = await PageHarness.open(JuicePage);
    await page.choose('taBy', 'figure');
    await page.type('ta', '4.904');
    await page.choose('taAs', 'sulfuric');
    expect(page.text('aside')).toContain('6.7 ± 0.3');
  });
  it.each([
    ['ph', '35', 'between 2.6 and 5'],
    ['gravity', '1.5', '1.030 to 1.090'],
    ['titrantMl', '-8', 'millilitres'],
    ['tannin', 'much', '0 to 4 g/L'],
    ['volume', '-3 L', ''],
  ])('says what is wrong with %s of %s, and keeps it as typed', async (field, text, says) => {
    const page = await PageHarness.open(JuicePage);
    await page.type('name', 'Lane');
    await page.type('volume', '8 L');
    await page.type(field, text);
    await page.submit();
    expect(page.text('form')).toContain(says);
    expect(page.value(field)).toBe(text);
    expect(page.saved('juices')).toEqual([]);
  });
  it('reads a carton, and says that a preserved one will not ferment', async () => {
    const page = await PageHarness.open(JuicePage);
    await page.choose('origin', 'bought');
    await page.choose('instrument', 'carton');
    await page.type('gravity', '10.5');
    await page.choose('preservative', 'sorbate-benzoate');
    expect(page.text('aside')).toMatch(/1\.04\d ± /);
    expect(page.text('trug-cautions')).toContain('will not ferment');
  });
  it('leaves stored figures exactly as they are where nothing was typed', async () => {
    const carton = sampleJuice({
      volumeL: 5.777,
      taGPerL: 5.36412,
      gravity: { instrument: 'carton', reading: 1.04712345, sampleC: null, calibratedAtC: 20, offsetSg: 0 },
    });
    const page = await PageHarness.open(JuicePage, { juices: [carton], inputs: { id: carton.id } });
    await page.type('ph', '3.45');
    await page.submit();
    expect(page.saved('juices')[0]).toEqual({ ...carton, ph: 3.45 });
  });
  it('changes a stored juice on its version, keeps a refusal in sight and loses nothing', async () => {
    const page = await PageHarness.open(JuicePage, { juices: [russet], inputs: { id: russet.id } });
    expect(page.value('ph')).toBe('3.4');
    await page.type('ph', '3.5');
    page.refusal = problem;
    await page.submit();
    expect(page.saved('juices')[0]).toMatchObject({ id: russet.id, version: 1, ph: 3.5, taGPerL: 6.9 });
    expect(page.text('[role=alert]')).toContain('Another window');
    expect(page.value('ph')).toBe('3.5');
  });
});

describe('PressDay', () => {
  it('weighs fruit in, counts runs, says what to expect and ends in a juice to measure', async () => {
    const page = await PageHarness.open(PressDay);
    await page.choose('fruitId', 'egremont-russet');
    await page.type('mass', '30 kg');
    await page.press('Weigh it in');
    expect(page.text('aside')).toContain('Expect about 15.6 L');
    await page.type('run', '8 L');
    await page.press('Write the run');
    await page.type('run', '7.5 L');
    await page.type('into', 'white jug');
    await page.press('Write the run');
    expect(page.text('.sum')).toBe('15.5 L from 30 kg');
    await page.submit();
    expect(page.saved('juices')[0]).toMatchObject({
      name: 'Egremont Russet',
      origin: 'pressed',
      fruitId: 'egremont-russet',
      volumeL: 15.5,
      pressing: { runs: [{ into: 'jug 1' }, { into: 'white jug' }] },
    });
    expect(page.address()).toMatch(/^\/juice\/01/);
  });
  it('learns from the maker’s own pressings', async () => {
    const past = sampleJuice({
      pressing: {
        pressId: 'hand-mill-basket',
        lots: [{ fruitId: null, massKg: 100, ripeness: 'ripe', condition: 'sound' }],
        runs: [{ at: '2025-10-01T10:00:00.000Z', volumeL: 40, into: 'tub' }],
      },
    });
    const page = await PageHarness.open(PressDay, { juices: [past] });
    await page.type('mass', '100 kg');
    await page.press('Weigh it in');
    expect(page.text('aside')).toContain('Expect about 48 L');
    expect(page.attribute('trug-press-drawn svg', 'aria-label')).toBe('A press: nothing ran off yet, of about 48 L to expect');
    await page.type('wanted', '24 L');
    expect(page.text('[name=wanted]')).toContain('About 50 kg');
  });
  it('asks for fruit and for a weight it can read, and takes a line out again', async () => {
    const page = await PageHarness.open(PressDay);
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Weigh some fruit in');
    await page.type('mass', '-3 kg');
    await page.press('Weigh it in');
    expect(page.text('[role=alert]')).toContain('such as 31 kg');
    expect(page.count('trug-press-drawn circle')).toBe(0);
    await page.type('mass', '12 kg');
    await page.choose('condition', 'some-rot');
    await page.press('Weigh it in');
    expect(page.text('trug-cautions')).toContain('Mould and rot leave poisons');
    await page.press('Take out Garden mix');
    expect(page.text('.sum')).toContain('No fruit weighed in yet');
  });
});

describe('SteepPage', () => {
  const steeping = {
    startedAt: '2026-10-01T10:00:00.000Z',
    days: 6,
    hot: false,
    fruitKg: 3,
    waterL: 3,
    sugarG: 600,
    acidG: 10,
    teaCups: 2,
    driedFruitG: 0,
    stirredAt: [],
    strainedAt: null,
  };
  const bucket = { id: '01J0000000000000000BUCKET1', name: 'White bucket', kind: 'bucket' as const, capacityL: 12 };
  const small = { ...bucket, id: '01J0000000000000000BUCKET2', name: 'Little bucket', capacityL: 5 };
  it('scales a recipe to the volume, and begins a batch on its pulp', async () => {
    const page = await PageHarness.open(SteepPage, { vessels: [bucket, small] });
    expect(page.text('[role=status]')).toContain('Still to tell');
    await page.type('volume', '5 L');
    await page.type('fruit', '3 kg');
    await page.type('tea', '2');
    expect(page.text('aside')).toMatch(/White sugar\d+ g/);
    expect(page.text('aside')).toContain('About 1.070, acid 5.0 g/L');
    await page.submit();
    const [begun] = page.filed();
    expect(begun?.batches[0]).toMatchObject({ name: 'Garden mix, steeped' });
    expect(begun?.entries[0]).toMatchObject({ kind: 'steeped', payload: { days: 6, fruitKg: 3, teaCups: 2, hot: false, loose: false } });
    const state = replay(begun?.entries ?? []);
    expect(state.issues).toEqual([]);
    expect(gravityOf(state.liquid ?? fail())).toBeCloseTo(1.07, 5);
    expect(state.liquid?.volumeL).toBeCloseTo(5, 2);
    expect(state.vessels[0]).toMatchObject({ vesselId: bucket.id });
    expect(state.vessels[0]?.volumeL).toBeGreaterThan(6);
  });
  it('puts in what a maker puts in, and no more: a dark sugar by weight, lemons by the piece, days of their own', async () => {
    const page = await PageHarness.open(SteepPage, { vessels: [bucket] });
    for (const [name, text] of Object.entries({ volume: '5 L', fruit: '3 kg', sg: '', ta: '', sugar: '1 lb', acid: '2 lemons', days: '5' }))
      await page.type(name, text);
    await page.choose('held', 'loose');
    expect(page.text('aside')).not.toContain('White sugar');
    await page.submit();
    expect(page.filed()[0]?.entries[0]?.payload).toMatchObject({
      sugars: [{ fermentableId: 'brown-sugar-dark', massG: expect.closeTo(453.6, 1) as number }],
      acidG: expect.closeTo(4.4, 6) as number,
      days: 5,
      loose: true,
    });
  });
  it('fills no bucket past its brim with pulp', async () => {
    const page = await PageHarness.open(SteepPage, { vessels: [small] });
    await page.type('volume', '5 L');
    await page.type('fruit', '3 kg');
    await page.choose('vessel', small.id);
    expect(page.text('.fields')).toContain('Little bucket holds 5 L, and with its pulp this takes');
    await page.submit();
    expect(page.filed()).toEqual([]);
  });
  it('says why a recipe cannot be, and keeps what was typed', async () => {
    const page = await PageHarness.open(SteepPage);
    await page.type('volume', '5 L');
    await page.type('fruit', '30 kg');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('press it, or steep less');
    expect(page.value('fruit')).toBe('30 kg');
  });
  it('is stirred, then strained and measured, at the juice place', async () => {
    const juice = sampleJuice({ name: 'Hedge mix', origin: 'steeped', volumeL: 0, gravity: null, steeping });
    const page = await PageHarness.open(JuicePlace, { juices: [juice], today: 2 });
    expect(page.text('.waiting')).toContain('Hedge mix is steeping, day 3 of 6');
    await page.press('Stirred');
    expect(page.saved('juices')[0]?.steeping?.stirredAt).toHaveLength(1);
    const over = await PageHarness.open(JuicePlace, { juices: [juice], today: 8 });
    expect(over.text('.waiting')).toContain('Strain and measure');
    const form = await PageHarness.open(JuicePage, { juices: [juice], inputs: { id: juice.id } });
    await form.type('volume', '4.8 L');
    await form.submit();
    expect(form.saved('juices')[0]).toMatchObject({ volumeL: 4.8, steeping: { strainedAt: expect.any(String) as string } });
  });
});

function fail(): never {
  throw new Error('nothing is there');
}
