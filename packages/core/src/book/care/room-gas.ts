import { volumesFromHexose } from '../../finish/bottle/gas-of-sugar.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';

/** A drink that works in a room. */
export interface WorkingDrink {
  readonly place: string | null;
  readonly liquid: Liquid;
}

/** From this much gas still to come a closed room is named, L. @source our estimate: a tenth of a small cellar of 10 m³ would be 1,000 L, and gas lies low */
export const ROOM_GAS_L = 300;

/**
 * Carbon dioxide that the drinks of a room will still give off, in litres of gas.
 *
 * @param drinks - what works, and where
 * @param place - the room
 * @returns L at 0 °C and 1 atm
 * @source mass balance: 0.489 g of gas from a gram of hexose, 1.9768 g/L
 */
export function roomGasL(drinks: readonly WorkingDrink[], place: string): number {
  return drinks.filter((d) => d.place === place).reduce((sum, { liquid }) => sum + volumesFromHexose(fermentableGPerL(liquid)) * liquid.volumeL, 0);
}
