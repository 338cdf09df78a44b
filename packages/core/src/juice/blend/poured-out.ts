import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, dryAbvOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import type { BlendJuice, BlendViews } from './blend-types.js';

/**
 * Juices poured together in given volumes.
 *
 * @param juices - what is poured
 * @param volumesL - how much of each, L, in the same order; together more than 0
 * @returns the blend
 */
export function pouredOut(juices: readonly BlendJuice[], volumesL: readonly number[]): Liquid {
  return blendLiquids(juices.map((j, i) => ({ ...j.liquid, volumeL: volumesL[i] ?? 0 })));
}

/**
 * The figures a maker looks at in a blend.
 *
 * @param liquid - the blend
 * @returns gravity, acidity, pH, tannin, strength now and if dry, and sugar
 */
export function viewsOf(liquid: Liquid): BlendViews {
  return {
    sg: gravityOf(liquid),
    taGPerL: taOf(liquid),
    ph: phOf(liquid),
    tanninGPerL: liquid.tanninGPerL,
    abv: abvOf(liquid),
    dryAbv: dryAbvOf(liquid),
    sugarGPerL: fermentableGPerL(liquid),
  };
}
