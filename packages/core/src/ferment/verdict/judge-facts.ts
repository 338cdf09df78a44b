import type { StrengthSchool } from '../../matter/measure/abv-from-gravities.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';
import type { Help } from './help.js';
import type { Hint } from './hints.js';
import type { GravityReading } from './reading.js';

/** A temperature the vessel stood at. */
export interface PlaceTemperature {
  readonly at: string;
  readonly tempC: number;
}

/** The acts that matter to a judgement: when yeast went in, and anything that moved the gravity by hand. */
export interface JudgedEntry {
  readonly at: string;
  readonly kind: 'pitched' | 'gravity-changed';
  /** How far the gravity was moved, where that is known. */
  readonly deltaSg?: number;
  /** Whether nothing that ferments came in, as with water: readings before it then still count, moved as far. */
  readonly sugarless?: boolean;
}

/** What a judgement rests on. */
export interface JudgeInput {
  readonly readings: readonly GravityReading[];
  /** The must as pitched, with everything added since, unfermented. */
  readonly liquid: Liquid;
  readonly yeast: YeastKind;
  readonly temps: readonly PlaceTemperature[];
  /** ISO 8601. */
  readonly today: string;
  readonly entries: readonly JudgedEntry[];
  /** Bubbles, clarity and smell as noted: shown beside the verdict, never part of it. */
  readonly hints?: readonly Hint[] | undefined;
  /** What was done to set it going, which moves no gravity. */
  readonly helped?: readonly Help[] | undefined;
  /** IANA time zone of the maker; UTC when nobody says. */
  readonly zone?: string;
  /** How the maker reckons strength; mass balance when nobody says. */
  readonly school?: StrengthSchool;
  /** Waits of the maker's method, days; a warm ferment's when nobody says. */
  readonly waits?: { readonly firstReadingDays: number; readonly readingDays: number };
}

/** Readings this close are equal. @source readability of a home stem, two readings */
export const EQUAL_SG = 0.001;
/** Days between two readings that can prove an end. @source craft rule: a week, since a cold ferment may lose a point in five days */
export const PROOF_DAYS = 7;
/** Days it must be steady before a slightly high end is accepted. @source design rule */
export const SHORT_PROOF_DAYS = 14;
/** Distance above the expected end that counts as there, and as a touch high. */
export const AT_END_SG = 0.002;
export const TOUCH_HIGH_SG = 0.006;
/** Distance under what a yeast usually stands at which strength may be what stops it, % by volume. */
export const UNDER_TOLERANCE_ABV = 1.5;
/** From this share of its best pace on a ferment works. @source design rule */
export const WORKING_SHARE = 0.4;
/** So far below its least temperature a yeast sleeps, °C. @source our estimate */
export const TOO_COLD_BY_C = 3;

/** Whether it is so cold that a steady reading proves nothing: the verdict and the care of a batch ask the same. */
export const isTooCold = (yeast: YeastKind, tempC: number | null): boolean => tempC !== null && tempC <= yeast.tempC[0] - TOO_COLD_BY_C;

/** Slack for sums in floating point. */
export const EPS = 1e-6;

/** What the words of a verdict rest on. */
export interface Facts {
  readonly input: JudgeInput;
  readonly usable: readonly GravityReading[];
  readonly last: GravityReading;
  readonly endSg: number;
  readonly stopsAtTolerance: boolean;
  readonly abvNow: number;
  /** The same as the maker's school reckons it, for the words. */
  readonly strengthNow: number;
  readonly toleranceAbv: number;
  /** First of the run of equal readings that ends with the last, and how long the run is. */
  readonly steadyFrom: GravityReading;
  readonly steadyDays: number;
  /** Where it stands: the mean of that run, which one reading a point off hardly moves. */
  readonly restSg: number;
  readonly lastRatePerDay: number;
  /** Over how many days the last rate was seen. */
  readonly lastOverDays: number;
  readonly bestRatePerDay: number;
  /** Whether it stands still for longer than a working ferment would. */
  readonly rests: boolean;
  /** Whether a fall was seen since yeast or sugar last went in. */
  readonly sawFall: boolean;
  /** What the sums still find that could ferment, at the last reading, g/L as hexose. */
  readonly leftGPerL: number;
  /** When new yeast went in after the first; null when none did. */
  readonly repitchedAt: string | null;
  readonly tempC: number | null;
  readonly tooCold: boolean;
}
