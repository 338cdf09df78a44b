import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { valueAt, type Track } from './track.js';

/** What comparing a device with a glass hydrometer tells. */
export interface GlassCheck {
  /** How much the device reads high, SG; below zero when it reads low; 0 when it was never compared. */
  readonly offsetSg: number;
  /** How far that may be off, SG. */
  readonly plusMinusSg: number;
  /** How many glass readings it was compared with. */
  readonly comparedCount: number;
  /** How its offset wandered between the first and the last comparison, SG; null with fewer than two a few days apart. */
  readonly driftSg: number | null;
  readonly text: string;
}

/** A glass reading is compared with what the device said at most this far away. */
const WITHIN_MS = DAY_MS / 2;
/** A glass reading may be off by this, one standard deviation. @source readability of a home stem */
const GLASS_SG = 0.001;
/** What an unchecked float may be off by. @source our estimate of floats as they come out of the box */
const UNCHECKED_SG = 0.004;
/** A wandering below this is roughness. @source two stem readings */
const DRIFT_SG = 0.002;
const DRIFT_APART_MS = 4 * DAY_MS;

/**
 * Compares a device with the glass readings of the same batch.
 *
 * @param smooth - the device's smoothed gravity
 * @param glass - corrected gravities read off glass, by time
 * @returns its offset, how sure, whether it wanders, and the same in words
 * @source median of the differences
 */
export function offsetAgainstGlass(smooth: Track, glass: Track): GlassCheck {
  const off = glass.atMs.flatMap((ms, i) => {
    const device = valueAt(smooth, ms, WITHIN_MS);
    return device === null ? [] : [{ ms, sg: device - (glass.values[i] ?? 0) }];
  });
  const [first, last] = [off[0], off.at(-1)];
  if (!first || !last) {
    return {
      offsetSg: 0,
      plusMinusSg: UNCHECKED_SG,
      comparedCount: 0,
      driftSg: null,
      text: 'Never compared with glass, so it may be off by 0.004 either way. Take one reading with the hydrometer.',
    };
  }
  const offsetSg = median(off.map((o) => o.sg));
  const driftSg = last.ms - first.ms >= DRIFT_APART_MS ? last.sg - first.sg : null;
  const times = off.length === 1 ? 'one glass reading' : `${off.length} glass readings`;
  const points = Math.abs(offsetSg).toFixed(3);
  const said = points === '0.000' ? `Agrees with ${times}.` : `Reads ${points} ${offsetSg > 0 ? 'high' : 'low'} against ${times}.`;
  const wanders = driftSg !== null && Math.abs(driftSg) > DRIFT_SG;
  return {
    offsetSg,
    plusMinusSg: Math.max(GLASS_SG / Math.sqrt(off.length), wanders ? Math.abs(driftSg) / 2 : 0),
    comparedCount: off.length,
    driftSg,
    text: wanders ? `${said} It has wandered by ${Math.abs(driftSg).toFixed(3)} since the first, so compare it again before you trust it.` : said,
  };
}
