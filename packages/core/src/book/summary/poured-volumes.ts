import type { Entry } from '../entry/entry.js';
import { takenByLog, type Amount } from './sum-over-logs.js';

/**
 * How much of each juice a log has poured into its batch: derived, so that a pour struck out gives its juice back.
 *
 * @param entries - of a batch, as they now stand
 * @returns litres by juice id
 */
export function pouredVolumes(entries: readonly Entry[]): readonly Amount[] {
  return takenByLog(entries, ['blended'], ({ payload }) =>
    payload.parts.filter((p) => p.from === 'juice').map((p) => ({ id: p.sourceId, amount: p.liquid.volumeL })),
  );
}
