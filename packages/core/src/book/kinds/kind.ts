import type { Caution } from '../../base/cautions/caution.js';
import { caution, type CautionId } from '../../base/cautions/catalogue.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import { formatQuantity, type UnitPreferences } from '../../matter/quantity/format-quantity.js';
import type { BatchState } from '../state/batch-state.js';
import type { Draft, Patch } from '../state/draft.js';

/** An entry of one kind, as far as its kind needs it. */
export interface Filed<P> {
  readonly id: string;
  /** When it happened, ISO 8601. */
  readonly at: string;
  readonly note: string;
  readonly payload: P;
}

/** One line of a log in words. */
export interface EntryWords {
  /** The figure or act, to be set in bold. */
  readonly lead: string;
  readonly rest: string;
}

/** What stands against filing an entry. */
export interface EntryCheck {
  /** Why it cannot be filed at all; null when it can. */
  readonly refusal: string | null;
  /** Dangers that must be acknowledged in words first. */
  readonly dangers: readonly Caution[];
}

/** How much of something. */
export interface Amount {
  readonly id: string;
  readonly amount: number;
}

/** How a maker writes figures. */
export interface Say {
  readonly volume: (valueL: number) => string;
  readonly mass: (valueG: number) => string;
  readonly temperature: (valueC: number) => string;
  readonly gravity: (sg: number) => string;
}

/** All that one kind of entry is: what it changes, how it reads, what stands against it, what it takes. */
export interface Kind<P> {
  /** What it changes; throws a CoreError when it does not add up. */
  readonly apply: (state: Draft, entry: Filed<P>) => Patch;
  /** As a maker would read it back. */
  readonly words: (entry: Filed<P>, say: Say) => EntryWords;
  /** What stands against filing it on a batch as it is; nothing where this is absent. */
  readonly check?: (state: BatchState, verdict: Verdict | null, entry: Filed<P>) => EntryCheck;
  /** Done to the drink itself, which nobody can do to a sealed keg or through glass. */
  readonly onTheDrink?: true;
  /** Done only to a drink that was strained off its pulp. */
  readonly offThePulp?: true;
  /** What it uses up of the cupboard. */
  readonly supplies?: (payload: P) => readonly SupplyUse[];
  /** Litres it takes of juices. */
  readonly juices?: (payload: P) => readonly Amount[];
  /** The vessels it leaves the batch in. */
  readonly vesselsAfter?: (payload: P) => readonly string[];
}

/** The ways to write figures under some units. */
export const sayIn = (units: UnitPreferences): Say => ({
  volume: (valueL) => formatQuantity({ dimension: 'volume', valueL }, units),
  mass: (valueG) => formatQuantity({ dimension: 'mass', valueG }, units),
  temperature: (valueC) => formatQuantity({ dimension: 'temperature', valueC }, units),
  gravity: (sg) => formatQuantity({ dimension: 'gravity', sg }, units),
});

/** Nothing stands against it. */
export const CLEAR: EntryCheck = { refusal: null, dangers: [] };

/** It cannot be filed at all. */
export const refuse = (refusal: string): EntryCheck => ({ refusal, dangers: [] });

/** It can be filed by whoever has acknowledged these dangers. */
export const unless = (acknowledged: readonly string[], ...ids: readonly CautionId[]): EntryCheck => ({
  refusal: null,
  dangers: ids.filter((id) => !acknowledged.includes(id)).map((id) => caution(id)),
});
