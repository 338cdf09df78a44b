import { CoreError } from '../../base/errors/core-error.js';
import { emptied, inHand } from '../state/draft.js';
import type { VesselFill } from '../state/vessel-fill.js';
import type { Kind } from './kind.js';

/** What left a batch for another. */
export interface SplitShare {
  readonly batchId: string;
  readonly name: string;
  readonly volumeL: number;
}

/** Shares of the batch that begin batches of their own. */
export interface SplitPayload {
  readonly into: readonly SplitShare[];
  /** Where what stays stands afterwards. */
  readonly vessels: readonly VesselFill[];
  readonly lossL: number;
  readonly why: string;
}

export const split: Kind<SplitPayload> = {
  offThePulp: true,
  apply: (state, entry) => {
    const { into, lossL } = entry.payload;
    const leftL = inHand(state).volumeL - lossL - into.reduce((sum, share) => sum + share.volumeL, 0);
    if (leftL < -0.05) {
      throw new CoreError('NOT_ALLOWED', `${(inHand(state).volumeL - leftL).toFixed(1)} L cannot be taken from ${inHand(state).volumeL.toFixed(1)} L`, {
        leftL,
      });
    }
    const patch = emptied(state, { ...inHand(state), volumeL: Math.max(0, leftL) });
    return patch.liquid ? { ...patch, vessels: entry.payload.vessels } : patch;
  },
  words: ({ payload }, say) => ({
    lead: 'Split',
    rest: `${payload.into.map((share) => `${say.volume(share.volumeL)} to ${share.name}`).join(', ')}. ${payload.why}`.trim(),
  }),
  onTheDrink: true,
  vesselsAfter: ({ vessels }) => vessels.map((v) => v.vesselId),
};
