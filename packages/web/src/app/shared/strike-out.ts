import type { Entry } from '@trug/core';
import { newId } from './new-id';

/**
 * The entry that strikes another out; the struck one stays in the log.
 *
 * @param entry - what is to be struck out
 * @param note - why, in a word or two
 * @returns a correction without a replacement
 */
export function strikeOut(entry: Entry, note: string): Entry {
  return {
    id: newId(),
    batchId: entry.batchId,
    kind: 'corrected',
    at: entry.at,
    writtenAt: new Date().toISOString(),
    note,
    payload: { entryId: entry.id, replacement: null },
  };
}
