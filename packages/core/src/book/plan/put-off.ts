import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { urgencyOf, type Job, type JobKind } from './job.js';

/** What the maker said about a job: not before a day, or not at all. */
export interface PutOff {
  readonly jobId: string;
  /** The day it comes back, `YYYY-MM-DD`; null when it is not for this maker. */
  readonly until: string | null;
}

/** How many are remembered: the oldest go first. */
export const MOST_PUT_OFF = 200;

/** For how many days a job may be put off. */
const PUT_OFF_DAYS = [1, 3, 7, 30, 182] as const;

/** Gas that finds no way out: these wait a day at most, and are never sent away. */
const PRESSING: ReadonlySet<JobKind> = new Set(['release', 'test-bottle', 'test-hard', 'heat', 'heat-late', 'keg-release', 'keg-valve']);

/**
 * For how many days a job may be put off.
 *
 * @param kind - of the job
 * @returns days, shortest first
 */
export const putOffDays = (kind: JobKind): readonly number[] => (PRESSING.has(kind) ? PUT_OFF_DAYS.slice(0, 1) : PUT_OFF_DAYS);

/**
 * Whether a maker may do without a job for good.
 *
 * @param kind - of the job
 * @returns false for what keeps glass whole
 */
export const mayDoWithout = (kind: JobKind): boolean => !PRESSING.has(kind);

/**
 * Jobs as the maker wants them: those put off come back on their day, those not wanted are left out.
 *
 * @param jobs - as the logs ask for them
 * @param putOff - what the maker said
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns jobs, those put off with their new day
 */
export function wantedJobs<J extends Job>(jobs: readonly J[], putOff: readonly PutOff[], today: string, zone?: string): readonly J[] {
  if (putOff.length === 0) return jobs;
  const said = new Map(putOff.map((p) => [p.jobId, p.until]));
  return jobs.flatMap((job) => {
    const until = said.get(job.id);
    if (until === undefined) return [job];
    if (until === null) return mayDoWithout(job.kind) ? [] : [job];
    if (calendarDays(today, until, zone) <= 0 || until <= job.dueAt) return [job];
    return [{ ...job, dueAt: until, urgency: urgencyOf(until, today, zone), detail: `Put off until ${dayText(until, true)}. ${job.detail}` }];
  });
}

/**
 * What the maker said, with one thing more.
 *
 * @param putOff - what was said before
 * @param job - the job meant
 * @param days - for how many days it is put off; null when it is not for this maker
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns the longer list, the oldest left out beyond {@link MOST_PUT_OFF}
 */
export function putOffOnce(putOff: readonly PutOff[], job: Pick<Job, 'id'>, days: number | null, today: string, zone?: string): readonly PutOff[] {
  const until = days === null ? null : dateAfter(today, days, zone);
  return [...putOff.filter((p) => p.jobId !== job.id), { jobId: job.id, until }].slice(-MOST_PUT_OFF);
}
