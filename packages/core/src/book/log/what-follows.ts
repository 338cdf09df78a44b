import type { FermentStatus } from '../../ferment/verdict/verdict.js';
import type { Entry, EntryPayloads } from '../entry/entry.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState, type JudgedBy } from '../state/judge-state.js';
import type { FoldedLog } from './follow-on.js';
import { replay } from './replay.js';

/** Something that a correction turns about, beside the figures of the drink. */
export type Turn =
  | { readonly is: 'status'; readonly from: FermentStatus | null; readonly to: FermentStatus | null }
  /** An entry that no longer adds up, or does again. */
  | { readonly is: 'not-counted' | 'counted-again'; readonly entryId: string; readonly why: string }
  | { readonly is: 'fizz'; readonly crate: string; readonly fromVolumes: number; readonly toVolumes: number };

/** What comes of a correction. */
export interface WhatFollows {
  readonly before: BatchState;
  readonly after: BatchState;
  readonly turns: readonly Turn[];
}

/** Fizz that no glass shows, volumes. */
const SAME_VOLUMES = 0.05;

/**
 * What follows from correcting an entry, or from striking it out: the batch as it is, as it then would be, and what turns about.
 *
 * @param on - the log in the order filed and what it tells, in the maker's zone
 * @param correction - as it would be filed
 * @param at - the moment, ISO 8601
 * @param by - what the words of a verdict follow
 * @returns before and after; nothing is filed
 */
export function whatFollows({ log, state: before }: FoldedLog, correction: EntryPayloads['corrected'], at: string, by: JudgedBy = {}): WhatFollows {
  const [{ batchId = '' } = {}] = log;
  const corrected: Entry = { id: `${correction.entryId}?`, batchId, kind: 'corrected', at, writtenAt: at, note: '', payload: correction };
  const after = replay([...log, corrected], before.zone);
  const statusOf = (state: BatchState): FermentStatus | null => judgeState(state, at, by)?.value.status ?? null;
  const [from, to] = [statusOf(before), statusOf(after)];
  const issuesIn = ({ issues }: BatchState): ReadonlyMap<string, string> => new Map(issues.map((i) => [i.entryId, i.text]));
  const [were, are] = [issuesIn(before), issuesIn(after)];
  const beside = (is: 'not-counted' | 'counted-again', some: ReadonlyMap<string, string>, others: ReadonlyMap<string, string>): readonly Turn[] =>
    [...some].flatMap(([entryId, why]) => (others.has(entryId) || entryId === correction.entryId ? [] : [{ is, entryId, why }]));
  const fizz = after.crates.flatMap((crate): readonly Turn[] => {
    const was = before.crates.find((c) => c.id === crate.id);
    return was && Math.abs(was.co2Volumes - crate.co2Volumes) >= SAME_VOLUMES
      ? [{ is: 'fizz', crate: crate.name, fromVolumes: was.co2Volumes, toVolumes: crate.co2Volumes }]
      : [];
  });
  return {
    before,
    after,
    turns: [...(from === to ? [] : [{ is: 'status' as const, from, to }]), ...fizz, ...beside('not-counted', are, were), ...beside('counted-again', were, are)],
  };
}
