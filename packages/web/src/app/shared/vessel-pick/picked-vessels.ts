import { fillEvenly, type EvenFills } from '@trug/core/finish/rack/fill-evenly';
import { fitVessels, type VesselSize } from '@trug/core/finish/rack/fit-vessels';

/** Less than this is no difference in room, L. */
export const SPLASH_L = 0.05;
/** A vessel emptier than this is not chosen by itself. */
const MOST_EMPTY = 0.4;
/** So many are tried against one another. */
const MOST_TRIED = 12;

/** A vessel that may be chosen. */
export interface PickableVessel extends VesselSize {
  readonly name: string;
  readonly clean: boolean;
}

/** The vessels that are chosen, and how full each becomes. */
export interface PickedVessels extends EvenFills {
  readonly picked: readonly string[];
}

/**
 * The vessels a maker chose for so much drink, or those that fit best while none is chosen, filled alike.
 *
 * @param input - litres, the free vessels, what is chosen as a draft keeps it, and the share of each that may be filled
 * @returns the choice and its fills
 */
export function pickedVessels(input: {
  readonly totalL: number;
  readonly free: readonly PickableVessel[];
  readonly chosen: string;
  readonly share: number;
  /** Most of a vessel that may stay empty where it is chosen by itself; a working drink minds little. */
  readonly mostEmpty?: number;
}): PickedVessels {
  const { totalL, free, chosen, share, mostEmpty = MOST_EMPTY } = input;
  const picked = chosen === '' ? best(totalL, free, { share, mostEmpty }) : chosen.split(',').filter((id) => free.some((v) => v.id === id));
  return {
    picked,
    ...fillEvenly(
      totalL,
      free.filter((v) => picked.includes(v.id)),
    ),
  };
}

function best(
  totalL: number,
  free: readonly PickableVessel[],
  { share, mostEmpty }: { readonly share: number; readonly mostEmpty: number },
): readonly string[] {
  const vessels = free
    .filter((v) => v.clean)
    .slice(0, MOST_TRIED)
    .map((v) => ({ ...v, capacityL: v.capacityL * share }));
  return vessels.length === 0 || totalL <= 0
    ? []
    : fitVessels({ volumeL: totalL, vessels, maxHeadspaceFraction: mostEmpty }).value.fills.map((f) => f.vesselId);
}

/** The choice with one vessel more or less, as a draft keeps it. */
export const toggled = (picked: readonly string[], id: string): string =>
  (picked.includes(id) ? picked.filter((p) => p !== id) : [...picked, id]).join(',') || '-';
