import * as fc from 'fast-check';
import { attempt } from '../errors/attempt.js';
import { CoreError } from '../errors/core-error.js';
import { inRange } from '../errors/guards.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { figure } from '../worked/figures.js';
import { findRoot } from './find-root.js';
import { interpolateLogLinear } from './interpolate.js';
import { normalCdf, normalPdf } from './normal.js';

describe('findRoot', () => {
  it('finds where a line crosses zero', () => {
    fc.assert(
      fc.property(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: 0.1, max: 9, noNaN: true }), (at, slope) => {
        expectWithin(findRoot({ f: (x) => slope * (x - at), lo: -60, hi: 60, tolerance: 1e-9 }), at, { abs: 1e-8 });
      }),
      SEED,
    );
  });
  it('takes an end that is the answer', () => {
    expect(findRoot({ f: (x) => x, lo: 0, hi: 5, tolerance: 1e-9 })).toBe(0);
    expect(findRoot({ f: (x) => x - 5, lo: 0, hi: 5, tolerance: 1e-9 })).toBe(5);
  });
  it('refuses a bracket that holds none, and gives up rather than run for ever', () => {
    expect(refusalCode(() => findRoot({ f: (x) => x * x + 1, lo: -1, hi: 1, tolerance: 1e-9 }))).toBe('UNREACHABLE');
    expect(refusalCode(() => findRoot({ f: () => Number.NaN, lo: -1, hi: 1, tolerance: 1e-9 }))).toBe('UNREACHABLE');
    expect(refusalCode(() => findRoot({ f: (x) => x - 0.3, lo: 0, hi: 1, tolerance: 1e-12, maxIterations: 5 }))).toBe('NOT_CONVERGED');
  });
});

describe('interpolateLogLinear', () => {
  const table = [
    { x: 0, y: 8 },
    { x: 2, y: 2 },
  ];
  it('reads a straight line in log y, and the points themselves', () => {
    expectWithin(interpolateLogLinear(table, 1), 4, { abs: 1e-12 });
    expect(interpolateLogLinear(table, 2)).toBe(2);
  });
  it.each([-0.1, 2.1, Number.NaN])('refuses %p, off the table', (x) => {
    expect(refusalCode(() => interpolateLogLinear(table, x))).toBe('OUT_OF_RANGE');
  });
});

describe('normalCdf', () => {
  // Standard normal table.
  it.each([
    [0, 0.5],
    [1, 0.841345],
    [1.645, 0.950015],
    [-2, 0.02275],
    [3, 0.99865],
  ])('at %p is %p', (z, p) => {
    expectWithin(normalCdf(z), p, { abs: 2e-6 });
  });
  it('is symmetric, rising, and the sum of its density', () => {
    fc.assert(
      fc.property(fc.double({ min: -4, max: 4, noNaN: true }), (z) => {
        expectWithin(normalCdf(z) + normalCdf(-z), 1, { abs: 2e-7 });
        expectWithin((normalCdf(z + 0.001) - normalCdf(z - 0.001)) / 0.002, normalPdf(z), { abs: 2e-4 });
      }),
      SEED,
    );
  });
});

describe('errors', () => {
  it('name the field, what was given and the limits', () => {
    const refused = attempt(() => inRange('ph', 35, { min: 2, max: 8 }));
    expect(refused.ok).toBe(false);
    expect(!refused.ok && refused.error.details).toEqual({ field: 'ph', given: 35, min: 2, max: 8 });
    expect(!refused.ok && refused.error.message).toContain('ph must lie between 2 and 8, got 35');
  });
  it('keep the ends of a range and refuse what is no number', () => {
    expect([inRange('x', 0, { min: 0, max: 1 }), inRange('x', 1, { min: 0, max: 1 })]).toEqual([0, 1]);
    for (const x of [Number.NaN, Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY])
      expect(refusalCode(() => inRange('x', x, { min: 0, max: 1 }))).toBe('OUT_OF_RANGE');
  });
  it('attempt lets a fault through and keeps a value', () => {
    expect(attempt(() => 7)).toEqual({ ok: true, value: 7 });
    expect(() =>
      attempt(() => {
        throw new TypeError('a fault');
      }),
    ).toThrow(TypeError);
    expect(new CoreError('UNREADABLE', 'x', {}, { cause: 'why' }).cause).toBe('why');
  });
});

it('figure writes no negative zero and a true minus', () => {
  expect([figure(-0.0001, 2), figure(-1.5, 1), figure(2, 0)]).toEqual(['0.00', '−1.5', '2']);
});
