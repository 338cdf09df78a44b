import * as fc from 'fast-check';
import { attempt } from '../../base/errors/attempt.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import { solidsFromSg } from '../../matter/density/solids.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { independentSolver, termsText, type IndependentSolver } from '../../testing/highs.js';
import { linearAims, NOTICED, type LinearAim } from './linear-aims.js';
import { solveBlend } from './solve-blend.js';
import type { Blend, BlendInput, BlendJuice } from './blend-types.js';

const juice = (id: string, sg: number, taGPerL: number, ph: number, tanninGPerL: number, maxL: number, more: Partial<BlendJuice> = {}): BlendJuice => ({
  id,
  name: id,
  liquid: liquidFromReadings({ volumeL: maxL, sg, taGPerL, ph, tanninGPerL }),
  minL: 0,
  maxL,
  ...more,
});
const RUSSET = juice('Russet row', 1.056, 6.9, 3.4, 1.2, 17.5);
const BITTER = juice('Bitter-sweets', 1.058, 2.3, 4.15, 2.4, 12);
const SHARP = juice('Sharps', 1.044, 9.8, 3.1, 0.6, 8);
const BENCH = [RUSSET, BITTER, SHARP];
const find = (changes: Partial<BlendInput>) => solveBlend({ juices: BENCH, totalL: 20, targets: {}, use: 'closest', ...changes }).value;
const volumeOf = (blend: ReturnType<typeof find>, id: string): number => blend.volumesL.find((v) => v.id === id)?.volumeL ?? NaN;

