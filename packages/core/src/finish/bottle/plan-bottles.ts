import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import { BOTTLE_HEADSPACE_FRACTION } from './sealed-gas.js';
import { countText } from '../../matter/quantity/count-text.js';

/** What stays behind with the lees when a vessel is bottled or kegged and nobody says, L. @source our estimate */
export const USUAL_LOSS_L = 0.4;

/**
 * How much of a bottle's named size is in it.
 *
 * @param room - share of the whole bottle that stays empty, 0–0.2
 * @returns 1 for the usual room
 */
export const filledShare = (room: number): number => (1 - room) / (1 - BOTTLE_HEADSPACE_FRACTION);

/** A run to be planned. */
export interface BottleRun {
  readonly volumeL: number;
  /** Kinds to fill in this order, those with a count first; a count limits a kind, null fills as many as there is drink for. */
  readonly bottles: readonly { readonly kindId: string; readonly count: number | null }[];
  /** Left behind with the lees, in tubes and in the bucket, L. */
  readonly lossL: number;
  /** Share of a bottle's named size that is really filled, 0.8–1.05; default 1, as sizes are named by what they hold. */
  readonly headspace?: number;
}

/** What the run comes to. */
export interface BottlePlan {
  readonly lots: readonly { readonly kindId: string; readonly count: number; readonly volumeL: number }[];
  readonly bottleCount: number;
  readonly filledL: number;
  /** What will not fill a bottle, L. */
  readonly overL: number;
}

/**
 * How many bottles of each kind a volume fills after its losses, and what is over.
 *
 * @param input - the volume, the kinds in order, the loss
 * @returns counts and what is left, with the working
 * @throws {CoreError} OUT_OF_RANGE; UNKNOWN_ID
 * @source volumes only
 */
export function planBottles(input: BottleRun): Worked<BottlePlan> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const lossL = inRange('lossL', input.lossL, { min: 0, max: volumeL });
  const fill = inRange('headspace', input.headspace ?? 1, { min: 0.8, max: 1.05 });
  let leftL = volumeL - lossL;
  const fillKind = ({ kindId, count }: BottleRun['bottles'][number]): BottlePlan['lots'][number] => {
    const eachL = (bottleById(kindId).sizeMl / 1000) * fill;
    const most = Math.floor(leftL / eachL + 1e-9);
    const wanted = count === null ? most : Math.min(most, inRange('count', count, LIMITS.bottles));
    leftL -= wanted * eachL;
    return { kindId, count: wanted, volumeL: wanted * eachL };
  };
  // What is counted is wanted for certain; what takes the rest comes after it, wherever it stands.
  const counted = new Map(input.bottles.filter((b) => b.count !== null).map((b) => [b, fillKind(b)]));
  const lots = input.bottles.map((b) => counted.get(b) ?? fillKind(b));
  const bottleCount = lots.reduce((sum, lot) => sum + lot.count, 0);
  const filledL = lots.reduce((sum, lot) => sum + lot.volumeL, 0);
  return worked({ lots, bottleCount, filledL, overL: leftL }, [
    {
      label: 'To fill',
      expression: `${figure(volumeL, 2)} L − ${figure(lossL, 2)} L left behind`,
      result: `${figure(volumeL - lossL, 2)} L`,
      source: 'volumes',
    },
    {
      label: 'Bottles',
      expression: lots.map((lot) => `${lot.count} × ${bottleById(lot.kindId).sizeMl} mL`).join(' + ') || 'none chosen',
      result: `${countText(bottleCount, 'bottle')}, ${figure(leftL, 2)} L over`,
      source: 'volumes',
    },
  ]);
}
