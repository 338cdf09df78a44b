// What needs no class-validator: the web's first load takes its names and figures from here.
export { API_PATHS } from './http/api-paths.js';
export type { Problem, ProblemField } from './http/problem.js';
export type { ClockAnswer, StartAnswer } from './start/start-answer.js';
export type { BatchDto, BatchFacts, BatchWithLog } from './batches/batch.dto.js';
export { DEFAULT_SETTINGS, type VersionedSettings } from './settings/default-settings.js';
export { VESSEL_KINDS, type VesselKindId } from './vessels/vessel-kinds.js';
export type { VesselDto } from './vessels/vessel.dto.js';
export { TAPES } from './batches/tapes.js';
export type { StoredJuice } from './juices/stored-juice.js';
export type { SupplyDto, SupplyKind } from './supplies/supply.dto.js';
export type { InstrumentDto, InstrumentKindId } from './instruments/instrument.dto.js';
export type { DeviceColumns, HeldColumns, ReadingsReply, RunningStandIn } from './devices/device-series.js';
export type { TastingNow } from './tasting/tasting-now.js';
export type { TastingDto } from './tasting/tasting.dto.js';
export type { StoredRecipe } from './recipes/stored-recipe.js';
export type { PlaceDto } from './places/place.dto.js';
export type { BackupDto, BookComparison, BookCounts, BookSource, CellarMode, CellarStatus, UnreadableRow } from './cellar/cellar-status.js';
