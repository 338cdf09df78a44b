import type { Liquid } from '../liquid/liquid.js';
import type { Verdict } from '../ferment/verdict.js';
import { provesFinished, STATUS_WORDS } from '../ferment/verdict.js';
import { figure } from '../worked/figures.js';

/** A way of putting a drink by. */
export type RouteId = 'sparkling-dry' | 'still' | 'cold-keg' | 'sparkling-sweet';

/** A route, allowed or struck out, and why. */
export interface BottlingRoute {
  readonly id: RouteId;
  readonly name: string;
  readonly allowed: boolean;
  readonly why: string;
}

/**
 * Which ways of putting a drink by are open to it. What would burst or fall flat is struck out with the reason.
 *
 * @param input - the drink, its verdict and whether it was stabilised with sulfite and sorbate
 * @returns every route, in the order to offer them
 * @source design rules: sealed only when the end is proven; stabilised drinks cannot be primed
 */
export function bottlingRoutes(input: { readonly liquid: Liquid; readonly verdict: Verdict | null; readonly stabilised: boolean }): readonly BottlingRoute[] {
  const { verdict, stabilised } = input;
  const proven = verdict !== null && provesFinished(verdict.status);
  const word = verdict ? STATUS_WORDS[verdict.status] : 'not pitched';
  const unproven = `Its end is not proven: ${word}. Sealed now, it could burst.`;
  const sleeping = verdict?.status === 'finished-at-tolerance' && !stabilised;
  const asleep = `It stopped at ${figure(verdict ? verdict.expectedEndSg : 0, 3)} with sugar left that fresh yeast could wake.`;
  return [
    {
      id: 'sparkling-dry',
      name: 'Sparkling, dry',
      allowed: proven && !stabilised && !sleeping,
      why: !proven
        ? unproven
        : stabilised
          ? 'Sulfite and sorbate stop the yeast, so priming would stay flat.'
          : sleeping
            ? asleep
            : 'Prime it and keep it in the warm for three weeks. The safest fizz in a bottle.',
    },
    {
      id: 'still',
      name: 'Still',
      allowed: (proven || stabilised) && !sleeping,
      why: !proven && !stabilised ? unproven : sleeping ? asleep : 'Bottle it as it is, filled high. A little sulfite keeps it longer.',
    },
    {
      id: 'cold-keg',
      name: 'Cold keg',
      allowed: true,
      why: proven
        ? 'Gas it in a keg at the level you like.'
        : 'The one sealed place for a drink whose end is not proven: a keg with a relief valve, kept at 4 °C or colder.',
    },
    {
      id: 'sparkling-sweet',
      name: 'Sparkling, sweet with sugar',
      allowed: false,
      why: 'The yeast would eat the sugar: past every bottle you have. Keg it cold, or leave it dry.',
    },
  ];
}
