import { isDay, isUtcInstant } from '@trug/core';

/** Where the server gets its day from. */
export interface Clock {
  readonly now: () => Date;
  readonly fixed: boolean;
}

/** A clock that is held still, and can be turned by whoever holds it. */
export interface TurnedClock extends Clock {
  /** Holds it still at another day or moment; nothing happens to the machine's own clock. */
  readonly turnTo: (today: string) => void;
}

/** The moment that a day or an instant names. */
function momentOf(today: string): Date {
  if (!isDay(today) && !isUtcInstant(today)) throw new RangeError(`TRUG_TODAY must be a day such as 2026-11-23, got ${JSON.stringify(today)}`);
  return new Date(isDay(today) ? `${today}T10:00:00.000Z` : today);
}

/**
 * The clock of a run: the machine's, or one moment held still for tests, pictures and reproducible seeds.
 *
 * @param today - `YYYY-MM-DD`, a moment such as `2026-11-23T07:00:00.000Z`, or undefined for the machine's clock
 * @returns the clock; one fixed to a day stands at 10:00 UTC
 * @throws {RangeError} when the day cannot be read
 */
export function createClock(today: string | undefined): TurnedClock {
  if (today === undefined || today === '') return { now: () => new Date(), fixed: false, turnTo: () => undefined };
  let instant = momentOf(today);
  return {
    now: () => new Date(instant),
    fixed: true,
    turnTo: (day) => {
      instant = momentOf(day);
    },
  };
}
