import type { Problem, StartAnswer } from '@trug/contract/plain';
import type { ListName } from './lists';
import { createActionGroup, emptyProps, props } from '@ngrx/store';

/** Everything the app opens with. */
export interface Snapshot extends Omit<StartAnswer, 'fixed'> {
  /** This machine's clock when it came, ms since 1970. */
  readonly loadedAtMs: number;
}

/** Everything that is kept as whole lists. */
export type Lists = Pick<Snapshot, ListName>;

/** The app itself. */
export const AppActions = createActionGroup({
  source: 'App',
  events: {
    Opened: emptyProps(),
    /** Time goes on while a window stays open: the server's clock, and this machine's in ms since 1970. */
    Ticked: props<{ readonly now: string; readonly atMs: number }>(),
    'Reload Asked': emptyProps(),
    /** Another window changed these. */
    'Lists Changed Elsewhere': props<{ readonly lists: readonly ListName[] }>(),
  },
});

/** What the server answers. */
export const AppApiActions = createActionGroup({
  source: 'App API',
  events: {
    Loaded: props<{ readonly snapshot: Snapshot }>(),
    /** Some of the lists as the server has them now. */
    'Lists Refreshed': props<{ readonly lists: Partial<Lists> }>(),
    'Load Failed': props<{ readonly problem: Problem }>(),
  },
});
