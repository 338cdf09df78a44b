import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { addAcid } from '../../matter/liquid/add-acid.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { sweetnessGPerL } from '../../matter/liquid/views.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { blindOrder, trianglesFor } from './blind-order.js';
import { dosesText, readDoses, USUAL_DOSES } from './read-doses.js';
import { preferenceTest, rankingTest, triangleTest } from './taste-tests.js';
import { trialDoses, trialMassG } from './trial-doses.js';
import { trialOutcome } from './trial-outcome.js';
import type { TrialSubstance } from './trial-substance.js';

const cider = fermentTo(liquidFromReadings({ volumeL: 19, sg: 1.05, ph: 3.5, taGPerL: 5.5, fruit: 'apple' }), 0.999);

describe('triangleTest', () => {
  // The design's own check values.
  it('gives 0.020 for 6 of 8, which finds what half can taste 47 times in 100', () => {
    const { chance, finds } = triangleTest({ n: 8, correct: 6 });
    expectWithin(chance, 0.0197, { abs: 0.0001 });
    expectWithin(finds ?? 0, 0.468, { abs: 0.001 });
  });
  it('finds it 93 times with 24', () => {
    const { chance, finds } = triangleTest({ n: 24, correct: 13 });
    expect(chance).toBeLessThan(0.05);
    expectWithin(finds ?? 0, 0.93, { abs: 0.005 });
  });
  it('says that two can find nothing', () => {
    expect(triangleTest({ n: 2, correct: 2 })).toMatchObject({ finds: 0, leastChance: expect.closeTo(1 / 9, 12) });
  });
  it('is as sure as can be of none right, and takes one to sixty tasters', () => {
    expect(triangleTest({ n: 5, correct: 0 }).chance).toBeCloseTo(1, 12);
    for (const n of [0, 61, 2.5]) expect(refusalCode(() => triangleTest({ n, correct: 0 }))).toBe('OUT_OF_RANGE');
    for (const n of [1, 60]) expect(triangleTest({ n, correct: n }).chance).toBeCloseTo((1 / 3) ** n, 12);
  });
  it('finds what it can with three: all of them right, one in 27', () => {
    // Eight in 27 find it when two in three are right.
    expect(triangleTest({ n: 3, correct: 3 })).toMatchObject({ finds: expect.closeTo(8 / 27, 9), leastChance: expect.closeTo(1 / 27, 12) });
  });
});

describe('preferenceTest', () => {
  it.each([
    [12, 10, 0.0386],
    [12, 2, 0.0386],
    [3, 3, 0.25],
    [4, 2, 1],
  ])('of %i who chose, %i for the one, has a chance of %d', (n, prefer, chance) => {
    expectWithin(preferenceTest({ n, prefer }).chance, chance, { abs: 0.0001 });
  });
});

it('of six who prefer, all must agree to be rarer than one in twenty', () => {
  expect(preferenceTest({ n: 6, prefer: 6 })).toMatchObject({ chance: expect.closeTo(2 / 64, 12), leastChance: expect.closeTo(2 / 64, 12) });
  expect(preferenceTest({ n: 1, prefer: 1 }).leastChance).toBe(1);
});

describe('rankingTest', () => {
  it('counts every way out: four who rank three glasses 5, 7 and 12 have a chance of 0.042', () => {
    const { chance, rankSums } = rankingTest([
      [0, 1, 2],
      [0, 1, 2],
      [0, 1, 2],
      [1, 0, 2],
    ]);
    expect(rankSums).toEqual([5, 7, 12]);
    // As in the usual tables of rank sums.
    expectWithin(chance, 0.042, { abs: 0.0005 });
  });
  it('of three who agree on three glasses is one in 36, the least there is', () => {
    const agreed = rankingTest([
      [2, 0, 1],
      [2, 0, 1],
      [2, 0, 1],
    ]);
    expect(agreed.chance).toBeCloseTo(1 / 36, 12);
    expect(agreed.leastChance).toBeCloseTo(1 / 36, 12);
  });
  it('of two glasses is the preference test', () => {
    const orders = [...Array<number>(10).fill(0), ...Array<number>(2).fill(1)].map((best) => [best, 1 - best]);
    expect(rankingTest(orders).chance).toBeCloseTo(preferenceTest({ n: 12, prefer: 10 }).chance, 9);
  });
  it('refuses what is no order of the same glasses', () => {
    expect(refusalCode(() => rankingTest([[0, 0, 1]]))).toBe('OUT_OF_RANGE');
    for (const order of [[], [0], [0, 1, 2, 3, 4]]) expect(refusalCode(() => rankingTest([order]))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => rankingTest([]))).toBe('OUT_OF_RANGE');
    expect(rankingTest([[3, 1, 0, 2]]).rankSums).toEqual([3, 2, 4, 1]);
    expect(
      refusalCode(() =>
        rankingTest([
          [0, 1],
          [0, 1, 2],
        ]),
      ),
    ).toBe('OUT_OF_RANGE');
  });
});

