import { hintsInWords } from '../../ferment/verdict/hints.js';
import { DAY_MS } from '../../matter/quantity/days.js';
import type { Entry, EntryOf } from '../entry/entry.js';
import { inHand, type Draft, type Patch } from './replay-draft.js';

/** Keeps what was seen or smelt in passing, in the figures of a reading or in a maker's own words. */
export function noteHints(state: Draft, entry: Entry): void {
  if (entry.kind === 'reading' && entry.payload.bubbles !== null) state.hints.push({ at: entry.at, of: 'bubbles', is: entry.payload.bubbles });
  const words = entry.kind === 'note' || entry.kind === 'tasted' ? entry.payload.text : entry.note;
  if (words !== '') state.hints.push(...hintsInWords(entry.at, words));
}

/** What was done to clear it, and when it is worth looking. */
export function clarified(state: Draft, { at, payload }: EntryOf<'clarified'>): Patch {
  inHand(state);
  const lookAt = new Date(Date.parse(at) + payload.waitDays * DAY_MS).toISOString();
  // With both parts in, the finings' own steps are over.
  const plan = payload.means === 'finings' && state.plan?.plan === 'finings' ? null : state.plan;
  return { clarified: { means: payload.means, at, lookAt }, plan };
}
