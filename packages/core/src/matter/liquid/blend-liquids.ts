import { CoreError } from '../../base/errors/core-error.js';
import { mapAmounts, type Liquid } from './liquid.js';

/**
 * Liquids poured together: volumes add, and every amount is the sum of its parts.
 *
 * @param parts - at least one liquid, together more than 0 L
 * @returns the blend, counted as the fruit of its largest part
 * @throws {CoreError} OUT_OF_RANGE when there is nothing to blend
 */
export function blendLiquids(parts: readonly Liquid[]): Liquid {
  const volumeL = parts.reduce((sum, part) => sum + part.volumeL, 0);
  const largest = parts.reduce<Liquid | undefined>((best, part) => (best && best.volumeL >= part.volumeL ? best : part), undefined);
  if (!largest || !(volumeL > 0)) {
    throw new CoreError('OUT_OF_RANGE', 'a blend needs some liquid', { field: 'volumeL', given: volumeL });
  }
  const amounts = mapAmounts((field) => parts.reduce((sum, part) => sum + part[field] * part.volumeL, 0) / volumeL);
  return { ...amounts, volumeL, fruit: largest.fruit };
}

/**
 * The liquid after some of it is lost to lees, a jar or a drain: less of it, the same in every other way.
 *
 * @param liquid - before
 * @param lossL - volume lost, L, from 0 to all of it
 * @returns after
 * @throws {CoreError} OUT_OF_RANGE when more is lost than there is
 */
export function loseVolume(liquid: Liquid, lossL: number): Liquid {
  if (!(lossL >= 0 && lossL <= liquid.volumeL + 1e-9)) {
    throw new CoreError('OUT_OF_RANGE', `cannot lose ${lossL} L of ${liquid.volumeL} L`, { field: 'lossL', given: lossL, min: 0, max: liquid.volumeL });
  }
  return { ...liquid, volumeL: Math.max(0, liquid.volumeL - lossL) };
}

/**
 * The liquid thinned or stretched to a new volume while every mass stays: the ground under all additions.
 *
 * @param liquid - before
 * @param volumeL - the volume after, L, > 0
 * @returns the same masses in that volume
 */
export function inVolume(liquid: Liquid, volumeL: number): Liquid {
  if (!(volumeL > 0)) {
    throw new CoreError('OUT_OF_RANGE', `a volume must be above zero, got ${volumeL}`, { field: 'volumeL', given: volumeL });
  }
  return { ...liquid, ...mapAmounts((field) => (liquid[field] * liquid.volumeL) / volumeL), volumeL };
}
