import { dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { forecast, forecastInParts } from './forecast.js';
import type { DayReading, Forecast, ForecastInput } from './forecast-types.js';

const must = liquidFromReadings({ volumeL: 20, sg: 1.052, taGPerL: 5.5, ph: 3.45, yanMgPerL: 90 });
const input: ForecastInput = {
  liquid: must,
  yeastId: 'crisp-cider',
  pitchGPerL: 0.25,
  readings: [],
  tempProfile: [{ day: 0, tempC: 18 }],
  seed: 5,
  members: 2500,
  horizonDays: 120,
};
const ask = (changes: Partial<ForecastInput>): Forecast => forecast({ ...input, ...changes }).value;
const width = ({ finishDay: { p10, p90 } }: Forecast): number => (p90 ?? Infinity) - (p10 ?? 0);
const readings: readonly DayReading[] = [
  { day: 2, sg: 1.05 },
  { day: 4, sg: 1.043 },
  { day: 6, sg: 1.033 },
  { day: 8, sg: 1.022 },
  { day: 10, sg: 1.013 },
];

describe('forecast', () => {
  it('is wide with two readings, and narrows as readings come', () => {
    const two = ask({ readings: readings.slice(0, 2) });
    const five = ask({ readings });
    expect(width(two)).toBeGreaterThan(2 * width(five));
    expect(width(two)).toBeGreaterThan(6);
    expect(width(ask({}))).toBeGreaterThan(width(five));
  });
  it('is not bent by a mistyped reading', () => {
    const clean = ask({ readings });
    for (const slip of [-0.02, 0.03, 0.1]) {
      const bent = ask({ readings: readings.map((r, i) => (i === 3 ? { ...r, sg: r.sg + slip } : r)) });
      expect(Math.abs((bent.finishDay.p50 ?? 0) - (clean.finishDay.p50 ?? 0))).toBeLessThan(width(clean) / 3);
      expect(bent.chanceStuck).toBeLessThan(0.1);
    }
  });
  it('gives the same answer to the same question, and tells how far it is', () => {
    const parts = forecastInParts({ ...input, readings });
    const seen: number[] = [];
    for (let part = parts.next(); ; part = parts.next()) {
      if (part.done === true) {
        expect(part.value.value).toEqual(ask({ readings }));
        break;
      }
      seen.push(part.value);
    }
    expect(seen.length).toBeGreaterThanOrEqual(2);
    expect([...seen].sort((a, b) => a - b)).toEqual(seen);
    expect(seen.at(-1)).toBeLessThanOrEqual(1);
  });
  it.each([2, 3, 4, 5])('gives, with as many members as a maker is answered by, nearly the same answer to %d readings whatever the seed', (known) => {
    const found = [1, 2, 3, 4].map((seed) => ask({ readings: readings.slice(0, known), seed, members: undefined, horizonDays: 200 }));
    const medians = found.map((f) => f.finishDay.p50 ?? Infinity);
    expect(Math.max(...medians) - Math.min(...medians)).toBeLessThan(width(found[0] ?? ask({})) / 10);
  });
  it('never puts an end above the last reading', () => {
    const low = ask({ readings: [...readings, { day: 16, sg: 0.9995 }] });
    expect(low.finalSg.p90).toBeLessThanOrEqual(0.9995 + 1e-9);
  });
  it('orders its quantiles, falls day by day, and ends where the sums say', () => {
    const { band, finalSg, finalAbv } = ask({ readings });
    band.forEach((b, i) => {
      expect(b.p10).toBeLessThanOrEqual(b.p50);
      expect(b.p50).toBeLessThanOrEqual(b.p90);
      expect(b.p50).toBeLessThanOrEqual((band[i - 1]?.p50 ?? 2) + 1e-9);
    });
    expect(band[0]?.p50).toBeCloseTo(gravityOf(must), 4);
    expect(Math.abs(finalSg.p50 - dryGravityOf(must))).toBeLessThan(0.002);
    expect(finalAbv.p50).toBeGreaterThan(6.5);
  });
  it('knows that cold slows it, warmth hurries it, and that nothing happens below its least', () => {
    const from = (tempC: number): Forecast => ask({ readings, tempProfile: [...input.tempProfile, { day: 10, tempC }], todayDay: 10 });
    expect(from(12).finishDay.p50 ?? Infinity).toBeGreaterThan((from(18).finishDay.p50 ?? 0) + 3);
    expect(from(22).finishDay.p50 ?? 0).toBeLessThan(from(18).finishDay.p50 ?? 0);
    const frozen = from(1);
    expect(frozen.finishDay.p50).toBeNull();
    expect(frozen.chanceStuck).toBe(0);
  });
  it('feeding a hungry must early hurries it', () => {
    const hungry = liquidFromReadings({ volumeL: 20, sg: 1.052, taGPerL: 5.5, ph: 3.45, yanMgPerL: 25 });
    const plain = ask({ liquid: hungry, readings: readings.slice(0, 1) });
    const fed = ask({ liquid: hungry, readings: readings.slice(0, 1), feeds: [{ day: 3, mgNPerL: 60 }] });
    expect(fed.finishDay.p50 ?? Infinity).toBeLessThan((plain.finishDay.p50 ?? 0) - 1);
  });
  it('sees that one has stuck, when it stood still for weeks in the warm', () => {
    const stood = [10, 14, 20, 26, 32].map((day) => ({ day, sg: 1.024 }));
    expect(ask({ readings: [...readings.slice(0, 3), { day: 8, sg: 1.026 }, ...stood] }).chanceStuck).toBeGreaterThan(0.8);
    expect(ask({ readings }).chanceStuck).toBeLessThan(0.1);
  });
  it('stops at what the yeast stands, sweet', () => {
    const strong = liquidFromReadings({ volumeL: 20, sg: 1.11, taGPerL: 5.5, ph: 3.45, yanMgPerL: 150 });
    const { finalSg, finalAbv } = ask({ liquid: strong });
    expect(finalSg.p50).toBeGreaterThan(1.01);
    expect(finalAbv.p50).toBeGreaterThan(11);
    expect(finalAbv.p90).toBeLessThan(14.5);
  });
  it('learns from the maker’s own batches: their pace, and surer the more there are', () => {
    const slow = ask({ history: [{ rate: 0.5 }, { rate: 0.55 }, { rate: 0.5 }] });
    expect(slow.finishDay.p50 ?? 0).toBeGreaterThan((ask({}).finishDay.p50 ?? Infinity) + 4);
    expect(slow.rate.p90 / slow.rate.p10).toBeLessThan(ask({}).rate.p90 / ask({}).rate.p10);
  });
  it.each([
    ['a gravity no drink has', { readings: [{ day: 3, sg: 1.5 }] }],
    ['a reading past the horizon', { readings: [{ day: 500, sg: 1.01 }] }],
    ['boiling heat', { tempProfile: [{ day: 0, tempC: 140 }] }],
    ['too few members', { members: 10 }],
    ['water', { liquid: { ...must, sucroseGPerL: 0, hexoseGPerL: 0 } }],
  ])('refuses %s', (_, changes) => {
    expect(() => ask(changes)).toThrow(/must lie between/);
  });
});
