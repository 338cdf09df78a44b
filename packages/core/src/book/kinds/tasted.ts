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

/** What a tasting says, of a payload or as it is told later. */
interface Said {
  readonly text: string;
  readonly sheet?: TasteSheet | null;
}

/** What was tasted, in the maker's words and those of the wheel. */
export function tastedWords({ text, sheet }: Said): string {
  const words = (sheet?.words ?? []).flatMap((id) => tasteWordById(id)?.name ?? []).join(', ');
  return [text, words].filter((part) => part !== '').join(' · ');
}

/** The same behind what it was given of ten. */
export function judgedWords(said: Said): string {
  const score = said.sheet?.score ?? null;
  return [score === null ? '' : `${score} of 10`, tastedWords(said)].filter((part) => part !== '').join(' · ');
}

export const tasted: Kind<TastedPayload> = {
  // With what steeps in it, where something does.
  apply: ({ infusions }, { at }) => (infusions.length > 0 ? { infusions: infusions.map((each) => ({ ...each, tastedAt: at })) } : {}),
  words: ({ payload }) => {
    const next = payload.sheet?.next ?? '';
    const parts = [judgedWords(payload), next === '' ? '' : `Next time: ${next}`];
    return { lead: 'Tasted', rest: parts.filter((part) => part !== '').join(' · ') };
  },
};
