import { dayIn, momentIn } from '../../matter/quantity/zone.js';
import { parseHour } from '../../matter/quantity/hour.js';

/** Why an act cannot have been done at a moment: it is no day or no hour, is still to come, or is before what the log already holds. */
export type MomentProblem = 'no-day' | 'no-hour' | 'to-come' | 'before-log';

/** When an act was done; `at` is null for now. */
export type ActMoment = { readonly ok: true; readonly at: string | null } | { readonly ok: false; readonly why: MomentProblem };

/** What a maker says about when something was done, and what it is read by. */
export interface SaidMoment {
  /** `YYYY-MM-DD`; empty for today. */
  readonly day: string;
  /** As typed; empty when the maker does not say. */
  readonly hour: string;
  /** ISO 8601. */
  readonly now: string;
  /** Of the last entry in the log; null for an empty one. */
  readonly lastEntryAt: string | null;
  /** IANA time zone of the maker. */
  readonly zone: string;
}

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
/** Where in a day something is put whose hour nobody says. */
const MIDDAY = '12:00';
/** What follows something in one log follows it by so much, ms. */
const NEXT_MS = 1000;

/** The moment of something that comes next after an entry whose moment it does not pass by the clock. */
export const justAfter = (entryAt: string): string => new Date(Date.parse(entryAt) + NEXT_MS).toISOString();

/**
 * The moment of an act that is written down later than it was done. Nothing in the log may come after it: what an act does is
 * worked out on the batch as it then was, and that is known only at the log's end.
 *
 * @param said - day, hour and what they are read by
 * @returns the moment, or why it cannot be
 */
export function actMoment({ day, hour, now, lastEntryAt, zone }: SaidMoment): ActMoment {
  if (day !== '' && !DAY.test(day)) return { ok: false, why: 'no-day' };
  const clock = hour.trim() === '' ? null : parseHour(hour);
  if (clock === null && hour.trim() !== '') return { ok: false, why: 'no-hour' };
  if (day === '' && clock === null) return { ok: true, at: null };
  const at = momentIn(day === '' ? dayIn(now, zone) : day, clock ?? MIDDAY, zone);
  if (lastEntryAt !== null && at <= lastEntryAt) {
    // Without an hour it is some time that day, after what the log holds of it.
    const after = justAfter(lastEntryAt);
    const isThatDay = clock === null && dayIn(lastEntryAt, zone) === dayIn(at, zone) && after <= now;
    return isThatDay ? { ok: true, at: after } : { ok: false, why: 'before-log' };
  }
  if (at > now) return clock === null && dayIn(now, zone) === dayIn(at, zone) ? { ok: true, at: null } : { ok: false, why: 'to-come' };
  return { ok: true, at };
}
