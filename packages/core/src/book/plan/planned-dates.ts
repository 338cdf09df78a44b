import type { Stage } from '../state/batch-state.js';
import { dateAfter } from '../../matter/quantity/days.js';
import type { Method } from './method.js';

/** A stop of the path with the day it is expected. */
export interface PlannedStop {
  readonly stage: Stage;
  /** `YYYY-MM-DD`. */
  readonly on: string;
}

/**
 * The days a batch is likely to reach each stop, from its start and its method.
 *
 * @param input - ISO 8601 start, whether it is sulfited first, the method, and the maker's time zone
 * @returns every stop in order; estimates all
 */
export function plannedDates(input: {
  readonly startAt: string;
  readonly sulfited: boolean;
  readonly method: Method;
  readonly zone?: string;
}): readonly PlannedStop[] {
  const { startAt, sulfited, method, zone } = input;
  const { waits } = method;
  const pitch = sulfited ? waits.sulfiteToPitchH / 24 : 0;
  const end = pitch + waits.fermentDays;
  const rack = end + 7;
  const bottle = rack + waits.restDays;
  const days: readonly (readonly [Stage, number])[] = [
    ['juice', 0],
    ['settle', 0],
    ['pitch', pitch],
    ['ferment', pitch],
    ['rack', rack],
    ['rest', rack],
    ['finish', bottle],
    ['bottle', bottle],
    ['drink', bottle + waits.firstBottleDays],
  ];
  return days.map(([stage, after]) => ({ stage, on: dateAfter(startAt, after, zone) }));
}