describe('trialOutcome', () => {
  const said = (...orders: readonly (readonly number[])[]) => orders.map((order) => ({ said: order }));
  it('names the glass that came first, and none where two share it', () => {
    const drinks = 3;
    expect(trialOutcome({ way: 'rank', drinks, judged: said([1, 0, 2], [1, 2, 0]) })).toMatchObject({ best: 1, correct: null });
    expect(trialOutcome({ way: 'rank', drinks, judged: said([1, 0, 2], [0, 1, 2]) })).toMatchObject({ best: null });
    expect(refusalCode(() => trialOutcome({ way: 'rank', drinks, judged: said([1, 0]) }))).toBe('OUT_OF_RANGE');
  });
  it('counts who found the odd one', () => {
    expect(trialOutcome({ way: 'triangle', drinks: 2, judged: said([1], [0], [1]) })).toMatchObject({ correct: 2, best: null });
  });
});

describe('blind orders', () => {
  it('write different codes on the glasses, begin with each as often, and come out the same for a seed', () => {
    const order = blindOrder({ glasses: 4, tasters: 8, seed: 5 });
    expect(new Set(order.codes).size).toBe(4);
    expect(order.codes.every((code) => code > 100 && code < 1000)).toBe(true);
    expect(order.served.map((glasses) => [...glasses].sort())).toEqual(Array(8).fill([0, 1, 2, 3]));
    for (const glass of [0, 1, 2, 3]) expect(order.served.filter(([first]) => first === glass)).toHaveLength(2);
    expect(blindOrder({ glasses: 4, tasters: 8, seed: 5 })).toEqual(order);
    expect(blindOrder({ glasses: 4, tasters: 8, seed: 6 })).not.toEqual(order);
  });
  it('pour all six triangles alike, with one glass odd', () => {
    const triangles = trianglesFor({ tasters: 12, seed: 3 });
    for (const { drinks, odd } of triangles) expect(drinks.filter((drink) => drink === drinks[odd])).toHaveLength(1);
    const ways = triangles.map(({ drinks }) => drinks.join(''));
    expect(new Set(ways).size).toBe(6);
    for (const way of ways) expect(ways.filter((other) => other === way)).toHaveLength(2);
  });
});

