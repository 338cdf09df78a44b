import * as fc from 'fast-check';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { arbitraryJuice, SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { independentSolver, termsText, type IndependentSolver } from '../../testing/highs.js';
import { blendUncertainty } from './blend-uncertainty.js';
import { acidWord, blendWords } from './blend-words.js';
import type { BlendJuice } from './blend-types.js';
import { limitWords } from './limit-words.js';
import { pouredOut, viewsOf } from './poured-out.js';
import { reachableRegion, type ReachPoint } from './reachable-region.js';

const juice = (id: string, sg: number, taGPerL: number, ph: number, maxL: number): BlendJuice => ({
  id,
  name: id,
  liquid: liquidFromReadings({ volumeL: maxL, sg, taGPerL, ph }),
  minL: 0,
  maxL,
});
const RUSSET = juice('a', 1.056, 6.9, 3.4, 17.5);
const BITTER = juice('b', 1.058, 2.3, 4.15, 12);
const BENCH = [RUSSET, BITTER, juice('c', 1.044, 9.8, 3.1, 8), juice('d', 1.047, 4.6, 3.6, 3)];
const random = fc.record({
  juices: fc
    .array(arbitraryJuice, { minLength: 2, maxLength: 8 })
    .map((liquids) => liquids.map((liquid, i): BlendJuice => ({ id: `j${i}`, liquid, minL: 0, maxL: liquid.volumeL }))),
  fill: fc.integer({ min: 5, max: 95 }),
  pour: fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 8, maxLength: 8 }),
});
const totalOf = (juices: readonly BlendJuice[], fill: number): number => (juices.reduce((sum, j) => sum + j.maxL, 0) * fill) / 100;

/** Twice the signed area to the left of an edge: negative when the point lies to its right. */
const side = (a: ReachPoint, b: ReachPoint, p: ReachPoint): number => (b.sg - a.sg) * (p.y - a.y) - (b.y - a.y) * (p.sg - a.sg);

/** Some blend of the volume: random shares, then topped up from whatever is left. */
function someBlend(juices: readonly BlendJuice[], totalL: number, pour: readonly number[]): readonly number[] {
  const volumes = juices.map(() => 0);
  let left = totalL;
  for (const share of [0, 1]) {
    juices.forEach((j, i) => {
      const room = j.maxL - (volumes[i] ?? 0);
      const v = Math.min(left, share === 1 ? room : (room * (pour[i] ?? 0)) / 100);
      volumes[i] = (volumes[i] ?? 0) + v;
      left -= v;
    });
  }
  return volumes;
}

describe('reachableRegion', () => {
  it('is a convex outline that holds every blend of the volume', () => {
    fc.assert(
      fc.property(random, ({ juices, fill, pour }) => {
        const totalL = totalOf(juices, fill);
        const outline = reachableRegion({ juices, totalL, axes: { x: 'sg', y: 'taGPerL' } });
        const blend = pouredOut(juices, someBlend(juices, totalL, pour));
        const point = { sg: gravityOf(blend), y: taOf(blend) };
        if (outline.length < 3) return;
        outline.forEach((a, i) => {
          const b = outline[(i + 1) % outline.length] ?? a;
          // Gravity bends by a tenth of a point at most between corners far apart, since it is not quite linear in solids.
          if (side(a, b, point) < -2e-4 * Math.hypot(1, b.y - a.y)) throw new Error(`a blend lies outside the edge ${i}`);
        });
      }),
      SEED,
    );
  });
  it('reaches as far as the independent solver in any direction', async () => {
    const solve: IndependentSolver = await independentSolver();
    for (let k = 0; k < 24; k += 1) {
      const [c, s] = [Math.cos((k * Math.PI) / 12), Math.sin((k * Math.PI) / 12)];
      const outline = reachableRegion({ juices: BENCH, totalL: 20, axes: { x: 'sg', y: 'taGPerL' } });
      const far = Math.max(...outline.map((p) => c * (p.sg - 1) * 100 + s * p.y));
      const tolls = BENCH.map((j) => -(c * (gravityOf(j.liquid) - 1) * 100 + s * taOf(j.liquid)));
      const { values } = solve(
        [
          'Minimize',
          ` obj: ${termsText(tolls.map((t, i) => [t, `x${i}`] as const))}`,
          'Subject To',
          ` sum: ${termsText(BENCH.map((_, i) => [1, `x${i}`] as const))} = 20`,
          'Bounds',
          ...BENCH.map((j, i) => ` 0 <= x${i} <= ${j.maxL}`),
          'End',
        ].join('\n'),
      );
      const blend = pouredOut(
        BENCH,
        BENCH.map((_, i) => values.get(`x${i}`) ?? NaN),
      );
      expectWithin(c * (gravityOf(blend) - 1) * 100 + s * taOf(blend), far, { abs: 1e-3 });
    }
  });
  it('with pH upwards, holds every blend between its left and right edge', () => {
    fc.assert(
      fc.property(random, ({ juices, fill, pour }) => {
        const totalL = totalOf(juices, fill);
        const outline = reachableRegion({ juices, totalL, axes: { x: 'sg', y: 'ph' } });
        const liquid = pouredOut(juices, someBlend(juices, totalL, pour));
        const phs = outline.map((p) => p.y);
        expect(phOf(liquid)).toBeGreaterThan(Math.min(...phs) - 1e-4);
        expect(phOf(liquid)).toBeLessThan(Math.max(...phs) + 1e-4);
        const sgs = outline.map((p) => p.sg);
        expect(gravityOf(liquid)).toBeGreaterThan(Math.min(...sgs) - 3e-4);
        expect(gravityOf(liquid)).toBeLessThan(Math.max(...sgs) + 3e-4);
      }),
      { ...SEED, numRuns: 60 },
    );
  });
  it('shrinks to a point when everything is poured, and to less when a volume is held', () => {
    const all = reachableRegion({ juices: BENCH, totalL: 40.5, axes: { x: 'sg', y: 'taGPerL' } });
    expect(all).toHaveLength(1);
    const free = reachableRegion({ juices: BENCH, totalL: 20, axes: { x: 'sg', y: 'tanninGPerL' } });
    const held = reachableRegion({ juices: BENCH.map((j, i) => (i === 2 ? { ...j, lockedL: 4 } : j)), totalL: 20, axes: { x: 'sg', y: 'taGPerL' } });
    expect(free.length).toBeGreaterThan(1);
    expect(Math.max(...held.map((p) => p.y))).toBeLessThan(7.6);
  });
  it('refuses more than there is', () => {
    expect(refusalCode(() => reachableRegion({ juices: BENCH, totalL: 50, axes: { x: 'sg', y: 'taGPerL' } }))).toBe('UNREACHABLE');
  });
});

