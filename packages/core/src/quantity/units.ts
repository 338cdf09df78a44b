/** What a quantity measures. */
export type Dimension = 'volume' | 'mass' | 'temperature' | 'gravity' | 'pressure';

/** Which gallon the maker means. */
export type Gallon = 'us' | 'imperial';

/** Canonical units: volume L, mass g, temperature °C, gravity SG 20/20, pressure bar gauge. */
export type UnitId =
  | 'L'
  | 'mL'
  | 'us-gal'
  | 'imp-gal'
  | 'us-qt'
  | 'imp-qt'
  | 'us-pt'
  | 'imp-pt'
  | 'us-fl-oz'
  | 'imp-fl-oz'
  | 'kg'
  | 'g'
  | 'mg'
  | 'lb'
  | 'oz'
  | 'tsp'
  | 'tbsp'
  | 'degC'
  | 'degF'
  | 'SG'
  | 'Bx'
  | 'g/L'
  | 'bar'
  | 'psi'
  | 'kPa';

/** Litres in each unit of volume. @source exact by definition: US gallon 231 in³, imperial gallon 4.54609 L */
export const LITRES_PER = {
  L: 1,
  mL: 0.001,
  'us-gal': 3.785411784,
  'imp-gal': 4.54609,
  'us-qt': 3.785411784 / 4,
  'imp-qt': 4.54609 / 4,
  'us-pt': 3.785411784 / 8,
  'imp-pt': 4.54609 / 8,
  'us-fl-oz': 3.785411784 / 128,
  'imp-fl-oz': 4.54609 / 160,
} as const;

/** Grams in each unit of mass. @source exact by definition: pound 453.59237 g */
export const GRAMS_PER = { kg: 1000, g: 1, mg: 0.001, lb: 453.59237, oz: 453.59237 / 16 } as const;

/** Bar in each unit of pressure. @source exact by definition: psi 6894.757293 Pa */
export const BAR_PER = { bar: 1, psi: 0.06894757293, kPa: 0.01 } as const;

/** How a unit is written beside a number. */
export const UNIT_LABELS: Readonly<Record<UnitId, string>> = {
  L: 'L',
  mL: 'mL',
  'us-gal': 'US gal',
  'imp-gal': 'imp gal',
  'us-qt': 'US qt',
  'imp-qt': 'imp qt',
  'us-pt': 'US pt',
  'imp-pt': 'imp pt',
  'us-fl-oz': 'US fl oz',
  'imp-fl-oz': 'imp fl oz',
  kg: 'kg',
  g: 'g',
  mg: 'mg',
  lb: 'lb',
  oz: 'oz',
  tsp: 'tsp',
  tbsp: 'tbsp',
  degC: '°C',
  degF: '°F',
  SG: '',
  Bx: '°Bx',
  'g/L': 'g/L',
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
