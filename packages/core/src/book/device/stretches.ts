import { median } from '../../base/numeric/median.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import type { Track } from './track.js';

/** A track by stretches of equal length, each with the median of what it holds. */
export interface Stretches {
  readonly lengthMs: number;
  readonly track: Track;
  /** Where in the track each stretch begins. */
  readonly begins: readonly number[];
  readonly rough: Track;
  /** How many stretches, from the first, are the same as they were before. */
  readonly same: number;
}

/** Medians are taken over an hour, or over twice as long again and again where the track is long: so a stretch stays one as figures come in. */
const LEAST_STRETCH_MS = DAY_MS / 24;
const MOST_STRETCHES = 1000;

function lengthFor({ atMs }: Track): number {
  const [first, last] = [atMs[0] ?? 0, atMs.at(-1) ?? 0];
  let lengthMs = LEAST_STRETCH_MS;
  while ((last - first) / lengthMs > MOST_STRETCHES) lengthMs *= 2;
  return lengthMs;
}

/** Whether a track is another with more figures after it. */
function continues(track: Track, before: Track): boolean {
  return before.atMs.length <= track.atMs.length && before.atMs.every((ms, i) => track.atMs[i] === ms && track.values[i] === before.values[i]);
}

/**
 * The medians of a track by stretches of an hour, or longer where it is long.
 *
 * @param track - in rising order of time
 * @param before - of the same track when it was shorter; whatever is the same is not made again
 * @returns one figure for each stretch that holds any, in the middle of what it holds
 */
export function mediansByStretch(track: Track, before?: Stretches): Stretches {
  const lengthMs = lengthFor(track);
  const known = before?.lengthMs === lengthMs && continues(track, before.track) ? before : undefined;
  // The last stretch may have grown.
  const same = known ? Math.max(0, known.begins.length - 1) : 0;
  const begins = known?.begins.slice(0, same) ?? [];
  const atMs = known?.rough.atMs.slice(0, same) ?? [];
  const values = known?.rough.values.slice(0, same) ?? [];
  const stretchOf = (i: number): number => Math.floor((track.atMs[i] ?? 0) / lengthMs);
  for (let begin = known?.begins[same] ?? 0; begin < track.atMs.length; ) {
    const stretch = stretchOf(begin);
    let end = begin + 1;
    while (end < track.atMs.length && stretchOf(end) === stretch) end += 1;
    begins.push(begin);
    atMs.push(((track.atMs[begin] ?? 0) + (track.atMs[end - 1] ?? 0)) / 2);
    values.push(median(track.values.slice(begin, end)));
    begin = end;
  }
  return { lengthMs, track, begins, rough: { atMs, values }, same };
}
