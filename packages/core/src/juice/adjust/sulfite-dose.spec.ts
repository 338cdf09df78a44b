import { FREE_SULFITE_CASES } from '../../../reference-cases/acid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { freeSo2For, sulfiteDose, type SulfiteInput } from './sulfite-dose.js';

const juice: SulfiteInput = { ph: 3.4, volumeL: 20, aim: 'juice', form: 'potassium-metabisulfite' };
const doseOf = (changes: Partial<SulfiteInput>): ReturnType<typeof sulfiteDose> => sulfiteDose({ ...juice, ...changes });

describe('sulfiteDose for a juice', () => {
  it.each([
    [2.9, 40],
    [3.0, 40],
    [3.01, 75],
    [3.3, 75],
    [3.31, 100],
    [3.5, 100],
    [3.51, 150],
    [3.8, 150],
    [4.2, 150],
  ])('is by its pH: %p takes %p mg/L, whatever it comes as', (ph, so2MgPerL) => {
    for (const [form, share] of [
      ['potassium-metabisulfite', 0.576],
      ['sodium-metabisulfite', 0.674],
    ] as const) {
      const { value, steps } = doseOf({ ph, form });
      expect(value).toMatchObject({ so2MgPerL, tabletCount: null, waitH: 24, notes: [] });
      expectWithin(value.massG ?? NaN, (so2MgPerL * 20) / 1000 / share, { abs: 1e-9 });
      expect(steps.map((s) => s.label)).toEqual(['Sulfite wanted', 'Powder']);
      expect(steps[0]?.result).toBe(`${so2MgPerL} mg/L`);
      expect(steps[1]?.expression).toBe(`${so2MgPerL * 20} mg ÷ ${share}`);
    }
  });
  it('is less what is there, down to nothing, and then there is nothing to wait for', () => {
    expect(doseOf({ totalSo2MgPerL: 60 }).value).toMatchObject({ so2MgPerL: 40, waitH: 24 });
    expect(doseOf({ totalSo2MgPerL: 100 }).value).toMatchObject({ so2MgPerL: 0, massG: 0, waitH: 0 });
    expect(doseOf({ totalSo2MgPerL: 190 }).value).toMatchObject({ so2MgPerL: 0, notes: [] });
  });
  it('always shows what sulfite does to people, and above pH 3.8 that it hardly guards', () => {
    const ids = (ph: number): string[] => doseOf({ ph }).cautions.map((c) => c.id);
    expect(ids(3.8)).toEqual(['sulfite']);
    expect(ids(3.81)).toEqual(['sulfite', 'ph-high']);
  });
  it.each(['ph', 'volumeL', 'freeSo2MgPerL', 'totalSo2MgPerL', 'tabletMgSo2'] as const)('refuses an impossible %s', (field) => {
    expect(refusalCode(() => doseOf({ [field]: -1 }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => doseOf({ [field]: NaN }))).toBe('OUT_OF_RANGE');
  });
});

describe('sulfiteDose for keeping', () => {
  it.each(FREE_SULFITE_CASES)('holds 0.8 mg/L molecular at pH $ph with $freeMgPerL mg/L free, and gives twice what is missing', ({ ph, freeMgPerL }) => {
    expectWithin(freeSo2For(ph, 0.8), freeMgPerL, { abs: 0.05 });
    const kept = (freeSo2MgPerL: number): number => doseOf({ ph, aim: 'storage', freeSo2MgPerL }).value.so2MgPerL;
    expectWithin(kept(0), 2 * freeMgPerL, { abs: 0.1 });
    expectWithin(kept(10), 2 * (freeMgPerL - 10), { abs: 0.1 });
    expect(kept(freeMgPerL + 0.1)).toBe(0);
    expectWithin(doseOf({ ph, aim: 'storage-low' }).value.so2MgPerL, (2 * freeMgPerL * 5) / 8, { abs: 0.1 });
  });
  it('waits for no yeast, and does not warn of a juice’s pH', () => {
    const { value, cautions } = doseOf({ aim: 'storage', ph: 3.9 });
    expect(value.waitH).toBe(0);
    expect(cautions.map((c) => c.id)).toEqual(['sulfite']);
  });
  it('keeps the total under the cap, and says when that leaves it guarded only in part', () => {
    expect(doseOf({ ph: 3.8, aim: 'storage' }).value.notes).toEqual([]);
    const held = doseOf({ ph: 3.8, aim: 'storage', totalSo2MgPerL: 150 }).value;
    expect(held.so2MgPerL).toBe(50);
    expect(held.notes.join()).toMatch(/It would take 158 mg\/L; only 50 are left of the 200/);
    expect(doseOf({ ph: 3.8, aim: 'storage', totalSo2MgPerL: 240 }).value.so2MgPerL).toBe(0);
    // Half a milligram over what is left is not worth a word.
    expect(doseOf({ ph: 3.8, aim: 'storage', totalSo2MgPerL: 42.5 }).value.notes).toEqual([]);
  });
});

describe('tablets', () => {
  const tablets = (changes: Partial<SulfiteInput>): ReturnType<typeof sulfiteDose> => doseOf({ form: 'tablet', ...changes });
  it('of 50 mg/L in 4.5 L are counted in halves', () => {
    const { value, steps } = tablets({ volumeL: 4.5 });
    expect(value).toMatchObject({ tabletCount: 2, massG: null, notes: [] });
    expect(steps[1]).toMatchObject({ label: 'Tablets', expression: '450 mg ÷ 225 mg each', result: '2' });
    expect(tablets({ volumeL: 4.5, tabletMgSo2: 180 }).value.tabletCount).toBe(2.5);
  });
  it('are divided where one would be too much', () => {
    // 60 mg/L in a litre are 60 of the 225 mg of a tablet, or 0.10 g of powder.
    expect(tablets({ ph: 3.2, volumeL: 1, totalSo2MgPerL: 15 }).value.notes.join()).toMatch(
      /dissolve one in 100 mL of water and use 27 mL of it, or weigh 0\.10 g/,
    );
    expect(tablets({ volumeL: 2.25 }).value.notes).toEqual([]);
    expect(tablets({ totalSo2MgPerL: 100 }).value.notes).toEqual([]);
    expect(doseOf({ volumeL: 1 }).value.notes).toEqual([]);
  });
  it('are told by the packet’s rule beside a sum that rests on a pH nobody measured', () => {
    expect(tablets({ phMeasured: false }).value.notes.join()).toMatch(/only typical.*: 4\.0 to 4\.4 here/);
    expect(tablets({ phMeasured: false, volumeL: 0.9, totalSo2MgPerL: 100 }).value.notes.join()).toMatch(/: 0\.2 here/);
    expect(tablets({}).value.notes).toEqual([]);
  });
  it('say of a drink to be kept what it would take were its pH a quarter higher', () => {
    // By hand: 2 × 0.8 × (1 + 10^(3.65 − 1.81)) = 112 mg/L; with 20 free already, 40 less.
    const notes = (changes: Partial<SulfiteInput>): string => doseOf({ phMeasured: false, aim: 'storage', ...changes }).value.notes.join();
    expect([notes({}), notes({ freeSo2MgPerL: 20 })]).toEqual([expect.stringMatching(/0\.25 higher.* 112 mg\/L/), expect.stringMatching(/ 72 mg\/L/)]);
    expect(notes({ phMeasured: true })).toBe('');
  });
});
