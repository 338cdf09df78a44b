import type { BatchDto, CellarMode, InstrumentDto, PlaceDto, StoredJuice, Problem, SupplyDto, VersionedSettings, VesselDto } from '@trug/contract/plain';
import { createActionGroup, emptyProps, props } from '@ngrx/store';

/** Everything the app opens with. */
export interface Cellarbook {
  readonly now: string;
  /** This machine's clock when it came, ms since 1970. */
  readonly loadedAtMs: number;
  /** Whether the cellar can be written into. */
  readonly mode: CellarMode;
  readonly batches: readonly BatchDto[];
  readonly vessels: readonly VesselDto[];
  readonly settings: VersionedSettings;
  readonly juices: readonly StoredJuice[];
  readonly supplies: readonly SupplyDto[];
  readonly instruments: readonly InstrumentDto[];
  readonly places: readonly PlaceDto[];
}

/** The app itself. */
export const AppActions = createActionGroup({
  source: 'App',
  events: {
    Opened: emptyProps(),
    /** Time goes on while a window stays open: the server's clock, and this machine's in ms since 1970. */
    Ticked: props<{ readonly now: string; readonly atMs: number }>(),
  },
});

/** What people do in the cupboard and the settings. */
export const CupboardPageActions = createActionGroup({
  source: 'Cupboard Page',
  events: {
    'Vessel Added': props<{ readonly vessel: VesselDto }>(),
    'Vessel Cleaned': props<{ readonly vesselId: string; readonly at: string }>(),
    'Settings Changed': props<{ readonly settings: VersionedSettings }>(),
  },
});

/** What the server answers. */
export const CellarbookApiActions = createActionGroup({
  source: 'Cellarbook API',
  events: {
    Loaded: props<{ readonly book: Cellarbook }>(),
    'Load Failed': props<{ readonly problem: Problem }>(),
    'Vessel Stored': props<{ readonly vessel: VesselDto }>(),
    'Vessel Refused': props<{ readonly vessel: VesselDto; readonly problem: Problem }>(),
    'Cleaning Stored': props<{ readonly vessel: VesselDto }>(),
    'Cleaning Refused': props<{ readonly vesselId: string; readonly problem: Problem }>(),
    /** As it was sent and as it was stored, on top of what another window may have stored. */
    'Settings Stored': props<{ readonly sent: VersionedSettings; readonly settings: VersionedSettings }>(),
    'Settings Refused': props<{ readonly settings: VersionedSettings; readonly problem: Problem }>(),
  },
});
