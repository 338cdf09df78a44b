import { UTC } from '../../matter/quantity/zone.js';
import type { GravityReading } from '../../ferment/verdict/reading.js';
import type { JudgedEntry, PlaceTemperature } from '../../ferment/verdict/judge-facts.js';
import type { Hint } from '../../ferment/verdict/hints.js';
import type { Squeeze } from '../../finish/bottle/test-bottle.js';
import { GUESSED_FIGURES, type GuessedFigure } from '../../matter/liquid/guessed.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { CapColour, TimedPlan, Vent } from './entry-choices.js';
import type { ClearingMeans } from '../../ferment/clear/clearing-means.js';
import type { VesselFill } from './vessel-fill.js';

/** The stops of the path, in order. */
export const STAGES = ['juice', 'settle', 'pitch', 'ferment', 'rack', 'rest', 'finish', 'bottle', 'drink'] as const;

/** Where a batch stands on its path. */
export type Stage = (typeof STAGES)[number];

/** A crate: bottles filled in one run. */
export interface Crate {
  /** The `bottled` entry it came from. */
  readonly id: string;
  readonly name: string;
  readonly bottledAt: string;
  readonly capColour: CapColour;
  /** Where it was carried to; null where nobody said. */
  readonly place: string | null;
  readonly lots: readonly { readonly kindId: string; readonly filled: number; readonly left: number }[];
  readonly testBottle: boolean;
  readonly co2Volumes: number;
  /** What it would have were the sugar to wake that sulfite and sorbate hold; null where there is none. */
  readonly wakesVolumes: number | null;
  readonly sparkling: boolean;
  readonly abv: number;
  /** What is in the bottles, the priming sugar fermented, and the must it came from. */
  readonly drink: { readonly liquid: Liquid; readonly must: Liquid | null };
  /** Free sulfite when it was filled, mg/L. */
  readonly freeSo2MgPerL: number;
  readonly hottestC: number;
  /** Filled to be heated: the room left, the units its baths came to, and when the last was; null for all others. */
  readonly heat: { readonly headspace: number; readonly units: number; readonly at: string | null } | null;
  /** Sealed although its end was not proven, at its maker's own risk. */
  readonly atOwnRisk: boolean;
  /** The last squeeze of its test bottle; null when there was none. */
  readonly squeezed: Squeeze | null;
  /** When the last bottle was opened; null when none has been. */
  readonly lastOpenedAt: string | null;
}

/** A keg filled from the batch. */
export interface Keg {
  readonly id: string;
  readonly vesselId: string;
  readonly volumeL: number;
  readonly targetVolumes: number;
  readonly storeC: number;
  readonly at: string;
  /** `YYYY-MM-DD` on which it should be at its level; null where nobody said how it is gassed. */
  readonly gassedOn: string | null;
  /** Sealed before its end was proven: it may go on making gas. */
  readonly unproven: boolean;
  /** When it was last let off, and whether its relief valve lifted; null when it never was. */
  readonly letOff: { readonly at: string; readonly lifts: boolean } | null;
}

/** The last time yeast went in, from which a forecast counts. */
export interface Pitch {
  readonly at: string;
  readonly gPerL: number;
  /** What it went into, with everything added since, unfermented from there on. */
  readonly liquid: Liquid;
}

/** Fruit that a batch stands on. */
export interface Pulp {
  readonly since: string;
  readonly fruitKg: number;
  /** Boiling water went over it, which must cool before yeast or enzyme. */
  readonly hot: boolean;
  readonly loose: boolean;
  /** How long it is to stay. */
  readonly days: number;
  /** Room it takes beside the drink, L. */
  readonly volumeL: number;
}

/** Something that steeps in the drink. */
export interface Steeping {
  /** The `infused` entry it came in with. */
  readonly id: string;
  readonly name: string;
  /** Whether it gives up sugar for as long as it is in. */
  readonly isFruit: boolean;
  readonly massG: number;
  readonly at: string;
  /** When it is first tasted, days. */
  readonly firstDays: number;
  /** Until it is to come out, days. */
  readonly days: number;
  /** When the drink was last tasted with it; null when it was not. */
  readonly tastedAt: string | null;
}

/** A plan of timed steps that is under way. */
export interface RunningPlan {
  readonly plan: TimedPlan;
  /** The last step done, counted from 1. */
  readonly step: number;
  readonly of: number;
  readonly doneAt: string;
  /** When the next one is due, ISO 8601. */
  readonly dueAt: string;
  readonly next: string;
}

/** Something in the log that does not add up; the rest is still replayed. */
export interface ReplayIssue {
  readonly entryId: string;
  readonly text: string;
}

/** A reading with what was behind it. */
export interface StateReading extends GravityReading {
  readonly plusMinus: number;
  /** The figure as it was read. */
  readonly raw: number;
  readonly instrument: 'hydrometer' | 'refractometer' | 'carton';
}

