import { inRange } from '../../base/errors/guards.js';
import type { LinearAim } from './linear-aims.js';
import type { ShareBounds } from './shares.js';

/** Exact volumes to bring to what a maker can pour. */
export interface Rounding {
  readonly exactL: readonly number[];
  readonly bounds: ShareBounds;
  readonly totalL: number;
  /** Smallest step, L. */
  readonly measureL: number;
  readonly aims: readonly LinearAim[];
}

/**
 * Volumes rounded to the maker's measure without changing the total: each is rounded down, the measures left over go
 * where the most was cut, and then single measures are moved between juices while that brings the blend nearer its
 * targets. What is no whole measure (a held 2.37 L, or the odd end of the total) stays as it is.
 *
 * @param rounding - exact volumes, bounds, total, measure, 0.01–50 L, and the targets
 * @returns volumes in measures, adding up to the total
 */
export function roundToMeasure({ exactL, bounds, totalL, measureL, aims }: Rounding): readonly number[] {
  inRange('measureL', measureL, { min: 0.01, max: 50 });
  const lowL = bounds.lower.map((v) => v * totalL);
  const highL = bounds.upper.map((v) => v * totalL);
  const moves = exactL.map((_, i) => (highL[i] ?? 0) - (lowL[i] ?? 0) > 1e-9);
  const volumesL = exactL.map((v, i) => (moves[i] && v < (highL[i] ?? 0) - 1e-9 ? Math.max(lowL[i] ?? 0, Math.floor(v / measureL + 1e-9) * measureL) : v));
  let overL = totalL - volumesL.reduce((sum, v) => sum + v, 0);
  const cut = exactL.map((v, i) => v - (volumesL[i] ?? 0));
  const room = (i: number): number => (moves[i] ? (highL[i] ?? 0) - (volumesL[i] ?? 0) : 0);
  const order = exactL.map((_, i) => i).sort((a, b) => (cut[b] ?? 0) - (cut[a] ?? 0));
  for (let turn = 0; overL > 1e-9 && turn <= exactL.length; turn += 1) {
    for (const i of order) {
      const pour = Math.min(measureL, overL, room(i));
      if (pour <= 1e-12) continue;
      volumesL[i] = (volumesL[i] ?? 0) + pour;
      overL -= pour;
    }
  }
  improve(volumesL, { moves, lowL, highL, totalL, measureL, aims });
  return volumesL;
}

interface Moves {
  readonly moves: readonly boolean[];
  readonly lowL: readonly number[];
  readonly highL: readonly number[];
  readonly totalL: number;
  readonly measureL: number;
  readonly aims: readonly LinearAim[];
}

/** Moves one measure at a time from one juice to another while the miss grows smaller. */
function improve(volumesL: number[], { moves, lowL, highL, totalL, measureL, aims }: Moves): void {
  if (aims.length === 0) return;
  const miss = aims.map((a) => a.perJuice.reduce((sum, v, i) => sum + (v * (volumesL[i] ?? 0)) / totalL, -a.wanted));
  const after = (from: number, to: number): number[] =>
    miss.map((m, k) => m + (((aims[k]?.perJuice[to] ?? 0) - (aims[k]?.perJuice[from] ?? 0)) * measureL) / totalL);
  const movable = volumesL.flatMap((_, i) => (moves[i] ? [i] : []));
  for (let turn = 0; turn < 4 * volumesL.length; turn += 1) {
    let best = { size: Math.hypot(...miss) - 1e-6, from: -1, to: -1 };
    for (const from of movable) {
      if ((volumesL[from] ?? 0) - measureL < (lowL[from] ?? 0) - 1e-9) continue;
      for (const to of movable) {
        if (to === from || (volumesL[to] ?? 0) + measureL > (highL[to] ?? 0) + 1e-9) continue;
        const size = Math.hypot(...after(from, to));
        if (size < best.size) best = { size, from, to };
      }
    }
    if (best.from < 0) return;
    const next = after(best.from, best.to);
    volumesL[best.from] = (volumesL[best.from] ?? 0) - measureL;
    volumesL[best.to] = (volumesL[best.to] ?? 0) + measureL;
    next.forEach((m, k) => (miss[k] = m));
  }
}
