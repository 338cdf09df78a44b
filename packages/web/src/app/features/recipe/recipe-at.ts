import { computed, inject, type Signal } from '@angular/core';
import { attempt } from '@trug/core/base/errors/attempt';
import type { Recipe } from '@trug/core/book/recipe/recipe-of';
import { readQuantity } from '../../shared/field/quantity-field';
import { Units } from '../../units/units';

/** A recipe at the size that is typed, and why it cannot be made so. */
export interface RecipeAt {
  readonly recipe: Signal<Recipe | null>;
  readonly refusal: Signal<string | null>;
}

/**
 * A recipe at the size that is typed; call within an injection context.
 *
 * @param typed - how much this time, as typed; as it is written when it says nothing
 * @param make - the recipe for so many litres; null while it is not there
 */
export function injectRecipeAt(typed: () => string, make: (volumeL: number | undefined) => Recipe | null): RecipeAt {
  const units = inject(Units);
  const outcome = computed(() => {
    const read = readQuantity(units, typed(), 'volume');
    return attempt(() => make(read?.ok === true ? read.value.value : undefined));
  });
  return {
    recipe: computed(() => {
      const made = outcome();
      return made.ok ? made.value : null;
    }),
    refusal: computed(() => {
      const made = outcome();
      return made.ok ? null : `${made.error.message}.`;
    }),
  };
}
