import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { brixOf } from '../../matter/liquid/views.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** A source of nitrogen for yeast. */
export interface NutrientProduct {
  readonly id: string;
  readonly name: string;
  /** mg of nitrogen yeast can use from one g. */
  readonly mgNPerG: number;
  /** Most to give, g/L. */
  readonly mostGPerL: number;
  readonly mineral: boolean;
  readonly how: string;
}

/** @source diammonium phosphate 21.2 % N by molar mass; usable nitrogen of the others is our estimate, a packet's figures win */
export const NUTRIENTS: readonly NutrientProduct[] = [
  { id: 'organic', name: 'organic yeast nutrient', mgNPerG: 40, mostGPerL: 0.6, mineral: false, how: 'Stir it into a cup of the juice first.' },
  {
    id: 'mineral',
    name: 'mineral nutrient (diammonium phosphate)',
    mgNPerG: 212,
    mostGPerL: 0.3,
    mineral: true,
    how: 'Half at the start, half a few days on, never at once on a foaming ferment.',
  },
  {
    id: 'boiled-yeast',
    name: 'boiled baking yeast',
    mgNPerG: 35,
    mostGPerL: 1,
    mineral: false,
    how: 'Boil it ten minutes in a little water, let it cool covered, pour it in.',
  },
];

/** What to feed, and when. */
export interface NutrientPlan {
  readonly productId: string;
  readonly needMgNPerL: number;
  readonly lackMgNPerL: number;
  /** In the order they are given; empty when nothing is needed or it is too late. */
  readonly dosesG: readonly number[];
  readonly says: string;
}

/** Share of what is lacking that cider is given. @source craft rule: half dose for cider, as slow and clean beats fast */
const CIDER_SHARE = 0.5;
/** Sugar fermented after which nitrogen is no longer taken up. @source craft rule: none after a third of the sugar is gone */
const TOO_LATE_FRACTION = 1 / 3;
const TOO_LATE = 'More than a third of the sugar is gone: yeast takes no more nitrogen up, and what is left feeds other things.';

/**
 * A nutrient by its id.
 *
 * @throws {CoreError} UNKNOWN_ID
 */
export function nutrientById(productId: string): NutrientProduct {
  const product = NUTRIENTS.find((n) => n.id === productId);
  if (!product) throw new CoreError('UNKNOWN_ID', `there is no nutrient ${productId}`, { given: productId });
  return product;
}

/**
 * Whether it is too late to feed.
 *
 * @param fermentedFraction - share of the sugar that has fermented, 0–1
 * @returns why, or null while it is not too late
 */
export const tooLateToFeed = (fermentedFraction: number): string | null => (fermentedFraction > TOO_LATE_FRACTION ? TOO_LATE : null);

/**
 * Nitrogen a yeast wants in this must, less what the juice has, as weighed doses of what the maker has.
 *
 * @param input - the must, the kind of yeast, the nutrient, and the share of sugar fermented already, 0–1
 * @returns doses in g with what is needed and lacking, with the working
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source Brix × the yeast's mg N/L per °Bx, less the juice's own; half of it for cider
 */
export function nutrientPlan(input: {
  readonly liquid: Liquid;
  readonly yeastId: string;
  readonly product: string;
  readonly fermentedFraction?: number | undefined;
}): Worked<NutrientPlan> {
  const { liquid } = input;
  const yeast = yeastById(input.yeastId);
  const product = nutrientById(input.product);
  const gone = inRange('fermentedFraction', input.fermentedFraction ?? 0, LIMITS.fraction);
  const brix = brixOf(liquid);
  const needMgNPerL = brix * yeast.nitrogenMgNPerLPerBrix;
  const lackMgNPerL = Math.max(0, needMgNPerL - liquid.yanMgPerL);
  const gPerL = Math.min(product.mostGPerL, (lackMgNPerL * CIDER_SHARE) / product.mgNPerG);
  const totalG = gPerL * liquid.volumeL;
  const late = tooLateToFeed(gone);
  const dosesG = late !== null || totalG < 0.05 ? [] : product.mineral ? [totalG / 2, totalG / 2] : [totalG];
  const says = late ?? (dosesG.length === 0 ? 'The juice has what this yeast wants. Feed nothing.' : product.how);
  return worked({ productId: product.id, needMgNPerL, lackMgNPerL, dosesG, says }, [
    {
      label: 'Nitrogen wanted',
      expression: `${figure(brix, 1)} °Bx × ${yeast.nitrogenMgNPerLPerBrix} mg/L`,
      result: `${figure(needMgNPerL, 0)} mg/L`,
      source: 'usual demand of this kind of yeast',
    },
    {
      label: 'Lacking',
      expression: `${figure(needMgNPerL, 0)} − ${figure(liquid.yanMgPerL, 0)} in the juice`,
      result: `${figure(lackMgNPerL, 0)} mg/L`,
      source: 'measured or typical nitrogen',
    },
    {
      label: product.name,
      expression: `half of it ÷ ${product.mgNPerG} mg/g × ${figure(liquid.volumeL, 1)} L, at most ${product.mostGPerL} g/L`,
      result: `${figure(late === null ? totalG : 0, 1)} g`,
      source: product.id === 'mineral' ? 'diammonium phosphate is 21.2 % nitrogen' : 'our estimate; your packet wins',
    },
  ]);
}
