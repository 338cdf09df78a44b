import * as fc from 'fast-check';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { arbitraryJuice, SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { acidForTarget, deacidify, tanninForTarget } from './acid-for-target.js';
import { bentoniteDose, enzymeDose } from './enzyme-dose.js';
import { NUTRIENTS, nutrientPlan } from './nutrient-plan.js';

const soft = liquidFromReadings({ volumeL: 10, sg: 1.05, ph: 4, taGPerL: 3.5 });
const sharp = liquidFromReadings({ volumeL: 10, sg: 1.05, ph: 3.2, taGPerL: 9 });

describe('acidForTarget', () => {
  it('asks for 1 g/L of malic acid to bring pH 4.0 and 3.5 g/L to 4.50, at pH 3.78', () => {
    const { massG, phAfter, taAfterGPerL } = acidForTarget({ liquid: soft, targetTaGPerL: 4.5, acid: 'malic' }).value;
    expectWithin(massG / 10, 1, { abs: 0.01 });
    expectWithin(phAfter, 3.78, { abs: 0.005 });
    expectWithin(taAfterGPerL, 4.5, { abs: 1e-6 });
  });
  it('reaches any pH below, and shows both figures before and after', () => {
    fc.assert(
      fc.property(
        arbitraryJuice,
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom('malic' as const, 'citric' as const, 'tartaric' as const),
        (liquid, hundredths, acid) => {
          const targetPh = Math.max(2.9, phOf(liquid) - hundredths / 100);
          if (targetPh >= phOf(liquid)) return;
          const { value } = acidForTarget({ liquid, targetPh, acid });
          expectWithin(phOf(value.liquid), targetPh, { abs: 1e-4 });
          expect(value.taAfterGPerL).toBeGreaterThan(value.taBeforeGPerL);
        },
      ),
      { ...SEED, numRuns: 60 },
    );
  });
  it('cautions below pH 3.0, and above 3.8 when that is where it ends', () => {
    expect(acidForTarget({ liquid: sharp, targetPh: 2.95, acid: 'tartaric' }).cautions.map((c) => c.id)).toEqual(['ph-low']);
    expect(acidForTarget({ liquid: soft, targetTaGPerL: 4, acid: 'malic' }).cautions.map((c) => c.id)).toEqual(['ph-high']);
    expect(acidForTarget({ liquid: soft, targetTaGPerL: 5.5, acid: 'malic' }).cautions).toEqual([]);
  });
  it.each([
    ['less acid than there is', { targetTaGPerL: 2 }, 'UNREACHABLE'],
    ['a higher pH', { targetPh: 4.2 }, 'UNREACHABLE'],
    ['no target', {}, 'OUT_OF_RANGE'],
    ['pH 35', { targetPh: 35 }, 'OUT_OF_RANGE'],
  ])('refuses %s', (_what, target, code) => {
    expect(refusalCode(() => acidForTarget({ liquid: soft, acid: 'malic', ...target }))).toBe(code);
  });
});

describe('deacidify', () => {
  it('asks for 1 g/L of potassium bicarbonate to bring pH 3.2 and 9 g/L to 8.33, at pH 3.40', () => {
    const { massG, phAfter } = deacidify({ liquid: sharp, targetTaGPerL: 8.33, with: 'potassium-bicarbonate' }).value;
    expectWithin(massG / 10, 1, { abs: 0.01 });
    expectWithin(phAfter, 3.4, { abs: 0.005 });
  });
  it.each(['potassium-bicarbonate', 'potassium-carbonate', 'calcium-carbonate'] as const)('reaches a pH with %s', (carbonate) => {
    expectWithin(phOf(deacidify({ liquid: sharp, targetPh: 3.5, with: carbonate }).value.liquid), 3.5, { abs: 1e-4 });
  });
  it.each([
    ['more acid than there is', { targetTaGPerL: 10 }],
    ['a lower pH', { targetPh: 3 }],
  ])('refuses %s', (_what, target) => {
    expect(refusalCode(() => deacidify({ liquid: sharp, with: 'calcium-carbonate', ...target }))).toBe('UNREACHABLE');
  });
});

describe('tanninForTarget', () => {
  it('weighs out what is missing and changes no acid', () => {
    const { massG, liquid } = tanninForTarget({ liquid: soft, targetTanninGPerL: 1.5 }).value;
    expectWithin(massG, 10 * (1.5 - soft.tanninGPerL), { abs: 1e-4 });
    expectWithin(taOf(liquid), taOf(soft), { abs: 1e-9 });
  });
  it('refuses less than there is', () => {
    expect(refusalCode(() => tanninForTarget({ liquid: soft, targetTanninGPerL: 0.01 }))).toBe('UNREACHABLE');
  });
});

describe('enzymeDose and bentoniteDose', () => {
  const dose = (changes: object): ReturnType<typeof enzymeDose>['value'] =>
    enzymeDose({ volumeL: 20, tempC: 16, boiled: false, bentoniteIn: false, sulfitedHoursAgo: null, ...changes }).value;
  it('follow the packet, or the usual rate, and double in the cold', () => {
    expectWithin(dose({}).massG, 10, { abs: 1e-9 });
    expectWithin(dose({ packetGPerL: 0.02 }).massG, 0.4, { abs: 1e-9 });
    expectWithin(dose({ tempC: 8 }).massG, 20, { abs: 1e-9 });
    expectWithin(bentoniteDose({ volumeL: 20 }).value.massG, 12, { abs: 1e-9 });
  });
  it.each([
    [{ tempC: 60 }, 'destroys'],
    [{ boiled: true }, 'Boiling'],
    [{ bentoniteIn: true }, 'Bentonite is in already'],
    [{ sulfitedHoursAgo: 3 }, 'about 12 hours'],
  ])('time it right: %p', (changes, says) => {
    expect(dose(changes).advice.join(' ')).toContain(says);
  });
  it('say nothing more when nothing stands against it', () => {
    expect(dose({ sulfitedHoursAgo: 20 }).advice).toEqual([]);
  });
});

describe('nutrientPlan', () => {
  const must = liquidFromReadings({ volumeL: 20, sg: 1.05, yanMgPerL: 60 });
  it('is Brix times the yeast’s demand, less the juice’s own, half of it, split when mineral', () => {
    // 12.39 °Bx × 12 mg = 148.7, less 60 is 88.7; half is 44.3 mg/L, which is 0.209 g/L of 21.2 % nitrogen.
    const { needMgNPerL, lackMgNPerL, dosesG } = nutrientPlan({ liquid: must, yeastId: 'high-alcohol-dessert', product: 'mineral' }).value;
    expectWithin(needMgNPerL, 148.7, { abs: 0.2 });
    expectWithin(lackMgNPerL, 88.7, { abs: 0.2 });
    expect(dosesG).toHaveLength(2);
    expectWithin((dosesG[0] ?? 0) * 2, 20 * 0.209, { abs: 0.03 });
  });
  it('never passes what is usual of each product', () => {
    const poor = { ...must, yanMgPerL: 0 };
    for (const { id, mostGPerL } of NUTRIENTS) {
      const { dosesG } = nutrientPlan({ liquid: poor, yeastId: 'high-alcohol-dessert', product: id }).value;
      expect(dosesG.reduce((sum, d) => sum + d, 0)).toBeLessThanOrEqual(mostGPerL * 20 + 1e-9);
    }
  });
  it('feeds nothing to a juice that has enough, or once a third of the sugar is gone', () => {
    expect(nutrientPlan({ liquid: { ...must, yanMgPerL: 200 }, yeastId: 'crisp-cider', product: 'organic' }).value.dosesG).toEqual([]);
    expect(nutrientPlan({ liquid: must, yeastId: 'crisp-cider', product: 'organic', fermentedFraction: 0.4 }).value).toMatchObject({ dosesG: [] });
    expect(refusalCode(() => nutrientPlan({ liquid: must, yeastId: 'crisp-cider', product: 'magic' }))).toBe('UNKNOWN_ID');
  });
});
