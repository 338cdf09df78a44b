import type { Vent } from '../state/entry-choices.js';
import type { Kind } from './kind.js';

/** How the gas gets out from now on; for a loosened cap, also each time it was let out. */
export interface VentedPayload {
  readonly vent: Vent;
}

/** Vents in the maker's words. */
const VENT_WORDS: Readonly<Record<Vent, string>> = {
  airlock: 'under an airlock',
  tube: 'through a blow-off tube',
  'loose-cap': 'cap loosened',
};

export const vented: Kind<VentedPayload> = {
  apply: (_state, { at, payload: { vent } }) => ({ vent: { vent, at } }),
  words: ({ payload: { vent } }) => ({ lead: vent === 'loose-cap' ? 'Gas let out' : 'Vent', rest: VENT_WORDS[vent] }),
};
