import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { indexAt, valueAt, type Track } from './track.js';

/** A track with the roughness taken out. */
export interface SmoothTrack extends Track {
  /** How far the raw figures scatter about it, one standard deviation, in the track's own unit. */
  readonly scatter: number;
}

/** Medians are taken over stretches of this length, longer ones where the track is long. */
const LEAST_STRETCH_MS = DAY_MS / 24;
const MOST_STRETCHES = 500;
/** A local line looks this many stretches to each side, and needs this many figures. */
const REACH = 20;
const LEAST_IN_REACH = 3;
/** A local line never reaches further than this, so that a slow end is not bent by a fast beginning. */
const REACH_MS = 1.5 * DAY_MS;
/** Turns a median of absolute deviations into a standard deviation. @source normal distribution */
const MAD_TO_SD = 1.4826;

/**
 * Takes the roughness out of a device's track: medians over short stretches, then through each a local line by
 * repeated medians of slopes. Up to nearly half of what lies near may be off and does not bend it; a drop-out is
 * bridged by nothing. What foam lifts for longer is found in a second round: foam and knocks lift a float, and hardly
 * anything sinks it.
 *
 * @param track - in rising order of time, at least one figure
 * @param liftedBy - figures this far above the first round, in the track's own unit, are left out of the second; Infinity for no second round
 * @returns one figure a stretch that holds any
 * @source repeated medians: Siegel (1982), Biometrika 69
 */
export function smoothTrack(track: Track, liftedBy = Infinity): SmoothTrack {
  const rough = mediansByStretch(track);
  const first = rough.atMs.map((ms, i) => localLine(rough, ms, rough.values[i] ?? 0));
  const kept = rough.values.map((value, i) => value - (first[i] ?? 0) <= liftedBy);
  const sound = kept.every((k) => k) ? rough : { atMs: rough.atMs.filter((_ms, i) => kept[i]), values: rough.values.filter((_v, i) => kept[i]) };
  const values = sound === rough ? first : rough.atMs.map((ms, i) => localLine(sound, ms, first[i] ?? 0));
  const smooth = { atMs: rough.atMs, values };
  return { ...smooth, scatter: scatterAbout(smooth, track) };
}

function mediansByStretch(track: Track): Track {
  const first = track.atMs[0] ?? 0;
  const last = track.atMs.at(-1) ?? 0;
  const stretchMs = Math.max(LEAST_STRETCH_MS, (last - first) / MOST_STRETCHES);
  const atMs: number[] = [];
  const values: number[] = [];
  for (let begin = 0; begin < track.atMs.length; ) {
    const stretch = Math.floor(((track.atMs[begin] ?? 0) - first) / stretchMs);
    let end = begin + 1;
    while (end < track.atMs.length && Math.floor(((track.atMs[end] ?? 0) - first) / stretchMs) === stretch) end += 1;
    atMs.push(((track.atMs[begin] ?? 0) + (track.atMs[end - 1] ?? 0)) / 2);
    values.push(median(track.values.slice(begin, end)));
    begin = end;
  }
  return { atMs, values };
}

function localLine(rough: Track, ms: number, otherwise: number): number {
  const i = indexAt(rough, ms);
  const from = Math.max(0, i - REACH, indexAt(rough, ms - REACH_MS));
  const to = Math.min(i + REACH + 1, indexAt(rough, ms + REACH_MS));
  const atMs = rough.atMs.slice(from, to);
  const values = rough.values.slice(from, to);
  if (atMs.length < LEAST_IN_REACH) return otherwise;
  const slopes = new Float64Array(atMs.length - 1);
  const slopeFrom = (a: number): number => {
    for (let b = 0, k = 0; b < atMs.length; b += 1) {
      if (b === a) continue;
      slopes[k] = ((values[b] ?? 0) - (values[a] ?? 0)) / ((atMs[b] ?? 0) - (atMs[a] ?? 0));
      k += 1;
    }
    return median(slopes);
  };
  const slope = median(atMs.map((_at, a) => slopeFrom(a)));
  return median(values.map((value, k) => value + slope * (ms - (atMs[k] ?? 0))));
}

/** Measured on at most a thousand figures spread over the track. */
const SCATTER_SAMPLE = 1000;

function scatterAbout(smooth: Track, track: Track): number {
  const every = Math.max(1, Math.floor(track.atMs.length / SCATTER_SAMPLE));
  const off: number[] = [];
  for (let i = 0; i < track.atMs.length; i += every) {
    const ms = track.atMs[i] ?? 0;
    const expected = valueAt(smooth, ms, Infinity) ?? 0;
    off.push(Math.abs((track.values[i] ?? 0) - expected));
  }
  return MAD_TO_SD * median(off);
}
