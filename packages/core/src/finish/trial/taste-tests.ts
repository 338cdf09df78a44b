import { CoreError } from '../../base/errors/core-error.js';
import { rankSumsOf } from './rank-sums.js';

/** What a tasting showed, and what it could have shown. */
export interface TasteTest {
  /** Chance of as much or more from guessing alone, 0–1. */
  readonly chance: number;
  /** How often a test of this size finds a difference that half of those who taste can taste, 0–1; null where that is not told. */
  readonly finds: number | null;
  /** The smallest chance that a test of this size can give. */
  readonly leastChance: number;
}

/** A chance below this counts as more than guessing. @source the usual one in twenty */
export const RARE = 0.05;
/** Guessing which of three glasses is the odd one. */
const GUESS_OF_THREE = 1 / 3;
/** Share of people supposed to taste the difference where a test is asked what it could find. @source our choice, as the design gives its figures */
const TASTE_IT = 0.5;
/** More do not sit round one table. */
export const MOST_TASTERS = 60;

function checked(n: number, least: number): number {
  if (!Number.isInteger(n) || n < least || n > MOST_TASTERS) throw new CoreError('OUT_OF_RANGE', `tasters must be ${least} to ${MOST_TASTERS}`, { n });
  return n;
}

/** The chance of at least k of n. */
function atLeast(n: number, k: number, p: number): number {
  let [term, sum] = [(1 - p) ** n, 0];
  for (let i = 0; i <= n; i += 1) {
    if (i >= k) sum += term;
    term *= ((n - i) / (i + 1)) * (p / (1 - p));
  }
  return Math.min(1, sum);
}

/**
 * Whether people find the odd glass of three more often than by guessing.
 *
 * @param input - n who tasted, 1–60, and how many were right
 * @returns the exact chance, and how often such a test finds what half of them can taste
 * @throws {CoreError} OUT_OF_RANGE
 * @source exact binomial of one third; 6 of 8 gives 0.020 and finds it 47 times in 100, 13 of 24 finds it 93 times
 */
export function triangleTest({ n, correct }: { readonly n: number; readonly correct: number }): TasteTest {
  checked(n, 1);
  const needed = Array.from({ length: n + 1 }, (_none, k) => k).find((k) => atLeast(n, k, GUESS_OF_THREE) <= RARE) ?? null;
  const right = TASTE_IT + (1 - TASTE_IT) * GUESS_OF_THREE;
  return {
    chance: atLeast(n, correct, GUESS_OF_THREE),
    finds: needed === null ? 0 : atLeast(n, needed, right),
    leastChance: atLeast(n, n, GUESS_OF_THREE),
  };
}

/**
 * Whether more people prefer one of two glasses than by tossing a coin.
 *
 * @param input - n who chose, 1–60, and how many chose the one
 * @returns the exact two-sided chance
 * @throws {CoreError} OUT_OF_RANGE
 * @source exact binomial of one half, both sides; 10 of 12 gives 0.039
 */
export function preferenceTest({ n, prefer }: { readonly n: number; readonly prefer: number }): TasteTest {
  checked(n, 1);
  const far = Math.max(prefer, n - prefer);
  return { chance: Math.min(1, 2 * atLeast(n, far, 0.5)), finds: null, leastChance: Math.min(1, 2 * atLeast(n, n, 0.5)) };
}

/** Every order of so many. */
function ordersOf(count: number): readonly (readonly number[])[] {
  if (count === 0) return [[]];
  return ordersOf(count - 1).flatMap((order) => Array.from({ length: count }, (_none, at) => [...order.slice(0, at), count - 1, ...order.slice(at)]));
}

/** Glasses that can be ranked with every outcome counted out. */
export const MOST_RANKED = 4;

/**
 * Whether several people rank the same glasses more alike than by chance.
 *
 * @param orders - for each who tasted, the glasses from best to worst, by number from 0; 2 to 4 glasses
 * @returns the exact chance, and the rank sum of each glass: the lowest is liked best
 * @throws {CoreError} OUT_OF_RANGE when there are none, or they are not orders of the same glasses
 * @source rank sums (Friedman), every way of ranking counted out
 */
export function rankingTest(orders: readonly (readonly number[])[]): TasteTest & { readonly rankSums: readonly number[] } {
  checked(orders.length, 1);
  const glasses = orders[0]?.length ?? 0;
  const isOrder = (order: readonly number[]): boolean =>
    order.length === glasses && Array.from({ length: glasses }, (_n, i) => i).every((i) => order.includes(i));
  if (glasses < 2 || glasses > MOST_RANKED || !orders.every(isOrder))
    throw new CoreError('OUT_OF_RANGE', 'each ranks the same two to four glasses', { glasses });
  const rankSums = rankSumsOf(orders, glasses);
  const spread = (sums: readonly number[]): number => sums.reduce((sum, s) => sum + s * s, 0);
  // Each way in which the sums can come out, with its chance.
  let ways = new Map<string, number>([[Array.from({ length: glasses }, () => 0).join(), 1]]);
  const all = ordersOf(glasses);
  for (let taster = 0; taster < orders.length; taster += 1) {
    const next = new Map<string, number>();
    for (const [sums, chance] of ways) {
      const before = sums.split(',').map(Number);
      for (const order of all) {
        const key = before.map((sum, i) => sum + (order[i] ?? 0) + 1).join();
        next.set(key, (next.get(key) ?? 0) + chance / all.length);
      }
    }
    ways = next;
  }
  const told = [...ways].map(([sums, chance]) => ({ spread: spread(sums.split(',').map(Number)), chance }));
  const chanceOf = (least: number): number => told.reduce((sum, way) => sum + (way.spread >= least - 1e-9 ? way.chance : 0), 0);
  return { chance: Math.min(1, chanceOf(spread(rankSums))), finds: null, leastChance: chanceOf(Math.max(...told.map((way) => way.spread))), rankSums };
}
