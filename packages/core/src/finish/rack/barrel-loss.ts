import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** What wood lets through of a cellar barrel, share of it in a year at 15 °C. @source usual figures of 2 to 8 in 100 a year for 225 L, the middle of them */
const SHARE_A_YEAR = 0.05;
const USUAL_BARREL_L = 225;
const USUAL_C = 15;
/** Warmer dries faster. @source our estimate: the vapour pressure of water rises by some 6 in 100 with each degree */
const PER_DEGREE = 0.06;
/** Dry rooms, thin staves and young wood take twice as much, damp ones half. @source our estimate */
const EITHER_WAY = 2;
const YEAR_DAYS = 365;
/** Wood holds no drink for ever between two fillings. */
const MOST_SHARE = 0.5;

/** What has gone through the wood. */
export interface BarrelLoss {
  readonly likelyL: number;
  readonly leastL: number;
  readonly mostL: number;
}

/**
 * What a barrel has lost through its wood since it was last filled up: small barrels lose more, since they have more wood to a litre.
 *
 * @param input - its size, L, the days since, and how warm it stands, °C
 * @returns likely, least and most, L, with the working
 * @throws {CoreError} OUT_OF_RANGE
 * @source surface to volume, from usual figures of a cellar barrel; the spread is our estimate
 */
export function barrelLoss(input: { readonly capacityL: number; readonly days: number; readonly tempC: number }): Worked<BarrelLoss> {
  const capacityL = inRange('capacityL', input.capacityL, LIMITS.capacityL);
  const tempC = inRange('tempC', input.tempC, LIMITS.tempC);
  const days = Math.max(0, input.days);
  const size = Math.cbrt(USUAL_BARREL_L / capacityL);
  const warmth = Math.exp(PER_DEGREE * (tempC - USUAL_C));
  const likelyL = capacityL * Math.min(MOST_SHARE, SHARE_A_YEAR * size * warmth * (days / YEAR_DAYS));
  return worked({ likelyL, leastL: likelyL / EITHER_WAY, mostL: likelyL * EITHER_WAY }, [
    {
      label: 'Gone through the wood',
      expression: `${figure(capacityL, 0)} L × ${SHARE_A_YEAR} a year × ${figure(size, 2)} for its size × ${figure(warmth, 2)} at ${celsius(tempC)} × ${figure(days, 0)} days`,
      result: `${figure(likelyL, 1)} L, or half or twice that`,
      source: 'usual figures for a barrel of 225 L; our estimate of the rest',
    },
  ]);
}
