import { cholesky, covarianceOf } from './covariance.js';
import { seededRandom } from './random.js';
import { temperedSample } from './tempered-sampler.js';
import { systematic } from './weights.js';

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const spread = (values: readonly number[]): number => Math.sqrt(mean(values.map((v) => (v - mean(values)) ** 2)));

describe('temperedSample', () => {
  /** One noisy look at the first of two standard normals: the rest is arithmetic (conjugate normals). */
  const looked = (seen: number, sd: number, seed: number): ReturnType<typeof temperedSample> =>
    temperedSample({
      dimensions: 2,
      count: 2000,
      random: seededRandom(seed),
      logLikelihood: (z) => -((((z[0] ?? 0) - seen) / sd) ** 2) / 2 - Math.log(sd * Math.sqrt(2 * Math.PI)),
    });
  it.each([
    [1, 0.5],
    [2.5, 0.1],
    [-3, 0.02],
  ])('finds the mean, the spread and the evidence of a look at %d ± %d', (seen, sd) => {
    const { points, logEvidence, fresh } = looked(seen, sd, 3);
    const [first, second] = [points.map((p) => p[0] ?? 0), points.map((p) => p[1] ?? 0)];
    const precision = 1 + 1 / sd ** 2;
    expect(Math.abs(mean(first) - seen / sd ** 2 / precision)).toBeLessThan(0.15 / Math.sqrt(precision));
    expect(spread(first) * Math.sqrt(precision)).toBeCloseTo(1, 0);
    expect(Math.abs(mean(second))).toBeLessThan(0.1);
    expect(spread(second)).toBeCloseTo(1, 0);
    const marginal = 1 + sd ** 2;
    expect(Math.abs(logEvidence + seen ** 2 / (2 * marginal) + Math.log(2 * Math.PI * marginal) / 2)).toBeLessThan(0.2);
    expect(fresh).toBeGreaterThan(0.5);
  });
  it('finds both of two places that what was seen may come from', () => {
    const { points } = temperedSample({
      dimensions: 1,
      count: 1000,
      random: seededRandom(5),
      logLikelihood: ([x = 0]) => Math.log(Math.exp(-(((x - 1.5) / 0.1) ** 2) / 2) + Math.exp(-(((x + 1.5) / 0.1) ** 2) / 2)),
    });
    const above = points.filter(([x = 0]) => x > 0).length / points.length;
    expect(above).toBeGreaterThan(0.35);
    expect(above).toBeLessThan(0.65);
  });
  it('gives the same points where what lies too low is not worked out', () => {
    const whole = (z: Float64Array): number => -(((z[0] ?? 0) - 2) ** 2) * 50;
    const drawn = (logLikelihood: (z: Float64Array, atLeast: number) => number): ReturnType<typeof temperedSample> =>
      temperedSample({ dimensions: 2, count: 300, random: seededRandom(6), logLikelihood });
    expect(drawn((z, atLeast) => (whole(z) < atLeast ? -Infinity : whole(z)))).toEqual(drawn(whole));
  });
  it('gives the prior back where nothing was seen', () => {
    const { points, logEvidence, fresh } = temperedSample({ dimensions: 3, count: 3000, random: seededRandom(8), logLikelihood: () => 0 });
    expect([logEvidence, fresh >= 0.9]).toEqual([0, true]);
    expect(spread(points.map((p) => p[2] ?? 0))).toBeCloseTo(1, 1);
  });
});

it('copies points as often as they weigh', () => {
  expect(systematic(Float64Array.of(0.5, 0, 0.25, 0.25), seededRandom(1).uniform(), 8)).toEqual([0, 0, 0, 0, 2, 2, 3, 3]);
});

it('the root of a covariance gives the covariance back', () => {
  const rows = covarianceOf([Float64Array.of(1, 2), Float64Array.of(3, 1), Float64Array.of(2, 6), Float64Array.of(-2, 3)]);
  const [[a = 0] = [], [b = 0, c = 0] = []] = cholesky(rows).map((r) => [...r]);
  expect([a * a, a * b, b * b + c * c]).toEqual([rows[0]?.[0], rows[1]?.[0], rows[1]?.[1]].map((v) => expect.closeTo(v ?? NaN, 9) as number));
});
