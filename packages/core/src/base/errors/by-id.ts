import { CoreError } from './core-error.js';

/**
 * A look-up over a reference table.
 *
 * @param what - what the table holds, for the error
 * @param rows - the table
 * @returns a function from id to row that throws UNKNOWN_ID for any other id
 */
export function byId<T extends { readonly id: string }>(what: string, rows: readonly T[]): (id: string) => T {
  const index = new Map(rows.map((row) => [row.id, row]));
  return (id) => {
    const row = index.get(id);
    if (!row) {
      throw new CoreError('UNKNOWN_ID', `there is no ${what} called "${id}"`, { what, given: id });
    }
    return row;
  };
}
