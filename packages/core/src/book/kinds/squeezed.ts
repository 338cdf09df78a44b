import { CoreError } from '../../base/errors/core-error.js';
import { FEEL_WORDS, type SqueezeFeel } from '../../finish/bottle/test-bottle.js';
import type { Kind } from './kind.js';

/** The plastic test bottle of a crate, squeezed. */
export interface SqueezedPayload {
  /** The `bottled` entry of the crate. */
  readonly crateId: string;
  readonly feel: SqueezeFeel;
}

export const squeezed: Kind<SqueezedPayload> = {
  apply: (state, { at, payload: { crateId, feel } }) => {
    const place = state.crates.findIndex((c) => c.id === crateId && c.testBottle);
    const crate = state.crates[place];
    if (!crate) throw new CoreError('NOT_ALLOWED', 'there is no crate with a test bottle to squeeze', { crateId });
    state.crates[place] = { ...crate, squeezed: { at, feel } };
    return {};
  },
  words: ({ payload: { feel } }) => ({ lead: `Test bottle ${feel}`, rest: FEEL_WORDS[feel] }),
};
