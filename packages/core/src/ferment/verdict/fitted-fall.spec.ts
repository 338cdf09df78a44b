import { fallRates, fittedFall, steadyFrom } from './fitted-fall.js';
import type { GravityReading } from './reading.js';

const START_MS = Date.UTC(2026, 9, 10, 8);
const at = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();
const reads = (...all: readonly (readonly [day: number, sg: number])[]): readonly GravityReading[] =>
  all.map(([day, sg], i) => ({ id: `R${i}`, at: at(day), sg, tempC: null }));
const EQUAL = 0.001;
const steadyDay = (...all: readonly (readonly [day: number, sg: number])[]): number => {
  const first = steadyFrom(reads(...all), EQUAL);
  return first ? Math.round((Date.parse(first.at) - START_MS) / 86_400_000) : NaN;
};

describe('fittedFall', () => {
  it('is the line itself where readings lie on one', () => {
    const fall = fittedFall(reads([3, 1.04], [5, 1.036], [10, 1.026]));
    expect(fall.days).toBeCloseTo(7, 9);
    expect(fall.perDay).toBeCloseTo(0.002, 9);
    expect(fall.fallSg).toBeCloseTo(0.014, 9);
    expect(fall.endSg).toBeCloseTo(1.026, 9);
    expect(fall.worstSg).toBeCloseTo(0, 9);
  });
  it('is the least of squares where they do not', () => {
    // Days 0, 1, 2 and gravities 10, 4, 4 above one: slope −3, mean 6, farthest off the middle one, by 2.
    const fall = fittedFall(reads([0, 1.01], [1, 1.004], [2, 1.004]));
    expect([fall.perDay, fall.endSg, fall.worstSg]).toEqual([0.003, 1.003, 0.002].map((v) => expect.closeTo(v, 9) as number));
  });
  it('falls nowhere between readings of one moment, nor for one alone', () => {
    expect(fittedFall(reads([2, 1.02], [2, 1.01]))).toMatchObject({ days: 0, perDay: 0, fallSg: 0 });
    expect(fittedFall(reads([2, 1.02]))).toEqual({ days: 0, perDay: 0, fallSg: 0, endSg: 1.02, worstSg: 0 });
  });
});

describe('steadyFrom', () => {
  it('takes two readings for equal to the point', () => {
    expect(steadyDay([0, 1.001], [7, 1.0])).toBe(0);
    expect(steadyDay([0, 1.0], [7, 1.001])).toBe(0);
    expect(steadyDay([0, 1.0012], [7, 1.0])).toBe(7);
    expect(steadyDay([4, 1.0])).toBe(4);
    expect(steadyFrom([], EQUAL)).toBeUndefined();
  });
  it('begins where the fall ends', () => {
    expect(steadyDay([0, 1.03], [5, 1.01], [9, 1.0], [13, 1.0], [17, 0.9995])).toBe(9);
    // Half a point at each of four readings is a fall of two.
    expect(steadyDay([0, 1.002], [7, 1.0014], [14, 1.0007], [21, 1.0])).toBe(14);
  });
  it('forgives one of four that lies off, within the run and never at its ends', () => {
    expect(steadyDay([0, 1.0], [4, 1.0025], [8, 1.0], [12, 1.0])).toBe(0);
    expect(steadyDay([0, 1.0], [4, 1.0025], [8, 1.0])).toBe(8);
    expect(steadyDay([0, 1.0], [4, 1.0025], [8, 0.9975], [12, 1.0])).not.toBe(0);
    expect(steadyDay([0, 1.006], [4, 1.0], [8, 1.0], [12, 1.0])).toBe(4);
    expect(steadyDay([0, 1.0], [4, 1.0], [8, 1.0], [12, 0.994])).toBe(12);
  });
  it('keeps both ends of a run, however well the rest agrees', () => {
    expect(steadyDay([0, 1.0], [4, 1.0], [8, 1.0], [12, 0.997])).toBe(12);
    expect(steadyDay([0, 1.003], [4, 1.0], [8, 1.0], [12, 1.0])).toBe(4);
  });
  it('forgives one of a long run too, wherever it lies and on whichever side, and not two', () => {
    const long = (...off: readonly (readonly [place: number, sg: number])[]): number =>
      steadyDay(...Array.from({ length: 12 }, (_none, i) => [i, new Map(off).get(i) ?? 1.0] as const));
    for (const sg of [0.996, 1.004]) for (const place of [1, 9, 10]) expect(long([place, sg])).toBe(0);
    expect(long([5, 0.996], [9, 0.996])).not.toBe(0);
    expect(long([9, 0.996], [10, 1.004])).not.toBe(0);
  });
  it('takes a stem’s own noise for rest, and no more', () => {
    // The middle one of three lies two thirds of its height off the line.
    expect(steadyDay([0, 1.0], [5, 1.0023], [10, 1.0])).toBe(0);
    expect(steadyDay([0, 1.0], [5, 1.0025], [10, 1.0])).toBe(10);
  });
});

