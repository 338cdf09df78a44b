import type { Entry } from '@trug/core';
import { newId } from './new-id';

/**
 * The entry that strikes another out; the struck one stays in the log.
 *
 * @param entry - what is to be struck out
 * @param note - why, in a word or two
 * @param now - ISO 8601: it happens now, whenever the struck one says it did
 * @returns a correction without a replacement
 */
export function strikeOut(entry: Entry, note: string, now: string): Entry {
  return { id: newId(), batchId: entry.batchId, kind: 'corrected', at: now, writtenAt: now, note, payload: { entryId: entry.id, replacement: null } };
}
