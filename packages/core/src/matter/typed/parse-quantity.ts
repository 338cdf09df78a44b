import { CoreError } from '../../base/errors/core-error.js';
import type { Range } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { bareGravity, sgOnScale } from './parse-gravity.js';
import { unitOfWord } from '../quantity/unit-words.js';
import { BAR_PER, fahrenheitToCelsius, GRAMS_PER, LITRES_PER, type Dimension, type Gallon, type UnitId } from '../quantity/units.js';
import { withCountsInDigits } from './written-counts.js';
import { NUMBER_PATTERN, plainWriting, writtenNumber } from './written-number.js';

/** What a thing weighs that is counted or spooned instead of weighed; without it the measure is refused. */
export interface Weights {
  /** Grams in a level teaspoon. */
  readonly gramsPerTeaspoon?: number | undefined;
  readonly gramsPerTablet?: number | undefined;
  /** Grams of this ingredient that a lemon's juice brings. */
  readonly gramsPerLemon?: number | undefined;
  readonly gramsPerTeaBag?: number | undefined;
  readonly gramsPerDrop?: number | undefined;
  readonly gramsPerPacket?: number | undefined;
  /** Grams in a litre of what is poured. */
  readonly gramsPerLitre?: number | undefined;
}

/** How to read a maker's writing. */
export interface ParseQuantityOptions extends Weights {
  readonly dimension: Dimension;
  /** Which gallon, quart, pint, cup and fluid ounce a bare word means; default US. */
  readonly gallon?: Gallon | undefined;
  /** What a bare number means; default the canonical unit. */
  readonly bareUnit?: UnitId | undefined;
}

/** What was read. */
export interface ParsedQuantity {
  /** In the canonical unit of the dimension: L, g, °C, SG or bar. */
  readonly value: number;
  readonly unit: UnitId;
  /** True when the text named no unit and the bare unit was taken. */
  readonly assumedUnit: boolean;
  /** True when the maker wrote that it is rough: `~20 L`. */
  readonly rough: boolean;
}

const CANONICAL: Readonly<Record<Dimension, UnitId>> = { volume: 'L', mass: 'g', temperature: 'degC', gravity: 'SG', pressure: 'bar' };

/** What each is called where it could not be read. */
const NOUNS: Readonly<Record<Dimension, string>> = { volume: 'volume', mass: 'weight', temperature: 'temperature', gravity: 'gravity', pressure: 'pressure' };

/** How to write one of each, for whoever could not be read. */
export const EXAMPLES: Readonly<Record<Dimension, string>> = {
  volume: '20 L, 5 gal or 750 mL',
  mass: '250 g, 1.2 kg or 1 lb 4 oz',
  temperature: '18 C or 64 F',
  gravity: '1.048 or 12 Bx',
  pressure: '2.5 bar or 36 psi',
};

/** What no home bench holds, in canonical units. @source our choice; gravities have the limits of the core */
const LIKELY: Readonly<Record<Exclude<Dimension, 'gravity'>, Range>> = {
  volume: LIMITS.volumeL,
  mass: { min: 0, max: 5_000_000 },
  // What every sum with a temperature can take: a figure half typed is one too.
  temperature: LIMITS.tempC,
  pressure: { min: 0, max: 60 },
};

/** @source kitchen convention: teaspoon 5 mL, tablespoon 15 mL, cup 240 mL */
const TEASPOONS_PER = { tsp: 1, tbsp: 3, cup: 48 } as const;
export const ML_PER_TEASPOON = 5;

/** Units of which both one and a thousand are likely, so that `1,500` cannot be told. */
const LARGE: ReadonlySet<UnitId> = new Set(['L', 'us-gal', 'imp-gal', 'kg', 't', 'lb', 'st', 'us-qt', 'imp-qt']);

const PART = new RegExp(String.raw`^\s*([+-]?)\s*(${NUMBER_PATTERN})\s*([^\d+-]*)`, 'u');
const ROUGH = /^(?:~|≈|about|approx\.?|around|roughly|ca\.?|c\.)\s*/i;
const RANGE = /\d[^\d]*\s*(?:-|\bto\b|\bor\b|\.\.)\s*\d/i;