describe('solveBlend', () => {
  it('hits a gravity and an acidity that lie within reach, to the last figure', () => {
    const blend = find({ targets: { sg: 1.053, taGPerL: 6 } });
    expectWithin(blend.views.sg, 1.053, { abs: 1e-8 });
    expectWithin(blend.views.taGPerL, 6, { abs: 1e-8 });
    expect(blend.limits).toEqual([]);
    expectWithin(
      blend.volumesL.reduce((sum, v) => sum + v.volumeL, 0),
      20,
      { abs: 1e-9 },
    );
  });
  it('solves pH by charge balance: equal parts of pH 3.2 and 4.2 are not asked for a pH of 3.7', () => {
    const two = [juice('a', 1.05, 8, 3.2, 0.5, 20), juice('b', 1.05, 2.5, 4.2, 0.5, 20)];
    const blend = find({ juices: two, targets: { ph: 3.51 } });
    expectWithin(blend.views.ph, 3.51, { abs: 1e-6 });
    expectWithin(volumeOf(blend, 'a'), 10, { abs: 0.15 });
  });
  it('meets a pH and a gravity at once', () => {
    const { views } = find({ targets: { ph: 3.5, sg: 1.054 } });
    expectWithin(views.ph, 3.5, { abs: 1e-6 });
    expectWithin(views.sg, 1.054, { abs: 1e-8 });
  });
  it('blends finished ciders to a strength and a gravity', () => {
    const cider = (id: string, sg: number, taGPerL: number): BlendJuice => {
      const must = liquidFromReadings({ volumeL: 20, sg, taGPerL, ph: 3.5 });
      return { id, liquid: fermentTo(must, dryGravityOf(must) + 0.001), minL: 0, maxL: 20 };
    };
    const blend = find({ juices: [cider('light', 1.04, 7), cider('strong', 1.07, 4), juice('fresh', 1.055, 6, 3.5, 0.5, 5)], targets: { abv: 6, sg: 1.003 } });
    expectWithin(blend.views.abv, 6, { abs: 1e-6 });
    expectWithin(blend.views.sg, 1.003, { abs: 1e-6 });
  });

  it('pours from each in proportion when nothing is asked', () => {
    const blend = find({});
    expectWithin(volumeOf(blend, 'Sharps'), (20 * 8) / 37.5, { abs: 1e-6 });
  });
  it('drains small lots first when little is to be left', () => {
    const blend = find({ use: 'least-waste', totalL: 20 });
    expectWithin(volumeOf(blend, 'Sharps'), 8, { abs: 1e-6 });
    expectWithin(volumeOf(blend, 'Bitter-sweets'), 12, { abs: 1e-6 });
    expect(blend.leftInCount).toBe(1);
  });
  it('takes the cheaper of two that would do', () => {
    const dear = { ...RUSSET, id: 'dear', costPerL: 3 };
    const blend = find({ juices: [dear, { ...RUSSET, id: 'cheap', costPerL: 1 }, { ...SHARP, costPerL: 1 }], targets: { taGPerL: 7.5 }, use: 'cheapest' });
    expectWithin(volumeOf(blend, 'dear'), 0, { abs: 1e-6 });
    expectWithin(blend.cost, 20, { abs: 1e-6 });
  });
  it('keeps a held volume, a least and what is used up', () => {
    const blend = find({
      juices: [
        { ...RUSSET, lockedL: 4.3 },
        { ...BITTER, minL: 9 },
        { ...SHARP, lockedL: 6 },
      ],
      totalL: 20,
      targets: { taGPerL: 9 },
    });
    expect(volumeOf(blend, 'Russet row')).toBeCloseTo(4.3, 9);
    expect(volumeOf(blend, 'Sharps')).toBeCloseTo(6, 9);
    expect(volumeOf(blend, 'Bitter-sweets')).toBeCloseTo(9.7, 9);
  });

  it('pours in the maker’s measure, keeps the total and stays as near as that allows', () => {
    fc.assert(
      fc.property(fc.constantFrom(0.05, 0.1, 0.5, 2.27), fc.double({ min: 4, max: 8, noNaN: true }), (measureL, taGPerL) => {
        const blend = find({ targets: { sg: 1.053, taGPerL }, measureL });
        const sum = blend.volumesL.reduce((s, v) => s + v.volumeL, 0);
        expectWithin(sum, 20, { abs: 1e-9 });
        const odd = blend.volumesL.filter(
          ({ volumeL }, i) => Math.abs(volumeL / measureL - Math.round(volumeL / measureL)) > 1e-6 && volumeL < (BENCH[i]?.maxL ?? 0) - 1e-6,
        );
        // Only one juice may carry the odd end of a total that is no whole number of measures, and one what is used up.
        expect(odd.length).toBeLessThanOrEqual(2);
        const exact = find({ targets: { sg: 1.053, taGPerL } });
        expectWithin(blend.views.taGPerL, exact.views.taGPerL, { abs: (10 * measureL) / 20 });
      }),
      { ...SEED, numRuns: 60 },
    );
  });

  it.each([
    ['acid that is used up', { targets: { taGPerL: 8.5 } }, { kind: 'used-up', juiceId: 'Sharps' }],
    ['a juice that is held', { juices: [RUSSET, BITTER, { ...SHARP, lockedL: 1 }], targets: { taGPerL: 7.5 } }, { kind: 'held', juiceId: 'Sharps' }],
    ['a least volume', { juices: [RUSSET, { ...BITTER, minL: 10 }, SHARP], targets: { taGPerL: 8.5 } }, { kind: 'least', juiceId: 'Bitter-sweets' }],
    ['no juice as sharp as that', { targets: { taGPerL: 12 } }, { kind: 'none-beyond', aim: 'taGPerL', side: 'above', bestJuiceId: 'Sharps' }],
    ['no juice as light as that', { targets: { sg: 1.03 } }, { kind: 'none-beyond', aim: 'sg', side: 'below', bestJuiceId: 'Sharps' }],
    ['no juice of such a pH', { targets: { ph: 4.4 } }, { kind: 'none-beyond', aim: 'ph', side: 'above', bestJuiceId: 'Bitter-sweets' }],
  ])('says what limits: %s', (_what, changes, limit) => {
    const blend = find(changes);
    expect(blend.limits).toContainEqual(limit);
    expect(blend.misses.some((m) => m.missed)).toBe(true);
  });

  it.each<[string, Partial<BlendInput>, string]>([
    ['no juice', { juices: [] }, 'UNKNOWN_ID'],
    ['more than there is', { totalL: 40 }, 'UNREACHABLE'],
    ['more held than wanted', { juices: [{ ...RUSSET, lockedL: 17 }, BITTER], totalL: 10 }, 'UNREACHABLE'],
    ['a pH of 35', { targets: { ph: 35 } }, 'OUT_OF_RANGE'],
    ['a gravity typed without its point', { targets: { sg: 1050 } }, 'OUT_OF_RANGE'],
    ['a volume that is no number', { totalL: NaN }, 'OUT_OF_RANGE'],
    ['a volume held below nothing', { juices: [{ ...RUSSET, lockedL: -1 }, BITTER] }, 'OUT_OF_RANGE'],
  ])('refuses %s', (_what, changes, code) => {
    expect(refusalCode(() => find(changes))).toBe(code);
  });
});

