import { CoreError } from '../../base/errors/core-error.js';
import type { Kind } from './kind.js';

/** Carried to another place. */
export interface MovedPayload {
  readonly place: string;
  readonly tempC: number;
  /** The `bottled` entry of a crate that was carried; absent where the drink was, in its vessels. */
  readonly crateId?: string | undefined;
}

/** How a place is filed that nobody named: only how warm it is was said. */
export const WHERE_IT_STANDS = 'its place';

export const moved: Kind<MovedPayload> = {
  apply: (state, { at, payload: { place, tempC, crateId } }) => {
    if (crateId !== undefined) {
      const index = state.crates.findIndex((crate) => crate.id === crateId);
      const crate = state.crates[index];
      if (!crate) throw new CoreError('NOT_ALLOWED', 'there is no such crate to move', { crateId });
      // A warmer store presses harder: what it was filled for is not forgotten, only surpassed.
      state.crates[index] = { ...crate, place, hottestC: Math.max(crate.hottestC, tempC) };
      return {};
    }
    state.temps.push({ at, tempC });
    return { place: place === WHERE_IT_STANDS ? state.place : place, placeC: tempC };
  },
  words: ({ payload }, say) =>
    payload.place === WHERE_IT_STANDS
      ? { lead: 'Stands', rest: `at ${say.temperature(payload.tempC)}` }
      : { lead: payload.crateId === undefined ? 'Moved' : 'Crate moved', rest: `to ${payload.place}, ${say.temperature(payload.tempC)}` },
};
