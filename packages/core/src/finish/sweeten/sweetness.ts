import { taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { sweetnessGPerL } from '../../matter/liquid/views.js';

/** How sweet a drink tastes, as grams of sucrose in a litre. */
export interface SweetnessLevel {
  readonly id: 'dry' | 'off-dry' | 'medium' | 'sweet' | 'very-sweet';
  readonly name: string;
  /** Up to here it is called so, g/L. */
  readonly mostGPerL: number;
  /** What to aim at for it, g/L. */
  readonly aimGPerL: number;
}

/** From dry to very sweet. @source estimate: usual household words, before the acid is counted */
export const SWEETNESS_LEVELS: readonly SweetnessLevel[] = [
  { id: 'dry', name: 'dry', mostGPerL: 7, aimGPerL: 0 },
  { id: 'off-dry', name: 'off dry', mostGPerL: 18, aimGPerL: 12 },
  { id: 'medium', name: 'medium', mostGPerL: 35, aimGPerL: 25 },
  { id: 'sweet', name: 'sweet', mostGPerL: 60, aimGPerL: 45 },
  { id: 'very-sweet', name: 'very sweet', mostGPerL: Infinity, aimGPerL: 75 },
];

/** Sweetness beside acid, both in g/L, up to which a drink is called so. @source estimate */
const BALANCES = [
  { most: 1.2, word: 'sharp' },
  { most: 4, word: 'brisk' },
  { most: 9, word: 'balanced' },
  { most: 15, word: 'soft' },
  { most: Infinity, word: 'cloying' },
] as const;

/**
 * How sweet that many grams taste, in a word.
 *
 * @param gPerL - sweetness as sucrose, g/L, ≥ 0
 * @returns such as `off dry`
 */
export const sweetnessWord = (gPerL: number): string => SWEETNESS_LEVELS.find((level) => gPerL <= level.mostGPerL)?.name ?? 'dry';

/**
 * How sweetness and acid stand to each other in a drink.
 *
 * @param liquid - the drink
 * @returns grams of sweetness to a gram of acid, and a word for it
 */
export function sweetnessBalance(liquid: Liquid): { readonly ratio: number; readonly word: string } {
  const ratio = sweetnessGPerL(liquid) / Math.max(0.1, taOf(liquid));
  return { ratio, word: BALANCES.find(({ most }) => ratio <= most)?.word ?? 'cloying' };
}
