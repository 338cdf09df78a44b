import { effectiveEntries } from '../log/effective-entries.js';
import type { Entry } from '../log/entry.js';
import { replay } from '../log/replay.js';

/** A vessel that was emptied and not cleaned since. */
export interface DirtyVessel {
  readonly vesselId: string;
  /** When it was emptied, ISO 8601. */
  readonly since: string;
}

/** The vessels a log's entry leaves the batch in; null where it moves nothing. */
function vesselsAfter(entry: Entry): readonly string[] | null {
  switch (entry.kind) {
    case 'filled':
    case 'blended':
    case 'split':
    case 'racked':
      return entry.payload.vessels.map((v) => v.vesselId);
    case 'kegged':
      return [entry.payload.vessel.vesselId];
    default:
      return null;
  }
}

/** Every time a vessel was emptied, as one batch's log tells it. */
function emptyings(log: readonly Entry[]): readonly DirtyVessel[] {
  const { entries } = effectiveEntries(log);
  let held: readonly string[] = [];
  const emptied: DirtyVessel[] = [];
  for (const entry of entries) {
    const after = vesselsAfter(entry);
    if (!after) continue;
    emptied.push(...held.filter((id) => !after.includes(id)).map((vesselId) => ({ vesselId, since: entry.at })));
    held = after;
  }
  const last = entries.filter((e) => e.kind === 'bottled' || e.kind === 'discarded').at(-1);
  if (last && replay(log).liquid === null) emptied.push(...held.map((vesselId) => ({ vesselId, since: last.at })));
  return emptied;
}

/**
 * Vessels that came back empty and have not been cleaned since.
 *
 * @param logs - the log of every batch
 * @param vessels - the maker's vessels, each with when it was last cleaned; null when nobody said
 * @param held - ids of vessels with something in them, which are not dirty but full
 * @returns those to clean, the longest empty first
 */
export function dirtyVessels(
  logs: readonly (readonly Entry[])[],
  vessels: readonly { readonly id: string; readonly cleanedAt: string | null }[],
  held: ReadonlySet<string>,
): readonly DirtyVessel[] {
  const lastEmptied = new Map<string, string>();
  for (const { vesselId, since } of logs.flatMap(emptyings)) {
    if (since > (lastEmptied.get(vesselId) ?? '')) lastEmptied.set(vesselId, since);
  }
  return vessels
    .flatMap(({ id, cleanedAt }) => {
      const since = lastEmptied.get(id);
      return since !== undefined && !held.has(id) && (cleanedAt === null || cleanedAt < since) ? [{ vesselId: id, since }] : [];
    })
    .sort((a, b) => (a.since < b.since ? -1 : 1));
}
