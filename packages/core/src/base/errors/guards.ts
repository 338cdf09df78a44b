import { CoreError } from './core-error.js';

/** The limits a number must keep, both ends allowed. */
export interface Range {
  readonly min: number;
  readonly max: number;
}

/** Whether a number is finite and within limits, both ends allowed. */
export const isWithin = (value: number, { min, max }: Range): boolean => value >= min && value <= max;

/**
 * Checks that a number is finite and within limits, and gives it back.
 *
 * @param field - the input's name with its unit, as the caller knows it
 * @param value - the number to check
 * @param range - the limits, inclusive
 * @returns the same number
 * @throws {CoreError} OUT_OF_RANGE when it is not a finite number within the range
 */
export function inRange(field: string, value: number, range: Range): number {
  if (!isWithin(value, range)) {
    throw new CoreError('OUT_OF_RANGE', `${field} must lie between ${range.min} and ${range.max}, got ${String(value)}`, {
      field,
      given: Number.isFinite(value) ? value : String(value),
      min: range.min,
      max: range.max,
    });
  }
  return value;
}
