import type { Verdict } from '../../ferment/verdict/verdict.js';
import { calendarDays } from '../../matter/quantity/days.js';
import type { BatchState } from '../state/batch-state.js';
import type { Method } from './method.js';

/** What a job asks for. */
export type JobKind =
  | 'stir'
  | 'strain'
  | 'pitch'
  | 'step'
  | 'restart-step'
  | 'clear-step'
  | 'keeve-step'
  | 'read'
  | 'second-reading'
  | 'warm'
  | 'restart'
  | 'rack'
  | 'clean'
  | 'look'
  | 'release'
  | 'malolactic'
  | 'taste'
  | 'lift'
  | 'bottle'
  | 'stabilise'
  | 'heat'
  | 'heat-late'
  | 'test-bottle'
  | 'test-hard'
  | 'open-one'
  | 'keg-ready'
  | 'keg-release'
  | 'keg-valve';

/** When a job falls, beside today. */
export type JobUrgency = 'overdue' | 'today' | 'week' | 'later';

/** Something to do for a batch. */
export interface Job {
  /** The same for the same job however often it is derived: batch, kind and what caused it. */
  readonly id: string;
  readonly kind: JobKind;
  readonly title: string;
  readonly detail: string;
  /** ISO 8601 day or instant. */
  readonly dueAt: string;
  readonly urgency: JobUrgency;
}

/** What jobs are derived from. */
export interface JobsInput {
  readonly batchId: string;
  readonly batchName: string;
  readonly state: BatchState;
  readonly verdict: Verdict | null;
  readonly method: Method;
  /** ISO 8601. */
  readonly today: string;
}

/**
 * How soon something is due.
 *
 * @param dueAt - ISO 8601
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns overdue before today, today, within seven days, or later
 */
export function urgencyOf(dueAt: string, today: string, zone?: string): JobUrgency {
  const days = calendarDays(today, dueAt, zone);
  if (days < 0) return 'overdue';
  if (days === 0) return 'today';
  return days <= 7 ? 'week' : 'later';
}

/** What a maker is invited to, which nobody can be late for. */
const INVITATIONS: ReadonlySet<JobKind> = new Set<JobKind>(['open-one', 'keg-ready']);

/**
 * How soon a job is due: what is only an invitation stays one, however long it stands.
 *
 * @param job - its kind, and when it falls
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 */
export function urgencyOfJob({ kind, dueAt }: Pick<Job, 'kind' | 'dueAt'>, today: string, zone?: string): JobUrgency {
  const urgency = urgencyOf(dueAt, today, zone);
  return urgency === 'overdue' && INVITATIONS.has(kind) ? 'today' : urgency;
}

/** Adds a job: its kind, what caused it, when it falls, and its words. */
export type Add = (kind: JobKind, cause: string, dueAt: string, title: string, detail: string) => void;
