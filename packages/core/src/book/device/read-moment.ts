/** In which order the parts of a date stand. */
export type DateOrder = 'year-first' | 'day-first' | 'month-first';

const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ](\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?)\s*(Z|[+-]\d{2}:?\d{2})?)?$/;
const PARTS = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})(?:,?\s+(\d{1,2}:\d{2}(?::\d{2})?\s*(?:am|pm)?))?$/i;
const TIME = /^(\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?\s*(am|pm)?$/i;
/** Seconds or milliseconds since 1970, from 2001 on. */
const UNIX = /^\d{10}(\d{3})?$/;

/** What a cell of a table seems to be: a moment with its hour, a bare date, a bare time, or none of them. */
export function looksLikeMoment(cell: string): 'moment' | 'date' | 'time' | null {
  const text = cell.trim();
  const dated = ISO.exec(text) ?? PARTS.exec(text);
  if (dated) return dated[4] === undefined ? 'date' : 'moment';
  return UNIX.test(text) ? 'moment' : TIME.test(text) ? 'time' : null;
}

/** How the dates of a column are written; where day and month cannot be told apart, the day is taken to come first. */
export function orderOfDates(cells: readonly string[]): { readonly order: DateOrder; readonly sure: boolean } {
  const parts = cells.flatMap((cell) => PARTS.exec(cell.trim()) ?? []).length > 0 ? cells.map((cell) => PARTS.exec(cell.trim())) : [];
  if (parts.length === 0) return { order: 'year-first', sure: true };
  if (parts.some((p) => Number(p?.[1]) > 12)) return { order: 'day-first', sure: true };
  return parts.some((p) => Number(p?.[2]) > 12) ? { order: 'month-first', sure: true } : { order: 'day-first', sure: false };
}

function msOfDay(time: string | undefined): number | null {
  if (time === undefined || time === '') return 0;
  const found = TIME.exec(time.trim());
  if (!found) return null;
  const half = found[4]?.toLowerCase();
  const hour = half === undefined ? Number(found[1]) : (Number(found[1]) % 12) + (half === 'pm' ? 12 : 0);
  const [minute, second] = [Number(found[2]), Number(found[3] ?? 0)];
  return hour < 24 && minute < 60 && second < 60 ? ((hour * 60 + minute) * 60 + second) * 1000 : null;
}

function dayMs(year: number, month: number, day: number): number | null {
  const ms = Date.UTC(year < 100 ? 2000 + year : year, month - 1, day);
  const date = new Date(ms);
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day ? ms : null;
}

/**
 * Reads a date and time as tables have them; a time without a zone is taken as it stands.
 *
 * @param date - such as `2026-10-03 14:30`, `3/10/2026`, `3.10.26 2:30 pm` or seconds since 1970
 * @param order - how the parts of a date stand
 * @param time - a time from a column of its own; empty when the date says it or nobody does
 * @returns milliseconds since 1970; null when it is no date
 */
export function readMoment(date: string, order: DateOrder, time = ''): number | null {
  const text = date.trim();
  if (UNIX.test(text)) return text.length === 10 ? Number(text) * 1000 : Number(text);
  const iso = ISO.exec(text);
  const parts = iso ?? PARTS.exec(text);
  if (!parts) return null;
  const [a, b, c] = [Number(parts[1]), Number(parts[2]), Number(parts[3])];
  const day = iso ? dayMs(a, b, c) : order === 'month-first' ? dayMs(c, a, b) : dayMs(c, b, a);
  const hour = msOfDay(parts[4] ?? time);
  if (day === null || hour === null) return null;
  const zone = /^([+-])(\d{2}):?(\d{2})$/.exec(iso?.[5] ?? '');
  const zoneMs = zone ? (zone[1] === '-' ? -1 : 1) * (Number(zone[2]) * 60 + Number(zone[3])) * 60_000 : 0;
  return day + hour - zoneMs;
}
