/** What a quantity measures. */
export type Dimension = 'volume' | 'mass' | 'temperature' | 'gravity' | 'pressure';

/** Which gallon the maker means. */
export type Gallon = 'us' | 'imperial';

/** Canonical units: volume L, mass g, temperature °C, gravity SG 20/20, pressure bar gauge. */
export type UnitId =
  | 'L'
  | 'mL'
  | 'dL'
  | 'cL'
  | 'us-gal'
  | 'imp-gal'
  | 'us-qt'
  | 'imp-qt'
  | 'us-pt'
  | 'imp-pt'
  | 'us-fl-oz'
  | 'imp-fl-oz'
  | 'us-cup'
  | 'metric-cup'
  | 't'
  | 'kg'
  | 'g'
  | 'mg'
  | 'st'
  | 'lb'
  | 'oz'
  | 'tsp'
  | 'tbsp'
  | 'cup'
  | 'tablet'
  | 'lemon'
  | 'tea-bag'
  | 'drop'
  | 'packet'
  | 'degC'
  | 'degF'
  | 'SG'
  | 'Bx'
  | 'g/L'
  | 'potential'
  | 'points'
  | 'bar'
  | 'psi'
  | 'kPa';

/** Litres in each unit of volume. @source exact by definition: US gallon 231 in³, imperial gallon 4.54609 L; a cup outside the US is the metric one */
export const LITRES_PER = {
  L: 1,
  mL: 0.001,
  dL: 0.1,
  cL: 0.01,
  'us-gal': 3.785411784,
  'imp-gal': 4.54609,
  'us-qt': 3.785411784 / 4,
  'imp-qt': 4.54609 / 4,
  'us-pt': 3.785411784 / 8,
  'imp-pt': 4.54609 / 8,
  'us-fl-oz': 3.785411784 / 128,
  'imp-fl-oz': 4.54609 / 160,
  'us-cup': 3.785411784 / 16,
  'metric-cup': 0.25,
} as const;

/** Grams in each unit of mass. @source exact by definition: pound 453.59237 g */
export const GRAMS_PER = { t: 1_000_000, kg: 1000, g: 1, mg: 0.001, st: 453.59237 * 14, lb: 453.59237, oz: 453.59237 / 16 } as const;

/** Bar in each unit of pressure. @source exact by definition: psi 6894.757293 Pa */
export const BAR_PER = { bar: 1, psi: 0.06894757293, kPa: 0.01 } as const;

/** How a unit is written beside a number. */
export const UNIT_LABELS: Readonly<Record<UnitId, string>> = {
  L: 'L',
  mL: 'mL',
  dL: 'dL',
  cL: 'cL',
  'us-gal': 'US gal',
  'imp-gal': 'imp gal',
  'us-qt': 'US qt',
  'imp-qt': 'imp qt',
  'us-pt': 'US pt',
  'imp-pt': 'imp pt',
  'us-fl-oz': 'US fl oz',
  'imp-fl-oz': 'imp fl oz',
  'us-cup': 'US cups',
  'metric-cup': 'cups',
  t: 't',
  kg: 'kg',
  g: 'g',
  mg: 'mg',
  st: 'st',
  lb: 'lb',
  oz: 'oz',
  tsp: 'tsp',
  tbsp: 'tbsp',
  cup: 'cups',
  tablet: 'tablets',
  lemon: 'lemons',
  'tea-bag': 'tea bags',
  drop: 'drops',
  packet: 'packets',
  degC: '°C',
  degF: '°F',
  SG: '',
  Bx: '°Bx',
  'g/L': 'g/L',
  potential: '% potential',
  points: 'points',
  bar: 'bar',
  psi: 'psi',
  kPa: 'kPa',
};

/**
 * @param tempC - temperature, °C
 * @returns the same temperature, °F
 */
export function celsiusToFahrenheit(tempC: number): number {
  return (tempC * 9) / 5 + 32;
}

/**
 * @param tempF - temperature, °F
 * @returns the same temperature, °C
 */
export function fahrenheitToCelsius(tempF: number): number {
  return ((tempF - 32) * 5) / 9;
}
