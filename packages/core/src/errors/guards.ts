import { CoreError } from './core-error.js';

/** The limits a number must keep, both ends allowed. */
export interface Range {
  readonly min: number;
  readonly max: number;
}

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
  if (!(value >= range.min && value <= range.max)) {
    throw new CoreError('OUT_OF_RANGE', `${field} must lie between ${range.min} and ${range.max}, got ${String(value)}`, {
      field,
      given: Number.isFinite(value) ? value : String(value),
      min: range.min,
      max: range.max,
    });
  }
  return value;
}

/** Physical limits shared by the calculators, so that every part of Trug refuses the same nonsense. */
export const LIMITS = {
  /** Specific gravity 20 °C/20 °C: from spirit-thin to 70 °Bx concentrate. */
  sg: { min: 0.98, max: 1.4 },
  brix: { min: 0, max: 75 },
  /** Temperature of a drink or a shed, °C. */
  tempC: { min: -10, max: 100 },
  /** Volume of a home batch or vessel, L. */
  volumeL: { min: 0, max: 2000 },
  massG: { min: 0, max: 500_000 },
  abv: { min: 0, max: 25 },
  ph: { min: 2, max: 8 },
  taGPerL: { min: 0, max: 80 },
  co2Volumes: { min: 0, max: 20 },
  fraction: { min: 0, max: 1 },
} as const satisfies Record<string, Range>;
