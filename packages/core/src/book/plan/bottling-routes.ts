import { FRUIT_IN } from '../state/fruit-out.js';
import { STATUS_WORDS, type Verdict } from '../../ferment/verdict/verdict.js';
import type { SealWay } from '../state/sealing.js';

/** A way of putting a drink by. */
export type RouteId = 'sparkling-dry' | 'still' | 'heated' | 'cold-keg' | 'sparkling-sweet';

/** A route, allowed or struck out, and why. */
export interface BottlingRoute {
  readonly id: RouteId;
  readonly name: string;
  readonly allowed: boolean;
  readonly why: string;
}

/** What is open to a batch that nobody could read. */
const UNREAD = 'Nobody has read it, so nobody knows whether sugar is left. Plastic bottles alone, with little sugar or none, at your own risk.';

/**
 * Which ways of putting a drink by are open to it. What would burst or fall flat is struck out with the reason.
 *
 * @param input - on what grounds it may be sealed, its verdict, whether fruit steeps in it, and whether its bottles may be heated
 * @returns every route, in the order to offer them
 * @source design rules: sealed only when the end is proven; stabilised drinks cannot be primed; what is left is counted
 */
export function bottlingRoutes({
  way,
  verdict,
  hasFruit = false,
  toHeat = false,
}: {
  readonly way: SealWay;
  readonly verdict: Verdict | null;
  readonly hasFruit?: boolean;
  readonly toHeat?: boolean;
}): readonly BottlingRoute[] {
  const word = verdict ? STATUS_WORDS[verdict.status] : 'not pitched';
  const unproven = hasFruit ? FRUIT_IN : `Its end is not proven: ${word}. Sealed now, it could burst.`;
  const high = 'It ended higher than the sums put it. What they still find of sugar counts as fizz: the bench says whether these bottles stand it.';
  return [
    {
      id: 'sparkling-dry',
      name: 'Sparkling, dry',
      allowed: way === 'proven' || way === 'ended-high' || way === 'unread',
      why: {
        unproven,
        unread: UNREAD,
        stabilised: 'Sulfite and sorbate hold the yeast, so priming would stay flat.',
        'ended-high': high,
        proven: 'Prime it and keep it in the warm for three weeks. The bench says what your bottles stand.',
      }[way],
    },
    {
      id: 'still',
      name: 'Still',
      allowed: way !== 'unproven',
      why: {
        unproven,
        unread: UNREAD,
        stabilised: 'Bottle it as it is, filled high. Sorbate slows yeast and does not kill it, so keep it cool and drink it within the year.',
        'ended-high': high,
        proven: 'Bottle it as it is, filled high. A little sulfite keeps it longer.',
      }[way],
    },
    {
      id: 'heated',
      name: 'Sweet, heated in the bottle',
      allowed: toHeat,
      why: toHeat
        ? 'Its sugar is kept by heat: every bottle through a bath today, under a lid, before its yeast wakes.'
        : 'For a drink whose end was proven and that was sweetened within the day, or that ended sweet. Sweeten it first, with the bath ready.',
    },
    {
      id: 'cold-keg',
      name: 'Cold keg',
      allowed: true,
      why:
        way === 'unproven' || way === 'unread'
          ? 'With a relief valve that works, at 4 °C or colder, let off each week. A power cut is a danger: then let it off at once.'
          : 'Gas it in a keg at the level you like.',
    },
    {
      id: 'sparkling-sweet',
      name: 'Sparkling, sweet with sugar',
      allowed: false,
      why: 'The yeast would eat the sugar: past every bottle you have. Keg it cold, or leave it dry.',
    },
  ];
}