describe('what is said of a blend', () => {
  const poured = (doubt: number) => [
    { liquid: { ...RUSSET.liquid, volumeL: 10 }, doubt: { sg: 0.001, taGPerL: 0.3, ph: doubt, tanninGPerL: 0.4 } },
    { liquid: { ...BITTER.liquid, volumeL: 10 }, doubt: { sg: 0.001, taGPerL: 0.3, ph: doubt, tanninGPerL: 0.4 } },
  ];
  it('halves independent doubts by their shares, and doubts pH more when it was not measured', () => {
    const measured = blendUncertainty(poured(0.03));
    expectWithin(measured.sg, 0.001 / Math.SQRT2, { abs: 1e-12 });
    expect(measured.ph).toBeGreaterThan(0.01);
    expect(blendUncertainty(poured(0.2)).ph).toBeGreaterThan(2 * measured.ph);
  });
  it('is said in words, with strength now for a finished cider and if dry for a must', () => {
    const must = blendLiquids(BENCH.map((j) => j.liquid));
    expect(blendWords(viewsOf(must))).toMatch(/^Fresh and rounded, no grip, about \d\.\d % if left dry\.$/);
    expect(blendWords({ ...viewsOf(must), abv: 6.5, dryAbv: 6.6, sg: 0.999 })).toBe('Fresh, no grip, about 6.5 %.');
    expect([2, 4, 6, 7, 11].map(acidWord)).toEqual(['Flat', 'Soft', 'Fresh', 'Sharp', 'Sour']);
  });
  it('says a limit with the juice’s own name', () => {
    expect(limitWords({ kind: 'used-up', juiceId: 'c' }, BENCH)).toBe('c is all in, and more of it would help.');
    expect(limitWords({ kind: 'conflict', aims: ['sg', 'taGPerL'] }, BENCH)).toContain('that gravity and that acidity at once');
    expect(limitWords({ kind: 'none-beyond', aim: 'ph', side: 'below', bestJuiceId: 'c' }, BENCH)).toBe(
      'No juice here is as low in pH as the target: c comes nearest.',
    );
  });
});

describe('the pH of blends', () => {
  it('lies between its parts, while acidity is exactly linear', () => {
    fc.assert(
      fc.property(arbitraryJuice, arbitraryJuice, fc.integer({ min: 1, max: 99 }), (a, b, percent) => {
        const blend = blendLiquids([
          { ...a, volumeL: percent },
          { ...b, volumeL: 100 - percent },
        ]);
        expect(phOf(blend)).toBeGreaterThan(Math.min(phOf(a), phOf(b)) - 1e-6);
        expect(phOf(blend)).toBeLessThan(Math.max(phOf(a), phOf(b)) + 1e-6);
        expectWithin(taOf(blend), (taOf(a) * percent + taOf(b) * (100 - percent)) / 100, { abs: 1e-9 });
      }),
      SEED,
    );
  });
});
