import * as fc from 'fast-check';
import { addFermentable } from '../../matter/liquid/additions.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { abvOf, dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { sgFromSolids } from '../../matter/density/solids.js';
import { arbitraryJuice, SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { topUp, waterForGravity } from './dilution.js';
import { gravityForAbv, sugarForGravity } from './sugar-for-gravity.js';
import { sulfiteGiven } from './sulfite-given.js';
import { sulfiteDose } from './sulfite-dose.js';

const reference = liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL: 6, ph: 3.5, tanninGPerL: 0.5 });

describe('sugarForGravity', () => {
  it('lifts 20 L from 1.050 to 1.060 with 578 g, to 20.36 L', () => {
    const { massG, volumeAfterL } = sugarForGravity({ liquid: reference, targetSg: 1.06, fermentableId: 'sucrose' }).value;
    expectWithin(massG, 578, { abs: 0.5 });
    expectWithin(volumeAfterL, 20.36, { abs: 0.005 });
  });
  it('lifts 4.5 L from 1.046 to 1.085 with 532 g, to 4.83 L', () => {
    const { massG, volumeAfterL } = sugarForGravity({
      liquid: liquidFromReadings({ volumeL: 4.5, sg: 1.046 }),
      targetSg: 1.085,
      fermentableId: 'sucrose',
    }).value;
    expectWithin(massG, 532, { abs: 0.5 });
    expectWithin(volumeAfterL, 4.83, { abs: 0.005 });
  });
  it('agrees with a pound of sugar made up to a US gallon', () => {
    expectWithin(sgFromSolids(454 / 3.785), 1.046, { abs: 0.0005 });
  });
  it('undoes addFermentable for every sugar', () => {
    fc.assert(
      fc.property(
        arbitraryJuice,
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.constantFrom('sucrose', 'honey', 'dextrose-monohydrate', 'apple-concentrate'),
        (liquid, gPerL, fermentableId) => {
          const massG = gPerL * liquid.volumeL;
          const targetSg = gravityOf(addFermentable(liquid, { fermentableId, massG }));
          expectWithin(sugarForGravity({ liquid, targetSg, fermentableId }).value.massG, massG, { abs: 0.01 + massG * 1e-4 });
        },
      ),
      SEED,
    );
  });
  it('splits it into steps that add up', () => {
    const { massG, stepsG } = sugarForGravity({ liquid: reference, targetSg: 1.09, fermentableId: 'sucrose' }).value;
    expect(stepsG.length).toBeGreaterThan(2);
    const stepsTo = (points: number): number =>
      sugarForGravity({ liquid: reference, targetSg: gravityOf(reference) + points / 1000, fermentableId: 'sucrose' }).value.stepsG.length;
    expect([2, 10, 25].map(stepsTo)).toEqual([1, 2, 3]);
    expectWithin(
      stepsG.reduce((a, b) => a + b),
      massG,
      { abs: 1e-6 },
    );
  });
  it('refuses a target below the juice, and an unknown sugar', () => {
    expect(refusalCode(() => sugarForGravity({ liquid: reference, targetSg: 1.04, fermentableId: 'sucrose' }))).toBe('UNREACHABLE');
    expect(refusalCode(() => sugarForGravity({ liquid: reference, targetSg: 1.06, fermentableId: 'sand' }))).toBe('UNKNOWN_ID');
  });
});

