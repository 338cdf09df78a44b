import { isOwnYeast } from '../../base/reference/own-yeast.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { parseQuantity } from '../../matter/typed/parse-quantity.js';
import { NUMBER_PATTERN, writtenNumber } from '../../matter/typed/written-number.js';
import type { WeightsOf } from '../cupboard/own-spoons.js';
import type { PitchMethod } from '../state/entry-choices.js';
import { warmthIn, WARMTH, type Degrees } from './scribble-warmth.js';
import type { SaidPitch } from './scribble-types.js';

/** A kind of yeast by everything it is called, in the catalogue and on the maker's own packets. */
export interface NamedYeast {
  readonly id: string;
  readonly names: readonly string[];
}

/** What a part about yeast is read by. */
export interface YeastContext {
  /** Every kind there is, with the names of the maker's own packets. */
  readonly yeasts: readonly NamedYeast[];
  /** Taken where a warmth names none. */
  readonly degrees: Degrees;
  readonly weightsOf: WeightsOf;
}

/**
 * Every kind of yeast with all it is called: by the catalogue, on the maker's packets, and yeasts of the maker's own.
 *
 * @param supplies - everything in the cupboard
 */
export function namedYeasts(supplies: readonly { readonly kind: string; readonly refId: string | null; readonly name: string }[]): readonly NamedYeast[] {
  const packets = supplies.flatMap(({ kind, refId, name }) => (kind === 'yeast' && refId !== null ? [{ id: refId, name }] : []));
  const own = packets.filter(({ id }) => isOwnYeast(id));
  return [...new Map([...YEAST_KINDS, ...own].map((kind) => [kind.id, kind])).values()].map(({ id, name }) => ({
    id,
    names: [name, ...packets.filter((p) => p.id === id && p.name !== name).map((p) => p.name)],
  }));
}

const PACKETS = new RegExp(String.raw`(${NUMBER_PATTERN})\s*(?:packets?|sachets?)(?:\s+of)?`, 'i');
const MASS = new RegExp(String.raw`${NUMBER_PATTERN}\s*(?:g|gr|grams?|tsps?|teaspoons?|oz)(?![\p{L}\d])`, 'iu');
const JUICE_WARMTH = new RegExp(WARMTH, 'iu');
const METHODS: readonly { readonly method: PitchMethod; readonly words: RegExp }[] = [
  { method: 'starter', words: /\bstarter\b/i },
  { method: 'rehydrated', words: /\b(?:rehydrated|woken|woke)\b/i },
  { method: 'sprinkled', words: /\bsprinkled\b/i },
];
/** Whether a part of a line says that yeast went in, and not only that there is some, such as in a smell. */
const WENT_IN =
  /\b(?:pitch(?:ed)?|sprinkled|rehydrated)\b|^(?:the\s+)?yeast(?:\s+(?:in|added|went in))?$|\b(?:added?|put in|in went|stirred in)\b.*\byeast\b|\byeast\s+(?:in|added|went in)\b/i;
/** In every kind's name, or in none. */
const SAYS_NOTHING = /^(?:yeast|type|kind|like|the|with|and|own|packet|sachet|for)$/i;

const wordsIn = (text: string): readonly string[] => (text.toLowerCase().match(/\p{L}{3,}/gu) ?? []).filter((word) => !SAYS_NOTHING.test(word));

/**
 * Reads which yeast went in, how much and how.
 *
 * @param part - in plain writing
 * @param context - every kind of yeast, the maker's degrees, and what their spoons weigh
 * @returns null when the part is about no yeast that went in
 * @throws {CoreError} UNREADABLE or OUT_OF_RANGE for an amount or a warmth that cannot be read
 */
export function pitchIn(part: string, { yeasts, degrees, weightsOf }: YeastContext): SaidPitch | null {
  const [packets, mass] = [PACKETS.exec(part), MASS.exec(part)];
  const isOfYeast = /\byeast\b/i.test(part) && (packets !== null || mass !== null);
  if (!isOfYeast && !WENT_IN.test(part)) return null;
  return {
    is: 'pitch',
    text: part,
    yeastIds: kindsNamed(part, yeasts),
    massG: mass ? parseQuantity(mass[0], { dimension: 'mass', ...weightsOf('yeast', null) }).value : null,
    packets: packets ? writtenNumber(packets[1] ?? '', false) : null,
    method: METHODS.find(({ words }) => words.test(part))?.method ?? null,
    juiceC: warmthIn(JUICE_WARMTH.exec(part), degrees),
  };
}

/** Kinds whose names hold every word of the part that stands in a name at all. */
function kindsNamed(part: string, yeasts: readonly NamedYeast[]): readonly string[] {
  const whole = yeasts.filter(({ names }) => names.some((name) => part.toLowerCase().includes(name.toLowerCase())));
  if (whole.length > 0) return whole.map(({ id }) => id);
  const sets = yeasts.map(({ id, names }) => ({ id, words: new Set(names.flatMap(wordsIn)) }));
  const telling = wordsIn(part).filter((word) => sets.some(({ words }) => words.has(word)));
  return telling.length === 0 ? [] : sets.filter(({ words }) => telling.every((word) => words.has(word))).map(({ id }) => id);
}
