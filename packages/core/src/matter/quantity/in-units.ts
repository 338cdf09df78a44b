import { BOTTLE_KINDS } from '../../base/reference/bottle-kinds.js';
import { figure } from '../../base/worked/figures.js';
import { formatQuantity, type UnitPreferences } from './format-quantity.js';
import { GRAMS_PER } from './units.js';

const NUMBER = String.raw`(?<![\d.,/A-Za-z−-])([-−]?\d+(?:[.,]\d+)?)`;
const JOIN = String.raw`(?:\s?(–|to|or|and)\s?([-−]?\d+(?:[.,]\d+)?))?`;
/** A unit that is not the top or the bottom of a rate, as in g/L and L/kg. */
const ENDS = String.raw`(?![\w/])`;

const TEMPERATURE = new RegExp(`${NUMBER}${JOIN} °C${ENDS}`, 'g');
const VOLUME = new RegExp(`${NUMBER}${JOIN} (L|mL|litres?)${ENDS}`, 'g');
const MASS = new RegExp(`${NUMBER}${JOIN} (g|kg|grams?)${ENDS}`, 'g');
/** A gravity is written with three decimals and no unit; a drink under 1.000 has no other scale. */
const GRAVITY = /(?<![\d.,/A-Za-z])(1\.[01]\d\d)(?:(–)(1\.[01]\d\d))?(?![\d]| ?(?:k?g|mL|L|kg)\b)/g;
/** What fruit yields, by the hundredweight that weights are counted in. */
const YIELD = new RegExp(`${NUMBER} L from 100 kg${ENDS}`, 'g');
const PRESSURE = new RegExp(`${NUMBER}${JOIN} bar${ENDS}`, 'g');

/** Words before a temperature that make it a difference between two, which has no freezing point to count from. */
const DIFFERENCE = /(?:within|differ by(?: less than| more than)?|apart by|jumps? (?:of|by)|a day by|±)\s*$/;

/** Names that hold a size, what the maker typed, and how to write it, stay as they are. */
const NAMES = new RegExp(
  [
    ...BOTTLE_KINDS.map((b) => b.name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')),
    '“[^”]*”',
    '(?:[Ww]rite it as|such as) .*$',
    // A question which scale was meant names both.
    '[\\d.]+ °Bx(?:, or)? \\([\\d.]+\\).*$',
    'or 1\\.0\\d+ \\(.*$',
  ].join('|'),
  'g',
);

const numberOf = (text: string): number => Number(text.replace(',', '.').replace('−', '-'));

/** Two amounts in one unit as a range, with the unit behind the second. */
function joined(first: string, join: string | undefined, second: string | undefined): string {
  if (join === undefined || second === undefined) return first;
  const unit = /[^\d.]+$/.exec(second)?.[0] ?? '';
  const head = unit !== '' && first.endsWith(unit) ? first.slice(0, -unit.length) : first;
  return join === '–' ? `${head}–${second}` : `${head} ${join} ${second}`;
}

/** Every amount that a pattern finds, said again; ranges keep their join. */
function rewritten(text: string, pattern: RegExp, say: (value: number, unit: string, before: string) => string): string {
  return text.replace(pattern, (...found: (string | number | undefined)[]) => {
    const [low, join, high, unit] = found.slice(1, 5).map((part) => (typeof part === 'string' ? part : undefined));
    const before = text.slice(0, Number(found.find((part) => typeof part === 'number')));
    const said = (value: string): string => say(numberOf(value), unit ?? '', before);
    return joined(said(low ?? ''), join, high === undefined ? undefined : said(high));
  });
}

const temperatures = (text: string, units: UnitPreferences): string =>
  rewritten(text, TEMPERATURE, (value, _unit, before) =>
    DIFFERENCE.test(before) ? `${Math.round(value * 1.8)} °F` : formatQuantity({ dimension: 'temperature', valueC: value }, units),
  );
const volumes = (text: string, units: UnitPreferences): string =>
  rewritten(text, VOLUME, (value, unit) => formatQuantity({ dimension: 'volume', valueL: value * (unit === 'mL' ? 0.001 : 1) }, units));
const masses = (text: string, units: UnitPreferences): string =>
  rewritten(text, MASS, (value, unit) => formatQuantity({ dimension: 'mass', valueG: value * (unit === 'kg' ? 1000 : 1) }, units));
const yields = (text: string): string => text.replace(YIELD, (_all, litres: string) => `${figure((numberOf(litres) * GRAMS_PER.lb) / 1000, 1)} L from 100 lb`);
const pressures = (text: string, units: UnitPreferences): string =>
  rewritten(text, PRESSURE, (value) => formatQuantity({ dimension: 'pressure', valueBar: value }, units));

const gravities = (text: string, units: UnitPreferences): string =>
  text.replace(GRAVITY, (_all, low: string, join: string | undefined, high: string | undefined) => {
    const said = (sg: string): string => formatQuantity({ dimension: 'gravity', sg: Number(sg) }, units);
    return joined(said(low), join, high === undefined ? undefined : said(high));
  });

/** The rewritings a maker needs: none where the core's own units are theirs. */
const rewritingsFor = (units: UnitPreferences): readonly ((text: string, units: UnitPreferences) => string)[] => [
  ...(units.mass === 'metric' ? [] : [yields]),
  ...(units.temperature === 'degC' ? [] : [temperatures]),
  ...(units.volume === 'L' ? [] : [volumes]),
  ...(units.mass === 'metric' ? [] : [masses]),
  ...(units.pressure === 'bar' ? [] : [pressures]),
  ...(units.gravity === 'SG' ? [] : [gravities]),
];

/**
 * A sentence of the core in the maker's units. The core words its amounts in litres, grams, °C, bar and SG; this writes every
 * one of them anew, and leaves rates such as g/L, the names of bottles and bare numbers alone.
 *
 * @param text - a sentence with amounts in canonical units
 * @param units - the maker's choice
 * @returns the same sentence in those units
 * @example inUnits('Move it to 14–17 °C.', { …, temperature: 'degF' }) // => 'Move it to 57–63 °F.'
 */
export function inUnits(text: string, units: UnitPreferences): string {
  const rewritings = rewritingsFor(units);
  if (rewritings.length === 0) return text;
  const names = text.match(NAMES) ?? [];
  return text
    .split(NAMES)
    .map((part, i) => rewritings.reduce((said, rewrite) => rewrite(said, units), part) + (names[i] ?? ''))
    .join('');
}
