/** How warm it stands from a day on, until the next. */
export interface TempFromDay {
  /** Days after pitching. */
  readonly day: number;
  readonly tempC: number;
}

/** Where nothing is known of the temperature, °C. @source our estimate of a kitchen or shed in autumn */
export const UNTOLD_TEMP_C = 16;

/**
 * The temperature of each step of a reckoning.
 *
 * @param profile - in any order; before the first, the first holds
 * @param stepDays - length of a step, days
 * @param count - how many steps
 * @returns °C at the middle of each step
 */
export function tempsBySteps(profile: readonly TempFromDay[], stepDays: number, count: number): Float64Array {
  const sorted = [...profile].sort((a, b) => a.day - b.day);
  const temps = new Float64Array(count);
  let next = 0;
  let tempC = sorted[0]?.tempC ?? UNTOLD_TEMP_C;
  for (let i = 0; i < count; i += 1) {
    const middle = (i + 0.5) * stepDays;
    for (let at = sorted[next]; at && at.day <= middle; at = sorted[next]) {
      tempC = at.tempC;
      next += 1;
    }
    temps[i] = tempC;
  }
  return temps;
}
