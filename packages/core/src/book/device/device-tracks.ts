import type { Liquid } from '../../matter/liquid/liquid.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { deviceLevel, type DeviceLevel } from './device-level.js';
import { gravityByWeight } from './gravity-by-weight.js';
import { offsetAgainstGlass, type GlassCheck } from './offset-against-glass.js';
import { smoothTrack, type SmoothTrack } from './smooth-track.js';
import { EMPTY_TRACK, type Track } from './track.js';

/** What a device sent about one batch, in rising order of time; a figure it did not send is null. */
export interface DeviceSeries {
  readonly deviceId: string;
  readonly atMs: readonly number[];
  readonly sg: readonly (number | null)[];
  readonly tempC: readonly (number | null)[];
  readonly ph: readonly (number | null)[];
  readonly massG: readonly (number | null)[];
  /** Whether any of it was made up by a stand-in: then it is drawn, and counts for nothing. */
  readonly madeUp: boolean;
}

/** A device's gravity made ready to be drawn and judged. */
export interface DeviceGravity {
  readonly deviceId: string;
  /** As it was sent, by a scale as its weight tells. */
  readonly raw: Track;
  /** Smoothed, and corrected by what glass told. */
  readonly smooth: Track;
  /** Scatter of the raw figures, SG. */
  readonly scatterSg: number;
  readonly check: GlassCheck;
  readonly level: DeviceLevel | null;
  readonly madeUp: boolean;
}

/** The same with what it was made from, so that what comes next costs little. */
export interface GrowingGravity extends DeviceGravity {
  /** Smoothed, and not yet corrected. */
  readonly rough: SmoothTrack;
}

/** One quantity of a series, without its gaps. */
export function trackOf(series: DeviceSeries, of: 'sg' | 'tempC' | 'ph' | 'massG'): Track {
  const atMs: number[] = [];
  const values: number[] = [];
  series[of].forEach((value, i) => {
    const ms = series.atMs[i];
    if (value === null || ms === undefined) return;
    atMs.push(ms);
    values.push(value);
  });
  return { atMs, values };
}

/** One series after another, as readings come in. Sorts only where they came late. */
export function joinSeries(earlier: DeviceSeries, later: DeviceSeries): DeviceSeries {
  const joined: DeviceSeries = {
    deviceId: earlier.deviceId,
    atMs: [...earlier.atMs, ...later.atMs],
    sg: [...earlier.sg, ...later.sg],
    tempC: [...earlier.tempC, ...later.tempC],
    ph: [...earlier.ph, ...later.ph],
    massG: [...earlier.massG, ...later.massG],
    madeUp: earlier.madeUp || later.madeUp,
  };
  if ((earlier.atMs.at(-1) ?? -Infinity) < (later.atMs[0] ?? Infinity)) return joined;
  const order = joined.atMs.map((_ms, i) => i).sort((a, b) => (joined.atMs[a] ?? 0) - (joined.atMs[b] ?? 0));
  // A moment sent twice counts once.
  const kept = order.filter((i, k) => k === 0 || joined.atMs[i] !== joined.atMs[order[k - 1] ?? -1]);
  const pick = <T>(list: readonly T[]): T[] => kept.flatMap((i) => list.slice(i, i + 1));
  return {
    deviceId: joined.deviceId,
    atMs: pick(joined.atMs),
    sg: pick(joined.sg),
    tempC: pick(joined.tempC),
    ph: pick(joined.ph),
    massG: pick(joined.massG),
    madeUp: joined.madeUp,
  };
}

/** Device readings a forecast may use: one for so many days, and so many at most. */
const FORECAST_EVERY_MS = 1.5 * DAY_MS;
const FORECAST_MOST = 20;

/** A device's gravity as a reading for the forecast, and how far it may be off. */
export interface DeviceReading {
  readonly at: string;
  readonly sg: number;
  readonly plusMinus: number;
}

/** Less than this is roughness rather than foam. @source our estimate, about three times a float's noise */
export const FOAM_LIFTS_SG = 0.002;

/**
 * A device's gravity: smoothed, compared with glass, corrected by that, and looked at for a rest.
 *
 * @param series - what it sent
 * @param must - the must as pitched, for a scale; null when unknown
 * @param glass - corrected gravities read off glass, by time
 * @param before - the same before the last figures came, which spares most of the work; the result is the same without
 * @returns it made ready; null when it sent nothing that tells gravity
 */
export function deviceGravity(series: DeviceSeries, must: Liquid | null, glass: Track, before?: GrowingGravity): GrowingGravity | null {
  const direct = trackOf(series, 'sg');
  const raw = direct.atMs.length > 0 ? direct : must ? gravityByWeight(trackOf(series, 'massG'), must) : EMPTY_TRACK;
  if (raw.atMs.length === 0) return null;
  const rough = smoothTrack(raw, FOAM_LIFTS_SG, before?.rough);
  const check = offsetAgainstGlass(rough, glass);
  const smooth = { atMs: rough.atMs, values: rough.values.map((sg) => sg - check.offsetSg) };
  const { deviceId, madeUp } = series;
  return { deviceId, raw, smooth, scatterSg: rough.scatter, check, level: deviceLevel(smooth), madeUp, rough };
}

/**
 * The few figures of a device that a forecast rests on. Its errors hang together, so many of them tell no more than a few.
 *
 * @param gravity - made ready
 * @returns at most twenty, the newest among them; none of what was made up
 */
export function forDeviceForecast({ smooth, check, madeUp }: DeviceGravity): readonly DeviceReading[] {
  if (madeUp) return [];
  const picked: DeviceReading[] = [];
  let nextMs = Infinity;
  for (let i = smooth.atMs.length - 1; i >= 0 && picked.length < FORECAST_MOST; i -= 1) {
    const ms = smooth.atMs[i] ?? 0;
    if (ms > nextMs) continue;
    picked.push({ at: new Date(ms).toISOString(), sg: smooth.values[i] ?? 1, plusMinus: Math.max(0.0015, check.plusMinusSg) });
    nextMs = ms - FORECAST_EVERY_MS;
  }
  return picked.reverse();
}
