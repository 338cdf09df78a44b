import { FOAM_ROOM_FRACTION } from '../../finish/rack/headspace.js';
import { litresIn, type VesselFill } from '../state/vessel-fill.js';

/** How full a vessel is filled whose drink may go on working. */
export const SPLIT_FULL = 1 - FOAM_ROOM_FRACTION;

/** What is to be split, and into which vessels. */
export interface SplitAsked {
  /** What stands in the vessels of the batch, L in all, and in each. */
  readonly volumeL: number;
  readonly vessels: readonly VesselFill[];
  /** Vessels ticked, by id: others that are free, or the batch's own, which then are a lot by themselves as they stand. */
  readonly picked: readonly string[];
  readonly free: readonly { readonly id: string; readonly capacityL: number }[];
  /** How much goes into each of the free ones, L; null for as much as leaves room for foam. */
  readonly eachL: number | null;
}

/** What the shares come to. */
export interface SplitPlan {
  readonly shares: readonly VesselFill[];
  /** Where what stays stands afterwards. */
  readonly stays: readonly VesselFill[];
  /** Below zero where more is taken than there is. */
  readonly staysL: number;
  /** A free vessel that does not hold so much, by id; null when all do. */
  readonly tooSmallId: string | null;
}

/**
 * How a drink is shared out over vessels: what is racked into free ones comes out of those that stay, in proportion; one of its own
 * that is ticked is moved nowhere.
 *
 * @param asked - the drink, its vessels and those ticked
 * @returns the shares in the order ticked, and what stays
 */
export function splitPlan({ volumeL, vessels, picked, free, eachL }: SplitAsked): SplitPlan {
  const shares = picked.flatMap((vesselId): readonly VesselFill[] => {
    const own = vessels.find((v) => v.vesselId === vesselId);
    const other = free.find((v) => v.id === vesselId);
    return own ? [own] : other ? [{ vesselId, volumeL: eachL ?? other.capacityL * SPLIT_FULL }] : [];
  });
  const left = vessels.filter((v) => !picked.includes(v.vesselId));
  const staysL = volumeL - litresIn(shares);
  const before = litresIn(left);
  const tooSmallId = free.find(({ id, capacityL }) => picked.includes(id) && (eachL ?? 0) > capacityL)?.id ?? null;
  return { shares, staysL, tooSmallId, stays: before > 0 ? left.map((v) => ({ ...v, volumeL: (v.volumeL * Math.max(0, staysL)) / before })) : [] };
}
