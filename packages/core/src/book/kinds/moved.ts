import type { Kind } from './kind.js';

/** Carried to another place. */
export interface MovedPayload {
  readonly place: string;
  readonly tempC: number;
}

export const moved: Kind<MovedPayload> = {
  apply: (state, { at, payload: { place, tempC } }) => {
    state.temps.push({ at, tempC });
    return { place, placeC: tempC };
  },
  words: ({ payload }, say) => ({ lead: 'Moved', rest: `to ${payload.place}, ${say.temperature(payload.tempC)}` }),
};
