import type { BlendViews } from './blend-types.js';
import { figure } from '../../base/worked/figures.js';

/** Words for acidity, up to each figure, g/L as malic. @source our estimate from usual tasting practice */
const ACID_WORDS: readonly (readonly [upTo: number, word: string])[] = [
  [3, 'Flat'],
  [4.5, 'Soft'],
  [6.2, 'Fresh'],
  [8, 'Sharp'],
  [Infinity, 'Sour'],
];
const TANNIN_WORDS: readonly (readonly [upTo: number, word: string])[] = [
  [0.4, 'no grip'],
  [1, 'light tannin'],
  [1.8, 'a little grip'],
  [2.8, 'firm tannin'],
  [Infinity, 'very tannic'],
];
const BODY_WORDS: readonly (readonly [upTo: number, word: string])[] = [
  [1.042, 'thin'],
  [1.048, 'light'],
  [1.056, 'rounded'],
  [1.066, 'full'],
  [Infinity, 'rich'],
];

const wordFor = (table: readonly (readonly [number, string])[], value: number): string => table.find(([upTo]) => value <= upTo)?.[1] ?? '';

/** How sharp an acidity tastes, in a word. @param taGPerL - g/L as malic */
export const acidWord = (taGPerL: number): string => wordFor(ACID_WORDS, taGPerL);

/** How much tannin grips, in words. @param tanninGPerL - g/L */
export const tanninWord = (tanninGPerL: number): string => wordFor(TANNIN_WORDS, tanninGPerL);

/**
 * A blend in words, as a maker would say it over the bench.
 *
 * @param views - its figures
 * @returns such as "Fresh and rounded, a little grip, about 6.7 % if left dry."
 */
export function blendWords(views: BlendViews): string {
  const fermented = views.abv > 0.5;
  const strength = fermented && views.dryAbv - views.abv < 0.3 ? `about ${figure(views.abv, 1)} %` : `about ${figure(views.dryAbv, 1)} % if left dry`;
  const body = fermented ? '' : ` and ${wordFor(BODY_WORDS, views.sg)}`;
  return `${acidWord(views.taGPerL)}${body}, ${tanninWord(views.tanninGPerL)}, ${strength}.`;
}
