import * as fc from 'fast-check';
import { sgFromSolids, solidsFromSg } from '../../matter/density/solids.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { steepJob, steepPlan, type SteepInput } from './steep-plan.js';

const INPUT: SteepInput = { volumeL: 5, fruitKg: 3, fruitId: null, targetSg: 1.07, targetTaGPerL: 5, teaCups: 2, driedFruitG: 0, hot: true };
const plan = (changes: Partial<SteepInput> = {}) => steepPlan({ ...INPUT, ...changes });

describe('steepPlan', () => {
  it('comes to the gravity and acidity asked for, with the sugar the fruit does not bring', () => {
    const { liquid, sugarG, waterL, acidG } = plan().value;
    expectWithin(gravityOf(liquid), 1.07, { abs: 1e-6 });
    // Settled in turns, far closer than the 0.3 g/L of a titration.
    expectWithin(taOf(liquid), 5, { abs: 0.02 });
    // 3 kg give 2.09 L at 1.049, so the five litres lack about 50 points·L of their 350 and more: some 670 g.
    expect(sugarG).toBeGreaterThan(550);
    expect(sugarG).toBeLessThan(750);
    expect(waterL).toBeGreaterThan(2.5);
    expect(acidG).toBeGreaterThan(0);
  });
  it('prints amounts that give what it promises, reckoned again from nothing but the amounts', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 30, noNaN: true }),
        fc.double({ min: 0.15, max: 0.9, noNaN: true }),
        fc.double({ min: 1.05, max: 1.12, noNaN: true }),
        fc.constantFrom(null, 4, 6),
        fc.boolean(),
        (volumeL, kgPerL, targetSg, targetTaGPerL, hot) => {
          const input = { ...INPUT, volumeL, fruitKg: volumeL * kgPerL, targetSg, targetTaGPerL, hot };
          const { waterL, sugarG, acidG } = steepPlan(input).value;
          // Solids in g: fruit juice at 1.049 holds 127 g/L; sugar and acid are all solids; tea brings 0.3 g a cup.
          const juiceL = input.fruitKg * 0.82 * (hot ? 0.85 : 0.7);
          const solidsG = juiceL * solidsFromSg(1.049) + sugarG + acidG + input.teaCups * 0.3;
          const endL = juiceL + (waterL - 0.15 * input.fruitKg) + 0.000618 * sugarG;
          expectWithin(endL, volumeL, { abs: 0.01 * volumeL });
          expectWithin(sgFromSolids(solidsG / endL), targetSg, { abs: 0.001 });
        },
      ),
      SEED,
    );
  });
  it('scales with the volume', () => {
    const [one, four] = [plan().value, plan({ volumeL: 20, fruitKg: 12, teaCups: 8 }).value];
    expectWithin(four.sugarG / one.sugarG, 4, { abs: 1e-3 });
    expectWithin(four.waterL / one.waterL, 4, { abs: 1e-3 });
  });
  it('draws more from hot fruit and from raisins, so less sugar is needed', () => {
    expect(plan({ hot: false }).value.sugarG).toBeGreaterThan(plan().value.sugarG);
    expect(plan({ driedFruitG: 300 }).value.sugarG).toBeLessThan(plan().value.sugarG);
    expectWithin(gravityOf(plan({ driedFruitG: 300 }).value.liquid), 1.07, { abs: 1e-6 });
  });
  it('leaves the acid of sour fruit alone, and warns of scalds only when it is hot', () => {
    expect(plan({ fruitId: 'wild-hedgerow-crab', targetTaGPerL: 3 }).value.acidG).toBe(0);
    const ids = (changes: Partial<SteepInput>): string[] => plan({ targetTaGPerL: 3, ...changes }).cautions.map((c) => c.id);
    expect(ids({})).toEqual(['rot', 'pips', 'scald']);
    expect(ids({ hot: false })).toEqual(['rot', 'pips']);
    // Water brings no minerals to hold the pH up, so acid bites deeper here than in juice: told to aim lower, not to take out what it puts in.
    expect(ids({ hot: false, targetTaGPerL: 6 })).toEqual(['rot', 'pips']);
    expect(plan({ hot: false, targetTaGPerL: 6 }).value.steps.join(' ')).toMatch(/pH 2\.\d, where yeast struggles: aim lower/);
  });
  it.each([
    [{ fruitKg: 30 }, 'UNREACHABLE'],
    [{ targetSg: 1.01 }, 'UNREACHABLE'],
    [{ volumeL: -5 }, 'OUT_OF_RANGE'],
    [{ fruitKg: NaN }, 'OUT_OF_RANGE'],
  ])('refuses %p', (changes, code) => {
    expect(refusalCode(() => plan(changes))).toBe(code);
  });
});

describe('steepJob', () => {
  const steeping = { startedAt: '2026-11-20T08:00:00.000Z', days: 4, stirredAt: ['2026-11-22T07:00:00.000Z'], strainedAt: null };
  it.each([
    ['2026-11-22T10:00:00.000Z', null],
    ['2026-11-22T16:00:00.000Z', 'stir'],
    ['2026-11-24T08:00:00.000Z', 'strain'],
  ])('at %s asks for %p', (now, what) => {
    expect(steepJob(steeping, now)?.what ?? null).toBe(what);
  });
  it('asks for nothing once strained', () => {
    expect(steepJob({ ...steeping, strainedAt: '2026-11-24T09:00:00.000Z' }, '2026-11-30T08:00:00.000Z')).toBeNull();
  });
});
