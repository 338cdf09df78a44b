import type { TableReading } from '@trug/core';
import { PLAIN_STEM, rawGravityBy, type Gauge } from '@trug/core/matter/measure/gauge';
import { type Act } from '../../writing/log-writer';

/**
 * Readings of a table as entries of the log.
 *
 * @param readings - those with a gravity or a pH
 * @param gauge - the hydrometer they were read with, each at the temperature beside it; null when they are corrected already
 * @returns acts in order of time
 */
export function readingActs(readings: readonly TableReading[], gauge: Gauge | null): readonly Act[] {
  // What is corrected already was read, as it were, on a stem that is true.
  const stem = gauge ?? PLAIN_STEM;
  return readings.map(
    ({ atMs, sg, tempC, ph }): Act => ({
      kind: 'reading',
      at: new Date(atMs).toISOString(),
      note: 'out of a table',
      payload: {
        gravity: sg === null ? null : rawGravityBy(stem, sg, gauge ? tempC : null),
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
