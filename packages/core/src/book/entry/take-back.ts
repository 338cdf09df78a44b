import { effectiveEntries } from './effective-entries.js';
import type { Entry, EntryPayloads, Replacement } from './entry.js';

/** An entry's content as a correction carries it, without what tells the entry itself; null for a correction. */
export function contentOf(entry: Entry): Replacement | null {
  if (entry.kind === 'corrected') return null;
  const { kind, at, note, payload } = entry;
  // Kind and payload come from one entry, so they belong together.
  return { kind, at, note, payload } as Replacement;
}

/**
 * The correction that takes an entry back: an act is struck out; of a correction, what stood before it stands again, struck
 * out or not. Nothing is deleted, so that taking back can be taken back.
 *
 * @param entry - to be taken back
 * @param log - the whole log it is in, in the order filed; not needed for anything but a correction
 * @returns the payload of the correction; null when the entry that was corrected is not in the log
 */
export function takeBack(entry: Entry, log: readonly Entry[]): EntryPayloads['corrected'] | null {
  if (entry.kind !== 'corrected') return { entryId: entry.id, replacement: null };
  const { entryId } = entry.payload;
  if (!log.some((e) => e.id === entryId)) return null;
  const at = log.findIndex((e) => e.id === entry.id);
  const before = effectiveEntries(at < 0 ? log : log.slice(0, at)).entries.find((e) => e.id === entryId);
  return { entryId, replacement: before ? contentOf(before) : null };
}

/**
 * The correction that puts back what was struck out, as it last stood.
 *
 * @param entryId - of what was struck out
 * @param log - the whole log, in the order filed
 * @returns the payload of the correction; null when there is nothing to put back
 */
export function putBack(entryId: string, log: readonly Entry[]): EntryPayloads['corrected'] | null {
  const original = log.find((e) => e.id === entryId);
  if (!original) return null;
  const standing = log.flatMap((e) => (e.kind === 'corrected' && e.payload.entryId === entryId && e.payload.replacement ? [e.payload.replacement] : []));
  return { entryId, replacement: standing.at(-1) ?? contentOf(original) };
}
