import type { Caution } from '../../base/cautions/caution.js';
import type { AdditionId } from '../../juice/adjust/addition-types.js';
import type { Bubbles, PitchMethod, Vent } from '../state/entry-choices.js';
import type { EntryKind, EntryPayloads } from '../entry/entry.js';

/** A batch that a line may be about, by everything it is called. */
export interface NamedBatch {
  readonly id: string;
  /** Its own name first, then those of its vessels. */
  readonly names: readonly string[];
}

/** Acts that ask for more than a line says: each has a page. */
export const ACT_PAGES = ['rack', 'bottle', 'keg', 'strain', 'split', 'clear', 'stabilise', 'sweeten', 'adjust', 'pitch', 'move', 'read'] as const;
export type ActPage = (typeof ACT_PAGES)[number];

/** Figures that were read in one go. */
export interface SaidReading {
  readonly is: 'reading';
  readonly text: string;
  /** The gravity as written, with its scale. */
  readonly gravity: string | null;
  /** What it was read with, where that was said. */
  readonly by: 'hydrometer' | 'refractometer' | null;
  /** Written as the original gravity. */
  readonly original: boolean;
  readonly sampleC: number | null;
  readonly placeC: number | null;
  readonly ph: number | null;
  readonly taGPerL: number | null;
  readonly bubbles: Bubbles | null;
}

/** Something that went in. */
export interface SaidAddition {
  readonly is: 'addition';
  readonly text: string;
  readonly what: AdditionId;
  /** Which of its kind, as the cupboard and the sums call it. */
  readonly refId: string;
  /** g, L, or tablets where `tablets` says so; mL of lemon juice. */
  readonly amount: number;
  /** The amount is mg in a litre, as sulfite is reckoned. */
  readonly mgPerL?: true;
  /** The measure was a spoon, a lemon or the like, whose weight is an estimate. */
  readonly spooned: boolean;
  /** The kind was not said, and is the usual one. */
  readonly usual: boolean;
}

/** Yeast that went in. */
export interface SaidPitch {
  readonly is: 'pitch';
  readonly text: string;
  /** Kinds the words may mean; none when no kind was said. */
  readonly yeastIds: readonly string[];
  readonly massG: number | null;
  readonly packets: number | null;
  readonly method: PitchMethod | null;
  readonly juiceC: number | null;
}

/** A part of a line, as far as the words alone tell. */
export type Said =
  | SaidReading
  | SaidAddition
  | SaidPitch
  | { readonly is: 'stirred'; readonly text: string }
  | { readonly is: 'let-off'; readonly text: string }
  /** How the gas gets out from now on. */
  | { readonly is: 'vent'; readonly text: string; readonly vent: Vent }
  | { readonly is: 'moved'; readonly text: string; readonly place: string; readonly tempC: number | null }
  | { readonly is: 'tasted'; readonly text: string }
  | { readonly is: 'page'; readonly text: string; readonly page: ActPage }
  /** Kept as it stands. */
  | { readonly is: 'words'; readonly text: string }
  /** Looks like something to file, and cannot be read: why, and what to write instead. */
  | { readonly is: 'unread'; readonly text: string; readonly why: string };

/** A line in the maker's own words, as far as the words alone tell. */
export interface Scribble {
  /** Batches that were named: one when it is clear, several when it is not, none when none was. */
  readonly batchIds: readonly string[];
  /** `YYYY-MM-DD`; empty for today. */
  readonly day: string;
  /** `HH:mm`; empty when it was not said. */
  readonly hour: string;
  readonly said: readonly Said[];
}

/** An act before it has an id and a time of writing. */
export type ScribbledEntry = { readonly [K in EntryKind]: { readonly kind: K; readonly payload: EntryPayloads[K]; readonly note?: string } }[EntryKind];

/** What was taken for granted where a line did not say it. */
export type Guess =
  | { readonly of: 'gauge'; readonly name: string }
  | { readonly of: 'sample' }
  | { readonly of: 'kind'; readonly name: string }
  | { readonly of: 'spoon' }
  | { readonly of: 'yeast' }
  | { readonly of: 'rate' }
  | { readonly of: 'packet'; readonly massG: number }
  | { readonly of: 'sprinkled' }
  /** It is taken out of the cupboard. */
  | { readonly of: 'supply'; readonly isPast: boolean };

/** A part of a line as it would be filed, or why it is not. */
export type ScribbleLine =
  | { readonly is: 'act'; readonly act: ScribbledEntry; readonly guesses: readonly Guess[]; readonly cautions: readonly Caution[] }
  /** More must be said than a line holds. */
  | { readonly is: 'page'; readonly text: string; readonly page: ActPage; readonly cautions: readonly Caution[] }
  /** Not filed: why, and the page where it can be put right, where there is one. */
  | { readonly is: 'unread'; readonly text: string; readonly why: string; readonly page?: ActPage; readonly reading?: SaidReading };
