/** A stretch of time that is looked at, ms since 1970. */
export interface TimeSpan {
  readonly fromMs: number;
  readonly toMs: number;
}

/** Nothing shorter is worth looking at, ms. */
const LEAST_MS = 2 * 3_600_000;

/**
 * The stretch between two places of the drawing.
 *
 * @param shown - the stretch now drawn
 * @param between - two places as shares of the plot's width, 0–1, in any order
 * @returns the stretch; null when it is too short to have been meant
 */
export function spanBetween(shown: TimeSpan, between: readonly [number, number]): TimeSpan | null {
  const at = (share: number): number => shown.fromMs + Math.min(1, Math.max(0, share)) * (shown.toMs - shown.fromMs);
  const [a, b] = [at(Math.min(...between)), at(Math.max(...between))];
  return b - a >= LEAST_MS ? { fromMs: a, toMs: b } : null;
}

/**
 * The stretch after a key: `+` and `-` zoom about the middle, the arrows move by a quarter.
 *
 * @param shown - the stretch now drawn
 * @param whole - everything there is
 * @param key - as the keyboard names it
 * @returns the new stretch, within the whole; null for everything; undefined when the key means nothing here
 */
export function spanAfterKey(shown: TimeSpan, whole: TimeSpan, key: string): TimeSpan | null | undefined {
  const length = shown.toMs - shown.fromMs;
  const middle = (shown.fromMs + shown.toMs) / 2;
  const around = (half: number): TimeSpan => ({ fromMs: middle - half, toMs: middle + half });
  const moved = (by: number): TimeSpan => ({ fromMs: shown.fromMs + by, toMs: shown.toMs + by });
  switch (key) {
    case '+':
    case '=':
      return length / 2 < LEAST_MS ? shown : around(length / 4);
    case '-':
      return within(around(length), whole);
    case 'ArrowLeft':
      return within(moved(-length / 4), whole);
    case 'ArrowRight':
      return within(moved(length / 4), whole);
    case '0':
    case 'Escape':
      return null;
    default:
      return undefined;
  }
}

function within({ fromMs, toMs }: TimeSpan, whole: TimeSpan): TimeSpan | null {
  if (toMs - fromMs >= whole.toMs - whole.fromMs) return null;
  const shift = Math.max(0, whole.fromMs - fromMs) - Math.max(0, toMs - whole.toMs);
  return { fromMs: fromMs + shift, toMs: toMs + shift };
}

/**
 * The stretch after a wheel or two fingers: so many times as long, the moment under the hand staying where it is.
 *
 * @param shown - the stretch now drawn
 * @param whole - everything there is
 * @param at - the place of the hand as a share of the plot's width, 0–1
 * @param times - below one closer, above one wider
 * @returns the new stretch within the whole; null for everything
 */
export function spanAround(shown: TimeSpan, whole: TimeSpan, at: number, times: number): TimeSpan | null {
  const length = Math.max(LEAST_MS, (shown.toMs - shown.fromMs) * times);
  const under = shown.fromMs + at * (shown.toMs - shown.fromMs);
  return within({ fromMs: under - at * length, toMs: under + (1 - at) * length }, whole);
}
