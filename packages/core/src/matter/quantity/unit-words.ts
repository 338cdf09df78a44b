import type { Dimension, Gallon, UnitId } from './units.js';

/** Words whose size depends on which gallon the maker means. */
type LocalWord = 'gal' | 'qt' | 'pt' | 'cup' | 'fl-oz';
type Meaning = UnitId | LocalWord;

const VOLUMES: Readonly<Record<string, Meaning>> = {
  l: 'L',
  lt: 'L',
  ltr: 'L',
  litre: 'L',
  liter: 'L',
  dl: 'dL',
  cl: 'cL',
  ml: 'mL',
  millilitre: 'mL',
  milliliter: 'mL',
  cc: 'mL',
  gal: 'gal',
  gallon: 'gal',
  'us gal': 'us-gal',
  'us gallon': 'us-gal',
  'imp gal': 'imp-gal',
  'uk gal': 'imp-gal',
  'uk gallon': 'imp-gal',
  'imperial gallon': 'imp-gal',
  qt: 'qt',
  quart: 'qt',
  pt: 'pt',
  pint: 'pt',
  cup: 'cup',
  'fl oz': 'fl-oz',
  floz: 'fl-oz',
  'fluid ounce': 'fl-oz',
  oz: 'fl-oz',
  ounce: 'fl-oz',
  'us fl oz': 'us-fl-oz',
  'imp fl oz': 'imp-fl-oz',
  tsp: 'tsp',
  teaspoon: 'tsp',
  tbsp: 'tbsp',
  tbs: 'tbsp',
  tablespoon: 'tbsp',
};

const MASSES: Readonly<Record<string, Meaning>> = {
  t: 't',
  tonne: 't',
  kg: 'kg',
  kilo: 'kg',
  kilogram: 'kg',
  kilogramme: 'kg',
  g: 'g',
  gm: 'g',
  gr: 'g',
  gram: 'g',
  gramme: 'g',
  mg: 'mg',
  st: 'st',
  stone: 'st',
  lb: 'lb',
  pound: 'lb',
  oz: 'oz',
  ounce: 'oz',
  cup: 'cup',
  tsp: 'tsp',
  teaspoon: 'tsp',
  tbsp: 'tbsp',
  tablespoon: 'tbsp',
  tablet: 'tablet',
  tab: 'tablet',
  lemon: 'lemon',
  'tea bag': 'tea-bag',
  teabag: 'tea-bag',
  drop: 'drop',
  packet: 'packet',
  pack: 'packet',
  sachet: 'packet',
};

const GRAVITIES: Readonly<Record<string, Meaning>> = {
  sg: 'SG',
  bx: 'Bx',
  '°bx': 'Bx',
  '°brix': 'Bx',
  brix: 'Bx',
  'g/l': 'g/L',
  '%': 'potential',
  '% potential': 'potential',
  '% pot': 'potential',
  '% abv': 'potential',
  '% vol': 'potential',
  potential: 'potential',
  point: 'points',
  pt: 'points',
  '°oe': 'points',
  oe: 'points',
};

/** Every word that a maker may write after a number, by what it measures; plurals, full stops and case are taken off first. */
const WORDS: Readonly<Record<Dimension, Readonly<Record<string, Meaning>>>> = {
  volume: VOLUMES,
  mass: MASSES,
  temperature: {
    c: 'degC',
    '°c': 'degC',
    '° c': 'degC',
    degc: 'degC',
    'deg c': 'degC',
    'degrees c': 'degC',
    celsius: 'degC',
    f: 'degF',
    '°f': 'degF',
    '° f': 'degF',
    degf: 'degF',
    'deg f': 'degF',
    'degrees f': 'degF',
    fahrenheit: 'degF',
  },
  gravity: GRAVITIES,
  pressure: { bar: 'bar', psi: 'psi', kpa: 'kPa' },
};

const LOCAL: Readonly<Record<LocalWord, Readonly<Record<Gallon, UnitId>>>> = {
  gal: { us: 'us-gal', imperial: 'imp-gal' },
  qt: { us: 'us-qt', imperial: 'imp-qt' },
  pt: { us: 'us-pt', imperial: 'imp-pt' },
  cup: { us: 'us-cup', imperial: 'metric-cup' },
  'fl-oz': { us: 'us-fl-oz', imperial: 'imp-fl-oz' },
};

/**
 * The unit that a word names.
 *
 * @param word - as written after a number, any case, singular or plural
 * @param dimension - what the field measures
 * @param gallon - which gallon the maker means
 * @returns the unit; undefined when the word is none of this dimension
 */
export function unitOfWord(word: string, dimension: Dimension, gallon: Gallon): UnitId | undefined {
  const key = word.toLowerCase().replace(/\./g, '').replace(/\s+/g, ' ').trim();
  const words = WORDS[dimension];
  const found = words[key] ?? words[key.replace(/s$/, '')];
  if (found === 'cup' && dimension === 'mass') return 'cup';
  return isLocal(found) ? LOCAL[found][gallon] : found;
}

function isLocal(meaning: Meaning | undefined): meaning is LocalWord {
  return meaning !== undefined && meaning in LOCAL;
}
