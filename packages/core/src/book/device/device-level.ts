import { DAY_MS } from '../../matter/quantity/days.js';
import { gravityText } from '../../base/worked/figures.js';
import type { Track } from './track.js';

/** Since when a device's gravity has stood level. */
export interface DeviceLevel {
  readonly sg: number;
  readonly days: number;
  /** What it means: it never proves an end. */
  readonly text: string;
}

/** Equal within this, as for readings off glass. */
const LEVEL_SG = 0.001;
/** A shorter rest is no news, days. */
const LEAST_DAYS = 3;

/**
 * How long a device has stood level.
 *
 * @param smooth - its smoothed gravity, corrected by what glass told
 * @returns the level and what to do about it; null while it moves
 */
export function deviceLevel(smooth: Track): DeviceLevel | null {
  const last = smooth.values.at(-1);
  const lastMs = smooth.atMs.at(-1);
  if (last === undefined || lastMs === undefined) return null;
  let sinceMs = lastMs;
  for (let i = smooth.values.length - 1; i >= 0 && Math.abs((smooth.values[i] ?? 0) - last) <= LEVEL_SG; i -= 1) sinceMs = smooth.atMs[i] ?? sinceMs;
  const days = (lastMs - sinceMs) / DAY_MS;
  if (days < LEAST_DAYS) return null;
  return {
    sg: last,
    days,
    text: `Level at about ${gravityText(last)} for ${Math.floor(days)} days by the device. It proves nothing alone: read it with the hydrometer, twice, a week apart.`,
  };
}
