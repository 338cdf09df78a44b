/** Years a cellar's dates may lie in: before them nobody kept this record, after them a clock is wrong. @source our choice */
export const YEARS = { min: 1970, max: 2199 } as const;

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
const INSTANT = /^(\d{4}-\d{2}-\d{2})T(\d{2}):(\d{2})(?::(\d{2})(?:\.\d{1,9})?)?(Z|[+-]\d{2}:\d{2})$/;

/**
 * Whether a text is a day the calendar has, within the years of a cellar.
 *
 * @param text - such as `2026-11-23`
 * @returns false for 30 February, year 1 and anything that is no day
 * @example isDay('2028-02-29') // => true
 */
export function isDay(text: string): boolean {
  const found = DAY.exec(text);
  if (!found) return false;
  const [year, month, day] = [Number(found[1]), Number(found[2]), Number(found[3])];
  const date = new Date(Date.UTC(year, month - 1, day));
  return year >= YEARS.min && year <= YEARS.max && date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
}

/**
 * The moment a text names, checked to its day, hour and zone.
 *
 * @param text - ISO 8601 with its zone, such as `2026-10-03T14:30:00+02:00`
 * @returns ms since 1970; null when there is no such moment
 */
export function strictInstantMs(text: string): number | null {
  const found = INSTANT.exec(text);
  if (!found || !isDay(found[1] ?? '')) return null;
  const [hour, minute, second] = [Number(found[2]), Number(found[3]), Number(found[4] ?? 0)];
  const [, zoneHour = '0', zoneMinute = '0'] = /^[+-](\d{2}):(\d{2})$/.exec(found[5] ?? '') ?? [];
  if (hour > 23 || minute > 59 || second > 59 || Number(zoneHour) > 14 || Number(zoneMinute) > 59) return null;
  const ms = Date.parse(text);
  return Number.isFinite(ms) ? ms : null;
}

/** Whether a text is a moment in UTC as the log keeps it, such as `2026-11-23T10:00:00.000Z`. */
export function isUtcInstant(text: string): boolean {
  return /^.{16}:\d{2}(\.\d{1,3})?Z$/.test(text) && strictInstantMs(text) !== null;
}
