import type { Sparkle } from '../state/entry-choices.js';
import type { Kind } from './kind.js';

/** What it tasted like. */
export interface TastedPayload {
  readonly text: string;
  readonly sparkle: Sparkle | null;
  readonly again: boolean | null;
}

export const tasted: Kind<TastedPayload> = { apply: () => ({}), words: ({ payload }) => ({ lead: 'Tasted', rest: payload.text }) };
