import type { Kind } from './kind.js';

/** A maker's own words. */
export interface NotePayload {
  readonly text: string;
}

export const note: Kind<NotePayload> = { apply: () => ({}), words: ({ payload }) => ({ lead: 'Note', rest: payload.text }) };
