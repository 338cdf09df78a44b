import * as fc from 'fast-check';
import { ETHANOL_TABLE, HYDROMETER_CASES, STRENGTH_CASES } from '../../../reference-cases/gravity.js';
import { fermentFraction } from '../liquid/ferment-to.js';
import { liquidFromReadings } from '../liquid/liquid-from-readings.js';
import { addFermentable, addWater } from '../liquid/additions.js';
import { abvOf, gravityFromParts, gravityOf, solidsOf } from '../liquid/views.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { convertAcidity, titratableAcidity, type AcidityAs } from './acidity.js';
import { abvFromGravities } from './abv-from-gravities.js';
import { brixFromSg, sgFromBrix } from '../density/brix.js';
import { gravityFromCarton } from './carton-gravity.js';
import { correctHydrometer } from './correct-hydrometer.js';
import { indexFromBrix, refractiveIndex } from './refractive-index.js';
import { refractometerGravity } from './refractometer-gravity.js';
import { strengthOf } from './strength-of.js';
import { sgFromSolids, solidsFromSg } from '../density/solids.js';

describe('brixFromSg and sgFromBrix', () => {
  it('agree with the ASBC table', () => {
    expectWithin(brixFromSg(1.05), 12.39, { abs: 0.005 });
    expectWithin(sgFromBrix(20), 1.083, { abs: 0.00005 });
  });
  it('undo one another', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.001, max: 1.35, noNaN: true }), (sg) => expectWithin(sgFromBrix(brixFromSg(sg)), sg, { abs: 1e-7 })),
      SEED,
    );
  });
  it.each([NaN, 1.5, -1])('refuse a gravity of %p', (sg) => {
    expect(refusalCode(() => brixFromSg(sg))).toBe('OUT_OF_RANGE');
  });
});

describe('solidsFromSg', () => {
  it('gives 129.8 g/L at 1.050 and undoes sgFromSolids', () => {
    expectWithin(solidsFromSg(1.05), 129.8, { abs: 0.1 });
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), (s) => expectWithin(solidsFromSg(sgFromSolids(s)), s, { abs: 1e-6 })),
      SEED,
    );
  });
  it('fits the Brix cubic within 0.04 points to 30 °Bx', () => {
    for (let brix = 2; brix <= 30; brix += 2) {
      const sg = sgFromBrix(brix);
      // g of sugar in a litre: mass share × density of the solution, water at 20 °C weighing 998.2 g/L.
      expectWithin(sgFromSolids((brix / 100) * sg * 998.2), sg, { abs: 0.00006 });
    }
  });
});

describe('gravityFromParts', () => {
  it.each(ETHANOL_TABLE)('follows the ethanol table at $abv %', ({ abv, sg }) => {
    expectWithin(gravityFromParts(0, abv), sg, { abs: 0.0003 });
  });
});

describe('correctHydrometer', () => {
  it.each(HYDROMETER_CASES)('corrects $reading at $sampleC °C on a $calibratedAtC °C stem', ({ sg, ...input }) => {
    expectWithin(correctHydrometer(input).value.sg, sg, { abs: 0.00005 });
  });
  it('leaves a reading at its own temperature alone and adds the offset', () => {
    expectWithin(correctHydrometer({ reading: 1.012, sampleC: 20, calibratedAtC: 20, offset: -0.002 }).value.sg, 1.01, { abs: 1e-9 });
  });
  it('says how sure it is, and is less so when the stem is hard to read', () => {
    const clear = correctHydrometer({ reading: 1.05, sampleC: 20, calibratedAtC: 20 }).value.plusMinus;
    const foamy = correctHydrometer({ reading: 1.05, sampleC: 20, calibratedAtC: 20, readingUncertainty: 0.004 }).value.plusMinus;
    expect(clear).toBeGreaterThanOrEqual(0.001);
    expect(foamy).toBeGreaterThan(clear);
  });
  it.each([{ reading: 1.5 }, { sampleC: 101 }, { sampleC: NaN }, { calibratedAtC: 0 }])('refuses %p', (wrong) => {
    expect(refusalCode(() => correctHydrometer({ reading: 1.05, sampleC: 20, calibratedAtC: 20, ...wrong }))).toBe('OUT_OF_RANGE');
  });
});

