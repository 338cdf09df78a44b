import { CoreError } from '../../base/errors/core-error.js';
import { instantMs } from './instant.js';

/** The zone of a maker who has not said where they live. */
export const UTC = 'UTC';

const LONGEST_NAME = 60;
/** Asking a zone is slow, having asked it is not. */
const formats = new Map<string, Intl.DateTimeFormat>();

/**
 * Whether a name is a time zone that this machine knows.
 *
 * @param name - IANA name, such as `Pacific/Auckland`
 */
export function isZone(name: string): boolean {
  try {
    if (name.length > LONGEST_NAME) return false;
    formatOf(name);
    return true;
  } catch {
    return false;
  }
}

function formatOf(zone: string): Intl.DateTimeFormat {
  const known = formats.get(zone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    second: '2-digit',
  });
  formats.set(zone, made);
  return made;
}

/** How far a zone's clocks stand ahead of UTC at a moment, ms. */
function aheadMs(ms: number, zone: string): number {
  if (zone === UTC) return 0;
  const part = Object.fromEntries(
    formatOf(zone)
      .formatToParts(ms)
      .map(({ type, value }) => [type, Number(value)]),
  );
  const wall = Date.UTC(part['year'] ?? 1970, (part['month'] ?? 1) - 1, part['day'] ?? 1, part['hour'] ?? 0, part['minute'] ?? 0, part['second'] ?? 0);
  return wall - Math.floor(ms / 1000) * 1000;
}

/**
 * A moment as the clock on the maker's wall shows it.
 *
 * @param iso - ISO 8601 instant; a bare day is a day everywhere and stays as it is
 * @param zone - IANA time zone
 * @returns `YYYY-MM-DDTHH:mm:ss.sss`, without a zone
 * @throws {CoreError} UNREADABLE when `iso` is no date
 */
export function wallClock(iso: string, zone: string): string {
  const ms = instantMs(iso);
  return new Date(iso.length <= 10 ? ms : ms + aheadMs(ms, zone)).toISOString().slice(0, -1);
}

/** The calendar day it is for the maker at a moment, `YYYY-MM-DD`. */
export const dayIn = (iso: string, zone: string): string => wallClock(iso, zone).slice(0, 10);

/** The hour and minute it is for the maker at a moment, `HH:mm`. */
export const hourIn = (iso: string, zone: string): string => wallClock(iso, zone).slice(11, 16);

/**
 * The moment at which the maker's clock shows a day and an hour. An hour that a change of clocks skips or repeats
 * gives a moment within an hour of it.
 *
 * @param day - `YYYY-MM-DD`
 * @param hour - `HH:mm`
 * @param zone - IANA time zone
 * @returns ISO 8601 in UTC
 * @throws {CoreError} UNREADABLE when they are no day and hour
 */
export function momentIn(day: string, hour: string, zone: string): string {
  const wall = Date.parse(`${day}T${hour}:00.000Z`);
  if (!Number.isFinite(wall)) throw new CoreError('UNREADABLE', `"${day} ${hour}" is not a day and an hour`, { given: `${day} ${hour}` });
  // Twice, since the first guess may fall on the other side of a change of clocks.
  const guess = wall - aheadMs(wall, zone);
  return new Date(wall - aheadMs(guess, zone)).toISOString();
}
