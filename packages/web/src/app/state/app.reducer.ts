import type { CellarMode, Problem } from '@trug/contract/plain';
import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import { AppActions, AppApiActions } from './app.actions';

/** What day it is, and whether the book could be read and can be written into. */
export interface AppState {
  /** The server's clock at the last load, ISO 8601; empty before it. */
  readonly now: string;
  /** This machine's clock at that moment, ms since 1970. */
  readonly loadedAtMs: number;
  readonly mode: CellarMode;
  /** The last change that what was loaded cannot be behind; empty before the first load. */
  readonly head: string;
  /** Where the maker's own Trug answers when this is a season to look around in; null in their own. */
  readonly home: string | null;
  /** Whether the first load has come. */
  readonly loaded: boolean;
  /** Why the last load failed; null when it did not. */
  readonly problem: Problem | null;
}

const initial: AppState = { now: '', loadedAtMs: 0, mode: 'open', head: '', home: null, loaded: false, problem: null };

/** The day and the state of the book. */
export const appFeature = createFeature({
  name: 'app',
  reducer: createReducer(
    initial,
    on(AppApiActions.loaded, (_state, { snapshot: { now, loadedAtMs, mode, head, home } }) => ({
      now,
      loadedAtMs,
      mode,
      head,
      home,
      loaded: true,
      problem: null,
    })),
    on(AppApiActions.loadFailed, (state, { problem }) => ({ ...state, problem })),
    on(AppActions.ticked, (state, { now, atMs }) => (state.now === '' ? state : { ...state, now, loadedAtMs: atMs })),
  ),
  extraSelectors: ({ selectNow, selectLoadedAtMs }) => ({
    /** The server's clock and this machine's at one moment. */
    selectClock: createSelector(selectNow, selectLoadedAtMs, (now, atMs) => ({ now, atMs })),
  }),
});
