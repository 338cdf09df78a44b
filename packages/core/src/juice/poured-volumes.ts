import { effectiveEntries } from '../log/effective-entries.js';
import type { Entry } from '../log/entry.js';

/**
 * How much of each juice has been poured into batches: derived from the logs, so that a pour struck out gives its
 * juice back.
 *
 * @param logs - the log of every batch
 * @returns litres by juice id
 */
export function pouredVolumes(logs: readonly (readonly Entry[])[]): ReadonlyMap<string, number> {
  const pouredL = new Map<string, number>();
  for (const log of logs) {
    if (!log.some((e) => e.kind === 'blended')) continue;
    for (const entry of effectiveEntries(log).entries) {
      if (entry.kind !== 'blended') continue;
      for (const { from, sourceId, liquid } of entry.payload.parts) {
        if (from === 'juice') pouredL.set(sourceId, (pouredL.get(sourceId) ?? 0) + liquid.volumeL);
      }
    }
  }
  return pouredL;
}
