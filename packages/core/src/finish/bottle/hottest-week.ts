import { CoreError } from '../../base/errors/core-error.js';

/** How far the hottest week of a year lies over the usual warmth of its warmest month, °C. @source our estimate: a heat wave in a room that stands shut */
const HEAT_WAVE_C = 4;

/**
 * The hottest week that a place will see, by its usual year.
 *
 * @param monthlyC - January to December, °C
 * @returns °C
 * @throws {CoreError} OUT_OF_RANGE for a year without months
 * @source the place's own year; the heat wave is our estimate
 */
export function hottestWeekC(monthlyC: readonly number[]): number {
  if (monthlyC.length === 0) throw new CoreError('OUT_OF_RANGE', 'a place has twelve months', {});
  return Math.max(...monthlyC) + HEAT_WAVE_C;
}
