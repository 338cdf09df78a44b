import type { KeptStep } from '@trug/core/book/recipe/recipe-step';

/** A recipe as it is kept; {@link RecipeDto} checks it. */
export interface StoredRecipe {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly methodId: string;
  readonly note: string;
  readonly steps: readonly KeptStep[];
  readonly retiredOn?: string | null;
}
