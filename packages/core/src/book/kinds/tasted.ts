import type { TasteSheet } from '../../finish/taste/taste-sheet.js';
import { tasteWordById } from '../../finish/taste/taste-words.js';
import type { Sparkle } from '../state/entry-choices.js';
import type { Kind } from './kind.js';

/** What it tasted like. */
export interface TastedPayload {
  readonly text: string;
  readonly sparkle: Sparkle | null;
  readonly again: boolean | null;
  /** What was judged in the glass; absent where it was put in words alone. */
  readonly sheet?: TasteSheet;
}

/** What was tasted, in the maker's words and those of the wheel. */
export function tastedWords({ text, sheet }: TastedPayload): string {
  const words = (sheet?.words ?? []).flatMap((id) => tasteWordById(id)?.name ?? []).join(', ');
  return [text, words].filter((part) => part !== '').join(' · ');
}

export const tasted: Kind<TastedPayload> = {
  // With what steeps in it, where something does.
  apply: ({ infusions }, { at }) => (infusions.length > 0 ? { infusions: infusions.map((each) => ({ ...each, tastedAt: at })) } : {}),
  words: ({ payload }) => {
    const { score = null, next = '' } = payload.sheet ?? {};
    const parts = [score === null ? '' : `${score} of 10`, tastedWords(payload), next === '' ? '' : `Next time: ${next}`];
    return { lead: 'Tasted', rest: parts.filter((part) => part !== '').join(' · ') };
  },
};