describe('refractometerGravity', () => {
  const sgOf = (originalBrix: number, currentBrix: number): number => refractometerGravity({ originalBrix, currentBrix }).value.sg;
  it('gives the juice itself where nothing has fermented', () => {
    expectWithin(sgOf(12, 12), 1.0484, { abs: 0.0001 });
    expectWithin(sgOf(20, 20), 1.083, { abs: 0.0001 });
  });
  it('takes the alcohol out of a falling reading', () => {
    expectWithin(sgOf(12, 8), 1.0226, { abs: 0.001 });
    expectWithin(sgOf(12, 5), 1.0036, { abs: 0.001 });
    expect(refractometerGravity({ originalBrix: 12, currentBrix: 5 }).value.plusMinus).toBe(0.004);
  });
  it('follows handbook indices of sugar and of ethanol in water', () => {
    // ICUMSA, sucrose at 20 °C; CRC, ethanol in water: 5 and 10 % by mass weigh 0.9894 and 0.9819 kg/L.
    for (const [brix, n] of [
      [5, 1.34026],
      [10, 1.34782],
      [20, 1.36384],
    ] as const)
      expectWithin(indexFromBrix(brix), n, { abs: 0.0002 });
    expectWithin(refractiveIndex({ solidsGPerL: 0, ethanolGPerL: 49.47, sg: 0.98938 / 0.9982 }), 1.336, { abs: 0.0001 });
    expectWithin(refractiveIndex({ solidsGPerL: 0, ethanolGPerL: 98.19, sg: 0.98187 / 0.9982 }), 1.3395, { abs: 0.0001 });
  });
  it('stays with the mass balance along a whole ferment', () => {
    const must = liquidFromReadings({ volumeL: 20, sg: 1.05 });
    const originalBrix = brixFromSg(1.05);
    for (const share of [0, 0.1, 0.3, 0.5, 0.7, 0.9, 1]) {
      const liquid = fermentFraction(must, share);
      const n = refractiveIndex({ solidsGPerL: solidsOf(liquid), ethanolGPerL: liquid.ethanolGPerL, sg: gravityOf(liquid) });
      const currentBrix = findRoot({ f: (b) => indexFromBrix(b) - n, lo: 0, hi: 30, tolerance: 1e-7 });
      expectWithin(refractometerGravity({ originalBrix, currentBrix, liquid: must }).value.sg, gravityOf(liquid), { abs: 0.0015 });
      if (share === 1) expectWithin(currentBrix, 4.3, { abs: 0.3 });
    }
  });
  it.each([
    [12, 13],
    [12, 41],
    [2, 1],
    [NaN, 5],
  ])('refuses %p fallen to %p', (originalBrix, currentBrix) => {
    expect(refusalCode(() => sgOf(originalBrix, currentBrix))).toBe('OUT_OF_RANGE');
  });
});

describe('a hot sample', () => {
  it('is corrected up to boiling, ever less surely', () => {
    const at = (sampleC: number): number => correctHydrometer({ reading: 1.04, sampleC, calibratedAtC: 20 }).value.plusMinus;
    expect(at(20)).toBeLessThan(0.0012);
    expect(at(60)).toBeGreaterThan(0.006);
    expect(at(100)).toBeGreaterThan(at(60));
    expect(correctHydrometer({ reading: 1.04, sampleC: 70, calibratedAtC: 20 }).steps.at(-1)?.expression).toMatch(/let it cool/);
  });
});

