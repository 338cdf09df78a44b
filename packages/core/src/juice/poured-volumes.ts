import type { Entry } from '../log/entry.js';
import { sumOverLogs } from '../log/sum-over-logs.js';

/**
 * How much of each juice has been poured into batches: derived from the logs, so that a pour struck out gives its
 * juice back.
 *
 * @param logs - the log of every batch
 * @returns litres by juice id
 */
export function pouredVolumes(logs: readonly (readonly Entry[])[]): ReadonlyMap<string, number> {
  return sumOverLogs(logs, ['blended'], ({ payload }) =>
    payload.parts.filter((p) => p.from === 'juice').map((p) => ({ id: p.sourceId, amount: p.liquid.volumeL })),
  );
}
