import type { ColumnRole } from '@trug/core';

/** What a column holds, in the maker's words. */
export const ROLE_NAMES: Readonly<Record<ColumnRole, string>> = {
  ignore: 'leave out',
  moment: 'date and time',
  date: 'date',
  time: 'time',
  sg: 'gravity, 1.050',
  'sg-points': 'gravity, 1050',
  brix: 'gravity, °Bx',
  'temp-c': 'temperature, °C',
  'temp-f': 'temperature, °F',
  ph: 'pH',
  'mass-g': 'weight, g',
  'mass-kg': 'weight, kg',
};
