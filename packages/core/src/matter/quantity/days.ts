import { instantMs } from './instant.js';
import { dayIn, UTC } from './zone.js';

export { instantMs } from './instant.js';

/** Milliseconds in a day. */
export const DAY_MS = 86_400_000;

/** How far ahead of the clock a thing may be dated, days: a maker's phone may sit a time zone away. */
export const MOST_DAYS_AHEAD = 1.5;

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
 * Whole days between two dates as the maker's calendar counts them, whatever the hour.
 *
 * @param from - ISO 8601
 * @param to - ISO 8601
 * @param zone - IANA time zone in which days begin and end
 * @returns days; below zero when `to` is earlier
 */
export function calendarDays(from: string, to: string, zone = UTC): number {
  return Math.round((instantMs(dayIn(to, zone)) - instantMs(dayIn(from, zone))) / DAY_MS);
}

/**
 * The calendar date some days after an instant.
 *
 * @param iso - ISO 8601
 * @param days - days later, may be fractional or negative
 * @param zone - IANA time zone of the maker; a bare date is one everywhere
 * @returns `YYYY-MM-DD`
 */
export function dateAfter(iso: string, days: number, zone = UTC): string {
  const ms = instantMs(iso) + days * DAY_MS;
  return dayIn(new Date(ms).toISOString(), iso.length <= 10 ? UTC : zone);
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

/**
 * A date the way a maker writes it on tape.
 *
 * @param iso - ISO 8601
 * @param weekday - whether to begin with the day of the week
 * @param zone - IANA time zone of the maker
 * @returns such as `28 Nov` or `Sat 28 Nov`
 */
export function dayText(iso: string, weekday = false, zone = UTC): string {
  const date = new Date(instantMs(dayIn(iso, zone)));
  const text = `${date.getUTCDate()} ${MONTHS[date.getUTCMonth()] ?? ''}`;
  return weekday ? `${WEEKDAYS[date.getUTCDay()] ?? ''} ${text}` : text;
}
