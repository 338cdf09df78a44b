import { placeProfile, placeTempAt, USUAL_PLACES } from './place-curve.js';

const YEAR = [0, 2, 4, 6, 8, 10, 12, 10, 8, 6, 4, 2];

describe('placeTempAt', () => {
  it('is a month’s figure at its middle, and half way between two months where they meet', () => {
    expect(placeTempAt(YEAR, '2026-04-15')).toBeCloseTo(6, 1);
    expect(placeTempAt(YEAR, '2026-04-30')).toBeCloseTo(7, 1);
    expect(placeTempAt(YEAR, '2026-12-31')).toBeCloseTo(1, 1);
    expect(placeTempAt(YEAR, '2026-01-01')).toBeCloseTo(1, 1);
  });
  it('has no jumps over a year', () => {
    for (let day = 0; day < 365; day += 1) {
      const [a, b] = [day, day + 1].map((d) => placeTempAt(YEAR, new Date(Date.UTC(2026, 0, 1 + d)).toISOString()));
      expect(Math.abs((a ?? 0) - (b ?? 0))).toBeLessThan(0.15);
    }
  });
  it('wants twelve months of possible temperatures', () => {
    expect(() => placeTempAt([1, 2, 3], '2026-01-01')).toThrow(/twelve/);
    expect(() =>
      placeTempAt(
        YEAR.map(() => 400),
        '2026-01-01',
      ),
    ).toThrow();
  });
});

it('placeProfile keeps today as it is, and looks ahead every ten days', () => {
  const profile = placeProfile(YEAR, '2026-10-15T10:00:00Z', 14, 60);
  expect(profile.map((p) => p.day)).toEqual([24, 34, 44, 54, 64, 74]);
  expect(profile.map((p) => p.tempC)).toEqual([...profile.map((p) => p.tempC)].sort((a, b) => b - a));
});

it.each(USUAL_PLACES.map((p) => [p.name, p] as const))('%s has a whole year', (_name, { monthlyC }) => {
  expect(monthlyC).toHaveLength(12);
  expect(Math.max(...monthlyC) - Math.min(...monthlyC)).toBeLessThan(20);
});
