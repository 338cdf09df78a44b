import { CoreError } from '../../base/errors/core-error.js';
import { onlySteeping } from '../state/fruit-out.js';
import type { Kind } from './kind.js';

/** What steeped in it was taken out. */
export interface LiftedPayload {
  /** The `infused` entry. */
  readonly infusedId: string;
  readonly name: string;
}

export const lifted: Kind<LiftedPayload> = {
  apply: (state, { at, payload: { infusedId } }) => {
    if (!state.infusions.some((each) => each.id === infusedId)) throw new CoreError('NOT_ALLOWED', 'that is not in it any more', { infusedId });
    return onlySteeping(
      state,
      at,
      state.infusions.filter((each) => each.id !== infusedId),
    );
  },
  words: ({ payload: { name } }) => ({ lead: 'Taken out', rest: name }),
  onTheDrink: true,
};
