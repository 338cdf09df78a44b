import { isDay, isUtcInstant } from '@trug/core';

/** Where the server gets its day from. */
export interface Clock {
  readonly now: () => Date;
  readonly fixed: boolean;
}

/**
 * The clock of a run: the machine's, or one moment held still for tests, pictures and reproducible seeds.
 *
 * @param today - `YYYY-MM-DD`, a moment such as `2026-11-23T07:00:00.000Z`, or undefined for the machine's clock
 * @returns the clock; one fixed to a day stands at 10:00 UTC
 * @throws {RangeError} when the day cannot be read
 */
export function createClock(today: string | undefined): Clock {
  if (today === undefined || today === '') return { now: () => new Date(), fixed: false };
  if (!isDay(today) && !isUtcInstant(today)) throw new RangeError(`TRUG_TODAY must be a day such as 2026-11-23, got ${JSON.stringify(today)}`);
  const instant = new Date(isDay(today) ? `${today}T10:00:00.000Z` : today);
  return { now: () => new Date(instant), fixed: true };
}
