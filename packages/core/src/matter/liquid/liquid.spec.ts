import * as fc from 'fast-check';
import { ACID_CASES } from '../../../reference-cases/acid.js';
import { arbitraryJuice, SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { phOf, taOf } from './acid-chemistry.js';
import { addAcid, addCarbonate, addTannin, agreeWithAcidReadings, malolactic } from './add-acid.js';
import { addFermentable, addSulfite, addWater } from './additions.js';
import { blendLiquids, loseVolume } from './blend-liquids.js';
import { agreeWithMustReading, agreeWithReading, fermentTo } from './ferment-to.js';
import { liquidFromReadings } from './liquid-from-readings.js';
import { PER_LITRE_FIELDS, type Liquid } from './liquid.js';
import { abvOf, dryAbvOf, dryGravityOf, fermentableGPerL, gravityOf, solidsOf } from './views.js';

const reference = liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL: 6, ph: 3.5, tanninGPerL: 0.5 });
const massesOf = (l: Liquid): number[] => PER_LITRE_FIELDS.map((field) => l[field] * l.volumeL);

describe('liquidFromReadings', () => {
  it('finds 113.3 g/L of sugar in 1.050 juice, which dries to 0.9986 and 6.8 %', () => {
    expectWithin(reference.sucroseGPerL + reference.hexoseGPerL, 113.3, { abs: 0.1 });
    expectWithin(dryGravityOf(reference), 0.9986, { abs: 0.00006 });
    expectWithin(dryAbvOf(reference), 6.8, { abs: 0.01 });
  });
  it('agrees with its own readings', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.03, max: 1.1, noNaN: true }),
        fc.double({ min: 2.9, max: 4.4, noNaN: true }),
        fc.double({ min: 1.5, max: 12, noNaN: true }),
        (sg, ph, taGPerL) => {
          const l = liquidFromReadings({ volumeL: 5, sg, ph, taGPerL });
          expectWithin(gravityOf(l), sg, { abs: 1e-9 });
          expectWithin(phOf(l), ph, { abs: 1e-5 });
          expectWithin(taOf(l), taGPerL, { abs: 1e-9 });
        },
      ),
      SEED,
    );
  });
  it('refuses what cannot be juice', () => {
    expect(refusalCode(() => liquidFromReadings({ volumeL: -1, sg: 1.05 }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => liquidFromReadings({ volumeL: 1, sg: 1.05, ph: 35 }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => liquidFromReadings({ volumeL: 1, sg: 1.001 }))).toBe('UNREACHABLE');
  });
});

