import type { BottleKind } from '../../base/reference/bottle-kinds.js';
import { isPoured } from '../../base/reference/fermentables.js';
import type { PrimingMode } from './priming-sugar.js';
import { gasParts, pressureBand, withPriming, type SealedGas } from './sealed-gas.js';

/** A heaped spoon holds so much more than a level one, g. @source usual practice: a gram either way */
const HEAPED_G = 1;
/** Syrup that nobody stirred lies at the foot of the bucket, and the bottles filled from there get so much of it. @source our estimate: half as much again */
const UNSTIRRED_SHARE = 1.5;

/** The bottle that got most of the sugar. */
export interface UnevenBottle {
  readonly how: 'heaped' | 'unstirred';
  readonly kindId: string;
  readonly name: string;
  /** Gas in it, volumes. */
  readonly volumes: number;
  /** What it may feel on the hottest day, at the upper end of what is likely, bar gauge. */
  readonly hotBar: number;
  /** Whether it stands that. */
  readonly holds: boolean;
}

/** What the spread is asked about. */
export interface SpreadAsked {
  /** The drink before its priming sugar. */
  readonly gas: SealedGas;
  readonly fermentableId: string;
  /** For all of the drink, g. */
  readonly massG: number;
  readonly mode: PrimingMode;
  readonly bottles: readonly BottleKind[];
  readonly hottestC: number;
}

/**
 * The bottle that gets most of the sugar when it goes in unevenly: one with a heaped spoon, or one from the foot of an unstirred bucket.
 *
 * @param asked - the drink, its sugar and how it goes in, and the kinds of bottle
 * @returns of the kinds the one that stands it least; null without bottles or sugar
 * @throws {CoreError} OUT_OF_RANGE; UNKNOWN_ID
 * @source mass balance and Henry’s law; how uneven it gets is our estimate
 */
export function primingSpread({ gas, fermentableId, massG, mode, bottles, hottestC }: SpreadAsked): UnevenBottle | null {
  // A measure of juice is right to a drop of it.
  if (massG <= 0 || (mode === 'per-bottle' && isPoured(fermentableId))) return null;
  const of = (bottle: BottleKind): UnevenBottle => {
    const more = mode === 'per-bottle' ? massG + (HEAPED_G * gas.liquid.volumeL * 1000) / bottle.sizeMl : massG * UNSTIRRED_SHARE;
    const uneven = withPriming(gas, { fermentableId, massG: more });
    const { residual, weighed, leftover } = gasParts(uneven);
    const hotBar = pressureBand(uneven, hottestC).highBar;
    const { id, name, limitBar } = bottle;
    return {
      how: mode === 'per-bottle' ? 'heaped' : 'unstirred',
      kindId: id,
      name,
      volumes: residual + weighed + leftover,
      hotBar,
      holds: hotBar <= (limitBar ?? 0),
    };
  };
  const [least] = bottles
    .map((bottle) => ({ uneven: of(bottle), limitBar: bottle.limitBar ?? 0 }))
    .sort((a, b) => a.limitBar - a.uneven.hotBar - (b.limitBar - b.uneven.hotBar));
  return least?.uneven ?? null;
}
