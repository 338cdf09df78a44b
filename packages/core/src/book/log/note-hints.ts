import { tastedWords } from '../kinds/tasted.js';
import { hintsInWords } from '../../ferment/verdict/hints.js';
import type { Entry } from '../entry/entry.js';
import type { Draft } from '../state/draft.js';

/** Keeps what was seen or smelt in passing, in the figures of a reading or in a maker's own words. */
export function noteHints(state: Draft, entry: Entry): void {
  if (entry.kind === 'reading' && entry.payload.bubbles !== null) state.hints.push({ at: entry.at, of: 'bubbles', is: entry.payload.bubbles });
  const words = entry.kind === 'note' ? entry.payload.text : entry.kind === 'tasted' ? tastedWords(entry.payload) : entry.note;
  if (words !== '') state.hints.push(...hintsInWords(entry.at, words));
}
