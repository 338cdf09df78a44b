import { isWithin } from '../../base/errors/guards.js';
import { sgFromAnyBrix } from '../../matter/density/brix.js';
import { DAY_MS, MOST_DAYS_AHEAD } from '../../matter/quantity/days.js';
import { fahrenheitToCelsius } from '../../matter/quantity/units.js';
import { tableNumber, type ColumnRole, type TableGuess } from './guess-columns.js';
import { readMoment } from './read-moment.js';

/** A reading out of a table. */
export interface TableReading {
  readonly atMs: number;
  readonly sg: number | null;
  readonly tempC: number | null;
  readonly ph: number | null;
  readonly massG: number | null;
}

/** A row that could not be read, and why. */
export interface RefusedRow {
  /** As a spreadsheet counts it, from 1. */
  readonly row: number;
  readonly text: string;
  readonly why: string;
}

/** A table made into readings. */
export interface ReadTable {
  /** In rising order of time, a moment once. */
  readonly readings: readonly TableReading[];
  readonly refused: readonly RefusedRow[];
}

/** What a reading may be, so that a table and a device are refused the same nonsense. */
export const DEVICE_LIMITS = {
  sg: { min: 0.97, max: 1.25 },
  brix: { min: -5, max: 55 },
  tempC: { min: -20, max: 80 },
  tempF: { min: -4, max: 176 },
  ph: { min: 2, max: 8 },
  massG: { min: 0, max: 500_000 },
} as const;

const FIGURES: Partial<Record<ColumnRole, { readonly as: Exclude<keyof TableReading, 'atMs'>; readonly of: (n: number) => number; readonly word: string }>> = {
  sg: { as: 'sg', of: (n) => n, word: 'gravity' },
  'sg-points': { as: 'sg', of: (n) => n / 1000, word: 'gravity' },
  brix: { as: 'sg', of: sgFromAnyBrix, word: 'gravity' },
  'temp-c': { as: 'tempC', of: (n) => n, word: 'temperature' },
  'temp-f': { as: 'tempC', of: fahrenheitToCelsius, word: 'temperature' },
  ph: { as: 'ph', of: (n) => n, word: 'pH' },
  'mass-g': { as: 'massG', of: (n) => n, word: 'weight' },
  'mass-kg': { as: 'massG', of: (n) => n * 1000, word: 'weight' },
};

/**
 * Reads a table as its columns are understood. A row that cannot be read is told of and left out; empty rows are nothing.
 *
 * @param rows - the table's cells
 * @param guess - the columns' roles, as guessed or as the maker set them
 * @param nowMs - milliseconds since 1970, after which nothing can have been read
 * @returns readings and refused rows
 */
export function readingsFromTable(rows: readonly (readonly string[])[], guess: TableGuess, nowMs: number): ReadTable {
  const byMoment = new Map<number, TableReading>();
  const refused: RefusedRow[] = [];
  rows.forEach((row, i) => {
    if ((i === 0 && guess.hasHeader) || row.every((cell) => cell.trim() === '')) return;
    const read = readRow(row, guess, nowMs);
    if (typeof read === 'string') refused.push({ row: i + 1, text: row.join(' · '), why: read });
    else if (byMoment.has(read.atMs)) refused.push({ row: i + 1, text: row.join(' · '), why: 'a row above has the same moment' });
    else byMoment.set(read.atMs, read);
  });
  return { readings: [...byMoment.values()].sort((a, b) => a.atMs - b.atMs), refused };
}

function readRow(row: readonly string[], { roles, dateOrder }: TableGuess, nowMs: number): TableReading | string {
  const cellOf = (...wanted: readonly ColumnRole[]): string => row[roles.findIndex((role) => wanted.includes(role))] ?? '';
  const atMs = readMoment(cellOf('moment', 'date'), dateOrder, cellOf('time'));
  if (atMs === null) return 'there is no date Trug can read';
  if (atMs > nowMs + MOST_DAYS_AHEAD * DAY_MS) return 'its date is still to come';
  const figures: Record<string, number | null> = { sg: null, tempC: null, ph: null, massG: null };
  for (const [i, role] of roles.entries()) {
    const figure = FIGURES[role];
    const cell = row[i]?.trim() ?? '';
    if (!figure || cell === '') continue;
    const number = tableNumber(cell);
    if (number === null) return `“${cell}” is no ${figure.word}`;
    const value = figure.of(number);
    const limits = DEVICE_LIMITS[figure.as];
    if (!isWithin(value, limits)) return `a ${figure.word} of ${cell} cannot be`;
    figures[figure.as] = Math.round(value * 1e5) / 1e5;
  }
  const reading = { atMs, sg: figures['sg'] ?? null, tempC: figures['tempC'] ?? null, ph: figures['ph'] ?? null, massG: figures['massG'] ?? null };
  return reading.sg === null && reading.tempC === null && reading.ph === null && reading.massG === null ? 'there is no figure in it' : reading;
}
