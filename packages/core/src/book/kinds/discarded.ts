import { loseVolume } from '../../matter/liquid/blend-liquids.js';
import { emptied, inHand } from '../state/draft.js';
import type { Kind } from './kind.js';

/** Drunk, spilled or poured away. */
export interface DiscardedPayload {
  readonly volumeL: number;
  readonly why: string;
}

export const discarded: Kind<DiscardedPayload> = {
  apply: (state, { payload }) => {
    const patch = emptied(state, loseVolume(inHand(state), payload.volumeL));
    // A keg that was drawn empty seals nothing any more.
    return patch.liquid === null ? { ...patch, keg: null } : patch;
  },
  // What was drunk was not poured away.
  words: ({ payload }, say) => ({ lead: payload.why.startsWith('drunk') ? 'Drunk' : 'Poured away', rest: `${say.volume(payload.volumeL)}: ${payload.why}` }),
};
