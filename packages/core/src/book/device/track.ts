/** Figures of one quantity by time, in rising order of time; both lists are equally long. */
export interface Track {
  /** Milliseconds since 1970. */
  readonly atMs: readonly number[];
  readonly values: readonly number[];
}

/** A track of nothing. */
export const EMPTY_TRACK: Track = Object.freeze({ atMs: [], values: [] });

/**
 * The first place in a track at or after a moment.
 *
 * @param track - in rising order of time
 * @param ms - milliseconds since 1970
 * @returns an index, 0 to the track's length
 */
export function indexAt({ atMs }: Track, ms: number): number {
  let low = 0;
  let high = atMs.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((atMs[middle] ?? 0) < ms) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * What a track says at a moment, along a straight line between its neighbours.
 *
 * @param track - in rising order of time
 * @param ms - milliseconds since 1970
 * @param withinMs - how far the nearest figure may be
 * @returns the figure; null where the track has none near enough
 */
export function valueAt(track: Track, ms: number, withinMs: number): number | null {
  const after = indexAt(track, ms);
  const [leftMs, rightMs] = [track.atMs[after - 1], track.atMs[after]];
  const [left, right] = [track.values[after - 1], track.values[after]];
  const nearLeft = leftMs !== undefined && left !== undefined && ms - leftMs <= withinMs;
  const nearRight = rightMs !== undefined && right !== undefined && rightMs - ms <= withinMs;
  if (nearLeft && nearRight) return rightMs === leftMs ? right : left + ((right - left) * (ms - leftMs)) / (rightMs - leftMs);
  return nearLeft ? left : nearRight ? right : null;
}
