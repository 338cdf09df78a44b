/** Groups up to this size together are counted out exactly. */
const MOST_TOGETHER = 20;

/** How two groups of figures stand to one another. */
export interface RankTest {
  /** Chance that a split at random is at least as lopsided, two-sided. */
  readonly p: number;
  /** The smallest chance that groups of these sizes can ever give. */
  readonly leastP: number;
}

/**
 * The exact rank test of two groups: every way of dealing the same figures out is counted, ties sharing their rank.
 *
 * @param a - one group
 * @param b - the other
 * @returns null when a group is empty, or both together hold more than twenty
 * @source Mann and Whitney's rank sum, by full enumeration
 */
export function rankTest(a: readonly number[], b: readonly number[]): RankTest | null {
  const all = [...a, ...b];
  if (a.length === 0 || b.length === 0 || all.length > MOST_TOGETHER) return null;
  // Twice the rank, so that shared ranks stay whole.
  const ranks = all.map((value) => all.filter((other) => other < value).length * 2 + all.filter((other) => other === value).length + 1);
  const most = ranks.reduce((sum, rank) => sum + rank, 0);
  // ways[k][s]: in how many ways k figures have the doubled rank sum s.
  const ways = Array.from({ length: a.length + 1 }, () => new Float64Array(most + 1));
  const none = ways[0];
  if (none) none[0] = 1;
  for (const rank of ranks) {
    for (let k = a.length; k > 0; k -= 1) {
      const [to, from] = [ways[k], ways[k - 1]];
      if (!to || !from) continue;
      for (let sum = most; sum >= rank; sum -= 1) to[sum] = (to[sum] ?? 0) + (from[sum - rank] ?? 0);
    }
  }
  const counts = ways[a.length] ?? new Float64Array();
  const total = counts.reduce((sum, n) => sum + n, 0);
  const middle = (a.length * most) / all.length;
  const off = Math.abs(ranks.slice(0, a.length).reduce((sum, rank) => sum + rank, 0) - middle);
  let [asFar, farthest, leastWays] = [0, -1, 0];
  counts.forEach((n, sum) => {
    const far = Math.abs(sum - middle);
    if (n === 0) return;
    if (far >= off - 1e-9) asFar += n;
    if (far > farthest + 1e-9) [farthest, leastWays] = [far, n];
    else if (far >= farthest - 1e-9) leastWays += n;
  });
  return { p: asFar / total, leastP: leastWays / total };
}
