import type { Entry, EntryOf } from './entry.js';

/** The log as it now stands, and what was changed. */
export interface EffectiveLog {
  /** By when things happened, corrections applied. */
  readonly entries: readonly Entry[];
  /** For each corrected entry, its corrections in the order filed. */
  readonly corrections: ReadonlyMap<string, readonly EntryOf<'corrected'>[]>;
}

/**
 * Applies corrections: the one filed last for an entry wins, an entry with an empty correction is struck out, and
 * nothing is lost, since the originals stay in the log. Clocks are set back and differ between machines, so which came
 * last goes by the log's own order and never by a time written in it.
 *
 * @param log - every entry as stored, in the order filed
 * @returns what the log says now, ordered by when things happened, then as filed
 */
export function effectiveEntries(log: readonly Entry[]): EffectiveLog {
  const corrections = new Map<string, EntryOf<'corrected'>[]>();
  for (const entry of log) {
    if (entry.kind !== 'corrected') continue;
    const list = corrections.get(entry.payload.entryId);
    if (list) list.push(entry);
    else corrections.set(entry.payload.entryId, [entry]);
  }
  const entries: Entry[] = [];
  for (const entry of log) {
    if (entry.kind === 'corrected') continue;
    const latest = corrections.get(entry.id)?.at(-1);
    if (!latest) entries.push(entry);
    else if (latest.payload.replacement) entries.push(corrected(entry, latest));
  }
  // Sorting is stable: what happened in one moment stays as it was filed.
  entries.sort((a, b) => order(a.at, b.at));
  return { entries, corrections };
}

const order = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

function corrected(entry: Entry, by: EntryOf<'corrected'>): Entry {
  const { replacement } = by.payload;
  return replacement ? { ...replacement, id: entry.id, batchId: entry.batchId, writtenAt: entry.writtenAt } : entry;
}
