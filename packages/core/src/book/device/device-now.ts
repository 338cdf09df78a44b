import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { trackOf, type DeviceSeries } from './device-tracks.js';
import { indexAt } from './track.js';

/** What a device says now, beside gravity. */
export interface DeviceNow {
  /** The moment of its newest reading, ms since 1970. */
  readonly atMs: number;
  readonly tempC: number | null;
  readonly ph: number | null;
}

/** The newest figures are taken together over this, so that one odd reading is not what it says. */
const TOGETHER_MS = DAY_MS / 4;

/**
 * The latest temperature and pH of a device, each the median of its last hours.
 *
 * @param series - what it sent
 * @returns null when it sent nothing
 */
export function deviceNow(series: DeviceSeries): DeviceNow | null {
  const atMs = series.atMs.at(-1);
  if (atMs === undefined) return null;
  const latest = (of: 'tempC' | 'ph'): number | null => {
    const track = trackOf(series, of);
    const values = track.values.slice(indexAt(track, atMs - TOGETHER_MS));
    return values.length === 0 ? null : median(values);
  };
  return { atMs, tempC: latest('tempC'), ph: latest('ph') };
}