const refuse = (message: string, text: string, dimension: Dimension, reason: string): CoreError =>
  new CoreError('UNREADABLE', message, { given: text, dimension, reason });

function weighed(amount: number, unit: UnitId, options: ParseQuantityOptions): number | undefined {
  switch (unit) {
    case 'tsp':
    case 'tbsp':
    case 'cup': {
      if (options.dimension === 'volume') return (amount * TEASPOONS_PER[unit] * ML_PER_TEASPOON) / 1000;
      return options.gramsPerTeaspoon === undefined ? undefined : amount * TEASPOONS_PER[unit] * options.gramsPerTeaspoon;
    }
    case 'tablet':
      return options.gramsPerTablet === undefined ? undefined : amount * options.gramsPerTablet;
    case 'lemon':
      return options.gramsPerLemon === undefined ? undefined : amount * options.gramsPerLemon;
    case 'drop':
      return options.gramsPerDrop === undefined ? undefined : amount * options.gramsPerDrop;
    case 'packet':
      return options.gramsPerPacket === undefined ? undefined : amount * options.gramsPerPacket;
    case 'tea-bag':
      return options.gramsPerTeaBag === undefined ? undefined : amount * options.gramsPerTeaBag;
    default:
      return amount;
  }
}

function toCanonical(amount: number, unit: UnitId, text: string, options: ParseQuantityOptions): number {
  if (unit in LITRES_PER) {
    const litres = amount * LITRES_PER[unit as keyof typeof LITRES_PER];
    return options.dimension === 'mass' && options.gramsPerLitre !== undefined ? litres * options.gramsPerLitre : litres;
  }
  if (unit in GRAMS_PER) return amount * GRAMS_PER[unit as keyof typeof GRAMS_PER];
  if (unit in BAR_PER) return amount * BAR_PER[unit as keyof typeof BAR_PER];
  if (unit === 'degF') return fahrenheitToCelsius(amount);
  if (unit === 'Bx' || unit === 'g/L' || unit === 'potential' || unit === 'points') return sgOnScale(amount, unit);
  const known = weighed(amount, unit, options);
  if (known !== undefined) return known;
  throw refuse(`Trug does not know what “${text}” weighs here: weigh it, such as ${EXAMPLES.mass}.`, text, options.dimension, 'weight-unknown');
}

/** The unit a word names; a volume too, of what is poured. */
function unitWritten(word: string, { dimension, gallon = 'us', gramsPerLitre }: ParseQuantityOptions): UnitId | undefined {
  const poured = dimension === 'mass' && gramsPerLitre !== undefined;
  return unitOfWord(word, dimension, gallon) ?? (poured ? unitOfWord(word, 'volume', gallon) : undefined);
}

/** The parts of `2 lb 4 oz`, each a number and the word behind it. */
function partsOf(plain: string, text: string, dimension: Dimension): { readonly sign: string; readonly number: string; readonly word: string }[] {
  const parts = [];
  let rest = plain;
  while (rest !== '') {
    const match = PART.exec(rest);
    if (!match) throw refuse(`“${text}” is not a ${NOUNS[dimension]}: write it as ${EXAMPLES[dimension]}.`, text, dimension, 'number');
    parts.push({ sign: match[1] ?? '', number: match[2] ?? '', word: (match[3] ?? '').replace(/[\s,;]+$|\band\s*$/g, '').trim() });
    rest = rest.slice(match[0].length);
  }
  return parts;
}

const SCALE_AHEAD = /^(sg|og|fg|bx|brix)\s*[:=]?\s*(\d.*)$/i;

/** `SG 1.048` and `brix 12` with their scale behind the figure, as the rest expects it. */
function scaleBehind(plain: string): string {
  const [, scale = '', figure = ''] = SCALE_AHEAD.exec(plain) ?? [];
  if (figure === '') return plain;
  return /^b/i.test(scale) ? `${figure} Bx` : figure;
}