describe('acidity', () => {
  it('is solved, not averaged, in a blend', () => {
    const sharp = liquidFromReadings({ volumeL: 1, sg: 1.05, ph: 3.2, taGPerL: 8 });
    const flat = liquidFromReadings({ volumeL: 1, sg: 1.05, ph: 4.2, taGPerL: 2.5 });
    const blend = blendLiquids([sharp, flat]);
    expectWithin(phOf(blend), 3.51, { abs: 0.005 });
    expectWithin(taOf(blend), 5.25, { abs: 1e-9 });
  });
  it.each(ACID_CASES)('moves as charge balance says with 1 g/L $what', ({ what, start, ph, taGPerL }) => {
    const juice = liquidFromReadings({ volumeL: 1, sg: 1.05, ...start });
    const after = what === 'malic' ? addAcid(juice, { acid: 'malic', massG: 1 }) : addCarbonate(juice, { carbonate: what, massG: 1 });
    expectWithin(phOf(after), ph, { abs: 0.005 });
    expectWithin(taOf(after), taGPerL, { abs: 0.005 });
  });
  it('falls in pH and rises in acidity with every gram of acid', () => {
    fc.assert(
      fc.property(
        arbitraryJuice,
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        fc.constantFrom('malic' as const, 'citric' as const, 'tartaric' as const),
        (l, gPerL, acid) => {
          const after = addAcid(l, { acid, massG: gPerL * l.volumeL });
          expect(phOf(after)).toBeLessThan(phOf(l));
          expect(taOf(after)).toBeGreaterThan(taOf(l));
        },
      ),
      SEED,
    );
  });
  it('softens when malic acid turns to lactic', () => {
    const soft = malolactic(reference, 1);
    expect(soft.malicGPerL).toBe(0);
    expect(taOf(soft)).toBeLessThan(taOf(reference));
    expect(phOf(soft)).toBeGreaterThan(phOf(reference));
  });
  it('takes malic as 1.1 of the acidity, and the rest as a background that bacteria leave alone', () => {
    expectWithin(reference.malicGPerL, 1.1 * 6, { abs: 1e-9 });
    expect(reference.backgroundMmolPerL).toBeGreaterThan(5);
    const soft = malolactic(reference, 1);
    expect(soft.backgroundMmolPerL).toBe(reference.backgroundMmolPerL);
    // 49.2 mmol/L of malic give up a proton each: 3.30 g/L as malic.
    expectWithin(taOf(reference) - taOf(soft), 3.3, { abs: 0.02 });
    expectWithin(soft.lacticGPerL, 4.43, { abs: 0.01 });
  });
  it('keeps lactic acid lactic when pH and acidity are read again', () => {
    const soft = malolactic(reference, 1);
    const read = agreeWithAcidReadings(soft, { ph: 3.85, taGPerL: 2.9 });
    expect([read.lacticGPerL, read.malicGPerL]).toEqual([soft.lacticGPerL, 0]);
    expectWithin(phOf(read), 3.85, { abs: 1e-5 });
    expectWithin(taOf(read), 2.9, { abs: 1e-9 });
  });
  it('agrees with any reading, whatever acids are known to be there', () => {
    fc.assert(
      fc.property(
        arbitraryJuice,
        fc.double({ min: 2.8, max: 4.5, noNaN: true }),
        fc.double({ min: 0.5, max: 14, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (l, ph, taGPerL, turned) => {
          const read = agreeWithAcidReadings(malolactic(addAcid(l, { acid: 'citric', massG: l.volumeL }), turned), { ph, taGPerL });
          expectWithin(phOf(read), ph, { abs: 1e-4 });
          expectWithin(taOf(read), taGPerL, { abs: 1e-6 });
          expect(Math.min(read.malicGPerL, read.lacticGPerL, read.citricGPerL, read.backgroundMmolPerL)).toBeGreaterThanOrEqual(0);
        },
      ),
      SEED,
    );
  });
  it('takes over a measured pH or acid', () => {
    const measured = agreeWithAcidReadings(reference, { ph: 3.7 });
    expectWithin(phOf(measured), 3.7, { abs: 1e-5 });
    expectWithin(taOf(measured), taOf(reference), { abs: 1e-9 });
  });
});

describe('acts conserve mass', () => {
  it('in a blend, whatever is poured', () => {
    fc.assert(
      fc.property(fc.array(arbitraryJuice, { minLength: 1, maxLength: 5 }), (parts) => {
        const total = massesOf(blendLiquids(parts));
        parts
          .map(massesOf)
          .reduce((sum, m) => sum.map((x, i) => x + (m[i] ?? 0)))
          .forEach((mass, i) => expectWithin(total[i] ?? NaN, mass, { abs: Math.max(1e-9, Math.abs(mass) * 1e-9) }));
      }),
      SEED,
    );
  });
  it('when water, sugar or tannin goes in', () => {
    fc.assert(
      fc.property(arbitraryJuice, fc.double({ min: 1, max: 2000, noNaN: true }), (l, massG) => {
        const sugared = addFermentable(l, { fermentableId: 'sucrose', massG });
        expectWithin(solidsOf(sugared) * sugared.volumeL, solidsOf(l) * l.volumeL + massG, { abs: 1e-6 * massG + 1e-6 });
        const thinned = addWater(l, 3);
        expectWithin(solidsOf(thinned) * thinned.volumeL, solidsOf(l) * l.volumeL, { abs: 1e-6 });
        expectWithin(addTannin(l, massG / 10).tanninGPerL * l.volumeL, l.tanninGPerL * l.volumeL + massG / 10, { abs: 1e-6 });
      }),
      SEED,
    );
  });
  it('in fermenting: sugar gone is alcohol, solids and gas', () => {
    fc.assert(
      fc.property(arbitraryJuice, fc.double({ min: 0.01, max: 1, noNaN: true }), (l, share) => {
        const target = gravityOf(l) + (dryGravityOf(l) - gravityOf(l)) * share;
        const after = fermentTo(l, target);
        expectWithin(gravityOf(after), target, { abs: 1e-7 });
        const gone = fermentableGPerL(l) - fermentableGPerL(after);
        expectWithin(after.ethanolGPerL, 0.469 * gone, { abs: 1e-6 });
        expectWithin(after.otherSolidsGPerL - l.otherSolidsGPerL, 0.04 * gone, { abs: 1e-6 });
        expectWithin(dryAbvOf(after), dryAbvOf(l), { abs: 1e-6 });
      }),
      SEED,
    );
  });
  it('when some is lost, and refuses to lose more than there is', () => {
    expect(loseVolume(reference, 5)).toEqual({ ...reference, volumeL: 15 });
    expect(refusalCode(() => loseVolume(reference, 21))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => blendLiquids([]))).toBe('OUT_OF_RANGE');
  });
});

describe('readings', () => {
  it('move sugar to alcohol, and back when a later reading is a little higher', () => {
    const low = agreeWithReading(reference, 1.01);
    const higher = agreeWithReading(low, 1.011);
    expectWithin(gravityOf(higher), 1.011, { abs: 1e-6 });
    expect(abvOf(higher)).toBeLessThan(abvOf(low));
  });
  it('below bone dry correct the unfermentable part', () => {
    const l = agreeWithReading(reference, 0.995);
    expectWithin(gravityOf(l), 0.995, { abs: 1e-6 });
    expectWithin(fermentableGPerL(l), 0, { abs: 1e-6 });
  });
  it('before yeast correct the sugar', () => {
    const l = agreeWithMustReading(reference, 1.058);
    expectWithin(gravityOf(l), 1.058, { abs: 1e-6 });
    expect(l.ethanolGPerL).toBe(0);
    expectWithin(l.sucroseGPerL / (l.sucroseGPerL + l.hexoseGPerL), 0.2, { abs: 1e-9 });
  });
  it('cannot ferment upwards or past dry', () => {
    expect(refusalCode(() => fermentTo(reference, 1.06))).toBe('UNREACHABLE');
    expect(refusalCode(() => fermentTo(reference, 0.99))).toBe('UNREACHABLE');
  });
});

describe('addSulfite', () => {
  it('counts all of it and takes half as free', () => {
    const l = addSulfite(reference, 80);
    expect([l.totalSo2MgPerL, l.freeSo2MgPerL]).toEqual([80, 40]);
    expect(refusalCode(() => addSulfite(reference, NaN))).toBe('OUT_OF_RANGE');
  });
});
