import { median } from '../../base/numeric/median.js';
import { rankTest } from '../../base/numeric/rank-test.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { abvOf, sweetnessGPerL } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { BatchState } from '../state/batch-state.js';
import { wasLiked, type Tasting } from './tastings.js';

/** Figures by which batches are held against one another. */
export const TRAITS = ['abv', 'sweetness', 'acid', 'tannin', 'fizz', 'warmth', 'days'] as const;
export type Trait = (typeof TRAITS)[number];

/** A batch with what was thought of it. */
export interface JudgedBatch {
  readonly liked: boolean;
  readonly traits: Readonly<Record<Trait, number | null>>;
}

/** How the liked differ from the less liked in one figure. */
export interface Apart {
  readonly trait: Trait;
  /** The middle of the liked, and of the less liked. */
  readonly liked: number;
  readonly less: number;
  /** Chance of as much from no reason at all, with the number of figures looked at counted in, 0–1. */
  readonly chance: number;
  /** Whether that is rare enough to be said. */
  readonly isTold: boolean;
}

/** What the numbers say of what is liked. */
export interface LikedApart {
  readonly liked: number;
  readonly less: number;
  /** Whether groups of these sizes could tell anything apart at all. */
  readonly isEnough: boolean;
  /** Every figure that both groups have, the surest first. */
  readonly looked: readonly Apart[];
}

/** What is rarer than this by chance is worth saying. @source the usual one in twenty */
const WORTH_SAYING = 0.05;

/** The mean warmth over a ferment, or null where it was never read. */
function warmthOf({ temps }: BatchState): number | null {
  return temps.length === 0 ? null : temps.reduce((sum, t) => sum + t.tempC, 0) / temps.length;
}

/**
 * A batch as it is judged.
 *
 * @param state - as replayed
 * @param tastings - oldest first
 * @returns null where nobody said whether it was liked, or it has nothing to measure or no yeast
 */
export function judgedBatch(state: BatchState, tastings: readonly Tasting[]): JudgedBatch | null {
  const liked = wasLiked(tastings);
  const last = [...tastings].reverse().find((t) => t.crateId !== null)?.crateId;
  const crate = state.crates.find((c) => c.id === last) ?? state.crates[0];
  const drink = crate?.drink.liquid ?? state.lastLiquid;
  // Juice without yeast is liked for other reasons.
  if (liked === null || !drink || state.pitchedAt === null) return null;
  return {
    liked,
    traits: {
      abv: abvOf(drink),
      sweetness: sweetnessGPerL(drink),
      // A typical acid is nobody's measurement.
      acid: !state.guessed.includes('taGPerL') ? taOf(drink) : null,
      tannin: drink.tanninGPerL,
      fizz: crate?.co2Volumes ?? null,
      warmth: warmthOf(state),
      days: state.pitchedAt && crate ? daysBetween(state.pitchedAt, crate.bottledAt) : null,
    },
  };
}

/**
 * In which figures the liked batches differ from the less liked, as far as so few can tell.
 *
 * @param batches - judged, in any order
 * @returns each figure that was measured in both, the surest first, and whether so few could tell anything
 * @source exact rank sums for each figure, the chances raised step by step for how many were looked at (Holm)
 */
export function likedApart(batches: readonly JudgedBatch[]): LikedApart {
  const liked = batches.filter((b) => b.liked);
  const less = batches.filter((b) => !b.liked);
  const looked = TRAITS.flatMap((trait) => {
    const of = (group: readonly JudgedBatch[]): readonly number[] => group.flatMap((b) => b.traits[trait] ?? []);
    const [ours, theirs] = [of(liked), of(less)];
    const test = rankTest(ours, theirs);
    return test ? [{ trait, liked: median(ours), less: median(theirs), ...test }] : [];
  });
  let chance = 0;
  return {
    liked: liked.length,
    less: less.length,
    isEnough: looked.some(({ leastP }) => leastP * looked.length <= WORTH_SAYING),
    looked: [...looked]
      .sort((a, b) => a.p - b.p)
      .map(({ trait, liked: ours, less: theirs, p }, i) => {
        chance = Math.max(chance, Math.min(1, p * (looked.length - i)));
        return { trait, liked: ours, less: theirs, chance, isTold: chance <= WORTH_SAYING };
      }),
  };
}
