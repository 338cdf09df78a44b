import type { Entry } from '@trug/core';
import { followOn, type FoldedLog } from '@trug/core/book/log/follow-on';
import { replay } from '@trug/core/book/log/replay';
import type { BatchView } from '../state/batch-views.selectors';

/**
 * What the batch itself has against entries, one after another.
 *
 * @param view - the batch
 * @param entries - in the order they would be filed
 * @returns why they cannot be filed; null when they can
 */
export function refusalOnBatch({ log, state: { zone } }: BatchView, entries: readonly Entry[]): string | null {
  let before: FoldedLog = { log, state: replay(log, zone) };
  for (const entry of entries) {
    const followed = followOn(before, entry);
    if (!followed.ok) return followed.why;
    before = followed.on;
  }
  return null;
}
