import { CoreError } from '../../base/errors/core-error.js';
import { inHand } from '../state/draft.js';
import { isMoreThan, litresIn, type VesselFill } from '../state/vessel-fill.js';
import { onlySteeping } from '../state/fruit-out.js';
import type { Kind } from './kind.js';
import { both } from './sugar-moves.js';

/** Drawn off its lees. */
export interface RackedPayload {
  readonly vessels: readonly VesselFill[];
  readonly lossL: number;
}

export const racked: Kind<RackedPayload> = {
  offThePulp: true,
  apply: (state, { at, payload: { vessels, lossL } }) => {
    const before = inHand(state).volumeL;
    const movedL = litresIn(vessels);
    if (isMoreThan(movedL, before)) {
      throw new CoreError('NOT_ALLOWED', `${movedL.toFixed(1)} L cannot be racked from ${before.toFixed(1)} L`, { movedL, volumeL: before, lossL });
    }
    // Off its cap, keeving is over.
    const plan = state.plan?.plan === 'keeve' ? null : state.plan;
    return {
      ...both(state, (l) => ({ ...l, volumeL: movedL })),
      vessels,
      rackedAt: at,
      filledUpAt: at,
      plan,
      heldVolumes: null,
      ...onlySteeping(state, at, []),
    };
  },
  words: ({ payload }, say) => ({
    lead: 'Racked',
    rest: `${say.volume(litresIn(payload.vessels))} off the lees, ${say.volume(payload.lossL)} left behind`,
  }),
  onTheDrink: true,
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
