import type { BatchDto } from '../batches/batch.dto.js';
import type { CellarMode } from '../cellar/cellar-status.js';
import type { InstrumentDto } from '../instruments/instrument.dto.js';
import type { StoredJuice } from '../juices/stored-juice.js';
import type { PlaceDto } from '../places/place.dto.js';
import type { StoredRecipe } from '../recipes/stored-recipe.js';
import type { VersionedSettings } from '../settings/default-settings.js';
import type { SupplyDto } from '../supplies/supply.dto.js';
import type { VesselDto } from '../vessels/vessel.dto.js';

/** What time it is and how the book stands. */
export interface ClockAnswer {
  /** ISO 8601. */
  readonly now: string;
  /** Whether the clock is held still. */
  readonly fixed: boolean;
  /** Whether the book can be written into. */
  readonly mode: CellarMode;
  /** The last change of the book that nothing asked for afterwards can be behind. */
  readonly head: string;
  /** Where the maker's own Trug answers when this is a season to look around in. */
  readonly home: string | null;
}

/** All that a window opens with: whole lists, and every batch with its summary and without its log. */
export interface StartAnswer extends ClockAnswer {
  readonly batches: readonly BatchDto[];
  readonly vessels: readonly VesselDto[];
  readonly settings: VersionedSettings;
  readonly juices: readonly StoredJuice[];
  readonly supplies: readonly SupplyDto[];
  readonly instruments: readonly InstrumentDto[];
  readonly places: readonly PlaceDto[];
  readonly recipes: readonly StoredRecipe[];
}
