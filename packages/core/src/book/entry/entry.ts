import type { PrimingMode } from '../../finish/bottle/priming-sugar.js';
import type { Bubbles, CapColour, PitchMethod, PourSource, Sparkle, TimedPlan, Vent } from './entry-choices.js';
import type { ClearingMeans } from '../../ferment/clear/clearing-means.js';
import type { AdditionPayload, SupplyUse } from '../../juice/adjust/addition-payload.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import type { Fruit, Liquid } from '../../matter/liquid/liquid.js';

/** How much of the batch stands in a vessel. */
export interface VesselFill {
  readonly vesselId: string;
  readonly volumeL: number;
}

/** A count of one kind of bottle. */
export interface BottleCount {
  readonly kindId: string;
  readonly count: number;
}

/** A juice, or another batch, poured into a blend. */
export interface BlendPart {
  readonly from: PourSource;
  readonly sourceId: string;
  readonly name: string;
  /** What it was when it was poured; its volume is what was poured. */
  readonly liquid: Liquid;
  /** The kind of yeast that made it; null for juice. */
  readonly yeastId: string | null;
}

/** What left a batch for another. */
export interface SplitShare {
  readonly batchId: string;
  readonly name: string;
  readonly volumeL: number;
}

/** A small sample fermented out in the warm with much yeast, or a test for sugar. */
export type SugarTest =
  | {
      readonly by: 'forced-ferment';
      readonly before: RawGravity;
      readonly after: RawGravity;
      /** How long it stood, days, and how warm, °C. */
      readonly days: number;
      readonly tempC: number;
    }
  | { readonly by: 'sugar-test'; readonly sugarGPerL: number };

/** What each kind of entry says. Field names carry their units. */
export interface EntryPayloads {
  readonly filled: {
    readonly source: string;
    readonly fruit: Fruit;
    readonly volumeL: number;
    readonly gravity: RawGravity;
    readonly ph: number | null;
    readonly taGPerL: number | null;
    readonly tanninGPerL: number | null;
    readonly yanMgPerL: number | null;
    readonly vessels: readonly VesselFill[];
    readonly tempC: number | null;
  };
  /** Poured together: the batch begins with it, or takes it in. */
  readonly blended: { readonly parts: readonly BlendPart[]; readonly vessels: readonly VesselFill[]; readonly tempC: number | null };
  /** Shares of the batch that begin batches of their own. */
  readonly split: {
    readonly into: readonly SplitShare[];
    /** Where what stays stands afterwards. */
    readonly vessels: readonly VesselFill[];
    readonly lossL: number;
    readonly why: string;
  };
  readonly reading: {
    readonly gravity: RawGravity | null;
    readonly ph: number | null;
    readonly taGPerL: number | null;
    readonly placeC: number | null;
    /** Odd readings filed on the maker's word carry what was asked. */
    readonly insistedOn: readonly string[];
    readonly bubbles: Bubbles | null;
    readonly smell: string | null;
  };
  readonly addition: AdditionPayload;
  readonly pitched: {
    readonly yeastId: string;
    readonly massG: number;
    readonly method: PitchMethod;
    readonly juiceC: number | null;
    /** A second kind that went in with it. */
    readonly withYeastId?: string | undefined;
    readonly supplies?: readonly SupplyUse[] | undefined;
  };
  /** One step of a timed plan, done; the plan is over when nothing comes next. */
  readonly stepped: {
    readonly plan: TimedPlan;
    readonly done: string;
    /** Counted from 1. */
    readonly step: number;
    readonly of: number;
    readonly next: string | null;
    /** From this step to the next. */
    readonly waitMin: number;
  };
  readonly stirred: Record<string, never>;
  readonly moved: { readonly place: string; readonly tempC: number };
  readonly racked: { readonly vessels: readonly VesselFill[]; readonly lossL: number };
  /** Something was done to clear it; it takes its time. */
  readonly clarified: {
    readonly means: ClearingMeans;
    /** Both parts together, g; 0 for cold. */
    readonly massG: number;
    /** Until it is worth looking. */
    readonly waitDays: number;
    readonly supplies?: readonly SupplyUse[] | undefined;
  };
  /** Bacteria turn malic acid to lactic: begun, found under way, or over. */
  readonly malolactic: {
    /** Share of the malic acid turned since the last such entry, 0–1. */
    readonly turnedFraction: number;
    readonly wanted: boolean;
    /** Whether bought bacteria went in with this entry. */
    readonly bacteria: boolean;
    readonly done: boolean;
  };
  /** How the gas gets out from now on; for a loosened cap, also each time it was let out. */
  readonly vented: { readonly vent: Vent };
  readonly stabilised: { readonly so2MgPerL: number; readonly sorbateMgPerL: number };
  /** What sugar is really left, found by more than a hydrometer. */
  readonly tested: SugarTest & { readonly acknowledged: readonly string[] };
  readonly sweetened: { readonly sweetenerId: string; readonly massG: number };
  readonly primed: {
    readonly fermentableId: string;
    readonly massG: number;
    readonly mode: PrimingMode;
    readonly targetVolumes: number;
    readonly warmestSinceEndC: number;
  };
  readonly bottled: {
    readonly bottles: readonly BottleCount[];
    readonly testBottle: boolean;
    readonly lossL: number;
    readonly crate: string;
    readonly capColour: CapColour;
    readonly hottestC: number;
    /** Ids of the dangers acknowledged in words. */
    readonly acknowledged: readonly string[];
  };
  readonly kegged: {
    readonly vessel: VesselFill;
    readonly lossL: number;
    readonly targetVolumes: number;
    readonly storeC: number;
    readonly acknowledged: readonly string[];
  };
  /** A sealed keg let off and opened, so that it can be worked on. */
  readonly unsealed: Record<string, never>;
  readonly opened: { readonly kindId: string; readonly count: number };
  readonly tasted: { readonly text: string; readonly sparkle: Sparkle | null; readonly again: boolean | null };
  readonly note: { readonly text: string };
  readonly discarded: { readonly volumeL: number; readonly why: string };
  /** Points at the entry it replaces; without a replacement that entry is struck out. */
  readonly corrected: { readonly entryId: string; readonly replacement: Replacement | null };
}

/** The kinds of entry. */
export type EntryKind = keyof EntryPayloads;

/** A corrected entry's new content; its kind cannot change. */
export type Replacement = {
  readonly [K in Exclude<EntryKind, 'corrected'>]: { readonly kind: K; readonly at: string; readonly note: string; readonly payload: EntryPayloads[K] };
}[Exclude<EntryKind, 'corrected'>];

/** One entry of a batch's log. */
export type Entry = {
  readonly [K in EntryKind]: {
    /** ULID made by the client, so that a repeated send is harmless. */
    readonly id: string;
    readonly batchId: string;
    readonly kind: K;
    /** When it happened, ISO 8601. */
    readonly at: string;
    /** When it was written, ISO 8601. */
    readonly writtenAt: string;
    readonly note: string;
    readonly payload: EntryPayloads[K];
  };
}[EntryKind];

/** An entry of one kind. */
export type EntryOf<K extends EntryKind> = Extract<Entry, { readonly kind: K }>;
