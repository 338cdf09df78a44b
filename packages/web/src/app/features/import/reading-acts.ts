import type { TableReading } from '@trug/core';
import type { Gauge } from '../../shared/gauges';
import { type Act } from '../../writing/log-writer';

/** What is corrected already was read, as it were, where the scale is true. */
const CORRECTED = { calibratedAtC: 20, offsetSg: 0 };

/**
 * Readings of a table as entries of the log.
 *
 * @param readings - those with a gravity or a pH
 * @param gauge - the hydrometer they were read with, each at the temperature beside it; null when they are corrected already
 * @returns acts in order of time
 */
export function readingActs(readings: readonly TableReading[], gauge: Gauge | null): readonly Act[] {
  const { calibratedAtC, offsetSg } = gauge ?? CORRECTED;
  return readings.map(
    ({ atMs, sg, tempC, ph }): Act => ({
      kind: 'reading',
      at: new Date(atMs).toISOString(),
      note: 'out of a table',
      payload: {
        gravity: sg === null ? null : { instrument: 'hydrometer', reading: sg, sampleC: gauge ? tempC : null, calibratedAtC, offsetSg },
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
