import type { Entry } from '../entry/entry.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState, type JudgedBy } from '../state/judge-state.js';
import { checkEntryAgainst } from './check-entry.js';
import { replay } from './replay.js';

/** A log and what it tells. */
export interface FoldedLog {
  readonly log: readonly Entry[];
  readonly state: BatchState;
}

/** The log with one entry more; or why that cannot be filed on it, in words. */
export type Followed = { readonly ok: true; readonly on: FoldedLog } | { readonly ok: false; readonly why: string };

/**
 * What a log is with one entry more, where nothing stands against filing that on the batch as it then is.
 *
 * @param before - the log so far and what it tells, in the maker's zone
 * @param entry - the act
 * @param by - what the words of a verdict follow
 * @returns the log to go on from; else the refusal, the danger that was not acknowledged, or what does not add up
 */
export function followOn({ log, state }: FoldedLog, entry: Entry, by: JudgedBy = {}): Followed {
  const { refusal, dangers } = checkEntryAgainst(state, judgeState(state, entry.at, by)?.value ?? null, entry);
  if (refusal !== null) return { ok: false, why: refusal };
  const [danger] = dangers;
  if (danger) return { ok: false, why: `${danger.text} ${danger.whatToDo}` };
  const longer = [...log, entry];
  const after = replay(longer, state.zone);
  const issue = after.issues.find((i) => i.entryId === entry.id);
  return issue ? { ok: false, why: `That does not add up: ${issue.text}.` } : { ok: true, on: { log: longer, state: after } };
}
