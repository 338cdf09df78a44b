import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { BlendJuice } from './blend-types.js';

/** Bounds on each juice's share of the blend, as fractions of its volume. */
export interface ShareBounds {
  readonly lower: readonly number[];
  readonly upper: readonly number[];
}

const ROUNDING_L = 1e-9;

/**
 * The bounds of each juice as shares of the blend: a held volume leaves no room.
 *
 * @param juices - with their least, most and held volumes, L
 * @param totalL - volume to make, L, > 0
 * @returns lower and upper shares, 0–1
 * @throws {CoreError} OUT_OF_RANGE on impossible volumes; UNREACHABLE when the juices are too little, or the least volumes too much
 */
export function shareBounds(juices: readonly BlendJuice[], totalL: number): ShareBounds {
  inRange('totalL', totalL, LIMITS.pourL);
  for (const juice of juices) {
    inRange('maxL', juice.maxL, LIMITS.volumeL);
    inRange('minL', juice.minL, { min: 0, max: juice.maxL });
    if (juice.lockedL !== undefined) inRange('lockedL', juice.lockedL, { min: 0, max: juice.maxL });
  }
  const lowL = juices.map((j) => j.lockedL ?? j.minL);
  const highL = juices.map((j) => j.lockedL ?? j.maxL);
  const leastL = lowL.reduce((sum, v) => sum + v, 0);
  const mostL = highL.reduce((sum, v) => sum + v, 0);
  if (mostL < totalL - ROUNDING_L || leastL > totalL + ROUNDING_L) {
    const short = mostL < totalL;
    const message = short ? `there are ${mostL.toFixed(2)} L to pour, not ${totalL}` : `${leastL.toFixed(2)} L are to be used at least, more than ${totalL}`;
    throw new CoreError('UNREACHABLE', message, { field: 'totalL', given: totalL, leastL, mostL, limit: short ? 'too-little' : 'too-much' });
  }
  return { lower: lowL.map((v) => v / totalL), upper: highL.map((v) => v / totalL) };
}

/**
 * The shares that make a weighted sum least: the best juices poured full, in order, until the blend is full.
 *
 * @param weights - one a juice
 * @param bounds - shares allowed
 * @returns shares that add up to one
 */
export function leastShares(weights: readonly number[], { lower, upper }: ShareBounds): number[] {
  const shares = [...lower];
  let left = 1 - lower.reduce((sum, v) => sum + v, 0);
  const order = weights.map((_, i) => i).sort((a, b) => (weights[a] ?? 0) - (weights[b] ?? 0));
  for (const i of order) {
    if (left <= 0) break;
    const pour = Math.min(left, (upper[i] ?? 0) - (lower[i] ?? 0));
    shares[i] = (shares[i] ?? 0) + pour;
    left -= pour;
  }
  return shares;
}