describe('fallRates', () => {
  it('tells a rate by a clear fall, or by a week, and its best by the quickest such stretch', () => {
    const rates = fallRates(reads([0, 1.05], [2, 1.044], [4, 1.03], [6, 1.024], [13, 1.0205]));
    expect(rates.bestPerDay).toBeCloseTo(0.007, 9);
    expect(rates.lastPerDay).toBeCloseTo(0.0005, 9);
    expect(rates.lastOverDays).toBeCloseTo(7, 9);
  });
  it('joins readings that are too near in time or in gravity, back to the first if need be', () => {
    // Half a day apart: not by themselves, however much lies between them.
    const hasty = fallRates(reads([0, 1.05], [2, 1.04], [2.5, 1.034]));
    expect(hasty.lastOverDays).toBeCloseTo(2.5, 9);
    // Two points in two days are noise; with the stretch before them they are a rate.
    const near = fallRates(reads([0, 1.05], [2, 1.04], [4, 1.03], [6, 1.028]));
    expect([near.lastOverDays, near.lastPerDay]).toEqual([expect.closeTo(4, 9), expect.closeTo(0.003, 9)]);
    // Five points are clear, and a day is long enough.
    const clear = fallRates(reads([0, 1.05], [2, 1.045], [3, 1.04]));
    expect(clear.lastOverDays).toBeCloseTo(1, 9);
    const unclear = fallRates(reads([0, 1.05], [2, 1.045], [3, 1.0401]));
    expect(unclear.lastOverDays).toBeCloseTo(3, 9);
    // A week is, without any fall.
    expect(fallRates(reads([0, 1.05], [3, 1.02], [10, 1.02])).lastOverDays).toBeCloseTo(7, 9);
    expect(fallRates(reads([0, 1.05], [3, 1.02], [9.9, 1.02])).lastOverDays).toBeCloseTo(9.9, 9);
  });
  it('has no best below nothing, and none at all of one reading', () => {
    expect(fallRates(reads([0, 1.0], [8, 1.002]))).toMatchObject({ bestPerDay: 0 });
    expect(fallRates(reads([0, 1.0]))).toEqual({ lastPerDay: 0, lastOverDays: 0, bestPerDay: 0, rests: false });
  });
  it('sees a rest as soon as four tenths of the best pace would have shown three points', () => {
    // Ten points a day at best, so in three quarters of a day.
    expect(fallRates(reads([0, 1.05], [3, 1.02], [3.8, 1.02])).rests).toBe(true);
    expect(fallRates(reads([0, 1.05], [3, 1.02], [3.7, 1.02])).rests).toBe(false);
    expect(fallRates(reads([0, 1.05], [3, 1.02], [6, 1.018])).rests).toBe(false);
    expect(fallRates(reads([0, 1.05], [6, 1.05])).rests).toBe(false);
  });
});
