import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';

/** The four classes of cider fruit. */
export type LongAshtonClass = 'sweet' | 'sharp' | 'bittersweet' | 'bittersharp';

/** @source Long Ashton Research Station's classes (Barker 1903): acid 0.45 % as malic and tannin 0.2 % divide them */
const SHARP_FROM_TA_G_PER_L = 4.5;
const BITTER_FROM_TANNIN_G_PER_L = 2;

/** Each class in a maker's words. */
export const CLASS_WORDS: Readonly<Record<LongAshtonClass, string>> = {
  sweet: 'Sweet: little acid, little tannin. It fills and softens a blend.',
  sharp: 'Sharp: acid without tannin. It brightens a blend, and its pH tells whether it guards it too.',
  bittersweet: 'Bittersweet: tannin without acid. It gives grip and length, and wants a sharp beside it.',
  bittersharp: 'Bittersharp: acid and tannin together. It can stand alone.',
};

/**
 * The class of a juice by its acid and tannin.
 *
 * @param input - titratable acidity, g/L as malic, and tannin, g/L
 * @returns its class
 * @throws {CoreError} OUT_OF_RANGE
 * @source Long Ashton Research Station: 0.45 % acid, 0.2 % tannin
 */
export function longAshtonClass(input: { readonly taGPerL: number; readonly tanninGPerL: number }): LongAshtonClass {
  inRange('taGPerL', input.taGPerL, LIMITS.taGPerL);
  inRange('tanninGPerL', input.tanninGPerL, LIMITS.tanninGPerL);
  const sharp = input.taGPerL >= SHARP_FROM_TA_G_PER_L;
  const bitter = input.tanninGPerL >= BITTER_FROM_TANNIN_G_PER_L;
  if (sharp) return bitter ? 'bittersharp' : 'sharp';
  return bitter ? 'bittersweet' : 'sweet';
}
