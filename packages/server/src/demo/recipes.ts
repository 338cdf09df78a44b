import type { StoredRecipe } from '@trug/contract';
import { blankSteps, stepOf } from '@trug/core/book/recipe/kept-recipe';

/** The made-up maker's recipes, each for the size it is written for. */
export const DEMO_RECIPES: readonly Omit<StoredRecipe, 'id' | 'version'>[] = [
  {
    name: 'One Jug, Plain',
    methodId: 'cool-slow',
    note: 'The one that never failed. In a warm kitchen it is dry a week sooner.',
    steps: [
      ...blankSteps({ volumeL: 4.5, fruit: 'apple', sg: 1.048 }),
      stepOf(0, 'addition', { what: 'enzyme', name: 'pectic enzyme', massG: 1.5 }),
      stepOf(0, 'addition', { what: 'sulfite', so2MgPerL: 50 }),
      stepOf(1, 'addition', { what: 'fermentable', fermentableId: 'sucrose', massG: 120 }, 'Stirred in until none lies on the bottom.'),
      stepOf(1, 'pitched', { yeastId: 'crisp-cider', massG: 2.5, method: 'sprinkled', juiceC: 18 }),
      stepOf(4, 'addition', { what: 'nutrient', name: 'organic yeast nutrient', massG: 1.5 }),
      stepOf(35, 'note', { text: 'rack it off the lees, top it up to the neck' }),
    ],
  },
];
