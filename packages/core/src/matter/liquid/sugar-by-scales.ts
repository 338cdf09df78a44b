import { sugarSdShare } from '../../base/reference/fermentables.js';
import { hexoseFrom } from './additions.js';

/** Sugar known by the scales and not by the hydrometer, g as hexose, and how well it is known beside them, one standard deviation. */
export interface SugarByScales {
  readonly hexoseG: number;
  readonly sdG: number;
}

/** What was weighed in since a drink was read, g/L as hexose. */
interface Weighed {
  readonly weighedGPerL: number;
  readonly weighedSdGPerL: number;
}

/** Where nothing sweet goes in. */
export const NO_SUGAR: SugarByScales = { hexoseG: 0, sdG: 0 };

/** What a weight of a sweet thing brings. */
export function sugarByScales(added: { readonly fermentableId: string; readonly massG: number }): SugarByScales {
  const hexoseG = hexoseFrom(added);
  return { hexoseG, sdG: hexoseG * sugarSdShare(added.fermentableId) };
}

/**
 * What is weighed in of a drink once more goes in.
 *
 * @param before - what was, and the drink's litres then
 * @param sugar - what goes in
 * @param afterL - the drink's litres with it
 */
export const weighedWith = (
  { weighedGPerL, weighedSdGPerL = 0, volumeL }: { readonly weighedGPerL: number; readonly weighedSdGPerL?: number | undefined; readonly volumeL: number },
  { hexoseG, sdG }: SugarByScales,
  afterL: number,
): Weighed => ({
  weighedGPerL: (weighedGPerL * volumeL + hexoseG) / afterL,
  weighedSdGPerL: Math.hypot(weighedSdGPerL * volumeL, sdG) / afterL,
});
