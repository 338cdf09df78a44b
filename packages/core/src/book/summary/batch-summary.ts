import { suppliesUsed } from './supplies-left.js';
import { pouredVolumes } from './poured-volumes.js';
import { emptiedVessels, type DirtyVessel } from './dirty-vessels.js';
import type { BatchState } from '../state/batch-state.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry } from '../entry/entry.js';
import type { SplitShare } from '../kinds/split.js';
import type { PourSource } from '../state/entry-choices.js';
import { replay } from '../log/replay.js';
import { comparisonsOf, type Comparison } from '../tasting/comparisons.js';
import { tastingsOf, type Tasting } from '../tasting/tastings.js';
import type { Amount } from '../kinds/kind.js';

/** Raised whenever a log folds into anything else than before, so that what was kept of older folds is made anew. */
export const FOLD_VERSION = 10;

/** Something a batch was poured from. */
export interface PouredFrom {
  readonly id: string;
  readonly from: PourSource;
  readonly name: string;
  readonly litres: number;
}

/** What lists, shelf, juices, cupboard, cellar and jobs need of a batch without its log. Plain data, as JSON keeps it. */
export interface BatchSummary {
  /** Of the log it was made of: how many entries, and the id of the last. */
  readonly head: { readonly count: number; readonly lastId: string | null };
  /** As replayed, its days counted in UTC: whoever reads it puts the maker's zone in. */
  readonly state: BatchState;
  /** Litres it took of each juice. */
  readonly poured: readonly Amount[];
  /** What it used up of each supply, in the supply's own unit. */
  readonly used: readonly Amount[];
  /** Vessels it left, and when it last did. */
  readonly emptied: readonly DirtyVessel[];
  readonly from: readonly PouredFrom[];
  readonly into: readonly SplitShare[];
  /** Of a batch tasted often, some. */
  readonly tastings: readonly Tasting[];
  /** Beside which others it was tasted, oldest first. */
  readonly compared: readonly Comparison[];
}

/** What an ended batch still tells of its course: enough to draw it beside others and to learn its pace. */
const POINTS_OF_AN_ENDED = 12;

/**
 * Some of a list, evenly from the first to the last; the same again of what was picked so before.
 *
 * @param list - in order
 * @returns all of a short list, twelve of a long one
 */
export function pickedEvenly<T>(list: readonly T[]): readonly T[] {
  if (list.length <= POINTS_OF_AN_ENDED) return list;
  const step = (list.length - 1) / (POINTS_OF_AN_ENDED - 1);
  return Array.from({ length: POINTS_OF_AN_ENDED }, (_none, i) => list[Math.round(i * step)]).filter((item): item is T => item !== undefined);
}

/**
 * What is kept of a batch beside its log. It follows from the log alone, and is never trusted over it. Of one that is all in
 * bottles or gone, of which there is no verdict any more, it keeps some of the readings.
 *
 * @param log - the entries, in the order filed
 * @returns the summary
 */
export function summarise(log: readonly Entry[]): BatchSummary {
  const fold = foldOf(log);
  const { state } = fold;
  const [tastings, compared] = [pickedEvenly(fold.tastings), pickedEvenly(fold.compared)];
  return state.liquid === null
    ? { ...fold, tastings, compared, state: { ...state, readings: pickedEvenly(state.readings), temps: pickedEvenly(state.temps), hints: [] } }
    : { ...fold, tastings, compared };
}

/**
 * The same with everything in its state, for whoever has the log.
 *
 * @param log - the entries, in the order filed
 * @returns the fold
 */
export function foldOf(log: readonly Entry[]): BatchSummary {
  const { entries } = effectiveEntries(log);
  const state = replay(log);
  return {
    head: { count: log.length, lastId: log.at(-1)?.id ?? null },
    state,
    poured: pouredVolumes(entries),
    used: suppliesUsed(entries),
    emptied: emptiedVessels(entries, state.liquid === null),
    from: entries.flatMap((e) =>
      e.kind === 'blended' ? e.payload.parts.map((p) => ({ id: p.sourceId, from: p.from, name: p.name, litres: p.liquid.volumeL })) : [],
    ),
    into: entries.flatMap((e) => (e.kind === 'split' ? e.payload.into : [])),
    tastings: tastingsOf(entries, state.crates),
    compared: comparisonsOf(entries),
  };
}
