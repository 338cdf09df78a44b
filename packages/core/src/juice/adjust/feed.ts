import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { nutrientById, tooLateToFeed } from './nutrient-plan.js';

/** A feed of a fermenting drink. */
export interface WeighedFeed {
  /** Nitrogen yeast can use, mg/L of the drink. */
  readonly mgNPerL: number;
  /** What it brings, and whether it is more than is usually given. */
  readonly says: string;
}

/** A usual feed at once, mg/L of nitrogen. @source usual advice: up to 60 mg/L at once */
const USUAL_MG_N_PER_L = 50;
/** What a kitchen scale may be off is not too much. @source our estimate */
const KITCHEN_SCALE = 1.05;
/** Less is no drink to feed. */

/**
 * What an amount of a nutrient gives a drink.
 *
 * @param input - the nutrient, its weight in g, the drink 0.01–2000 L and the share of its sugar that has fermented, 0–1
 * @returns nitrogen and what to say of it
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source `NUTRIENTS`
 */
export function feedOf(input: {
  readonly productId: string;
  readonly massG: number;
  readonly volumeL: number;
  readonly fermentedFraction?: number;
}): WeighedFeed {
  const product = nutrientById(input.productId);
  const massG = inRange('massG', input.massG, LIMITS.massG);
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.pourL);
  const mgNPerL = (massG * product.mgNPerG) / volumeL;
  const brings = `${figure(mgNPerL, 0)} mg/L of nitrogen`;
  const mostG = product.mostGPerL * volumeL;
  const over = massG > mostG * KITCHEN_SCALE ? ` That is more than ${figure(mostG, 1)} g, the most usually given: what yeast leaves feeds other things.` : '';
  const late = tooLateToFeed(input.fermentedFraction ?? 0);
  return { mgNPerL, says: `${brings}.${over}${late === null ? '' : ` ${late}`}` };
}

/**
 * The weight of a usual feed.
 *
 * @param productId - of `NUTRIENTS`
 * @param volumeL - the drink, 0.01–2000 L
 * @returns g, for 50 mg/L of nitrogen or the most usually given, whichever is less
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 */
export function usualFeedG(productId: string, volumeL: number): number {
  const product = nutrientById(productId);
  return Math.min(product.mostGPerL, USUAL_MG_N_PER_L / product.mgNPerG) * inRange('volumeL', volumeL, LIMITS.pourL);
}
