import type { BatchSummary, Entry } from '@trug/core';

let fold: ((log: readonly Entry[]) => BatchSummary) | null = null;

/** Fetches what folds logs: the first page does without, since the server has folded what it lists. */
export async function fetchFold(): Promise<void> {
  fold ??= (await import('@trug/core/book/summary/batch-summary')).foldOf;
}

/**
 * What a log tells, once the fold is here.
 *
 * @param log - the entries, in the order filed
 * @returns its summary; null before `fetchFold` has ended, when no log is in the store either
 */
export const folded = (log: readonly Entry[]): BatchSummary | null => fold?.(log) ?? null;
