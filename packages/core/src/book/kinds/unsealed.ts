import { CoreError } from '../../base/errors/core-error.js';
import type { Kind } from './kind.js';

/** A sealed keg let off and opened, so that it can be worked on. */
export type UnsealedPayload = Record<string, never>;

export const unsealed: Kind<UnsealedPayload> = {
  apply: (state, { at }) => {
    if (!state.keg) throw new CoreError('NOT_ALLOWED', 'there is no sealed keg to open');
    // Until it has stood open it holds the gas it was given.
    return { keg: null, heldVolumes: { at, volumes: state.keg.targetVolumes } };
  },
  words: () => ({ lead: 'Opened the keg', rest: 'let off first' }),
};
