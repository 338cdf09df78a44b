import * as fc from 'fast-check';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { fitVessels } from './fit-vessels.js';
import { headspaceCheck } from './headspace.js';

const jars = Array.from({ length: 5 }, (_, i) => ({ id: `jar-${i}`, name: `Jar ${i}`, capacityL: 5 }));

describe('fitVessels', () => {
  it('fills four jars from 23 L and leaves 3', () => {
    const fit = fitVessels({ volumeL: 23, vessels: jars }).value;
    expect(fit.fills).toHaveLength(4);
    expectWithin(fit.leftOverL, 3, { abs: 1e-9 });
  });
  it('prefers the vessel that leaves no air', () => {
    const fit = fitVessels({
      volumeL: 19.6,
      vessels: [...jars, { id: 'cube', name: 'Cube', capacityL: 20 }, { id: 'big', name: 'Carboy', capacityL: 23 }],
    }).value;
    expectWithin(fit.leftOverL, 0, { abs: 1e-9 });
    expectWithin(fit.airL, 0.4, { abs: 1e-9 });
  });
  it('never pours more than there is or leaves too much air', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 60, noNaN: true }), fc.array(fc.constantFrom(4.5, 5, 10, 19, 20, 23), { maxLength: 8 }), (volumeL, sizes) => {
        const vessels = sizes.map((capacityL, i) => ({ id: String(i), name: String(i), capacityL }));
        const fit = fitVessels({ volumeL, vessels, maxHeadspaceFraction: 0.1 }).value;
        const pouredL = fit.fills.reduce((sum, f) => sum + f.volumeL, 0);
        expectWithin(pouredL + fit.leftOverL, volumeL, { abs: 1e-9 });
        for (const f of fit.fills) expect(f.volumeL).toBeGreaterThanOrEqual((vessels[Number(f.vesselId)]?.capacityL ?? 0) * 0.9 - 1e-9);
      }),
      SEED,
    );
  });
  it('keeps it whole when asked', () => {
    expect(fitVessels({ volumeL: 10, vessels: jars, keepWhole: true }).value.fills).toHaveLength(1);
  });
});

describe('headspaceCheck', () => {
  it.each([
    [21, 'working', 'good'],
    [22.5, 'working', 'too-full-for-foam'],
    [24, 'working', 'will-not-fit'],
    [22.5, 'resting', 'good'],
    [15, 'resting', 'too-much-air'],
  ] as const)('%p L in 23 L while %s is %s', (volumeL, stage, verdict) => {
    expect(headspaceCheck({ volumeL, capacityL: 23, stage }).value.verdict).toBe(verdict);
  });
  it('refuses no vessel at all', () => {
    expect(refusalCode(() => headspaceCheck({ volumeL: 5, capacityL: 0, stage: 'working' }))).toBe('OUT_OF_RANGE');
  });
});
