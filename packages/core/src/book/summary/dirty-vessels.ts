import type { Entry } from '../entry/entry.js';
import { vesselsAfter } from '../entry/entry-kinds.js';

/** A vessel that was emptied and not cleaned since. */
export interface DirtyVessel {
  readonly vesselId: string;
  /** When it was emptied, ISO 8601. */
  readonly since: string;
}

/**
 * Vessels that a batch left, each with when it last did.
 *
 * @param entries - of the batch, as they now stand
 * @param isGone - whether nothing of it stands in vessels any more
 * @returns vessels with the latest time each was emptied
 */
export function emptiedVessels(entries: readonly Entry[], isGone: boolean): readonly DirtyVessel[] {
  let held: readonly string[] = [];
  const emptied = new Map<string, string>();
  for (const entry of entries) {
    const after = vesselsAfter(entry);
    if (!after) continue;
    for (const id of held) if (!after.includes(id)) emptied.set(id, entry.at);
    held = after;
  }
  const last = entries.filter((e) => e.kind === 'bottled' || e.kind === 'discarded').at(-1);
  if (last && isGone) for (const id of held) emptied.set(id, last.at);
  return [...emptied].map(([vesselId, since]) => ({ vesselId, since }));
}

/**
 * Vessels that came back empty and have not been cleaned since.
 *
 * @param emptied - what every batch left, and when
 * @param vessels - the maker's vessels, each with when it was last cleaned; null when nobody said
 * @param held - ids of vessels with something in them, which are not dirty but full
 * @returns those to clean, the longest empty first
 */
export function dirtyVessels(
  emptied: readonly DirtyVessel[],
  vessels: readonly { readonly id: string; readonly cleanedAt: string | null }[],
  held: ReadonlySet<string>,
): readonly DirtyVessel[] {
  const lastEmptied = new Map<string, string>();
  for (const { vesselId, since } of emptied) if (since > (lastEmptied.get(vesselId) ?? '')) lastEmptied.set(vesselId, since);
  return vessels
    .flatMap(({ id, cleanedAt }) => {
      const since = lastEmptied.get(id);
      return since !== undefined && !held.has(id) && (cleanedAt === null || cleanedAt < since) ? [{ vesselId: id, since }] : [];
    })
    .sort((a, b) => (a.since < b.since ? -1 : 1));
}
