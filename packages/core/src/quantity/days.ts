import { CoreError } from '../errors/core-error.js';

/** Milliseconds in a day. */
export const DAY_MS = 86_400_000;

/** How far ahead of the clock a thing may be dated, days: a maker's phone may sit a time zone away. */
export const MOST_DAYS_AHEAD = 1.5;

/** Milliseconds since 1970 of an ISO 8601 instant or date; throws UNREADABLE for anything else. */
export function instantMs(iso: string): number {
  const ms = Date.parse(iso);
  if (!Number.isFinite(ms)) {
    throw new CoreError('UNREADABLE', `"${iso}" is not a date`, { given: iso });
  }
  return ms;
}

/**
 * Days from one instant to another, with fractions.
 *
 * @param from - ISO 8601
 * @param to - ISO 8601
 * @returns days; below zero when `to` is earlier
 */
export function daysBetween(from: string, to: string): number {
  return (instantMs(to) - instantMs(from)) / DAY_MS;
}

/**
 * Whole days between two dates as a calendar counts them, whatever the hour.
 *
 * @param from - ISO 8601
 * @param to - ISO 8601
 * @returns days; below zero when `to` is earlier
 */
export function calendarDays(from: string, to: string): number {
  return Math.round((instantMs(to.slice(0, 10)) - instantMs(from.slice(0, 10))) / DAY_MS);
}

/**
 * The calendar date some days after an instant.
 *
 * @param iso - ISO 8601
 * @param days - days later, may be fractional or negative
 * @returns `YYYY-MM-DD`
 */
export function dateAfter(iso: string, days: number): string {
  return new Date(instantMs(iso) + days * DAY_MS).toISOString().slice(0, 10);
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

/**
 * A date the way a maker writes it on tape.
 *
 * @param iso - ISO 8601
 * @param weekday - whether to begin with the day of the week
 * @returns such as `28 Nov` or `Sat 28 Nov`
 */
export function dayText(iso: string, weekday = false): string {
  const date = new Date(instantMs(iso));
  const text = `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}`;
  return weekday ? `${WEEKDAYS[date.getUTCDay()] ?? ''} ${text}` : text;
}
