import { fermentedShare } from '../../matter/liquid/views.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { FOAM_ROOM_FRACTION } from './headspace.js';
import type { VesselSize } from './fit-vessels.js';

/** Share of the sugar that is gone when nothing is left that would lift foam into a neck. @source our estimate */
const FOAMS_UNTIL = 0.9;

/**
 * Share of a vessel that a drink may fill: what still has sugar to foam on leaves room, what is at rest or nearly dry none.
 *
 * @param drink - what goes in, its must, and whether it is known to be at rest
 * @returns 0–1
 * @source our estimate of the room foam needs
 */
export function fillableShare({ liquid, must, resting }: { readonly liquid: Liquid | null; readonly must: Liquid | null; readonly resting: boolean }): number {
  const foams = !resting && liquid !== null && must !== null && fermentedShare(liquid, must) < FOAMS_UNTIL;
  return foams ? 1 - FOAM_ROOM_FRACTION : 1;
}

/** How far each vessel is filled, and what finds no room. */
export interface EvenFills {
  readonly fills: readonly { readonly vesselId: string; readonly volumeL: number }[];
  readonly overL: number;
  /** Empty above it in all of them together, to the brim, L. */
  readonly emptyL: number;
}

/**
 * Fills vessels alike, each to the same share of what it holds.
 *
 * @param volumeL - to be filled, L
 * @param vessels - chosen ones, by what they hold to the brim, L
 * @param share - the share of each that may be filled, 0–1
 * @returns the fills, what is over and what stays empty
 */
export function fillEvenly(volumeL: number, vessels: readonly Pick<VesselSize, 'id' | 'capacityL'>[], share = 1): EvenFills {
  const capacityL = vessels.reduce((sum, v) => sum + v.capacityL, 0);
  const filledL = Math.min(volumeL, capacityL * share);
  return {
    fills: vessels.map((v) => ({ vesselId: v.id, volumeL: capacityL > 0 ? (filledL * v.capacityL) / capacityL : 0 })),
    overL: volumeL - filledL,
    emptyL: capacityL - filledL,
  };
}

/**
 * The smallest vessel that takes a working drink with room for its foam.
 *
 * @param volumeL - to be filled, L
 * @param vessels - to choose from
 * @returns it, or undefined where none does
 */
export const smallestWithFoamRoom = <V extends Pick<VesselSize, 'capacityL'>>(volumeL: number, vessels: readonly V[]): V | undefined =>
  [...vessels].sort((a, b) => a.capacityL - b.capacityL).find((v) => v.capacityL * (1 - FOAM_ROOM_FRACTION) >= volumeL);
