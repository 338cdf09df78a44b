import { DestroyRef, inject, signal, type Signal } from '@angular/core';

/** As in the style sheets: below this a page is a phone's. */
const NARROW = '(max-width: 719px)';

/**
 * Whether the page is as narrow as a phone, for drawings that must be laid out anew rather than shrunk.
 *
 * @returns a signal that follows the window; call within an injection context
 */
export function injectNarrow(): Signal<boolean> {
  if (typeof window.matchMedia !== 'function') return signal(false);
  const query = window.matchMedia(NARROW);
  const narrow = signal(query.matches);
  const follow = (event: MediaQueryListEvent): void => narrow.set(event.matches);
  query.addEventListener('change', follow);
  inject(DestroyRef).onDestroy(() => query.removeEventListener('change', follow));
  return narrow.asReadonly();
}
