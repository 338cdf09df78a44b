import type { BlendJuice, BlendLimit } from './blend-types.js';
import type { LinearAim } from './linear-aims.js';
import type { ShareBounds } from './shares.js';

/** A blend that misses its target, as the solver left it. */
export interface Missed {
  readonly juices: readonly BlendJuice[];
  readonly bounds: ShareBounds;
  readonly shares: readonly number[];
  readonly aims: readonly LinearAim[];
  /** From the target to the nearest reachable point, in differences just noticed. */
  readonly miss: readonly number[];
}

/**
 * What keeps a blend from its target. At the nearest reachable point every juice that would help more is used up, and
 * every one that hurts is at its least; those that lie beyond the blend in the direction of the target are the limits.
 * When no juice lies beyond the target at all, that is the limit, and no volume would help.
 *
 * @param missed - the nearest blend and how it misses
 * @returns the limits, the most telling first
 */
export function blendLimits({ juices, bounds, shares, aims, miss }: Missed): readonly BlendLimit[] {
  // Towards the target is against the miss: a juice with a smaller toll than the blend's own would bring it nearer.
  const toll = juices.map((_, i) => aims.reduce((sum, a, k) => sum + (a.perJuice[i] ?? 0) * (miss[k] ?? 0), 0));
  const blendToll = shares.reduce((sum, s, i) => sum + s * (toll[i] ?? 0), 0);
  const atStake = Math.max(1e-9, ...toll.map((t) => Math.abs(t - blendToll)));
  const limits: { limit: BlendLimit; pull: number }[] = [];
  juices.forEach((juice, i) => {
    const help = (blendToll - (toll[i] ?? 0)) / atStake;
    const full = (shares[i] ?? 0) >= (bounds.upper[i] ?? 0) - 1e-9;
    const least = (shares[i] ?? 0) <= (bounds.lower[i] ?? 0) + 1e-9;
    const pull = Math.abs(help);
    if (pull < 1e-6) return;
    if (juice.lockedL !== undefined) limits.push({ limit: { kind: 'held', juiceId: juice.id }, pull });
    else if (help > 0 && full) limits.push({ limit: { kind: 'used-up', juiceId: juice.id }, pull });
    else if (help < 0 && least && juice.minL > 0) limits.push({ limit: { kind: 'least', juiceId: juice.id }, pull });
  });
  const beyond = aims.flatMap((aim, k) => noneBeyond(juices, aim, miss[k] ?? 0));
  const found = [...beyond, ...limits.sort((a, b) => b.pull - a.pull).map((l) => l.limit)];
  return found.length > 0 ? found : [{ kind: 'conflict', aims: aims.map((a) => a.aim) }];
}

/** A difference that counts as a miss of this one figure. */
const COUNTS = 0.5;

function noneBeyond(juices: readonly BlendJuice[], aim: LinearAim, miss: number): readonly BlendLimit[] {
  if (Math.abs(miss) < COUNTS) return [];
  // A positive charge at the wanted pH means the juice's own pH lies above it, so pH reads like the others.
  const above = miss < 0;
  const best = aim.perJuice.reduce((b, v, i) => ((above ? v > (aim.perJuice[b] ?? 0) : v < (aim.perJuice[b] ?? 0)) ? i : b), 0);
  const value = aim.perJuice[best] ?? 0;
  if (above ? value >= aim.wanted : value <= aim.wanted) return [];
  return [{ kind: 'none-beyond', aim: aim.aim, side: above ? 'above' : 'below', bestJuiceId: juices[best]?.id ?? '' }];
}
