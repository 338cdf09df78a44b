import { brixFromSg } from '../density/brix.js';
import { solidsFromSg } from '../density/solids.js';
import { figure, trimmed } from '../../base/worked/figures.js';
import { BAR_PER, celsiusToFahrenheit, GRAMS_PER, LITRES_PER, UNIT_LABELS } from './units.js';

/** The units that can be chosen for each kind of quantity. */
export const UNIT_CHOICES = {
  volume: ['L', 'us-gal', 'imp-gal'],
  mass: ['metric', 'imperial'],
  temperature: ['degC', 'degF'],
  gravity: ['SG', 'Bx', 'g/L'],
  pressure: ['bar', 'psi'],
} as const;

/** The units a maker likes to see. */
export type UnitPreferences = { readonly [K in keyof typeof UNIT_CHOICES]: (typeof UNIT_CHOICES)[K][number] };

/** Litres, grams, °C, SG and bar. */
export const DEFAULT_UNITS: UnitPreferences = Object.freeze({ volume: 'L', mass: 'metric', temperature: 'degC', gravity: 'SG', pressure: 'bar' });

/** A value in its canonical unit, with what it measures. */
export type Quantity =
  | { readonly dimension: 'volume'; readonly valueL: number }
  | { readonly dimension: 'mass'; readonly valueG: number }
  | { readonly dimension: 'temperature'; readonly valueC: number }
  | { readonly dimension: 'gravity'; readonly sg: number }
  | { readonly dimension: 'pressure'; readonly valueBar: number };

/** Beyond these nobody counts parts of a gallon, as of gas, nor tenths of an ounce. @source our choice */
const MANY_L = 500;
const MANY_LB = 25;

function volumeText(valueL: number, unit: UnitPreferences['volume']): string {
  if (unit === 'L') {
    return valueL < 1 ? `${figure(valueL * 1000, 0)} mL` : `${trimmed(valueL, valueL < 10 ? 2 : 1)} L`;
  }
  const gallons = valueL / LITRES_PER[unit];
  if (gallons >= 0.25) return `${trimmed(gallons, valueL <= MANY_L ? 2 : 0)} ${UNIT_LABELS[unit]}`;
  const ounce = unit === 'us-gal' ? 'us-fl-oz' : 'imp-fl-oz';
  return `${trimmed(valueL / LITRES_PER[ounce], 1)} ${UNIT_LABELS[ounce]}`;
}

/** Doses under this are shown in grams in every system of units. @source our choice: an ounce */
const SMALL_DOSE_G = GRAMS_PER.oz - 0.01;

function gramsText(valueG: number): string {
  const decimals = valueG < 1 ? 2 : valueG < 10 ? 1 : 0;
  return `${trimmed(valueG, decimals)} g`;
}

function massText(valueG: number, unit: UnitPreferences['mass']): string {
  if (unit === 'metric') {
    if (valueG >= 10_000) return `${trimmed(valueG / 1000, 1)} kg`;
    if (valueG >= 1000) return `${trimmed(valueG / 1000, 2)} kg`;
    return gramsText(valueG);
  }
  const ounces = valueG / GRAMS_PER.oz;
  // A small dose is weighed on a gram scale, whatever the larder's sacks are marked in.
  if (valueG < SMALL_DOSE_G) return gramsText(valueG);
  if (ounces < 16) return `${trimmed(ounces, ounces < 2 ? 2 : 1)} oz`;
  const tenths = ounces < MANY_LB * 16 ? Math.round(ounces * 10) : Math.round(ounces) * 10;
  const rest = (tenths % 160) / 10;
  return `${Math.floor(tenths / 160)} lb${rest > 0 ? ` ${trimmed(rest, 1)} oz` : ''}`;
}

function gravityInUnit(sg: number, unit: UnitPreferences['gravity']): string {
  if (unit === 'SG') return sg.toFixed(3);
  // Below 1.000 alcohol makes both scales read under zero, where neither is defined: SG is the honest way to say it.
  if (sg < 1) return sg.toFixed(3);
  return unit === 'Bx' ? `${figure(brixFromSg(sg), 1)} °Bx` : `${figure(solidsFromSg(sg), 0)} g/L`;
}

/**
 * How far a gravity may be off, on the scale that the gravity itself is written in.
 *
 * @param sg - the gravity
 * @param plusMinus - its doubt, ±SG, ≥ 0
 * @param units - the maker's choice
 * @returns a bare figure, such as 0.002 beside 1.048 and 0.5 beside 11.9 °Bx
 */
export function gravityDoubtText(sg: number, plusMinus: number, units: UnitPreferences = DEFAULT_UNITS): string {
  if (units.gravity === 'SG' || sg < 1) return figure(plusMinus, 3);
  const onScale = units.gravity === 'Bx' ? brixFromSg : solidsFromSg;
  return figure(onScale(sg + plusMinus) - onScale(sg), units.gravity === 'Bx' ? 1 : 0);
}

/**
 * Writes a quantity in the maker's units, rounded to what a home bench can measure.
 *
 * @param quantity - a value in its canonical unit
 * @param units - the maker's choice
 * @returns text with its unit; SG alone has none
 */
export function formatQuantity(quantity: Quantity, units: UnitPreferences = DEFAULT_UNITS): string {
  switch (quantity.dimension) {
    case 'volume':
      return volumeText(quantity.valueL, units.volume);
    case 'mass':
      return massText(quantity.valueG, units.mass);
    case 'temperature': {
      // A degree Fahrenheit is finer than a shed's thermometer, and 60 °F must come back as 60.
      if (units.temperature === 'degF') return `${figure(celsiusToFahrenheit(quantity.valueC), 0)} ${UNIT_LABELS.degF}`;
      return `${trimmed(quantity.valueC, 1)} ${UNIT_LABELS.degC}`;
    }
    case 'gravity':
      return gravityInUnit(quantity.sg, units.gravity);
    case 'pressure':
      return `${figure(quantity.valueBar / BAR_PER[units.pressure], units.pressure === 'psi' ? 0 : 1)} ${UNIT_LABELS[units.pressure]}`;
  }
}
