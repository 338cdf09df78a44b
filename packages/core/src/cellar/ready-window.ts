import { dateAfter } from '../quantity/days.js';

/** When a crate drinks well. */
export interface ReadyWindow {
  /** `YYYY-MM-DD`. */
  readonly from: string;
  readonly bestUntil: string;
}

/** @source estimate: three weeks for fizz to form, two for a still drink to settle; stronger and sharper keep longer */
const SPARKLING_WAIT_DAYS = 21;
const STILL_WAIT_DAYS = 14;
const WAIT_DAYS_PER_ABV_OVER_5 = 10;
const KEEP_DAYS = 270;
const KEEP_DAYS_PER_ABV_OVER_5 = 90;

/**
 * When bottles of a strength are ready and until when they are at their best.
 *
 * @param input - day of bottling, strength, % by volume, and whether it sparkles
 * @param zone - IANA time zone of the maker
 * @returns both dates; our estimate, so taste decides
 */
export function readyWindow(input: { readonly bottledAt: string; readonly abv: number; readonly sparkling: boolean }, zone?: string): ReadyWindow {
  const over = Math.max(0, input.abv - 5);
  const wait = (input.sparkling ? SPARKLING_WAIT_DAYS : STILL_WAIT_DAYS) + over * WAIT_DAYS_PER_ABV_OVER_5;
  return { from: dateAfter(input.bottledAt, wait, zone), bestUntil: dateAfter(input.bottledAt, KEEP_DAYS + over * KEEP_DAYS_PER_ABV_OVER_5, zone) };
}
