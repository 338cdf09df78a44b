import { topUp, topUpCost } from '../../juice/adjust/dilution.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { abvOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { figure } from '../../base/worked/figures.js';
import type { VesselFit, VesselSize } from './fit-vessels.js';
import { AIR_ROOM_FRACTION, NECK_FRACTION } from './headspace.js';

/** Something a vessel can be topped up from. */
export interface ToppingSource {
  readonly id: string;
  readonly name: string;
  readonly liquid: Liquid;
  /** What there is of it, L. */
  readonly leftL: number;
}

/** A way to be rid of the air over a cider at rest. */
export type ToppingWay =
  /** Other vessels, which it fills. */
  | { readonly id: 'smaller'; readonly text: string }
  /** A finished cider, or juice, from what there is. */
  | { readonly id: 'cider' | 'juice'; readonly sourceId: string; readonly volumeL: number; readonly text: string }
  | { readonly id: 'water'; readonly volumeL: number; readonly text: string }
  /** Something that takes up room and nothing else. */
  | { readonly id: 'filler'; readonly volumeL: number; readonly text: string };

/** What the ways are looked for among. */
export interface ToppingInput {
  /** What goes into the vessels. */
  readonly liquid: Liquid;
  /** The vessels chosen for it. */
  readonly picked: readonly VesselSize[];
  /** Every vessel it could go into, the chosen ones among them. */
  readonly candidates: readonly VesselSize[];
  /** How it fits them best. */
  readonly best: VesselFit;
  readonly ciders: readonly ToppingSource[];
  readonly juices: readonly ToppingSource[];
}

/** The nearest ciders shown. */
const MOST_CIDERS = 2;
const MOST_JUICES = 1;
/** Less than this is not worth a siphon, L. @source our estimate */
const LEAST_L = 0.1;
/** Sugar at which a drink topped with juice surely works again, g/L. @source our estimate: a gram of CO2 per litre is two of sugar */
const WORKS_AGAIN_G_PER_L = 2;

/**
 * What can fill the air over a cider at rest, in the order makers advise: smaller vessels, then a like cider, then juice,
 * then water, which costs strength and acid, and marbles, which cost nothing but patience.
 *
 * @param input - the drink, the vessels and what there is to top up from
 * @returns ways in words with what each costs; none when the vessels are full enough
 * @throws {CoreError} OUT_OF_RANGE
 * @source mass balance; shares of air as in the headspace check, likeness is our estimate
 */
export function toppingWays({ liquid, picked, candidates, best, ciders, juices }: ToppingInput): readonly ToppingWay[] {
  const volumeL = inRange('volumeL', liquid.volumeL, LIMITS.volumeL);
  const capacityL = picked.reduce((sum, v) => sum + v.capacityL, 0);
  const shortL = capacityL * (1 - NECK_FRACTION) - volumeL;
  if (capacityL - volumeL <= capacityL * AIR_ROOM_FRACTION || shortL < LEAST_L) return [];
  const likest = (sources: readonly ToppingSource[]): readonly ToppingSource[] =>
    [...sources].sort((a, b) => unlikeness(liquid, a.liquid) - unlikeness(liquid, b.liquid));
  return [
    ...smaller(best, picked, candidates),
    ...likest(ciders)
      .slice(0, MOST_CIDERS)
      .flatMap((source) => withCider(liquid, source, shortL)),
    ...likest(juices)
      .slice(0, MOST_JUICES)
      .flatMap((source) => withJuice(liquid, source, shortL)),
    withWater(liquid, shortL),
    { id: 'filler', volumeL: shortL, text: `${figure(shortL, 1)} L of boiled glass marbles thin nothing; they come out at the next racking.` },
  ];
}

/** A gram per litre of acid counts like one per cent of strength, and another fruit like three. @source our estimate */
const OTHER_FRUIT = 3;
const unlikeness = (a: Liquid, b: Liquid): number => Math.abs(taOf(a) - taOf(b)) + Math.abs(abvOf(a) - abvOf(b)) + (a.fruit === b.fruit ? 0 : OTHER_FRUIT);

function smaller({ fills, leftOverL }: VesselFit, picked: readonly VesselSize[], candidates: readonly VesselSize[]): readonly ToppingWay[] {
  const names = candidates.filter((v) => fills.some((f) => f.vesselId === v.id)).map((v) => v.name);
  const same = fills.length === picked.length && fills.every((f) => picked.some((v) => v.id === f.vesselId));
  if (names.length === 0 || same || leftOverL > LEAST_L) return [];
  return [{ id: 'smaller', text: `Into ${names.join(' and ')} instead, which it fills: nothing else is needed.` }];
}

function withCider(liquid: Liquid, { id, name, liquid: withLiquid, leftL }: ToppingSource, shortL: number): readonly ToppingWay[] {
  const volumeL = Math.min(shortL, leftL);
  if (volumeL < LEAST_L) return [];
  const { value } = topUp({ liquid, withLiquid, volumeL });
  const rest = leftL - volumeL;
  const left = rest < LEAST_L ? `That is all of ${name}.` : `${figure(rest, 1)} L stay in its vessel, with more air over them.`;
  const air = shortL - volumeL < LEAST_L ? '' : ` ${figure(shortL - volumeL, 1)} L of air remain.`;
  const text = `${figure(volumeL, 1)} L of ${name}: ${topUpCost(value)}. ${left}${air} Together their end must be proven again.`;
  return [{ id: 'cider', sourceId: id, volumeL, text }];
}

function withJuice(liquid: Liquid, { id, name, liquid: juice, leftL }: ToppingSource, shortL: number): readonly ToppingWay[] {
  const volumeL = Math.min(shortL, leftL);
  if (volumeL < LEAST_L) return [];
  const { value } = topUp({ liquid, withLiquid: juice, volumeL });
  const sugarGPerL = fermentableGPerL(value.liquid);
  const works = sugarGPerL < WORKS_AGAIN_G_PER_L ? '' : ` It works again on ${figure(sugarGPerL, 0)} g/L of sugar: keep it under an airlock and seal nothing.`;
  return [{ id: 'juice', sourceId: id, volumeL, text: `${figure(volumeL, 1)} L of the juice ${name}: ${topUpCost(value)} at first.${works}` }];
}

function withWater(liquid: Liquid, shortL: number): ToppingWay {
  const { value } = topUp({ liquid, withLiquid: waterOf(shortL), volumeL: shortL });
  return { id: 'water', volumeL: shortL, text: `${figure(shortL, 1)} L of boiled, cooled water: ${topUpCost(value)}.` };
}
