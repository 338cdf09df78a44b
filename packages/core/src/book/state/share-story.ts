import type { JudgedEntry, PlaceTemperature } from '../../ferment/verdict/judge-facts.js';
import type { GuessedFigure } from '../../matter/liquid/guessed.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState, StateReading } from './batch-state.js';
import { hasFruitIn } from './fruit-out.js';

/** What is known of a drink, for a share of it that begins a batch of its own: the same drink, so what was proven of the one is of the other. */
export interface ShareStory {
  /** The must behind the share, unfermented. */
  readonly must: Liquid;
  readonly originalBy: BatchState['originalBy'];
  readonly pitchedAt: string;
  readonly pitchedGPerL: number | null;
  readonly readings: readonly StateReading[];
  readonly temps: readonly PlaceTemperature[];
  readonly judged: readonly JudgedEntry[];
  readonly rackedAt: string | null;
  readonly malolactic: BatchState['malolactic'];
  readonly tested: BatchState['tested'];
  readonly acidMeasured: boolean;
  /** What nobody measured; absent in what was told before it was kept, where the acid alone is known to have been measured or not. */
  readonly guessed?: readonly GuessedFigure[] | undefined;
  readonly weighedGPerL: number;
  /** Absent where all that was weighed in was plain sugar. */
  readonly weighedSdGPerL?: number | undefined;
  readonly wokenAt: string | null;
  readonly stabilisedAt: string | null;
}

/** How many of each go along: the newest, which decide. */
export const MOST_TOLD = 100;

/**
 * What is known of a drink, as a share of it takes it along.
 *
 * @param state - the batch it comes from
 * @param volumeL - the share, L
 * @returns the story; null before yeast, and while fruit is in it, which stays behind with its sugar and leaves nothing proven
 */
export function storyOf(state: BatchState, volumeL: number): ShareStory | null {
  const { must, pitchedAt } = state;
  if (!must || pitchedAt === null || hasFruitIn(state)) return null;
  return {
    must: { ...must, volumeL },
    originalBy: state.originalBy,
    pitchedAt,
    pitchedGPerL: state.pitch?.gPerL ?? null,
    readings: state.readings.slice(-MOST_TOLD),
    temps: state.temps.slice(-MOST_TOLD),
    judged: state.judged.slice(-MOST_TOLD),
    rackedAt: state.rackedAt,
    malolactic: state.malolactic,
    tested: state.tested,
    acidMeasured: !state.guessed.includes('taGPerL'),
    guessed: state.guessed,
    weighedGPerL: state.weighedGPerL,
    ...(state.weighedSdGPerL > 0 ? { weighedSdGPerL: state.weighedSdGPerL } : {}),
    wokenAt: state.wokenAt,
    stabilisedAt: state.stabilisedAt,
  };
}
