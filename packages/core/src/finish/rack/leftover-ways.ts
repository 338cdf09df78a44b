import { topUp, topUpCost } from '../../juice/adjust/dilution.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { countText } from '../../matter/quantity/count-text.js';
import { figure } from '../../base/worked/figures.js';
import type { VesselSize } from './fit-vessels.js';
import { AIR_ROOM_FRACTION, NECK_FRACTION } from './headspace.js';

/** A way to deal with what finds no room. */
export type LeftoverWay =
  /** Another vessel takes it, full enough. */
  | { readonly id: 'vessel'; readonly vesselId: string; readonly text: string }
  /** A bigger vessel takes it, and water fills it up. */
  | { readonly id: 'top-up'; readonly vesselId: string; readonly waterL: number; readonly text: string }
  /** One vessel more, and all of them a little less full. */
  | { readonly id: 'spread'; readonly vesselId: string; readonly airFraction: number; readonly text: string }
  /** Into bottles in the fridge, to be drunk young. */
  | { readonly id: 'drink'; readonly text: string };

/** What the ways are looked for among. */
export interface LeftoverInput {
  /** All of it, before racking. */
  readonly liquid: Liquid;
  /** What finds no room, L. */
  readonly overL: number;
  /** Vessels already filled. */
  readonly filled: readonly VesselSize[];
  /** Clean, empty ones. */
  readonly free: readonly VesselSize[];
}

/** Most water worth taking, as a share of the whole. @source our estimate: half a per cent of strength */
const MOST_WATER_FRACTION = 0.15;
/** Most that is worth drinking young, as a share of the whole. @source our estimate */
const MOST_DRUNK_FRACTION = 0.3;

/**
 * What can be done with what finds no room, the way that costs least first.
 *
 * @param input - the drink, how much is over, and the vessels
 * @returns ways in words, with what each costs in strength, acid or air; none when so much is over that it wants another vessel
 * @throws {CoreError} OUT_OF_RANGE
 * @source mass balance; shares of air as in the headspace check
 */
export function leftoverWays({ liquid, overL, filled, free }: LeftoverInput): readonly LeftoverWay[] {
  inRange('overL', overL, LIMITS.pourL);
  const bySize = [...free].sort((a, b) => a.capacityL - b.capacityL);
  return [
    ...fitting(bySize, overL),
    ...spread(bySize, filled, overL),
    ...topped(bySize, liquid, { overL, also: filled.length > 0 }),
    ...drinking(overL, liquid.volumeL),
  ];
}

function fitting(free: readonly VesselSize[], overL: number): readonly LeftoverWay[] {
  const vessel = free.find((v) => overL <= v.capacityL && overL >= v.capacityL * (1 - AIR_ROOM_FRACTION));
  return vessel ? [{ id: 'vessel', vesselId: vessel.id, text: `Into ${vessel.name}, which ${figure(overL, 1)} L just fill.` }] : [];
}

function spread(free: readonly VesselSize[], filled: readonly VesselSize[], overL: number): readonly LeftoverWay[] {
  const used = filled.reduce((sum, v) => sum + v.capacityL, 0);
  return free
    .filter((v) => v.capacityL > overL)
    .slice(0, 1)
    .flatMap((v): LeftoverWay[] => {
      const airFraction = 1 - (used + overL) / (used + v.capacityL);
      const much = airFraction > AIR_ROOM_FRACTION ? ' That is more air than it should keep for long.' : '';
      const percent = figure(airFraction * 100, 0);
      const text =
        filled.length === 0
          ? `Into ${v.name}, with ${percent} % air over it.${much}`
          : `Into ${v.name} too, all of them less full: ${percent} % air in each.${much}`;
      return airFraction <= 2 * AIR_ROOM_FRACTION ? [{ id: 'spread', vesselId: v.id, airFraction, text }] : [];
    });
}

function topped(free: readonly VesselSize[], liquid: Liquid, { overL, also }: { readonly overL: number; readonly also: boolean }): readonly LeftoverWay[] {
  const vessel = free.find((v) => v.capacityL * (1 - NECK_FRACTION) > overL);
  if (!vessel) return [];
  const waterL = vessel.capacityL * (1 - NECK_FRACTION) - overL;
  if (waterL > liquid.volumeL * MOST_WATER_FRACTION) return [];
  const { value } = topUp({ liquid, withLiquid: waterOf(waterL), volumeL: waterL });
  return [
    {
      id: 'top-up',
      vesselId: vessel.id,
      waterL,
      text: `${figure(waterL, 1)} L of boiled, cooled water in all of it fills ${vessel.name}${also ? ' too' : ''}: ${topUpCost(value)}.`,
    },
  ];
}

function drinking(overL: number, volumeL: number): readonly LeftoverWay[] {
  if (overL > volumeL * MOST_DRUNK_FRACTION) return [];
  const halves = Math.max(1, Math.round(overL / 0.5));
  return [{ id: 'drink', text: `Into ${countText(halves, 'half-litre bottle')} in the fridge, caps loose, and drink it young.` }];
}