describe('trialDoses', () => {
  const made = (substance: TrialSubstance, doses: readonly number[], glassMl = 100) => trialDoses({ liquid: cider, substance, doses, glassMl }).value;
  it('gives mL of a stock by mass balance, whatever the stock', () => {
    for (const [substance, doses] of [
      [{ kind: 'acid', id: 'malic' }, [0, 0.8, 1.6]],
      [{ kind: 'tannin', id: '' }, [0, 0.2, 0.4]],
      [{ kind: 'sweetener', id: 'erythritol' }, [0, 6, 12]],
      [{ kind: 'sweetener', id: 'sucralose' }, [0, 0.02, 0.06]],
    ] as const) {
      const { stockGPer100Ml, glasses } = made(substance, doses);
      for (const { dose, amount } of glasses) expect((amount * (stockGPer100Ml ?? 0) * 10) / (100 + amount)).toBeCloseTo(dose, 9);
      expect(Math.min(...glasses.slice(1).map((g) => g.amount))).toBeGreaterThanOrEqual(0.5);
      expect(Math.max(...glasses.map((g) => g.amount))).toBeLessThanOrEqual(25);
    }
  });
  it('doses sulfite by its sulfur dioxide, weighed as the powder it comes as', () => {
    const { stockGPer100Ml, glasses } = made({ kind: 'sulfite', id: '' }, [0, 0.03, 0.06]);
    // 57.6 of 100 g of potassium metabisulfite are sulfur dioxide.
    for (const { dose, amount } of glasses) expect((amount * (stockGPer100Ml ?? 0) * 10 * 0.576) / (100 + amount)).toBeCloseTo(dose, 4);
    expectWithin(trialMassG({ liquid: cider, substance: { kind: 'sulfite', id: '' }, dose: 0.05 }), (19 * 0.05) / 0.576, { abs: 0.01 });
    expect(readDoses('0 30 60 mg/L', { kind: 'sulfite', id: '' })).toEqual([0, 0.03, 0.06]);
    expect(dosesText({ kind: 'sulfite', id: '' }, USUAL_DOSES.sulfite)).toBe('0  30  60  100');
    expect(made({ kind: 'sulfite', id: '' }, [0, 0.005, 0.06]).tooClose).toEqual([[0, 0.005]]);
    expect(refusalCode(() => made({ kind: 'sulfite', id: '' }, [0, 0.25]))).toBe('OUT_OF_RANGE');
  });
  it('weighs in what no stock could carry', () => {
    const { isDry, glasses } = made({ kind: 'sweetener', id: 'sucrose' }, [0, 90]);
    expect(isDry).toBe(true);
    const glass = addFermentable({ ...cider, volumeL: 0.1 }, { fermentableId: 'sucrose', massG: glasses[1]?.amount ?? 0 });
    expectWithin((glasses[1]?.amount ?? 0) / glass.volumeL, 90, { abs: 0.05 });
  });
  it('pours water or another cider by its share', () => {
    expect(made({ kind: 'water', id: '' }, [0, 0.2], 80).glasses.map((g) => g.amount)).toEqual([0, expect.closeTo(20, 9)]);
  });
  it('says which neighbours nobody can tell apart', () => {
    // 5.5 g/L of acid: a fifth more is told, a twentieth is not.
    expect(made({ kind: 'acid', id: 'malic' }, [0, 0.3, 1.6]).tooClose).toEqual([[0, 0.3]]);
    expect(made({ kind: 'sweetener', id: 'sucrose' }, [0, 10, 10.5, 20]).tooClose).toEqual([[10, 10.5]]);
    expect(made({ kind: 'sweetener', id: 'sucrose' }, [0, 8, 16, 30]).tooClose).toEqual([]);
  });
  it('refuses a trial of nothing', () => {
    expect(refusalCode(() => made({ kind: 'tannin', id: '' }, [0, 0]))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => made({ kind: 'tannin', id: '' }, [0, 1], 5))).toBe('OUT_OF_RANGE');
  });
});

describe('trialMassG', () => {
  it.each(['sucrose', 'erythritol', 'fructose'])('brings the whole batch to what was tasted of %s, its own volume counted', (id) => {
    const massG = trialMassG({ liquid: cider, substance: { kind: 'sweetener', id }, dose: 20 });
    const after = addFermentable(cider, { fermentableId: id, massG });
    expectWithin(massG / after.volumeL, 20, { abs: 1e-6 });
    expect(sweetnessGPerL(after)).toBeGreaterThan(sweetnessGPerL(cider));
  });
  it('raises the acid by what was tasted', () => {
    const massG = trialMassG({ liquid: cider, substance: { kind: 'acid', id: 'malic' }, dose: 1 });
    expectWithin(taOf(addAcid(cider, { acid: 'malic', massG })) - taOf(cider), 1, { abs: 0.01 });
  });
  it('asks for litres of another liquid', () => {
    expect(trialMassG({ liquid: cider, substance: { kind: 'water', id: '' }, dose: 0.2 })).toBeCloseTo(cider.volumeL / 4, 9);
  });
});

describe('readDoses', () => {
  const sugar: TrialSubstance = { kind: 'sweetener', id: 'sucrose' };
  it.each([
    ['0 8 16', [0, 8, 16]],
    ['0, 8, 16 g/L', [0, 8, 16]],
    ['0; 0,8; 1,6', [0, 0.8, 1.6]],
    ['0 and .5', [0, 0.5]],
  ])('reads “%s”', (text, doses) => {
    expect(readDoses(text, sugar)).toEqual(doses);
  });
  it('takes per cent for what is poured in, and writes as it reads', () => {
    const water: TrialSubstance = { kind: 'water', id: '' };
    expect(readDoses('0 10 25 %', water)).toEqual([0, 0.1, 0.25]);
    expect(readDoses(dosesText(water, USUAL_DOSES.water), water)).toEqual(USUAL_DOSES.water);
  });
  it.each(['8', '0 1 2 3 4', '0,8,16', '0 some', '', '5 5'])('guesses nothing of “%s”', (text) => {
    expect(['UNREADABLE', 'OUT_OF_RANGE']).toContain(refusalCode(() => readDoses(text, sugar)));
  });
});
