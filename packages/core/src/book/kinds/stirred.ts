import type { Kind } from './kind.js';

/** Roused, or swirled in its vessel. */
export type StirredPayload = Record<string, never>;

export const stirred: Kind<StirredPayload> = {
  apply: (_state, { at }) => ({ heldVolumes: null, rousedAt: at }),
  words: () => ({ lead: 'Stirred', rest: '' }),
};
