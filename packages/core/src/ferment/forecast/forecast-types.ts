import type { Liquid } from '../../matter/liquid/liquid.js';
import type { TempFromDay } from './temp-profile.js';

/** A corrected gravity on a day after pitching. */
export interface DayReading {
  readonly day: number;
  readonly sg: number;
  /** How far it may be off beside a typed reading's ±0.0015; a device that drifts says more. */
  readonly plusMinus?: number | undefined;
}

/** Nitrogen put in on a day. */
export interface Feed {
  readonly day: number;
  readonly mgNPerL: number;
}

/** What an earlier batch with the same kind of yeast taught: its speed beside the textbook's. */
export interface PastFerment {
  readonly rate: number;
}

/** What a forecast rests on. */
export interface ForecastInput {
  /** The must as pitched, with everything added since, unfermented. */
  readonly liquid: Liquid;
  readonly yeastId: string;
  /** Dry yeast, g/L, 0–5; 0 for wild. */
  readonly pitchGPerL: number;
  readonly readings: readonly DayReading[];
  /** Where it stood and will stand, by day after pitching. */
  readonly tempProfile: readonly TempFromDay[];
  readonly feeds?: readonly Feed[] | undefined;
  readonly history?: readonly PastFerment[] | undefined;
  /** Days after pitching that are today; the last reading's day when not said. */
  readonly todayDay?: number | undefined;
  readonly seed: number;
  /** Possible ferments to run, 100–5000; 1000 when not said. */
  readonly members?: number | undefined;
  /** Days to look ahead from pitching, 10–400; 200 when not said. */
  readonly horizonDays?: number | undefined;
}

/** A figure with its spread: one in ten lies below, half, nine in ten. */
export interface Spread {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** The gravity to expect on a day after pitching. */
export interface BandDay extends Spread {
  readonly day: number;
}

/** What is to be expected. */
export interface Forecast {
  readonly band: readonly BandDay[];
  /** Days after pitching on which it stands within two points of its end, unless it sticks; null past the horizon. */
  readonly finishDay: { readonly p10: number | null; readonly p50: number | null; readonly p90: number | null };
  readonly finalSg: Spread;
  readonly finalAbv: Spread;
  /** Chance that it stops well above where it should end, 0–1. */
  readonly chanceStuck: number;
  /** Its speed beside the textbook's, for the next batch to learn from. */
  readonly rate: Spread;
  /** How many of the possible ferments still count after the readings. */
  readonly effectiveMembers: number;
}

/** Fewer members than this that still count say nothing. @source usual practice of importance sampling */
export const LEAST_EFFECTIVE = 100;
