import type { Liquid } from '../../matter/liquid/liquid.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { holdsSorbate } from './sorbate.js';
import { isFullDose, stabiliseDose } from './stabilise-dose.js';

/** A dry drink of some strength: 7.893 g of alcohol a litre for each per cent. */
const drink = (abv: number, ph = 3.5, changes: Partial<Liquid> = {}): Liquid => ({
  ...liquidFromReadings({ volumeL: 20, sg: 1.01, taGPerL: 6, ph }),
  ethanolGPerL: 7.893 * abv,
  ...changes,
});
const dose = (liquid: Liquid): ReturnType<typeof stabiliseDose>['value'] => stabiliseDose({ liquid }).value;

describe('stabiliseDose', () => {
  it.each([
    // Molecular 0.5 is free 0.5 × (1 + 10^(pH − 1.81)); half of what goes in binds.
    [3.0, 16.49],
    [3.3, 31.9],
    [3.5, 49.98],
    [3.7, 78.62],
  ])('at pH %d takes %d mg/L of sulfite', (ph, so2) => {
    expect(phOf(drink(8, ph))).toBeCloseTo(ph, 2);
    expect(dose(drink(8, ph)).so2MgPerL).toBeCloseTo(so2, 0);
  });
  it.each([
    // 200 mg/L of sorbic acid to 10 %, 100 at 14 %, by its undissociated share (pKa 4.76), at most 200.
    [6, 3.5, 200],
    [10, 3.5, 200],
    [12, 3.5, 158.2],
    [13, 3.5, 131.9],
    [14, 3.5, 105.5],
    [17, 3.5, 105.5],
    [14, 4.1, 121.9],
    [14, 3.1, 102.2],
  ])('at %d %% and pH %d takes %d mg/L of sorbic acid', (abv, ph, sorbic) => {
    expect(Math.abs(dose(drink(abv, ph)).sorbicMgPerL - sorbic)).toBeLessThan(1);
  });
  it('weighs both for the whole: metabisulfite is 57.6 % sulfur dioxide, sorbate 74.6 % sorbic acid', () => {
    const { so2MgPerL, sorbicMgPerL, metabisulfiteG, sorbateG } = dose(drink(12));
    expect(metabisulfiteG).toBeCloseTo((so2MgPerL * 20) / 576, 2);
    expect(sorbateG).toBeCloseTo((sorbicMgPerL * 20) / 746, 2);
  });
  it('takes less where some is there already, and nothing where there is enough', () => {
    const [plain, some, full] = [
      drink(12),
      drink(12, 3.5, { freeSo2MgPerL: 10, totalSo2MgPerL: 30, sorbateMgPerL: 40 }),
      drink(12, 3.5, { freeSo2MgPerL: 40, sorbateMgPerL: 180 }),
    ];
    expect(dose(plain).so2MgPerL - dose(some).so2MgPerL).toBeCloseTo(20, 6);
    expect(dose(plain).sorbicMgPerL - dose(some).sorbicMgPerL).toBeCloseTo(40, 6);
    expect(dose(full)).toMatchObject({ so2MgPerL: 0, sorbicMgPerL: 0, metabisulfiteG: 0, sorbateG: 0, withinCap: true });
  });
  it('stays under the cap on all sulfite, and says that it is not the whole then', () => {
    const near = stabiliseDose({ liquid: drink(8, 3.5, { totalSo2MgPerL: 180 }) });
    expect(near.value).toMatchObject({ so2MgPerL: 20, withinCap: false });
    expect(near.cautions.map((c) => c.id)).toEqual(['sulfite', 'allergen', 'sulfite-total']);
    const over = dose(drink(8, 3.5, { totalSo2MgPerL: 230 }));
    expect([over.so2MgPerL, over.withinCap]).toEqual([0, false]);
    const room = stabiliseDose({ liquid: drink(8) });
    expect([room.value.withinCap, room.cautions.map((c) => c.id)]).toEqual([true, ['sulfite', 'allergen']]);
    expect(room.steps.map((s) => s.result)).toEqual([/1\.7 g/, /5\.4 g/].map((r) => expect.stringMatching(r) as string));
    // Just as much as there is room for is the whole.
    const exact = dose(drink(8, 3.5, { totalSo2MgPerL: 200 - dose(drink(8)).so2MgPerL }));
    expect(exact.withinCap).toBe(true);
  });
});

describe('what counts as the whole dose', () => {
  const before = drink(12);
  const whole = { so2MgPerL: dose(before).so2MgPerL, sorbateMgPerL: dose(before).sorbicMgPerL };
  it.each<[string, number, number, boolean]>([
    ['both in full', 1, 1, true],
    ['both a spoon short', 0.951, 0.951, true],
    ['too little sulfite', 0.94, 1, false],
    ['too little sorbate', 1, 0.94, false],
    ['sulfite alone', 2, 0, false],
    ['sorbate alone', 0, 2, false],
  ])('%s', (_what, so2, sorbate, is) => {
    expect(isFullDose(before, { so2MgPerL: so2 * whole.so2MgPerL, sorbateMgPerL: sorbate * whole.sorbateMgPerL }, true)).toBe(is);
  });
  it('nothing does where the cap leaves no room for it', () => {
    expect(isFullDose(drink(12, 3.5, { totalSo2MgPerL: 190 }), { so2MgPerL: 100, sorbateMgPerL: 200 }, true)).toBe(false);
  });
  it('of a pH that nobody measured takes a quarter more pH: the dose says so, and what is enough at the usual pH is not the whole', () => {
    const guessed = stabiliseDose({ liquid: before, phMeasured: false });
    // By hand: 0.5 × (1 + 10^(3.75 − 1.81)) = 44.0 mg/L free, doubled; at 3.5 it is 25.0, doubled.
    expect(guessed.value.so2MgPerL).toBeCloseTo(2 * 0.5 * (1 + 10 ** (3.75 - 1.81)), 1);
    expect(guessed.value.sorbicMgPerL).toBeGreaterThan(whole.sorbateMgPerL);
    expect([guessed.value.notes.join(), dose(before).notes.join()]).toEqual([expect.stringMatching(/Nobody measured its pH.*0\.25 higher/), '']);
    expect(isFullDose(before, whole, false)).toBe(false);
    expect(isFullDose(before, { so2MgPerL: guessed.value.so2MgPerL, sorbateMgPerL: guessed.value.sorbicMgPerL }, false)).toBe(true);
  });
  it('it holds while thinned by less than a tenth', () => {
    const needed = dose(drink(12)).sorbicMgPerL;
    expect([0.91, 0.89, 0].map((share) => holdsSorbate(drink(12, 3.5, { sorbateMgPerL: share * needed })))).toEqual([true, false, false]);
  });
});
