import { CoreError } from '../errors/core-error.js';
import { sgFromBrix } from '../measure/brix.js';
import { sgFromSolids } from '../measure/solids.js';
import { BAR_PER, fahrenheitToCelsius, GRAMS_PER, LITRES_PER, type Dimension, type Gallon, type UnitId } from './units.js';

/** How to read a maker's writing. */
export interface ParseQuantityOptions {
  readonly dimension: Dimension;
  /** Which gallon, quart, pint and fluid ounce a bare word means; default US. */
  readonly gallon?: Gallon;
  /** Grams in a level teaspoon of this ingredient; without it spoons are refused. */
  readonly gramsPerTeaspoon?: number;
  /** What a bare number means; default the canonical unit. */
  readonly bareUnit?: UnitId;
}

/** What was read. */
export interface ParsedQuantity {
  /** In the canonical unit of the dimension: L, g, °C, SG or bar. */
  readonly value: number;
  readonly unit: UnitId;
  /** True when the text named no unit and the bare unit was taken. */
  readonly assumedUnit: boolean;
}

const CANONICAL: Readonly<Record<Dimension, UnitId>> = { volume: 'L', mass: 'g', temperature: 'degC', gravity: 'SG', pressure: 'bar' };

/** Teaspoons in a tablespoon, level, metric. @source kitchen convention: 5 mL and 15 mL */
const TEASPOONS_PER_TABLESPOON = 3;

const PART = /^\s*([+-−]?\s*\d+(?:[.,]\d+)?|\d*[½¼¾])\s*([a-z°/. ]*[a-z°/]|°|"|)\s*/iu;
const HALVES: Readonly<Record<string, number>> = { '½': 0.5, '¼': 0.25, '¾': 0.75 };

const WORDS: Readonly<Record<Dimension, Readonly<Record<string, UnitId | 'gal' | 'qt' | 'pt' | 'fl-oz'>>>> = {
  volume: {
    l: 'L',
    litre: 'L',
    litres: 'L',
    liter: 'L',
    liters: 'L',
    ml: 'mL',
    millilitre: 'mL',
    millilitres: 'mL',
    gal: 'gal',
    gals: 'gal',
    gallon: 'gal',
    gallons: 'gal',
    'us gal': 'us-gal',
    'us gallons': 'us-gal',
    'us gallon': 'us-gal',
    'imp gal': 'imp-gal',
    'uk gal': 'imp-gal',
    'imperial gallons': 'imp-gal',
    'imperial gallon': 'imp-gal',
    qt: 'qt',
    quart: 'qt',
    quarts: 'qt',
    pt: 'pt',
    pint: 'pt',
    pints: 'pt',
    'fl oz': 'fl-oz',
    floz: 'fl-oz',
    oz: 'fl-oz',
    'us fl oz': 'us-fl-oz',
    'imp fl oz': 'imp-fl-oz',
  },
  mass: {
    kg: 'kg',
    kilo: 'kg',
    kilos: 'kg',
    g: 'g',
    gr: 'g',
    gram: 'g',
    grams: 'g',
    mg: 'mg',
    lb: 'lb',
    lbs: 'lb',
    pound: 'lb',
    pounds: 'lb',
    oz: 'oz',
    ounce: 'oz',
    ounces: 'oz',
    tsp: 'tsp',
    teaspoon: 'tsp',
    teaspoons: 'tsp',
    tbsp: 'tbsp',
    tablespoon: 'tbsp',
    tablespoons: 'tbsp',
  },
  temperature: { c: 'degC', '°c': 'degC', '°': 'degC', celsius: 'degC', f: 'degF', '°f': 'degF', fahrenheit: 'degF' },
  gravity: { sg: 'SG', bx: 'Bx', '°bx': 'Bx', brix: 'Bx', 'g/l': 'g/L' },
  pressure: { bar: 'bar', psi: 'psi', kpa: 'kPa' },
};

function unitOf(word: string, options: ParseQuantityOptions): UnitId | undefined {
  const key = word.toLowerCase().replace(/\.$/, '').replace(/\s+/g, ' ').trim();
  const found = WORDS[options.dimension][key];
  if (found === 'gal' || found === 'qt' || found === 'pt' || found === 'fl-oz') {
    return `${options.gallon === 'imperial' ? 'imp' : 'us'}-${found}`;
  }
  return found;
}

function toCanonical(amount: number, unit: UnitId, options: ParseQuantityOptions): number {
  if (unit in LITRES_PER) return amount * LITRES_PER[unit as keyof typeof LITRES_PER];
  if (unit in GRAMS_PER) return amount * GRAMS_PER[unit as keyof typeof GRAMS_PER];
  if (unit in BAR_PER) return amount * BAR_PER[unit as keyof typeof BAR_PER];
  if (unit === 'tsp' || unit === 'tbsp') {
    if (options.gramsPerTeaspoon === undefined) {
      throw new CoreError('UNREADABLE', 'a spoon of this has no known weight', { reason: 'spoon-unknown' });
    }
    return amount * options.gramsPerTeaspoon * (unit === 'tbsp' ? TEASPOONS_PER_TABLESPOON : 1);
  }
  if (unit === 'degF') return fahrenheitToCelsius(amount);
  if (unit === 'Bx') return sgFromBrix(amount);
  if (unit === 'g/L') return sgFromSolids(amount);
  return amount;
}

function amountOf(text: string): number {
  const half = HALVES[text.slice(-1)];
  if (half !== undefined) return Number(text.slice(0, -1) || '0') + half;
  return Number(text.replace('−', '-').replace(',', '.').replace(/\s/g, ''));
}

/**
 * Reads a quantity as a maker writes it: `20`, `2 gal`, `1 lb 4 oz`, `64F`, `12.4 Bx`, `1,5 L`, `½ tsp`.
 * Amounts that follow one another are added, so pounds and ounces work; temperatures and gravities take one.
 *
 * @param text - the maker's writing
 * @param options - what it should measure and what bare words mean
 * @returns the value in the canonical unit, with the unit that was written
 * @throws {CoreError} UNREADABLE when there is no number, an unknown unit, or a spoon of unknown weight
 */
export function parseQuantity(text: string, options: ParseQuantityOptions): ParsedQuantity {
  let rest = text.trim();
  let total = 0;
  let unit: UnitId | undefined;
  let assumedUnit = false;
  const single = options.dimension === 'temperature' || options.dimension === 'gravity';
  while (rest !== '') {
    const match = PART.exec(rest);
    const numberText = match?.[1];
    if (!match || numberText === undefined || (single && unit !== undefined)) {
      throw new CoreError('UNREADABLE', `cannot read "${text}" as a ${options.dimension}`, { given: text, dimension: options.dimension });
    }
    const word = match[2] ?? '';
    const partUnit = word === '' ? (options.bareUnit ?? CANONICAL[options.dimension]) : unitOf(word, options);
    if (partUnit === undefined) {
      throw new CoreError('UNREADABLE', `"${word}" is not a unit of ${options.dimension}`, { given: text, unit: word, dimension: options.dimension });
    }
    total += toCanonical(amountOf(numberText), partUnit, options);
    assumedUnit ||= word === '';
    unit ??= partUnit;
    rest = rest.slice(match[0].length);
  }
  if (unit === undefined) {
    throw new CoreError('UNREADABLE', `there is no ${options.dimension} in an empty field`, { given: text, dimension: options.dimension });
  }
  return { value: total, unit, assumedUnit };
}
