import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import { mediansByStretch, type Stretches } from './stretches.js';
import { indexAt, valueAt, type Track } from './track.js';

/** A track with the roughness taken out. */
export interface SmoothTrack extends Track {
  /** How far the raw figures scatter about it, one standard deviation, in the track's own unit. */
  readonly scatter: number;
  /** What it was made from, so that figures which follow need only the end of it made anew. */
  readonly from: { readonly stretches: Stretches; readonly first: readonly number[]; readonly liftedBy: number };
}

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
 * @param before - the same track as it was smoothed before the last figures came; the result is the same with it and without
 * @returns one figure a stretch that holds any
 * @source repeated medians: Siegel (1982), Biometrika 69
 */
export function smoothTrack(track: Track, liftedBy = Infinity, before?: SmoothTrack): SmoothTrack {
  const known = before?.from.liftedBy === liftedBy ? before : undefined;
  const stretches = mediansByStretch(track, known?.from.stretches);
  const { rough } = stretches;
  // A first line looks as far as its reach, and a second one as far again.
  const sameFirst = Math.max(0, stretches.same - REACH);
  const first = continued(known?.from.first, sameFirst, rough, (ms, i) => localLine(rough, ms, rough.values[i] ?? 0));
  const sameSmooth = indexAt(rough, (rough.atMs[sameFirst] ?? -Infinity) - REACH_MS);
  const kept = rough.values.map((value, i) => value - (first[i] ?? 0) <= liftedBy);
  const sound = kept.every((k) => k) ? rough : { atMs: rough.atMs.filter((_ms, i) => kept[i]), values: rough.values.filter((_v, i) => kept[i]) };
  const values = sound === rough ? first : continued(known?.values, sameSmooth, rough, (ms, i) => localLine(sound, ms, first[i] ?? 0));
  const smooth = { atMs: rough.atMs, values };
  return { ...smooth, scatter: scatterAbout(smooth, track), from: { stretches, first, liftedBy } };
}

/** Figures of which the first so many are known already. */
const continued = (known: readonly number[] = [], same: number, { atMs }: Track, figureAt: (ms: number, i: number) => number): readonly number[] => [
  ...known.slice(0, same),
  ...atMs.slice(same).map((ms, k) => figureAt(ms, same + k)),
];

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
