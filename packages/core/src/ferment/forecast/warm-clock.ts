/** A clock that runs with the warmth: days of it gone by the beginning of each step. */
export interface WarmClock {
  readonly stepDays: number;
  readonly ticks: Float64Array;
}

/**
 * Winds a clock on which a day in the warmth so far is a day.
 *
 * @param speeds - of each step, beside the mean speed so far; 0 where it sleeps
 * @param stepDays - length of a step
 * @returns the clock
 */
export function warmClock(speeds: readonly number[], stepDays: number): WarmClock {
  const ticks = new Float64Array(speeds.length + 1);
  speeds.forEach((speed, i) => (ticks[i + 1] = (ticks[i] ?? 0) + speed * stepDays));
  return { stepDays, ticks };
}

/** What the clock shows on a day. */
export function clockAt({ ticks, stepDays }: WarmClock, day: number): number {
  const at = Math.min(ticks.length - 1, Math.max(0, day / stepDays));
  const step = Math.min(ticks.length - 2, Math.floor(at));
  const [before, after] = [ticks[step] ?? 0, ticks[step + 1] ?? 0];
  return before + (after - before) * (at - step);
}

/** The day on which the clock shows so much; infinite where it never does. */
export function dayWhen({ ticks, stepDays }: WarmClock, shows: number): number {
  const last = ticks.length - 1;
  if ((ticks[last] ?? 0) < shows) return Infinity;
  let [lo, hi] = [0, last];
  while (hi - lo > 1) {
    const middle = (lo + hi) >> 1;
    if ((ticks[middle] ?? 0) < shows) lo = middle;
    else hi = middle;
  }
  const [before, after] = [ticks[lo] ?? 0, ticks[hi] ?? 0];
  return (lo + (after > before ? (shows - before) / (after - before) : 0)) * stepDays;
}