/** Evenly spread figures: a random double would mostly be next to nothing. */
const between = (min: number, max: number): fc.Arbitrary<number> => fc.integer({ min: 0, max: 10_000 }).map((k) => min + ((max - min) * k) / 10_000);
const benchJuice: fc.Arbitrary<Liquid> = fc
  .record({ volumeL: between(1, 60), sg: between(1.035, 1.09), taGPerL: between(1.5, 12), ph: between(2.9, 4.4), tanninGPerL: between(0, 3) })
  .map((r) => liquidFromReadings(r));

/** Random benches: some targets lie within reach, some do not, and some volumes cannot add up at all. */
const arbitraryBench: fc.Arbitrary<BlendInput> = fc
  .record({
    liquids: fc.array(benchJuice, { minLength: 4, maxLength: 12 }),
    shares: fc.array(fc.record({ min: between(0, 0.3), lock: between(0, 4), cost: between(0.1, 3) }), {
      minLength: 12,
      maxLength: 12,
    }),
    fill: between(0.05, 1.15),
    sg: fc.option(between(1.045, 1.075), { nil: undefined }),
    ta: fc.option(between(3, 10), { nil: undefined }),
    tannin: fc.option(between(0.7, 2.2), { nil: undefined }),
  })
  .map(({ liquids, shares, fill, sg, ta, tannin }) => ({
    juices: liquids.map((liquid, i): BlendJuice => {
      const { min = 0, lock = 1, cost = 1 } = shares[i] ?? {};
      return {
        id: `j${i}`,
        liquid,
        maxL: liquid.volumeL,
        minL: min > 0.2 ? min * liquid.volumeL : 0,
        lockedL: lock < 0.4 ? lock * liquid.volumeL : undefined,
        costPerL: cost,
      };
    }),
    totalL: Math.max(0.5, fill * liquids.reduce((sum, l) => sum + l.volumeL, 0)),
    targets: { ...(sg === undefined ? {} : { sg }), ...(ta === undefined ? {} : { taGPerL: ta }), ...(tannin === undefined ? {} : { tanninGPerL: tannin }) },
    use: 'closest' as const,
  }));

