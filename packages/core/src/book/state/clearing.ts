import type { BatchState } from './batch-state.js';

/**
 * The moment from which what was put in to clear it may be looked at. Before it nothing is disturbed.
 *
 * @param state - the batch
 * @returns ISO 8601; null where nothing clears, or it was racked since
 */
export function clearsUntil({ clarified, rackedAt }: Pick<BatchState, 'clarified' | 'rackedAt'>): string | null {
  return clarified && (rackedAt === null || rackedAt < clarified.at) ? clarified.lookAt : null;
}