describe('titratableAcidity', () => {
  it('gives 5.36 g/L malic for 8.0 mL of 0.1 N into 10 mL', () => {
    expectWithin(titratableAcidity({ sampleMl: 10, titrantMl: 8, normality: 0.1 }).value, 5.364, { abs: 0.0005 });
  });
  it('is the same acid whatever it is written as', () => {
    const as = (acid: AcidityAs): number => titratableAcidity({ sampleMl: 10, titrantMl: 8, normality: 0.1, as: acid }).value;
    for (const acid of ['tartaric', 'citric', 'lactic', 'sulfuric'] as const) {
      expectWithin(convertAcidity({ gPerL: as(acid), from: acid, to: 'malic' }), as('malic'), { abs: 1e-9 });
    }
    expectWithin(convertAcidity({ gPerL: 4.904, from: 'sulfuric', to: 'malic' }), 6.705, { abs: 1e-9 });
  });
  it.each([{ sampleMl: 0 }, { titrantMl: -1 }, { normality: NaN }])('refuses %p', (wrong) => {
    expect(refusalCode(() => titratableAcidity({ sampleMl: 10, titrantMl: 8, normality: 0.1, ...wrong }))).toBe('OUT_OF_RANGE');
  });
});

describe('abvFromGravities', () => {
  it.each(STRENGTH_CASES)('by $school', ({ school, from1050, from1100, abs }) => {
    expectWithin(abvFromGravities({ originalSg: 1.05, currentSg: 1, school }).value, from1050, { abs });
    expectWithin(abvFromGravities({ originalSg: 1.1, currentSg: 1, school }).value, from1100, { abs: abs + 0.025 });
  });
  it('is nothing without a fall and refuses a rise', () => {
    expect(abvFromGravities({ originalSg: 1.05, currentSg: 1.05 }).value).toBe(0);
    expect(refusalCode(() => abvFromGravities({ originalSg: 1.01, currentSg: 1.02 }))).toBe('OUT_OF_RANGE');
  });
  it('grows with every point lost', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.0, max: 1.05, noNaN: true }), (sg) => {
        const more = abvFromGravities({ originalSg: 1.06, currentSg: sg }).value;
        const less = abvFromGravities({ originalSg: 1.06, currentSg: sg + 0.005 }).value;
        expect(more).toBeGreaterThan(less);
      }),
      SEED,
    );
  });
});

describe('strengthOf', () => {
  const must = liquidFromReadings({ volumeL: 20, sg: 1.05 });
  const dry = fermentFraction(must, 1);
  it.each([
    ['mass-balance', abvOf(dry)],
    ['x131.25', (1.05 - gravityOf(dry)) * 131.25],
    ['x135', (1.05 - gravityOf(dry)) * 135],
  ] as const)('by %s', (school, abv) => {
    expectWithin(strengthOf(dry, must, school), abv, { abs: 1e-6 });
  });
  it('is not misled by sugar or water that came after', () => {
    const sweet = addFermentable(dry, { fermentableId: 'sucrose', massG: 600 });
    expectWithin(strengthOf(sweet, must, 'x135') / strengthOf(dry, must, 'x135'), 20 / sweet.volumeL, { abs: 0.01 });
    const thin = addWater(dry, 20);
    expectWithin(strengthOf(thin, must, 'duty-table'), strengthOf(dry, must, 'duty-table') / 2, { abs: 0.1 });
    expect(strengthOf(dry, null, 'x135')).toBe(abvOf(dry));
  });
});

describe('gravityFromCarton', () => {
  it('counts the acid and the rest beside the sugar', () => {
    // 10.5 g/100 mL sugar and 15.7 g/L of the rest is 120.7 g/L of solids.
    expectWithin(gravityFromCarton({ sugarGPer100Ml: 10.5, fruit: 'apple' }).value, sgFromSolids(120.7), { abs: 1e-9 });
    expect(refusalCode(() => gravityFromCarton({ sugarGPer100Ml: 105, fruit: 'apple' }))).toBe('OUT_OF_RANGE');
  });
});
