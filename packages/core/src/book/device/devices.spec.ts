import fc from 'fast-check';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { gravityOf, dryGravityOf } from '../../matter/liquid/views.js';
import { seededRandom } from '../../base/numeric/random.js';
import { makeFerment } from '../../testing/made-ferments.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { deviceGravity, FOAM_LIFTS_SG, forDeviceForecast, joinSeries, type DeviceSeries } from './device-tracks.js';
import { deviceNow } from './device-now.js';
import { deviceLevel } from './device-level.js';
import { checkInstrument } from './instrument-check.js';
import { gravityByWeight } from './gravity-by-weight.js';
import { offsetAgainstGlass } from './offset-against-glass.js';
import { smoothTrack } from './smooth-track.js';
import { standInReading, type StandInReading } from './stand-in.js';
import { thinOut } from './thin-out.js';
import { EMPTY_TRACK, valueAt, type Track } from './track.js';
import { vesselTruth } from '../outlook/vessel-truth.js';

const SINCE = Date.parse('2026-10-01T12:00:00Z');
const STEP = 15 * 60_000;
const must = liquidFromReadings({ volumeL: 20, sg: 1.055, taGPerL: 6, ph: 3.5, yanMgPerL: 90 });

/** A float in a ferment whose curve is none of ours, foaming in its first half. */
function floatIn(seed: number, days: number): { readonly raw: Track; readonly trueAt: (ms: number) => number } {
  const made = makeFerment(seededRandom(seed));
  const half = made.finishDay / 2;
  const raw = { atMs: [] as number[], values: [] as number[] };
  for (let ms = SINCE; ms < SINCE + days * DAY_MS; ms += STEP) {
    const day = (ms - SINCE) / DAY_MS;
    const truth = { sg: made.sgAt(day), tempC: 16, ph: 3.4, massG: 20_000, foam: day < half ? 1 : 0 };
    const said = standInReading({ kind: 'floating-hydrometer', seed, sinceMs: SINCE, atMs: ms, truth });
    if (said?.sg === undefined) continue;
    raw.atMs.push(ms);
    raw.values.push(said.sg);
  }
  return { raw, trueAt: (ms) => made.sgAt((ms - SINCE) / DAY_MS) };
}

describe('smoothTrack', () => {
  it.each([3, 11, 27, 40])('takes foam and noise out of a float (seed %i)', (seed) => {
    const { raw, trueAt } = floatIn(seed, 25);
    const smooth = smoothTrack(raw, FOAM_LIFTS_SG);
    // The float's own offset is not the smoothing's business.
    const offset = offsetAgainstGlass(smooth, { atMs: smooth.atMs, values: smooth.atMs.map(trueAt) }).offsetSg;
    const errors = smooth.values.map((v, i) => Math.abs(v - offset - trueAt(smooth.atMs[i] ?? 0)));
    const rough = raw.values.map((v, i) => Math.abs(v - offset - trueAt(raw.atMs[i] ?? 0)));
    const worst = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(0.985 * list.length)] ?? 0;
    expect(Math.max(...rough)).toBeGreaterThan(0.005);
    expect(worst(errors)).toBeLessThan(0.003);
    expect(errors.reduce((sum, e) => sum + e, 0) / errors.length).toBeLessThan(0.0008);
    expect(smooth.scatter).toBeLessThan(0.002);
  });
  it('leaves a straight line straight, through a drop-out', () => {
    const atMs = Array.from({ length: 400 }, (_none, i) => SINCE + i * STEP).filter((_ms, i) => i < 120 || i > 220);
    const line = { atMs, values: atMs.map((ms) => 1.05 - (ms - SINCE) / DAY_MS / 500) };
    const smooth = smoothTrack(line);
    smooth.values.forEach((v, i) => expect(v).toBeCloseTo(1.05 - ((smooth.atMs[i] ?? 0) - SINCE) / DAY_MS / 500, 6));
  });
});

