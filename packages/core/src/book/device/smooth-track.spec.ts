import * as fc from 'fast-check';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { smoothTrack } from './smooth-track.js';
import { mediansByStretch } from './stretches.js';
import type { Track } from './track.js';

const HOUR_MS = DAY_MS / 24;
const BEGAN = Date.parse('2026-10-01T12:20:00Z');

/** A float that falls, with knocks, foam for some days, silences, and its steps in minutes. */
const sent = fc
  .record({
    steps: fc.array(fc.integer({ min: 1, max: 240 }), { minLength: 30, maxLength: 400 }),
    noise: fc.array(fc.double({ min: -0.006, max: 0.006, noNaN: true }), { minLength: 400, maxLength: 400 }),
    knocks: fc.array(fc.nat(399), { maxLength: 30 }),
    foam: fc.tuple(fc.nat(399), fc.nat(80)),
    silence: fc.tuple(fc.nat(399), fc.integer({ min: 0, max: 4000 })),
  })
  .map(({ steps, noise, knocks, foam: [foamFrom, foamFor], silence: [silentAt, silentMin] }): Track => {
    let minutes = 0;
    const at = steps.map((step, i) => (minutes += step + (i === silentAt ? silentMin : 0)));
    return {
      atMs: at.map((m) => BEGAN + m * 60_000),
      values: at.map((m, i) => 1.05 - 0.00001 * m + (noise[i] ?? 0) + (knocks.includes(i) ? 0.02 : 0) + (i >= foamFrom && i < foamFrom + foamFor ? 0.006 : 0)),
    };
  });
const firstOf = ({ atMs, values }: Track, count: number): Track => ({ atMs: atMs.slice(0, count), values: values.slice(0, count) });

describe('smoothing as figures come in', () => {
  it.each([0.002, Infinity])('gives what smoothing all of them gives (lifted by %p)', (liftedBy) => {
    fc.assert(
      fc.property(sent, fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 12 }), (track, parts) => {
        let count = Math.min(track.atMs.length, parts[0] ?? 1);
        let grown = smoothTrack(firstOf(track, count), liftedBy);
        for (const part of parts) {
          count = Math.min(track.atMs.length, count + part);
          grown = smoothTrack(firstOf(track, count), liftedBy, grown);
        }
        const whole = smoothTrack(firstOf(track, count), liftedBy);
        expect([grown.atMs, grown.values, grown.scatter]).toEqual([whole.atMs, whole.values, whole.scatter]);
      }),
      { ...SEED, numRuns: 60 },
    );
  });
  it('begins anew where an earlier figure is another, one comes late, or it was smoothed for another lift', () => {
    const track = fc.sample(sent, { seed: 7, numRuns: 1 })[0] ?? { atMs: [], values: [] };
    const known = smoothTrack(track, 0.002);
    const heavier = { ...track, values: track.values.map((v) => v + 0.001) };
    expect(smoothTrack(heavier, 0.002, known).values).toEqual(smoothTrack(heavier, 0.002).values);
    const late = { atMs: [BEGAN - HOUR_MS, ...track.atMs], values: [1.051, ...track.values] };
    expect(smoothTrack(late, 0.002, known).values).toEqual(smoothTrack(late, 0.002).values);
    expect(smoothTrack(track, Infinity, known).values).toEqual(smoothTrack(track).values);
  });
});

describe('the stretches of a track', () => {
  const everyMinute = (days: number): Track => {
    const atMs = Array.from({ length: days * 24 * 60 }, (_none, i) => BEGAN + i * 60_000);
    return { atMs, values: atMs.map((_ms, i) => 1.05 - i / 1e6) };
  };
  it('are the hours of the clock, whenever it began, with the median in their middle', () => {
    const { rough, lengthMs } = mediansByStretch(everyMinute(2));
    expect(lengthMs).toBe(HOUR_MS);
    // It began at twenty past: forty minutes, then whole hours.
    expect(rough.atMs.slice(0, 2)).toEqual([BEGAN + 19.5 * 60_000, BEGAN + 69.5 * 60_000]);
    expect(rough.values[1]).toBeCloseTo(1.05 - 69.5 / 1e6, 9);
    expect(rough.atMs).toHaveLength(49);
  });
  it('are twice as long in a track of more than a thousand, and those that are whole are not made again', () => {
    const long = everyMinute(45);
    const known = mediansByStretch(firstOf(long, 44 * 1440));
    const { lengthMs, same, rough } = mediansByStretch(long, known);
    expect(lengthMs).toBe(2 * HOUR_MS);
    expect(same).toBe(known.begins.length - 1);
    expect(rough).toEqual(mediansByStretch(long).rough);
  });
});
