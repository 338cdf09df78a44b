import { CoreError } from '../../base/errors/core-error.js';
import { isMoreThan, litresIn, type VesselFill } from '../state/vessel-fill.js';
import { CLEAR, refuse, type Kind } from './kind.js';
import { both } from './sugar-moves.js';

/** Strained off its pulp: what ran off stands in these vessels. */
export interface StrainedPayload {
  readonly vessels: readonly VesselFill[];
  /** Pressed or wrung, and not only drained. */
  readonly squeezed: boolean;
}

const NOT_ON_PULP = 'It does not stand on pulp.';

export const strained: Kind<StrainedPayload> = {
  apply: (state, { payload: { vessels } }) => {
    if (!state.pulp) throw new CoreError('NOT_ALLOWED', NOT_ON_PULP);
    const [ranL, stoodL] = [litresIn(vessels), litresIn(state.vessels)];
    if (stoodL > 0 && isMoreThan(ranL, stoodL)) {
      throw new CoreError('NOT_ALLOWED', `${ranL.toFixed(1)} L cannot run off what stood in ${stoodL.toFixed(1)} L, pulp and all`, { ranL, stoodL });
    }
    // What ran off was measured; what the sums expected gives way to it.
    return { ...both({ ...state, pulp: null }, (l) => ({ ...l, volumeL: ranL })), vessels, pulp: null, heldVolumes: null };
  },
  words: ({ payload }, say) => ({
    lead: 'Strained',
    rest: `${say.volume(litresIn(payload.vessels))} off the pulp, ${payload.squeezed ? 'pressed' : 'drained'}`,
  }),
  check: (state) => (state.pulp ? CLEAR : refuse(NOT_ON_PULP)),
  onTheDrink: true,
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
