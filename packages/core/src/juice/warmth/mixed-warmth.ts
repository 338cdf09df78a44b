import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';

/** A volume and how warm it is. */
export interface WarmVolume {
  readonly volumeL: number;
  readonly tempC: number;
}

/**
 * How warm liquids come together, the vessel and the air not counted: juice and water hold nearly the same heat by volume.
 *
 * @param parts - each with L above nothing and °C from 0 to 100
 * @returns °C
 * @throws {CoreError} OUT_OF_RANGE
 * @source heat balance; the heat of a litre of juice is within 3 % of that of water
 */
export function mixedWarmth(parts: readonly WarmVolume[]): number {
  let [litres, heat] = [0, 0];
  for (const { volumeL, tempC } of parts) {
    litres += inRange('volumeL', volumeL, LIMITS.volumeL);
    heat += volumeL * inRange('tempC', tempC, LIMITS.sampleC);
  }
  return heat / litres;
}
