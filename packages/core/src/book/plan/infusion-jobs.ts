import { countText } from '../../matter/quantity/count-text.js';
import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { outOn } from '../state/fruit-out.js';
import type { BatchState } from '../state/batch-state.js';
import type { Add, JobsInput } from './job.js';

/** Days between two tastes of what steeps. */
const TASTE_AGAIN_DAYS = 3;

/**
 * What steeps in the drink: to be tasted from its first day on, every few days, and taken out on the day the maker set.
 *
 * @param input - the replayed batch and today
 * @param infusion - what steeps
 * @param add - takes a job
 */
export function infusionJobs({ batchName, state }: JobsInput, infusion: BatchState['infusions'][number], add: Add): void {
  const { name, firstDays } = infusion;
  const lastOn = outOn(infusion, state.zone);
  add(
    'lift',
    infusion.id,
    lastOn,
    `Take the ${name} out of ${batchName}`,
    `In since ${dayText(infusion.at, false, state.zone)}. Let the bag drain, do not wring it, and close the vessel full.`,
  );
  const from = infusion.tastedAt === null ? dateAfter(infusion.at, firstDays, state.zone) : dateAfter(infusion.tastedAt, TASTE_AGAIN_DAYS, state.zone);
  // On its last day it is taken out, not tasted.
  if (from >= lastOn) return;
  const inFor = infusion.tastedAt ?? infusion.at;
  add(
    'taste',
    `${infusion.id}@${inFor}`,
    from,
    `Taste ${batchName} with its ${name}`,
    `Take it out as soon as it is enough: it comes out in ${countText(Math.max(1, calendarDays(from, lastOn)), 'day')} at the latest. What is too strong can only be blended.`,
  );
}
