import { indexAt, type Track } from './track.js';

/**
 * Thins a track out for drawing: of every column of the picture it keeps the first, the lowest, the highest and the
 * last figure, so that the line drawn through them covers the same pixels as the line through all.
 *
 * @param track - in rising order of time
 * @param span - the stretch of time drawn, ms since 1970, and how many columns it fills, 1 or more
 * @returns at most four figures a column, with one neighbour beyond each edge
 * @source M4 aggregation: Jugel, Jerzak, Hackenbroich & Markl (2014), Proc. VLDB 7(10)
 */
export function thinOut(track: Track, span: { readonly fromMs: number; readonly toMs: number; readonly columns: number }): Track {
  const { fromMs, toMs, columns } = span;
  const begin = Math.max(0, indexAt(track, fromMs) - 1);
  const end = Math.min(track.atMs.length, indexAt(track, toMs) + 1);
  if (end - begin <= 4 * columns) return { atMs: track.atMs.slice(begin, end), values: track.values.slice(begin, end) };
  const perMs = columns / (toMs - fromMs);
  const columnOf = (i: number): number => Math.floor(((track.atMs[i] ?? 0) - fromMs) * perMs);
  const kept: number[] = [];
  for (let first = begin; first < end; ) {
    const column = columnOf(first);
    let [low, high, next] = [first, first, first + 1];
    while (next < end && columnOf(next) === column) {
      const value = track.values[next] ?? 0;
      if (value < (track.values[low] ?? 0)) low = next;
      if (value > (track.values[high] ?? 0)) high = next;
      next += 1;
    }
    const ordered = [...new Set([first, Math.min(low, high), Math.max(low, high), next - 1])];
    kept.push(...ordered);
    first = next;
  }
  return { atMs: kept.map((i) => track.atMs[i] ?? 0), values: kept.map((i) => track.values[i] ?? 0) };
}
