import type { Fruit } from '../../matter/liquid/liquid.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';

/** Where a juice comes from. */
export const JUICE_ORIGINS = ['pressed', 'bought', 'mill', 'concentrate', 'steeped'] as const;

/** Where a juice comes from: the maker's own press, a shop, a mill, concentrate made up with water, or pulp steeped in water. */
export type JuiceOrigin = (typeof JUICE_ORIGINS)[number];

/** How ripe fruit was when it was milled. */
export const RIPENESS = ['unripe', 'ripe', 'mellow', 'over'] as const;

/** How sound it was after sorting. */
export const CONDITIONS = ['sound', 'bruised', 'some-rot'] as const;

/** Fruit of one kind, as weighed. */
export interface FruitLot {
  /** A cultivar of the library, or null for a garden mix. */
  readonly fruitId: string | null;
  readonly massKg: number;
  readonly ripeness: (typeof RIPENESS)[number];
  readonly condition: (typeof CONDITIONS)[number];
}

/** Juice caught in one vessel between two looks at the press. */
export interface PressRun {
  /** ISO 8601. */
  readonly at: string;
  readonly volumeL: number;
  /** The jug or bucket it ran into. */
  readonly into: string;
}

/** A pressing: what went in and what came out. */
export interface Pressing {
  readonly pressId: string;
  readonly lots: readonly FruitLot[];
  readonly runs: readonly PressRun[];
}

/** Pulp steeping in water: what went in, and when it was stirred. */
export interface Steeping {
  /** ISO 8601. */
  readonly startedAt: string;
  readonly days: number;
  readonly hot: boolean;
  readonly fruitKg: number;
  readonly waterL: number;
  readonly sugarG: number;
  readonly acidG: number;
  readonly teaCups: number;
  readonly driedFruitG: number;
  readonly stirredAt: readonly string[];
  /** When it was strained, ISO 8601; null while it steeps. */
  readonly strainedAt: string | null;
}

/** A juice as the maker wrote it down: raw readings, nothing derived. What is null was not measured. */
export interface Juice {
  readonly id: string;
  readonly name: string;
  readonly tape: string;
  readonly origin: JuiceOrigin;
  readonly fruit: Fruit;
  /** The cultivar or kind of bought juice it is taken to be like, where nothing was measured. */
  readonly fruitId: string | null;
  /** When it was pressed, bought or strained, ISO 8601. */
  readonly madeAt: string;
  readonly volumeL: number;
  readonly gravity: RawGravity | null;
  readonly ph: number | null;
  readonly taGPerL: number | null;
  readonly tanninGPerL: number | null;
  readonly yanMgPerL: number | null;
  readonly costPerL: number | null;
  /** Whether the carton names sorbate or benzoate. */
  readonly preserved: boolean;
  /** Whether vitamin C was added, which counts as acid when titrated. */
  readonly vitaminC: boolean;
  /** Whether the carton says it was made from concentrate: heated, so nothing wild lives in it. */
  readonly fromConcentrate?: boolean | undefined;
  readonly pressing: Pressing | null;
  readonly steeping: Steeping | null;
  /** Drunk, spilled or given away, L. */
  readonly goneL: number;
  readonly note: string;
}
