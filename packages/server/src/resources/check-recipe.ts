import { attempt } from '@trug/core';
import type { RecipeDto, StoredRecipe } from '@trug/contract';
import { keptRecipeAt } from '@trug/core/book/recipe/kept-recipe';
import { HttpError } from '../http/http-error.js';

/**
 * Refuses a recipe that could not be opened again: one that begins with nothing, twice, or whose figures no sum can take.
 *
 * @param recipe - each of its steps right by itself
 * @throws {HttpError} not-allowed
 */
export function checkRecipe(recipe: RecipeDto): Promise<void> {
  // Each step's payload was checked by the class of its kind, which is what makes them steps.
  const { steps } = recipe as StoredRecipe;
  const made = attempt(() => keptRecipeAt(steps));
  return made.ok ? Promise.resolve() : Promise.reject(new HttpError('not-allowed', `${made.error.message}.`));
}