describe('offsetAgainstGlass', () => {
  const flat: Track = { atMs: [0, 1, 2, 3, 4, 5, 6, 7, 8].map((d) => SINCE + d * DAY_MS), values: Array<number>(9).fill(1.012) };
  const glass = (...list: readonly (readonly [number, number])[]): Track => ({ atMs: list.map(([d]) => SINCE + d * DAY_MS), values: list.map(([, sg]) => sg) });
  it.each([
    ['Reads 0.002 high against one glass reading.', glass([3, 1.01])],
    ['Reads 0.003 low against 3 glass readings.', glass([1, 1.015], [2, 1.015], [3, 1.03])],
    ['Agrees with 2 glass readings.', glass([1, 1.012], [2, 1.012])],
  ])('says %s', (text, readings) => expect(offsetAgainstGlass(flat, readings).text).toBe(text));
  it('says when it was never compared, or wanders', () => {
    expect(offsetAgainstGlass(flat, glass([20, 1.01]))).toMatchObject({ comparedCount: 0, offsetSg: 0, plusMinusSg: 0.004 });
    const wandering = offsetAgainstGlass(flat, glass([1, 1.012], [7, 1.006]));
    expect(wandering.text).toContain('wandered by 0.006');
    expect(wandering.plusMinusSg).toBeCloseTo(0.003, 9);
  });
});

describe('thinOut', () => {
  it('keeps the ends, the extremes and the order of every column', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.9, max: 1.2, noNaN: true }), { minLength: 1, maxLength: 900 }),
        fc.integer({ min: 1, max: 40 }),
        (values, columns) => {
          const track = { atMs: values.map((_v, i) => i * 1000), values };
          const toMs = values.length * 1000;
          const thin = thinOut(track, { fromMs: 0, toMs, columns });
          expect(thin.atMs.length).toBeLessThanOrEqual(4 * columns + 2);
          expect(Math.min(...thin.values)).toBe(Math.min(...values));
          expect(Math.max(...thin.values)).toBe(Math.max(...values));
          expect([...thin.atMs].sort((a, b) => a - b)).toEqual([...thin.atMs]);
          expect([thin.values[0], thin.values.at(-1)]).toEqual([values[0], values.at(-1)]);
        },
      ),
      { seed: 5 },
    );
  });
  it('keeps one neighbour beyond each edge of what is looked at', () => {
    const track = { atMs: [0, 10, 20, 30, 40], values: [1, 2, 3, 4, 5] };
    expect(thinOut(track, { fromMs: 15, toMs: 25, columns: 50 }).atMs).toEqual([10, 20, 30]);
  });
});

describe('a scale under the vessel', () => {
  it('tells gravity by the gas that left', () => {
    const truth = vesselTruth({ liquid: must, yeastId: 'crisp-cider', pitchGPerL: 0.3, readings: [], tempProfile: [{ day: 0, tempC: 18 }], seed: 1 }, 60);
    const atMs = Array.from({ length: 60 }, (_none, d) => SINCE + d * DAY_MS);
    const told = gravityByWeight({ atMs, values: atMs.map((_ms, d) => truth(d).massG) }, must);
    told.values.forEach((sg, d) => expect(Math.abs(sg - truth(d).sg)).toBeLessThan(0.0035));
    expect(truth(0).massG - truth(59).massG).toBeGreaterThan(0.4 * 20 * 110);
  });
});

