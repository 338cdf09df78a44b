import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { TempFromDay } from './temp-profile.js';
import { DAY_MS, instantMs } from '../../matter/quantity/days.js';

/** A usual year of a place, to begin from. */
export interface UsualPlace {
  readonly id: string;
  readonly name: string;
  /** January to December, °C. */
  readonly monthlyC: readonly number[];
}

/** Usual places of a mild northern climate; a maker's own thermometer wins. @source our estimate */
export const USUAL_PLACES: readonly UsualPlace[] = [
  { id: 'shed', name: 'an unheated shed', monthlyC: [4, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 5] },
  { id: 'cellar', name: 'a cellar', monthlyC: [8, 8, 8, 9, 11, 13, 15, 15, 14, 12, 10, 9] },
  { id: 'room', name: 'a lived-in room', monthlyC: [19, 19, 19, 20, 20, 22, 23, 23, 21, 20, 19, 19] },
  { id: 'spare', name: 'a cool spare room', monthlyC: [13, 13, 14, 15, 17, 19, 21, 21, 18, 16, 14, 13] },
];

/** Days from one point of a profile to the next. */
const STEP_DAYS = 10;
const MONTHS = 12;

/**
 * How warm a place usually is on a day, straight from the middle of one month to the middle of the next.
 *
 * @param monthlyC - January to December, °C
 * @param iso - the day
 * @returns °C
 * @throws {CoreError} OUT_OF_RANGE unless there are twelve months
 */
export function placeTempAt(monthlyC: readonly number[], iso: string): number {
  if (monthlyC.length !== MONTHS) throw new CoreError('OUT_OF_RANGE', `a place has twelve months, got ${monthlyC.length}`, {});
  const date = new Date(instantMs(iso));
  const month = date.getUTCMonth();
  const days = new Date(Date.UTC(date.getUTCFullYear(), month + 1, 0)).getUTCDate();
  const share = (date.getUTCDate() - 0.5) / days - 0.5;
  const other = (month + (share < 0 ? MONTHS - 1 : 1)) % MONTHS;
  const here = inRange('tempC', monthlyC[month] ?? NaN, LIMITS.tempC);
  return here + ((monthlyC[other] ?? here) - here) * Math.abs(share);
}

/**
 * A place's usual temperatures as a forecast asks for them.
 *
 * @param monthlyC - January to December, °C
 * @param from - ISO 8601, the day that counts as `fromDay`
 * @param fromDay - days after pitching on that day
 * @param days - how far ahead
 * @returns a temperature every ten days; the first ten days keep what is known of today
 */
export function placeProfile(monthlyC: readonly number[], from: string, fromDay: number, days: number): readonly TempFromDay[] {
  const profile: TempFromDay[] = [];
  for (let ahead = STEP_DAYS; ahead <= days; ahead += STEP_DAYS) {
    const iso = new Date(instantMs(from) + ahead * DAY_MS).toISOString();
    profile.push({ day: fromDay + ahead, tempC: placeTempAt(monthlyC, iso) });
  }
  return profile;
}