describe('gravityForAbv', () => {
  it('gives the sugar that the mass balance written out by hand gives, for 20 L of 1.048 aimed at 7 %', () => {
    const carton = liquidFromReadings({ volumeL: 20, sg: 1.048 });
    const targetSg = gravityForAbv({ liquid: carton, targetAbv: 7 }).value;
    const { massG } = sugarForGravity({ liquid: carton, targetSg, fermentableId: 'sucrose' }).value;
    // By hand: solids of 1.048 from S(3.869e-4 − 1.41e-8 S) = 0.048, less 15.7 g/L that does not ferment, a fifth of it sucrose.
    const solids = (3.869e-4 - Math.sqrt(3.869e-4 ** 2 - 4 * 1.41e-8 * 0.048)) / (2 * 1.41e-8);
    const hexose = 20 * (solids - 15.7) * (0.8 + 0.2 * 1.0526);
    // (hexose + 1.0526 m) ÷ (20 + 0.000618 m) = 7 × 16.83
    const byHandG = (7 * 16.83 * 20 - hexose) / (1.0526 - 7 * 16.83 * 0.000618);
    expectWithin(massG, byHandG, { abs: 0.5 });
  });
  it('is undone by fermenting', () => {
    fc.assert(
      fc.property(arbitraryJuice, fc.double({ min: 0.2, max: 3, noNaN: true }), (liquid, more) => {
        const targetAbv = abvOf(fermentTo(liquid, dryGravityOf(liquid))) + more;
        const sg = gravityForAbv({ liquid, targetAbv }).value;
        const must = sugarForGravity({ liquid, targetSg: sg, fermentableId: 'sucrose' }).value.liquid;
        expectWithin(abvOf(fermentTo(must, dryGravityOf(must))), targetAbv, { abs: 0.001 });
      }),
      { ...SEED, numRuns: 60 },
    );
  });
  it('asks for more when it should end sweet, and refuses less than the juice gives', () => {
    const dry = gravityForAbv({ liquid: reference, targetAbv: 8 }).value;
    expect(gravityForAbv({ liquid: reference, targetAbv: 8, expectedFg: 1.01 }).value).toBeGreaterThan(dry);
    expect(refusalCode(() => gravityForAbv({ liquid: reference, targetAbv: 5 }))).toBe('UNREACHABLE');
  });
});

describe('dilution', () => {
  it('takes 22 L at 6.8 % to 6.5 % with a litre of water', () => {
    const dry = { ...fermentTo(reference, dryGravityOf(reference)), volumeL: 22 };
    const after = topUp({ liquid: dry, withLiquid: waterOf(1), volumeL: 1 }).value;
    expectWithin(after.abvAfter, 6.5, { abs: 0.05 });
    expect(after.taAfterGPerL).toBeLessThan(after.taBeforeGPerL);
  });
  it('finds the water for a gravity', () => {
    const waterL = waterForGravity({ liquid: reference, targetSg: 1.045 }).value;
    expectWithin(gravityOf(topUp({ liquid: reference, withLiquid: waterOf(1), volumeL: waterL }).value.liquid), 1.045, { abs: 1e-6 });
    expect(refusalCode(() => waterForGravity({ liquid: reference, targetSg: 1.06 }))).toBe('UNREACHABLE');
  });
});

describe('sulfiteGiven', () => {
  it.each([
    ['tablet' as const, 2, 22.5, 20],
    ['potassium-metabisulfite' as const, 2, 20, 57.6],
    ['sodium-metabisulfite' as const, 1, 10, 67.4],
  ])('%s: %d in %d L bring %d mg/L', (form, amount, volumeL, so2MgPerL) => {
    expectWithin(sulfiteGiven({ form, amount, volumeL, totalSo2MgPerL: 0 }).value.so2MgPerL, so2MgPerL, { abs: 0.05 });
  });
  it('is the dose read backwards, and minds the total rather than the dose', () => {
    const dose = sulfiteDose({ ph: 3.4, volumeL: 20, aim: 'juice', form: 'potassium-metabisulfite' }).value;
    const given = { form: 'potassium-metabisulfite' as const, amount: dose.massG ?? 0, volumeL: 20 };
    expectWithin(sulfiteGiven({ ...given, totalSo2MgPerL: 0 }).value.so2MgPerL, dose.so2MgPerL, { abs: 1e-9 });
    const cautionsAt = (totalSo2MgPerL: number): string[] => sulfiteGiven({ ...given, totalSo2MgPerL }).cautions.map((c) => c.id);
    expect(cautionsAt(99)).toEqual([]);
    expect(cautionsAt(101)).toEqual(['sulfite-total']);
  });
});
