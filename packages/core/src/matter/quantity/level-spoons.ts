import { countText } from './count-text.js';

const TEASPOONS_IN_TABLESPOON = 3;
/** From so many on a maker takes the larger spoon. */
const LEAST_TABLESPOONS = 4;

/**
 * A weight in level spoons, to the tenth: rounded to whole ones, one spoon could mean half as much again.
 *
 * @param massG - g, more than nothing
 * @param gramsPerTeaspoon - what a level teaspoon of it weighs; undefined where nobody knows
 * @returns such as `2.1 level teaspoons` or `1 level teaspoon`; null where no spoon tells it
 */
export function levelSpoonsText(massG: number, gramsPerTeaspoon: number | undefined): string | null {
  if (gramsPerTeaspoon === undefined) return null;
  const teaspoons = massG / gramsPerTeaspoon;
  const isLarge = teaspoons >= LEAST_TABLESPOONS * TEASPOONS_IN_TABLESPOON;
  const count = Math.round((isLarge ? teaspoons / TEASPOONS_IN_TABLESPOON : teaspoons) * 10) / 10;
  return count === 0 ? null : countText(count, isLarge ? 'level tablespoon' : 'level teaspoon');
}