describe('vesselTruth', () => {
  const truth = vesselTruth({ liquid: must, yeastId: 'crisp-cider', pitchGPerL: 0.3, readings: [], tempProfile: [{ day: 0, tempC: 18 }], seed: 1 }, 60);
  it('falls from must to dry, foams only while it works', () => {
    expect(truth(0).sg).toBeCloseTo(gravityOf(must), 4);
    expect(truth(60).sg).toBeCloseTo(dryGravityOf(must), 2);
    expect(truth(0).foam).toBe(0);
    expect(truth(59).foam).toBe(0);
    expect(Math.max(...Array.from({ length: 30 }, (_n, d) => truth(d).foam))).toBeGreaterThan(0.5);
    expect(truth(20).ph).toBeLessThan(truth(0).ph);
  });
  it('goes through what was read', () => {
    const readings = [
      { day: 10, sg: 1.045 },
      { day: 30, sg: 1.02 },
    ];
    const slow = vesselTruth({ liquid: must, yeastId: 'crisp-cider', pitchGPerL: 0.3, readings, tempProfile: [{ day: 0, tempC: 18 }], seed: 1 }, 60);
    expect([slow(10).sg, slow(30).sg, slow(0).sg].map((sg) => sg.toFixed(3))).toEqual(['1.045', '1.020', '1.055']);
  });
});

describe('standInReading', () => {
  const truth = { sg: 1.04, tempC: 18, ph: 3.5, massG: 26_000, foam: 1 };
  const read = (kind: 'floating-hydrometer' | 'ph-meter' | 'scale', seed: number, n: number): (StandInReading | null)[] =>
    Array.from({ length: n }, (_none, i) => standInReading({ kind, seed, sinceMs: SINCE, atMs: SINCE + i * STEP, truth }));
  it('repeats itself for a seed, and differs between seeds', () => {
    expect(read('floating-hydrometer', 4, 50)).toEqual(read('floating-hydrometer', 4, 50));
    expect(read('floating-hydrometer', 4, 50)).not.toEqual(read('floating-hydrometer', 5, 50));
  });
  it('falls silent for hours, and is lifted by foam', () => {
    const said = read('floating-hydrometer', 9, 4000);
    expect(said.filter((r) => r === null).length).toBeGreaterThan(20);
    expect(said.filter((r) => r === null).length).toBeLessThan(400);
    const sgs = said.flatMap((r) => r?.sg ?? []);
    const middle = [...sgs].sort((a, b) => a - b)[sgs.length >> 1] ?? 0;
    expect(Math.max(...sgs) - middle).toBeGreaterThan(0.006);
  });
  it('measures what it is made for', () => {
    expect(Object.keys(read('ph-meter', 2, 1)[0] ?? {})).toEqual(['ph', 'tempC']);
    expect(Object.keys(read('scale', 2, 1)[0] ?? {})).toEqual(['massG']);
  });
});

