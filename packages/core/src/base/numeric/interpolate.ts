import { CoreError } from '../errors/core-error.js';

/** A point of a table. */
export interface TablePoint {
  readonly x: number;
  readonly y: number;
}

/**
 * Reads a table of positive values between its points along straight lines in log y, which follows
 * solubilities and other roughly exponential tables better than straight lines do.
 *
 * @param table - points in rising order of x, all y above zero
 * @param x - where to read, within the table
 * @returns y at x
 * @throws {CoreError} OUT_OF_RANGE when x lies outside the table
 */
export function interpolateLogLinear(table: readonly TablePoint[], x: number): number {
  for (let i = 1; i < table.length; i += 1) {
    const left = table[i - 1];
    const right = table[i];
    if (left && right && x >= left.x && x <= right.x) {
      return left.y * (right.y / left.y) ** ((x - left.x) / (right.x - left.x));
    }
  }
  throw new CoreError('OUT_OF_RANGE', `x must lie within the table, got ${String(x)}`, { given: String(x) });
}
