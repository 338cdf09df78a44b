import type {
  BatchDto,
  CellarMode,
  InstrumentDto,
  PlaceDto,
  StoredJuice,
  StoredRecipe,
  Problem,
  SupplyDto,
  VersionedSettings,
  VesselDto,
} from '@trug/contract/plain';
import type { ListName } from './lists';
import { createActionGroup, emptyProps, props } from '@ngrx/store';

/** Everything the app opens with. */
export interface Snapshot {
  readonly now: string;
  /** This machine's clock when it came, ms since 1970. */
  readonly loadedAtMs: number;
  /** Whether the book can be written into. */
  readonly mode: CellarMode;
  /** The last change of the book that this cannot be behind. */
  readonly head: string;
  /** Where the maker's own Trug answers when this is a season to look around in. */
  readonly home: string | null;
  readonly batches: readonly BatchDto[];
  readonly vessels: readonly VesselDto[];
  readonly settings: VersionedSettings;
  readonly juices: readonly StoredJuice[];
  readonly supplies: readonly SupplyDto[];
  readonly instruments: readonly InstrumentDto[];
  readonly places: readonly PlaceDto[];
  readonly recipes: readonly StoredRecipe[];
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
