import type { Kind } from './kind.js';

/** What a batch is called, and the colour of its tape. */
export interface Called {
  readonly name: string;
  readonly tape: string;
}

/** A batch called otherwise, or on another tape. */
export interface RenamedPayload extends Called {
  /** What it was called until then. */
  readonly was: Called;
}

export const renamed: Kind<RenamedPayload> = {
  apply: () => ({}),
  words: ({ payload: { name, tape, was } }) =>
    name === was.name ? { lead: 'New tape', rest: `${tape}, was ${was.tape}` } : { lead: 'Renamed', rest: `${name}, was ${was.name}` },
};
