import { dateAfter, dayText } from '../../matter/quantity/days.js';
import type { DirtyVessel } from '../summary/dirty-vessels.js';
import { urgencyOf, type Job } from './job.js';

/** Lees that dry set like glue, so a vessel is cleaned by the next day. @source usual practice */
const CLEAN_WITHIN_DAYS = 1;

/** How vessels are washed that had drink in them. */
export const washText = (of: 'it' | 'each'): string => `Rinse ${of}, brush it with hot washing soda, gloves on, rinse again and let it drain.`;

/**
 * What empty vessels ask for.
 *
 * @param dirty - vessels to clean
 * @param nameOf - a vessel's name by its id
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns a job for each
 */
export function vesselJobs(dirty: readonly DirtyVessel[], nameOf: (id: string) => string, today: string, zone?: string): readonly Job[] {
  return dirty.map(({ vesselId, since }) => {
    const dueAt = dateAfter(since, CLEAN_WITHIN_DAYS, zone);
    return {
      id: `${vesselId}:clean:${since}`,
      kind: 'clean',
      title: `Clean ${nameOf(vesselId)}`,
      detail: `Empty since ${dayText(since, false, zone)}. ${washText('it')}`,
      dueAt,
      urgency: urgencyOf(dueAt, today, zone),
    };
  });
}
