import { PLACES } from './places';

/** What a key asks for. */
export type KeyAct = { readonly go: string } | 'help' | 'sums' | 'scribble' | 'waiting' | null;

/**
 * Reads a key press: `g` then a letter opens a place, `n` begins a batch, `q` opens the quick sums, `/` the line to scribble on, `?` lists the keys.
 *
 * @param key - the key's name
 * @param afterG - whether `g` was the last key
 * @returns what it asks for; `waiting` after `g`
 */
export function keyAct(key: string, afterG: boolean): KeyAct {
  if (afterG) {
    const place = PLACES.find((p) => p.key === key);
    return place ? { go: `/${place.path}` } : null;
  }
  if (key === 'g') return 'waiting';
  if (key === 'n') return { go: '/new' };
  if (key === 'q') return 'sums';
  if (key === '/') return 'scribble';
  return key === '?' ? 'help' : null;
}

/**
 * Whether a key press belongs to a field rather than to the app.
 *
 * @param target - where it was pressed
 * @returns true while something is being typed
 */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  // In a list, a letter leads to the choice that begins with it.
  return target.isContentEditable || ['INPUT', 'TEXTAREA'].includes(target.tagName) || target.closest('[role=combobox], [role=listbox]') !== null;
}
