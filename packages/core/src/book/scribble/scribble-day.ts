import { parseHour } from '../../matter/quantity/hour.js';
import { isDay } from '../../matter/quantity/strict-dates.js';
import { dateAfter } from '../../matter/quantity/days.js';

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'] as const;
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const;
const MONTH = String.raw`(jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\.?`;
/** What is still to come, or only lasts until then, was not done on that day. */
const TO_COME = /\b(?:will|going to|needs? to|should|plan(?:ned)?|due|next|by|until|till|before(?! yesterday)|since|from|for)\b/i;

/** When something was done, by what a line says of it. */
export interface SaidWhen {
  /** `YYYY-MM-DD`; empty for today. */
  readonly day: string;
  /** `HH:mm`; empty when it was not said. */
  readonly hour: string;
  readonly rest: string;
}

type Reader = (match: readonly string[], today: string) => string | null;

const weekdayOf = (day: string): number => new Date(`${day}T12:00:00Z`).getUTCDay();
const dayAfter = (day: string, days: number): string => dateAfter(`${day}T12:00:00.000Z`, days).slice(0, 10);
const two = (n: number): string => String(n).padStart(2, '0');

/** The latest day of a month and date that is not to come. */
function lastOf(month: string, date: string, year: string | undefined, today: string): string | null {
  const m = MONTHS.findIndex((name) => month.toLowerCase().startsWith(name)) + 1;
  const inYear = (y: number): string => `${y}-${two(m)}-${two(Number(date))}`;
  const thisYear = Number(today.slice(0, 4));
  const day = year === undefined ? (inYear(thisYear) <= today ? inYear(thisYear) : inYear(thisYear - 1)) : inYear(Number(year));
  return isDay(day) ? day : null;
}

/** Days as people write them. `12/11` is two days to two people, and is left to stand. */
const DAYS: readonly { readonly pattern: RegExp; readonly read: Reader }[] = [
  { pattern: /\b(?:on\s+)?(\d{4}-\d{2}-\d{2})\b/i, read: ([, day = '']) => (isDay(day) ? day : null) },
  { pattern: /\b(?:the\s+)?day before yesterday\b/i, read: (_m, today) => dayAfter(today, -2) },
  { pattern: /\byesterday(?:\s+(?:morning|evening|afternoon|night))?\b|\blast night\b/i, read: (_m, today) => dayAfter(today, -1) },
  { pattern: /\btoday\b|\bthis (?:morning|evening|afternoon)\b|\bjust now\b/i, read: () => '' },
  { pattern: /\b(\d{1,2}) days? ago\b/i, read: ([, days = ''], today) => dayAfter(today, -Number(days)) },
  {
    pattern: new RegExp(String.raw`\b(?:on\s+)?(?:the\s+)?(\d{1,2})(?:st|nd|rd|th)?\s+(?:of\s+)?${MONTH}(?:\s+(\d{4}))?(?![a-z\d])`, 'i'),
    read: ([, date = '', month = '', year], today) => lastOf(month, date, year, today),
  },
  {
    pattern: new RegExp(String.raw`\b(?:on\s+)?${MONTH}\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s+(\d{4}))?(?![a-z\d./])`, 'i'),
    read: ([, month = '', date = '', year], today) => lastOf(month, date, year, today),
  },
  {
    // Wine sits, and stands in the sun: those two are days when they are written out, follow “on” or “last”, or stand by themselves.
    pattern:
      /\b(?:last\s+|on\s+)?((?:mon|tues|wednes|thurs|fri|satur|sun)day|mon|tues?|wed|thu(?:rs?)?|fri|(?<=\b(?:on|last)\s)(?:sat|sun)|(?<=^|,\s*)(?:sat|sun)(?=\s*(?:,|$)))\b/i,
    read: ([, name = ''], today) => {
      const back = (weekdayOf(today) - WEEKDAYS.findIndex((w) => name.toLowerCase().startsWith(w)) + 7) % 7;
      return dayAfter(today, -(back === 0 ? 7 : back));
    },
  },
];

/** An hour needs its colon, its `am` or `pm`, or a name: a bare number is something else. */
const HOUR = /(?:\b(?:at|about|around)\s+)?\b(\d{1,2}[:h][0-5]\d(?:\s*[ap]\.?m\b\.?)?|\d{1,2}(?:[.:][0-5]\d)?\s*[ap]\.?m\b\.?|noon|midday|midnight)(?![\d])/i;

/**
 * Takes the day and the hour out of a line.
 *
 * @param line - in plain writing
 * @param today - `YYYY-MM-DD`, the maker's own day
 * @returns the day and hour said, and the line without them
 * @example saidWhen('1.012 yesterday at 9 pm', '2026-11-27') // => { day: '2026-11-26', hour: '21:00', rest: '1.012' }
 */
export function saidWhen(line: string, today: string): SaidWhen {
  let [day, rest] = ['', line];
  if (TO_COME.test(line)) return { day: '', hour: '', rest: line };
  for (const { pattern, read } of DAYS) {
    const match = pattern.exec(rest);
    const said = match ? read(match, today) : null;
    if (!match || said === null) continue;
    [day, rest] = [said, cut(rest, match)];
    break;
  }
  const match = HOUR.exec(rest);
  const hour = match ? parseHour(match[1] ?? '') : null;
  return { day, hour: hour ?? '', rest: match && hour !== null ? cut(rest, match) : rest };
}

const cut = (line: string, match: RegExpExecArray): string =>
  `${line.slice(0, match.index)} ${line.slice(match.index + match[0].length)}`.replace(/\s+/g, ' ').trim();
