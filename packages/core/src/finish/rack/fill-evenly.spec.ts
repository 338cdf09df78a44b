import * as fc from 'fast-check';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { fillableShare, fillEvenly, smallestWithFoamRoom } from './fill-evenly.js';
import { headspaceCheck } from './headspace.js';

const must = liquidFromReadings({ volumeL: 20, sg: 1.05 });
const gone = (share: number): ReturnType<typeof fermentTo> => fermentTo(must, gravityOf(must) - share * (gravityOf(must) - dryGravityOf(must)));

describe('fillableShare', () => {
  it('leaves room for foam until nine tenths of the sugar are gone, or it is known to rest', () => {
    const share = (fallen: number, resting = false): number => fillableShare({ liquid: gone(fallen), must, resting });
    expect([share(0), share(0.88), share(0.92), share(0.5, true)]).toEqual([0.92, 0.92, 1, 1]);
    expect(fillableShare({ liquid: null, must: null, resting: false })).toBe(1);
  });
});

describe('fillEvenly', () => {
  const vessels = fc
    .array(fc.double({ min: 0.5, max: 60, noNaN: true }), { maxLength: 6 })
    .map((list) => list.map((capacityL, i) => ({ id: `V${i}`, capacityL })));
  it('neither makes nor loses anything, fills all to one share, and none past what it may hold', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 100, noNaN: true }), vessels, fc.double({ min: 0.5, max: 1, noNaN: true }), (volumeL, chosen, share) => {
        const { fills, overL, emptyL } = fillEvenly(volumeL, chosen, share);
        const inL = fills.reduce((sum, f) => sum + f.volumeL, 0);
        expect(inL + overL).toBeCloseTo(volumeL, 9);
        expect(inL + emptyL).toBeCloseTo(
          chosen.reduce((sum, v) => sum + v.capacityL, 0),
          9,
        );
        const shares = fills.map((f, i) => f.volumeL / (chosen[i]?.capacityL ?? NaN));
        for (const s of shares) {
          expect(s).toBeLessThanOrEqual(share + 1e-9);
          expect(s).toBeCloseTo(shares[0] ?? NaN, 9);
        }
        if (overL > 1e-9) for (const s of shares) expect(s).toBeCloseTo(share, 9);
      }),
      SEED,
    );
  });
});

describe('smallestWithFoamRoom', () => {
  const sizes = [23, 5, 11.3].map((capacityL) => ({ capacityL }));
  it('is the smallest that the check of headspace finds good', () => {
    for (const volumeL of [4, 4.6, 4.61, 10, 10.4, 21.1, 21.2]) {
      const fit = smallestWithFoamRoom(volumeL, sizes);
      const good = sizes.filter(({ capacityL }) => headspaceCheck({ volumeL, capacityL, stage: 'working' }).value.verdict === 'good');
      expect(fit?.capacityL).toBe(good.length === 0 ? undefined : Math.min(...good.map((v) => v.capacityL)));
    }
  });
});
