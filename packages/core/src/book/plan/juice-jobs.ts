import type { Juice } from '../../juice/fruit/juice.js';
import { steepJob } from '../../juice/fruit/steep-plan.js';
import { dateAfter } from '../../matter/quantity/days.js';
import { urgencyOf, type Job } from './job.js';

/**
 * What juices ask for before they are a batch: pulp to stir, pulp to strain.
 *
 * @param juices - everything in hand
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns a job for each juice that wants something now
 */
export function juiceJobs(
  juices: readonly Pick<Juice, 'id' | 'name' | 'tape' | 'steeping'>[],
  today: string,
  zone?: string,
): readonly (Job & { readonly juiceId: string; readonly tape: string })[] {
  return juices.flatMap((juice) => {
    const job = juice.steeping ? steepJob(juice.steeping, today) : null;
    if (!job || !juice.steeping) return [];
    const { what, text } = job;
    const dueAt = what === 'strain' ? dateAfter(juice.steeping.startedAt, juice.steeping.days, zone) : dateAfter(today, 0, zone);
    const title = what === 'stir' ? `Stir ${juice.name}` : `Strain ${juice.name}`;
    const id = `${juice.id}:${what}:${dueAt}`;
    return [{ id, kind: what, title, detail: text, dueAt, urgency: urgencyOf(dueAt, today, zone), juiceId: juice.id, tape: juice.tape }];
  });
}
