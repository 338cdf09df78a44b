import type { TableReading } from '@trug/core';
import type { Act } from '../../shared/entry-writer';

/**
 * Readings of a table as entries of the log. They are taken as they stand: a table does not say how warm each sample was.
 *
 * @param readings - those with a gravity or a pH
 * @returns acts in order of time
 */
export function readingActs(readings: readonly TableReading[]): readonly Act[] {
  return readings.map(
    ({ atMs, sg, tempC, ph }): Act => ({
      kind: 'reading',
      at: new Date(atMs).toISOString(),
      note: 'out of a table',
      payload: {
        gravity: sg === null ? null : { instrument: 'hydrometer', reading: sg, sampleC: null, calibratedAtC: 20, offsetSg: 0 },
        ph,
        taGPerL: null,
        placeC: tempC,
        insistedOn: [],
        bubbles: null,
        smell: null,
      },
    }),
  );
}
