import { CoreError } from '../../base/errors/core-error.js';
import { isWithin } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { parseHour } from '../../matter/quantity/hour.js';
import { fahrenheitToCelsius } from '../../matter/quantity/units.js';
import type { HeatStep } from './heat-units.js';

/** A moment and the temperature of the core at it. */
export interface CoreReading {
  readonly minute: number;
  readonly coreC: number;
}

/** A gap between two readings counts for no more than this, minutes. @source our rule: nobody knows how it was in between */
const MOST_GAP_MIN = 10;
/** A time at the end of a cell, with seconds or without. */
const CLOCK = /(?:^|[T ])(\d{1,2}:\d{2})(?::(\d{2})(?:\.\d+)?)?(\s*[ap]m)?$/i;
const NUMBER = /^[-+−]?\d+(?:[.,]\d+)?$/;
const DAY_MIN = 1440;

const numberIn = (cell: string): number | null => {
  const text = cell.replace(/[°\s]*[cf]$/i, '');
  return NUMBER.test(text) ? Number(text.replace(',', '.').replace('−', '-')) : null;
};

/** Minutes of the day of a cell that ends in a time. */
function clockMin(cell: string): number | null {
  const [, clock = '', seconds = '0', half = ''] = CLOCK.exec(cell) ?? [];
  const hour = parseHour(`${clock}${half}`);
  if (hour === null) return null;
  const [hours = 0, minutes = 0] = hour.split(':').map(Number);
  return hours * 60 + minutes + Number(seconds) / 60;
}

/**
 * Reads a logger's table: in each row a time of day or a count of minutes, and in its last cell the temperature of the core.
 *
 * @param rows - the table's cells; a first row without figures is its head
 * @param fahrenheit - whether its temperatures are °F
 * @returns the readings, from minute 0 on
 * @throws {CoreError} UNREADABLE naming the row that cannot be read, that goes back in time, or that no core can be
 */
export function readHeatTable(rows: readonly (readonly string[])[], fahrenheit = false): readonly CoreReading[] {
  const readings: CoreReading[] = [];
  let pastMidnightMin = 0;
  rows.forEach((row, i) => {
    const cells = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
    if (cells.length === 0) return;
    const times = cells.slice(0, -1);
    const clock = times.map(clockMin).find((minute) => minute !== null) ?? null;
    const minute = clock ?? numberIn(times[0] ?? '');
    const heat = numberIn(cells.at(-1) ?? '');
    if (minute === null || heat === null) {
      if (i === 0 && heat === null) return;
      throw new CoreError('UNREADABLE', `row ${i + 1}, “${cells.join(' ').slice(0, 40)}”, is no time and temperature: write them as 12:05 64.5`, {
        row: i + 1,
      });
    }
    const coreC = fahrenheit ? fahrenheitToCelsius(heat) : heat;
    if (!isWithin(coreC, LIMITS.sampleC)) throw new CoreError('UNREADABLE', `row ${i + 1}: no bottle in a bath is at ${cells.at(-1) ?? ''}`, { row: i + 1 });
    const before = readings.at(-1)?.minute ?? -Infinity;
    if (clock !== null && before - (minute + pastMidnightMin) > DAY_MIN / 2) pastMidnightMin += DAY_MIN;
    if (minute + pastMidnightMin < before) throw new CoreError('UNREADABLE', `row ${i + 1} lies before the one above it`, { row: i + 1 });
    readings.push({ minute: minute + pastMidnightMin, coreC });
  });
  const [first] = readings;
  if (!first || readings.length < 2) {
    throw new CoreError('UNREADABLE', 'it takes two rows at least, each a time and a temperature', { rows: readings.length });
  }
  return readings.map(({ minute, coreC }) => ({ minute: minute - first.minute, coreC }));
}

/**
 * What a logger's readings are worth: between two, the cooler of them; of a long gap no more than ten minutes.
 *
 * @param readings - in order of time
 * @returns steps to count units from
 */
export const heatSteps = (readings: readonly CoreReading[]): readonly HeatStep[] =>
  readings.slice(1).map(({ minute, coreC }, i) => {
    const before = readings[i] ?? { minute, coreC };
    return { minutes: Math.min(MOST_GAP_MIN, minute - before.minute), coreC: Math.min(before.coreC, coreC) };
  });
