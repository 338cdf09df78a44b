import { CoreError } from '../../base/errors/core-error.js';
import { refuse, CLEAR, type Kind } from './kind.js';

/** A sealed keg let off, and its relief valve tried. */
export interface LetOffPayload {
  /** Whether the relief valve lifts. */
  readonly lifts: boolean;
}

const NO_KEG = 'Nothing of it stands in a sealed keg.';

export const letOff: Kind<LetOffPayload> = {
  apply: (state, { at, payload: { lifts } }) => {
    if (!state.keg) throw new CoreError('NOT_ALLOWED', NO_KEG, {});
    return { keg: { ...state.keg, letOff: { at, lifts } } };
  },
  words: ({ payload: { lifts } }) => ({ lead: 'Keg let off', rest: lifts ? 'its relief valve lifts' : 'its relief valve does not lift' }),
  check: (state) => (state.keg ? CLEAR : refuse(NO_KEG)),
};
