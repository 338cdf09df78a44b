import { HOURS_BETWEEN_STIRS } from '../../juice/fruit/pulp.js';
import { countText } from '../../matter/quantity/count-text.js';
import { calendarDays, dateAfter, daysBetween } from '../../matter/quantity/days.js';
import type { Pulp } from '../state/batch-state.js';
import type { Add, JobsInput } from './job.js';

/**
 * What a batch on its pulp asks for: the pulp pushed under twice a day, and straining when its days are over.
 *
 * @param input - the batch
 * @param pulp - what it stands on
 * @param add - takes each job
 */
export function pulpJobs({ batchName, state, today }: JobsInput, pulp: Pulp, add: Add): void {
  const { since, days } = pulp;
  if (calendarDays(since, today, state.zone) >= days) {
    const text = `Its ${countText(days, 'day')} are over. Strain it and measure; a day or two more does no harm while it smells clean.`;
    add('strain', since, dateAfter(since, days, state.zone), `Strain ${batchName}`, text);
    return;
  }
  const last = state.rousedAt !== null && state.rousedAt > since ? state.rousedAt : since;
  if (daysBetween(last, today) * 24 < HOURS_BETWEEN_STIRS) return;
  const how = pulp.loose ? 'Stir the cap of fruit under: dry fruit on top turns to vinegar.' : 'Push the bag under and stir.';
  add('stir', last, dateAfter(today, 0, state.zone), `Stir ${batchName}`, how);
}