describe('deviceGravity', () => {
  const seriesOf = ({ atMs, values }: Track): DeviceSeries => {
    const none = values.map(() => null);
    return { deviceId: 'F', atMs, sg: values, tempC: none, ph: none, massG: none, madeUp: false };
  };
  it('is corrected by glass, and gives the forecast a few figures with their doubt', () => {
    const { raw, trueAt } = floatIn(11, 20);
    const glassMs = SINCE + 8 * DAY_MS;
    const found = deviceGravity(seriesOf(raw), must, { atMs: [glassMs], values: [trueAt(glassMs)] });
    expect(valueAt(found?.smooth ?? raw, glassMs, DAY_MS)).toBeCloseTo(trueAt(glassMs), 4);
    const few = found ? forDeviceForecast(found) : [];
    expect(few.length).toBeGreaterThan(8);
    expect(few.length).toBeLessThanOrEqual(20);
    few.forEach((r) => expect(Math.abs(r.sg - trueAt(Date.parse(r.at)))).toBeLessThan(0.003));
    expect(new Set(few.map((r) => r.plusMinus))).toEqual(new Set([0.0015]));
  });
  it('gives the forecast nothing that a stand-in made up, though it is drawn', () => {
    const measured = seriesOf(floatIn(11, 20).raw);
    const later = { ...measured, atMs: measured.atMs.map((ms) => ms + 30 * DAY_MS), madeUp: true };
    const found = deviceGravity(joinSeries(measured, later), must, EMPTY_TRACK);
    expect(found?.smooth.values.length).toBeGreaterThan(0);
    expect(found ? forDeviceForecast(found) : null).toEqual([]);
  });
  it('tells nothing of a device that sent no gravity', () => {
    const none = { deviceId: 'P', atMs: [SINCE], sg: [null], tempC: [18], ph: [3.5], massG: [null], madeUp: false };
    expect(deviceGravity(none, must, { atMs: [], values: [] })).toBeNull();
  });
  it('says the latest warmth and pH by the median of some hours', () => {
    const hour = DAY_MS / 24;
    const series: DeviceSeries = {
      deviceId: 'P',
      atMs: [0, 10, 11, 12, 13].map((h) => SINCE + h * hour),
      sg: Array<null>(5).fill(null),
      tempC: [30, 17, 17.5, 18, null],
      ph: [4, 3.4, 3.42, 9, 3.44],
      massG: Array<null>(5).fill(null),
      madeUp: false,
    };
    expect(deviceNow(series)).toEqual({ atMs: SINCE + 13 * hour, tempC: 17.5, ph: expect.closeTo(3.43, 9) });
    expect(deviceNow({ ...series, atMs: [] })).toBeNull();
  });
  it('joins what comes late in its place, a moment once', () => {
    const part = (...days: readonly number[]): DeviceSeries => seriesOf({ atMs: days, values: days.map((d) => 1 + d / 1000) });
    expect(joinSeries(part(1, 2), part(3)).atMs).toEqual([1, 2, 3]);
    expect(joinSeries(part(1, 4), part(2, 4, 6))).toEqual(part(1, 2, 4, 6));
  });
});

describe('deviceLevel', () => {
  const track = (values: readonly number[]): Track => ({ atMs: values.map((_v, d) => SINCE + d * DAY_MS), values });
  it('says how long it stood, and that it proves nothing', () => {
    expect(deviceLevel(track([1.03, 1.02, 1.006, 1.0055, 1.0055, 1.005, 1.005]))?.text).toMatch(/^Level at about 1\.005 for 3 days .* proves nothing alone/);
  });
  it('is silent while it moves, and before there is anything', () => {
    expect(deviceLevel(track([1.03, 1.025, 1.02, 1.015]))).toBeNull();
    expect(deviceLevel(track([]))).toBeNull();
  });
});

describe('checkInstrument', () => {
  const at = { calibratedAtC: 20, sampleC: 20 };
  it.each([
    ['hydrometer', 1.002, at, -0.002, 'reads 0.002 high'],
    ['hydrometer', 0.998, at, 0.002, 'reads 0.002 low; Trug adds'],
    // A stem marked for 15.6 °C sinks deeper in water at 20 °C: 0.999 there is true.
    ['hydrometer', 0.9992, { calibratedAtC: 15.6, sampleC: 20 }, 0, 'It is true.'],
    ['ph-meter', 4.11, at, -0.1, 'reads 0.10 high'],
    ['refractometer', 0.4, at, -0.4, 'reads 0.4 high'],
    ['scale', 998, at, 0, 'It is true.'],
    ['thermometer', -1, at, 1, 'reads 1.0 low'],
  ] as const)('%s showing %d', (kind, shown, scale, offset, words) => {
    const found = checkInstrument(kind, shown, scale);
    expect(found).toMatchObject({ ok: true, text: expect.stringContaining(words) });
    expect(found.ok && found.offset).toBeCloseTo(offset, 3);
  });
  it.each([
    ['hydrometer', 1.05],
    ['hydrometer', NaN],
    ['hydrometer', 1002],
    ['ph-meter', 7],
  ] as const)('refuses to mend %s showing %d', (kind, shown) =>
    expect(checkInstrument(kind, shown, at)).toMatchObject({ ok: false, text: expect.stringContaining('too far off') }),
  );
});