/** What replaying a log tells of a batch. Everything here is derived; nothing of it is stored. */
export interface BatchState {
  /** IANA time zone of the maker: by it days are counted and named. */
  readonly zone: string;
  readonly stage: Stage;
  /** What stands in vessels now; null before filling and when all is bottled or gone. */
  readonly liquid: Liquid | null;
  /** What was last in vessels: equal to `liquid`, or what went into the bottles. */
  readonly lastLiquid: Liquid | null;
  /** The must with every addition since, unfermented; null before filling. */
  readonly must: Liquid | null;
  readonly vessels: readonly VesselFill[];
  readonly readings: readonly StateReading[];
  readonly temps: readonly PlaceTemperature[];
  readonly place: string | null;
  readonly placeC: number | null;
  readonly yeastId: string | null;
  readonly judged: readonly JudgedEntry[];
  /** Bubbles, clarity and smell as noted. */
  readonly hints: readonly Hint[];
  /** When it was last stirred up. */
  readonly rousedAt: string | null;
  /** Nitrogen given after the pitch. */
  readonly feeds: readonly { readonly at: string; readonly mgNPerL: number }[];
  readonly filledAt: string | null;
  /** The pulp it stands on; null where there is none, or it was strained. */
  readonly pulp: Pulp | null;
  readonly sulfitedAt: string | null;
  /** When it was last sulfited before its yeast: what settles it. */
  readonly settledAt: string | null;
  readonly pitchedAt: string | null;
  /** What its original gravity rests on: the carton's promise, the sum of a recipe, or a reading off glass. */
  readonly originalBy: 'carton' | 'sum' | 'glass';
  /** Null for a batch poured together from ciders, where nobody knows how lively the yeast still is. */
  readonly pitch: Pitch | null;
  readonly rackedAt: string | null;
  /** When its vessels were last filled, racked into or topped up. */
  readonly filledUpAt: string | null;
  /** When it was stabilised in full after a proven end; a smaller dose, or one too early, never counts. */
  readonly stabilisedAt: string | null;
  /** Sulfite and sorbate that went in without stabilising it, and why they did not. */
  readonly notStabilised: { readonly at: string; readonly why: string } | null;
  /** What a test found of the sugar left, since the last sugar or yeast. */
  readonly tested: { readonly at: string; readonly leftGPerL: number; readonly sdGPerL: number } | null;
  /** Whether it is shop juice, which was heated: nothing wild lives in it. */
  readonly heatedJuice: boolean;
  /** Figures of its must that nobody measured: usual for their kind, and told as such. */
  readonly guessed: readonly GuessedFigure[];
  /** Sugar weighed in since the last reading, g/L as hexose. */
  readonly weighedGPerL: number;
  /** How well that is known beside the scales, g/L as hexose, one standard deviation. */
  readonly weighedSdGPerL: number;
  /** When something fermentable last went into a drink whose end was proven. */
  readonly wokenAt: string | null;
  readonly primed: { readonly at: string; readonly mode: 'bulk' | 'per-bottle' } | null;
  readonly crates: readonly Crate[];
  readonly keg: Keg | null;
  /** Gas of a keg that was opened and has not stood open since. */
  readonly heldVolumes: { readonly at: string; readonly volumes: number } | null;
  readonly plan: RunningPlan | null;
  /** The last thing done to clear it, and when to look. */
  readonly clarified: { readonly means: ClearingMeans; readonly at: string; readonly lookAt: string } | null;
  readonly malolactic: { readonly at: string; readonly wanted: boolean; readonly done: boolean } | null;
  /** How the gas gets out, and when it was last seen to; null when nobody said. */
  readonly vent: { readonly vent: Vent; readonly at: string } | null;
  /** What steeps in it now. */
  readonly infusions: readonly Steeping[];
  readonly lastEntryAt: string | null;
  readonly issues: readonly ReplayIssue[];
}

/** A batch of which nothing is known. */
export const EMPTY_STATE: BatchState = Object.freeze({
  zone: UTC,
  stage: 'juice',
  liquid: null,
  lastLiquid: null,
  must: null,
  vessels: [],
  readings: [],
  temps: [],
  place: null,
  placeC: null,
  yeastId: null,
  judged: [],
  hints: [],
  rousedAt: null,
  feeds: [],
  filledAt: null,
  pulp: null,
  sulfitedAt: null,
  settledAt: null,
  pitchedAt: null,
  originalBy: 'sum',
  pitch: null,
  rackedAt: null,
  filledUpAt: null,
  stabilisedAt: null,
  notStabilised: null,
  tested: null,
  heatedJuice: false,
  guessed: GUESSED_FIGURES,
  weighedGPerL: 0,
  weighedSdGPerL: 0,
  wokenAt: null,
  primed: null,
  crates: [],
  keg: null,
  heldVolumes: null,
  plan: null,
  clarified: null,
  malolactic: null,
  vent: null,
  infusions: [],
  lastEntryAt: null,
  issues: [],
});