/**
 * Reads a quantity as a maker writes it: `~20 L`, `1½ kg`, `1 lb 4 oz`, `64F`, `12.4 Bx`, `1,5 L`, `1,000 g`, `2 1/4 cups`.
 * Pounds and ounces, gallons and pints that follow one another are added; temperatures and gravities take one figure.
 * What can be read in two ways is refused with both named, never guessed.
 *
 * @param text - the maker's writing
 * @param options - what it should measure, what bare words mean and what a spoon or tablet of it weighs
 * @returns the value in the canonical unit, with the unit that was written
 * @throws {CoreError} UNREADABLE with a sentence to show and a `reason`; OUT_OF_RANGE when no home bench holds that much
 */
export function parseQuantity(text: string, options: ParseQuantityOptions): ParsedQuantity {
  const { dimension } = options;
  const example = EXAMPLES[dimension];
  const line = withCountsInDigits(plainWriting(text));
  const rough = ROUGH.test(line);
  const bare = line.replace(ROUGH, '');
  const plain = dimension === 'gravity' ? scaleBehind(bare) : bare;
  if (plain === '') throw refuse(`There is no ${NOUNS[dimension]} in an empty field: write it as ${example}.`, text, dimension, 'empty');
  if (RANGE.test(plain)) throw refuse(`“${text}” is a range: write the one figure you have, such as ${example}.`, text, dimension, 'range');
  const parts = partsOf(plain, text, dimension);
  if (parts.length > 2 || (parts.length === 2 && (dimension === 'temperature' || dimension === 'gravity' || dimension === 'pressure'))) {
    throw refuse(`“${text}” names more than one ${NOUNS[dimension]}: write one, such as ${example}.`, text, dimension, 'several');
  }
  let total = 0;
  let unit: UnitId | undefined;
  let last = Infinity;
  let assumedUnit = false;
  for (const { sign, number, word: written } of parts) {
    // Degrees of no name are the maker's own.
    const word = dimension === 'temperature' ? written.replace(/^(?:°|deg(?:ree)?s?)$/i, '') : written;
    if (sign !== '' && !(dimension === 'temperature' && parts.length === 1)) {
      throw refuse(`“${text}” has a sign, and a ${NOUNS[dimension]} has none: write it as ${example}.`, text, dimension, 'sign');
    }
    const partUnit = word === '' ? (options.bareUnit ?? CANONICAL[dimension]) : unitWritten(word, options);
    if (partUnit === undefined) {
      throw refuse(`“${word}” is not a unit of ${NOUNS[dimension]} Trug can read: write it as ${example}.`, text, dimension, 'unit');
    }
    if (word === '' && parts.length > 1) throw refuse(`“${text}” leaves out a unit: write it as ${example}.`, text, dimension, 'unit');
    const amount = readNumber(number, text, dimension, partUnit) * (sign === '-' ? -1 : 1);
    const value = word === '' && partUnit === 'SG' ? bareGravity(amount, text) : toCanonical(amount, partUnit, text, options);
    // Descending units only: `2 lb 4 oz` is one amount, `2 lb 3 lb` and `4 oz 2 lb` are something else.
    const size = value / (amount || 1);
    if (size >= last) throw refuse(`“${text}” names more than one ${NOUNS[dimension]}: write one, such as ${example}.`, text, dimension, 'several');
    last = size;
    total += value;
    assumedUnit ||= word === '';
    unit ??= partUnit;
  }
  if (dimension !== 'gravity' && !(total >= LIKELY[dimension].min && total <= LIKELY[dimension].max)) {
    const details = { field: dimension, given: total, ...LIKELY[dimension] };
    const why = dimension === 'temperature' ? 'is no temperature of a shed, a drink or a kettle' : 'is more than a home bench holds';
    throw new CoreError('OUT_OF_RANGE', `“${text}” ${why}: check it, and write it as ${example}.`, details);
  }
  return { value: total, unit: unit ?? CANONICAL[dimension], assumedUnit, rough };
}

function readNumber(number: string, text: string, dimension: Dimension, unit: UnitId): number {
  try {
    return writtenNumber(number, dimension !== 'gravity' && !LARGE.has(unit));
  } catch (cause) {
    if (!(cause instanceof CoreError)) throw cause;
    if (dimension === 'gravity' && cause.details['reason'] === 'comma') return Number(number.replace(',', '.'));
    throw new CoreError('UNREADABLE', `${cause.message}: write it as ${EXAMPLES[dimension]}.`, { ...cause.details, given: text, dimension }, { cause });
  }
}
