import { byId } from '../../base/errors/by-id.js';
import { INFUSIONS, type Infusion } from '../../base/reference/infusions-data.js';
import { addAcid } from '../../matter/liquid/add-acid.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import type { Liquid } from '../../matter/liquid/liquid.js';

/** Something to steep, by its id; throws UNKNOWN_ID for any other. */
export const infusionById = byId('infusion', INFUSIONS);

/** Whether it brings sugar, which leaves the flesh for days. */
export const isFruit = ({ sugarGPerG }: Infusion): boolean => sugarGPerG > 0;

/** Sugar that comes in with it, g of hexose. */
export const infusedSugarG = (infusion: Infusion, massG: number): number => massG * infusion.sugarGPerG;

/**
 * The drink with everything in it that fruit brings: all its sugar, though some stays in the flesh, and its acid.
 *
 * @param liquid - before, more than 0 L
 * @param infused - what steeps and how much, g
 * @source mass balance; nothing is taken off for what stays behind, because that is the safe side
 */
export function withInfusion(liquid: Liquid, infused: { readonly infusion: Infusion; readonly massG: number }): Liquid {
  const { infusion, massG } = infused;
  const sugarG = infusedSugarG(infusion, massG);
  const sweet = sugarG > 0 ? addFermentable(liquid, { fermentableId: 'fructose', massG: sugarG }) : liquid;
  return infusion.acidGPerG > 0 ? addAcid(sweet, { acid: infusion.acid, massG: massG * infusion.acidGPerG }) : sweet;
}
