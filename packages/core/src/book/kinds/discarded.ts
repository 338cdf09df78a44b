import { loseVolume } from '../../matter/liquid/blend-liquids.js';
import { emptied, inHand } from '../state/draft.js';
import type { Kind } from './kind.js';

/** Drunk, spilled or poured away. */
export interface DiscardedPayload {
  readonly volumeL: number;
  readonly why: string;
}

export const discarded: Kind<DiscardedPayload> = {
  apply: (state, { payload }) => emptied(state, loseVolume(inHand(state), payload.volumeL)),
  // What was drunk was not poured away.
  words: ({ payload }, say) => ({ lead: payload.why.startsWith('drunk') ? 'Drunk' : 'Poured away', rest: `${say.volume(payload.volumeL)}: ${payload.why}` }),
};