describe('solveBlend beside an independent solver', () => {
  let solve: IndependentSolver;
  beforeAll(async () => {
    solve = await independentSolver();
  });

  const shareBound = (j: BlendJuice, i: number, totalL: number): string =>
    ` ${((j.lockedL ?? j.minL) / totalL).toFixed(15)} <= x${i} <= ${((j.lockedL ?? j.maxL) / totalL).toFixed(15)}`;
  /** The cheapest shares of a bench under some rows, by the other solver; null when there are none. */
  function leastByOther(
    input: BlendInput,
    tolls: readonly number[],
    rows: readonly string[] = [],
  ): { readonly shares: readonly number[]; readonly value: number } | null {
    const solution = solve(
      [
        'Minimize',
        ` obj: ${termsText(tolls.map((t, i) => [t, `x${i}`] as const))}`,
        'Subject To',
        ` sum: ${termsText(input.juices.map((_, i) => [1, `x${i}`] as const))} = 1`,
        ...rows,
        'Bounds',
        ...input.juices.map((j, i) => shareBound(j, i, input.totalL)),
        'End',
      ].join('\n'),
    );
    return solution.optimal ? { shares: input.juices.map((_, i) => solution.values.get(`x${i}`) ?? NaN), value: solution.objective } : null;
  }
  const aimsOf = (input: BlendInput): readonly LinearAim[] =>
    linearAims(
      input.juices.map((j) => j.liquid),
      { targets: input.targets, weights: {}, around: { solidsGPerL: 0, abv: 0 } },
    );
  const sharesOf = (input: BlendInput, blend: Blend): readonly number[] => blend.volumesL.map((v) => v.volumeL / input.totalL);
  const total = (values: readonly number[], shares: readonly number[]): number => values.reduce((sum, v, i) => sum + v * (shares[i] ?? NaN), 0);

  it('is nearest on 300 random benches, to 1e-6 in solids, acid and tannin, and refuses those that cannot be filled', () => {
    const outcomes = { hit: 0, missed: 0, unfillable: 0 };
    for (const input of fc.sample(fc.noBias(arbitraryBench), { seed: SEED.seed, numRuns: 300 })) {
      const aims = aimsOf(input);
      const fillable = leastByOther(
        input,
        input.juices.map(() => 1),
      );
      if (!fillable) {
        outcomes.unfillable += 1;
        expect(refusalCode(() => solveBlend(input))).toBe('UNREACHABLE');
        continue;
      }
      const blend = solveBlend(input).value;
      const shares = sharesOf(input, blend);
      const miss = aims.map((a) => total(a.perJuice, shares) - a.wanted);
      const tolls = input.juices.map((_, i) => aims.reduce((sum, a, k) => sum + (a.perJuice[i] ?? 0) * (miss[k] ?? 0), 0));
      const best = leastByOther(input, tolls)?.shares ?? [];
      // The squared distance to the true nearest point is at most this gap (strong convexity), here in units of a
      // difference just noticed: 0.3 g/L of acid, 0.2 of tannin, 2.6 of solids.
      const gap = total(
        tolls,
        shares.map((s, i) => s - (best[i] ?? NaN)),
      );
      expectWithin(Math.sqrt(Math.max(0, gap)), 0, { abs: 1e-6 / 0.3 });
      outcomes[Math.hypot(...miss) > 1 ? 'missed' : 'hit'] += 1;
      if (Math.hypot(...miss) > 1) expect(blend.limits).not.toEqual([]);
    }
    // A test of only one sort would prove little.
    for (const sort of ['hit', 'missed', 'unfillable'] as const) expect([sort, outcomes[sort] > 20]).toEqual([sort, true]);
  });

  it.each(['cheapest', 'least-waste'] as const)('finds as good a %s blend as the linear solver within the same band', (use) => {
    let compared = 0;
    for (const input of fc.sample(fc.noBias(arbitraryBench), { seed: SEED.seed + 1, numRuns: 120 })) {
      const costs = input.juices.map((j) => (use === 'cheapest' ? (j.costPerL ?? 0) : -1 / j.maxL));
      const nearest = attempt(() => solveBlend(input).value);
      if (!nearest.ok) continue;
      const rows = aimsOf(input).flatMap((a, k) => {
        const at = total(a.perJuice, sharesOf(input, nearest.value));
        const terms = termsText(a.perJuice.map((v, i) => [v, `x${i}`] as const));
        return [` u${k}: ${terms} <= ${(at + 0.5).toFixed(12)}`, ` l${k}: ${terms} >= ${(at - 0.5).toFixed(12)}`];
      });
      const blend = solveBlend({ ...input, use }).value;
      expectWithin(total(costs, sharesOf(input, blend)), leastByOther(input, costs, rows)?.value ?? NaN, { abs: 1e-6 });
      compared += 1;
    }
    expect(compared).toBeGreaterThan(40);
  });

  it('counts a difference just noticed as one, so that weights are fair', () => {
    const [row] = linearAims([RUSSET.liquid], { targets: { sg: 1.05 }, weights: {}, around: { solidsGPerL: 0, abv: 0 } });
    expectWithin(((solidsFromSg(1.051) - solidsFromSg(1.05)) * (row?.wanted ?? 0)) / solidsFromSg(1.05), 1, { abs: 0.01 });
    expect(NOTICED.sg).toBe(0.001);
  });
});
