import { looksLikeMoment, orderOfDates, type DateOrder } from './read-moment.js';

/** What a column of a table of readings may hold. */
export const COLUMN_ROLES = ['ignore', 'moment', 'date', 'time', 'sg', 'sg-points', 'brix', 'temp-c', 'temp-f', 'ph', 'mass-g', 'mass-kg'] as const;

/** One of them. */
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** What a table seems to hold. */
export interface TableGuess {
  /** One for each column. */
  readonly roles: readonly ColumnRole[];
  readonly hasHeader: boolean;
  readonly dateOrder: DateOrder;
  /** Whether day and month could be told apart. */
  readonly dateOrderSure: boolean;
}

/** Rows that are looked at; a table of readings does not change its mind later. */
const LOOKED_AT = 200;
/** Share of a column's cells that must fit a role. */
const MOSTLY = 0.8;

interface Column {
  readonly header: string;
  readonly cells: readonly string[];
  readonly numbers: readonly number[];
}

/** A number as tables have it, with a comma or a point; null for anything else. */
export function tableNumber(cell: string): number | null {
  const text = cell.trim().replace(/[°\s]*(c|f|bx|sg|g|kg|ph)?$/i, '');
  if (!/^[-+−]?\d+([.,]\d+)?$/.test(text)) return null;
  return Number(text.replace(',', '.').replace('−', '-'));
}

function mostly({ cells }: Column, fits: (cell: string) => boolean): boolean {
  return cells.length > 0 && cells.filter(fits).length >= MOSTLY * cells.length;
}

const within = (column: Column, low: number, high: number): boolean =>
  column.numbers.length >= MOSTLY * column.cells.length && column.numbers.filter((n) => n >= low && n <= high).length >= MOSTLY * column.numbers.length;

/** A head that names the figure forgives mistypes in a short table. */
const halfWithin = ({ numbers }: Column, low: number, high: number): boolean =>
  numbers.length > 0 && numbers.filter((n) => n >= low && n <= high).length >= 0.5 * numbers.length;

/** Roles from the surest to the least sure; the first that fits a column takes it. */
const RULES: readonly { readonly role: ColumnRole; readonly fits: (column: Column) => boolean }[] = [
  { role: 'moment', fits: (c) => mostly(c, (cell) => looksLikeMoment(cell) === 'moment') },
  { role: 'date', fits: (c) => mostly(c, (cell) => looksLikeMoment(cell) === 'date') },
  // Some rows carry their hour, others only their day.
  { role: 'moment', fits: (c) => mostly(c, (cell) => ['moment', 'date'].includes(looksLikeMoment(cell) ?? '')) },
  { role: 'time', fits: (c) => mostly(c, (cell) => looksLikeMoment(cell) === 'time') },
  { role: 'ph', fits: (c) => /\bph\b/i.test(c.header) && within(c, 2, 8) },
  { role: 'brix', fits: (c) => /brix|\bbx\b/i.test(c.header) && within(c, -5, 75) },
  {
    role: 'temp-f',
    fits: (c) => /temp|°\s*f|fahrenheit|heat/i.test(c.header) && (/f\b|fahrenheit/i.test(c.header.replace(/temp\w*/i, '')) || within(c, 41, 120)),
  },
  { role: 'temp-c', fits: (c) => /temp|°\s*c|celsius|heat/i.test(c.header) && within(c, -20, 45) },
  { role: 'mass-kg', fits: (c) => /weight|mass|\bkg\b/i.test(c.header) && within(c, 0.5, 400) },
  { role: 'mass-g', fits: (c) => /weight|mass|\bg\b/i.test(c.header) && within(c, 400, 400_000) },
  { role: 'sg', fits: (c) => within(c, 0.98, 1.2) || (/gravity|\bsg\b/i.test(c.header) && halfWithin(c, 0.98, 1.2)) },
  { role: 'sg-points', fits: (c) => within(c, 980, 1200) },
  { role: 'brix', fits: (c) => /sugar|gravity/i.test(c.header) && within(c, -3, 40) && !halfWithin(c, 0.98, 1.2) },
  { role: 'temp-c', fits: (c) => c.header === '' && within(c, -5, 35) },
];

/**
 * Guesses what the columns of a table of readings hold, from their heads and their figures.
 *
 * @param rows - the table's cells, ragged or not
 * @returns a role for every column; each role is given once, to the first column that fits
 */
export function guessColumns(rows: readonly (readonly string[])[]): TableGuess {
  const hasHeader =
    (rows[0] ?? []).some((cell) => cell.trim() !== '') && (rows[0] ?? []).every((cell) => tableNumber(cell) === null && looksLikeMoment(cell) === null);
  const body = rows.slice(hasHeader ? 1 : 0, LOOKED_AT);
  const width = Math.max(0, ...rows.slice(0, LOOKED_AT).map((row) => row.length));
  const taken = new Set<ColumnRole>();
  const roles = Array.from({ length: width }, (_none, i): ColumnRole => {
    const cells = body.map((row) => row[i]?.trim() ?? '').filter((cell) => cell !== '');
    const column: Column = { header: hasHeader ? (rows[0]?.[i] ?? '') : '', cells, numbers: cells.flatMap((cell) => tableNumber(cell) ?? []) };
    const role = RULES.find((rule) => !taken.has(rule.role) && rule.fits(column))?.role ?? 'ignore';
    if (role !== 'ignore') taken.add(role);
    return role;
  });
  const dates = roles.flatMap((role, i) => (role === 'moment' || role === 'date' ? body.map((row) => row[i] ?? '') : []));
  const { order, sure } = orderOfDates(dates);
  return { roles, hasHeader, dateOrder: order, dateOrderSure: sure };
}
