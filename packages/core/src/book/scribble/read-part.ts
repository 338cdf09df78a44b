import { CoreError } from '../../base/errors/core-error.js';
import { parseQuantity } from '../../matter/typed/parse-quantity.js';
import { writtenNumber } from '../../matter/typed/written-number.js';
import type { Gallon } from '../../matter/quantity/units.js';
import { kitchenWeights } from '../cupboard/kitchen-weights.js';
import type { WeightsOf } from '../cupboard/own-spoons.js';
import { ingredientsIn, type FoundIngredient, type OwnSweet } from './scribble-ingredients.js';
import { readingIn, withoutFillers } from './scribble-reading.js';
import { pitchIn, type NamedYeast } from './scribble-yeast.js';
import { warmthIn, WARMTH, type Degrees } from './scribble-warmth.js';
import type { Vent } from '../state/entry-choices.js';
import type { ActPage, Said } from './scribble-types.js';

/** What the words of a part are read by. */
export interface PartContext {
  readonly gallon: Gallon;
  readonly degrees: Degrees;
  readonly yeasts: readonly NamedYeast[];
  /** What spoons weigh in the maker's kitchen. */
  readonly weightsOf: WeightsOf;
  /** Sweet things of the maker's own. */
  readonly sweets: readonly OwnSweet[];
}

/** What was left undone, is only planned, or is asked, is no act: it is kept in the maker's words. */
const NOT_DONE =
  /\b(?:no|not|never|without|will|should|might|maybe|needs?|needed|todo|to do|tomorrow|plan(?:ned|s)?|going to|instead|forgot|next|if|until|till|wants?|would|could|before|due)\b|n't\b|\?/i;

const PAGES: readonly { readonly page: ActPage; readonly words: RegExp }[] = [
  { page: 'rack', words: /\b(?:racked|siphoned|topped up|topped off|top up)\b|\brack(?:ing)?$/i },
  { page: 'bottle', words: /\b(?:bottled|primed)\b/i },
  { page: 'keg', words: /\bkegged\b/i },
  { page: 'strain', words: /\b(?:strained|took the bag out|bag out)\b/i },
  { page: 'split', words: /\bsplit\b/i },
  { page: 'clear', words: /\b(?:fined|finings?|isinglass|gelatine?|kieselsol|chitosan)\b/i },
  { page: 'stabilise', words: /\b(?:stabili[sz]ed|sorbate)\b/i },
  { page: 'sweeten', words: /\b(?:(?:back)?-?sweetened|sweetener|xylitol|stevia|sucralose|saccharin|allulose)\b/i },
];
const STIRRED = /\b(?:stirred|stirring|roused|swirled|punched down|pushed (?:the )?(?:bag|cap|fruit) (?:down|under))\b(?!\s+in\b)/i;
const LET_OFF = /\b(?:let (?:the )?(?:gas|pressure|it) (?:off|out)|let off|vented|burped|gas (?:let )?out)\b/i;
const VENTED: readonly { readonly vent: Vent; readonly words: RegExp }[] = [
  { vent: 'loose-cap', words: /\b(?:(?:cap|lid|top) (?:is )?(?:left |kept )?loose(?:ned|ly)?|loosened (?:the |its )?(?:cap|lid)|(?:cap|lid) on loosely)\b/i },
  { vent: 'tube', words: /\b(?:blow-?off(?: tube)?|tube) (?:is )?(?:on|in|fitted)\b|\bfitted (?:a |the )?(?:blow-?off|tube)\b/i },
  { vent: 'airlock', words: /\b(?:airlock|lock) (?:is )?(?:on|in|fitted)\b|\bfitted (?:an? |the )?(?:air)?lock\b|\bunder (?:an? )?airlock\b/i },
];
const MOVED = /\b(?:moved|carried|brought|shifted)\s+(?:it\s+)?(?:in)?(?:to|into)\s+(?:the\s+)?(.+)$/i;
const TASTED = /^tast(?:ed|es|ing)\b/i;
const PLACE_WARMTH = new RegExp(String.raw`(?:,?\s*(?:at|it is)?\s*)${WARMTH}`, 'iu');
const HEAPED = /\b(?:heaped|rounded|heaping)\b/i;
const RANGE = /\d[^\s\d]*\s*(?:-|\bto\b|\bor\b)\s*\d/i;
const AROUND_AMOUNTS =
  /\b(?:added|add|adding|put|in|of|some|level|the|with|went|poured|stirred|dissolved|more|another|gave|fed|feed|dosed|dose|sprinkled|into|it|and|sul(?:f|ph)ite)\b|[:=]/gi;

/** Day and month in figures, whichever comes first. */
const DATE_OF_TWO = /^\d{1,2}\/\d{1,2}(?:\/\d{2,4})?$/;

/** Measures whose weight is an estimate. */
const SPOONED: ReadonlySet<string> = new Set(['tsp', 'tbsp', 'cup', 'lemon', 'drop', 'tea-bag']);

/**
 * Reads one part of a line: an act, figures, or words to keep.
 *
 * @param part - what stands between two commas, in plain writing with its counts in digits
 * @param context - which gallon and which degrees, and the kinds of yeast
 * @returns what it says, and beside an act the words that say no more of it
 */
export function readPart(part: string, context: PartContext): readonly Said[] {
  try {
    return partRead(part, context);
  } catch (cause) {
    if (!(cause instanceof CoreError)) throw cause;
    return [{ is: 'unread', text: part, why: cause.message }];
  }
}

function partRead(part: string, context: PartContext): readonly Said[] {
  if (TASTED.test(part)) return [{ is: 'tasted', text: part }];
  const figures = readingIn(part, context.degrees);
  const isOnlyBubbles = figures.reading !== null && figures.reading.bubbles !== null && figures.reading.gravity === null;
  if (NOT_DONE.test(isOnlyBubbles ? figures.rest : part)) return [{ is: 'words', text: part }];
  const page = PAGES.find(({ words }) => words.test(part))?.page;
  if (page !== undefined) return [{ is: 'page', text: part, page }];
  const vent = VENTED.find(({ words }) => words.test(part))?.vent;
  if (vent !== undefined) return [{ is: 'vent', text: part, vent }];
  const moved = MOVED.exec(part);
  if (moved) return [movedTo(part, moved[1] ?? '', context.degrees)];
  const found = ingredientsIn(part, context.sweets);
  if (found.length > 1) return [{ is: 'unread', text: part, why: 'That names two things: put a comma between them, each with its own amount.' }];
  const pitch = found.length === 0 ? pitchIn(part, context) : null;
  if (pitch) return [pitch];
  const [first] = found;
  if (first) return [addition(part, first, context)];
  for (const [is, words] of [
    ['stirred', STIRRED],
    ['let-off', LET_OFF],
  ] as const) {
    const match = words.exec(part);
    if (match) return [{ is, text: part }, ...leftWords(part, part.replace(match[0], ' '))];
  }
  return readFigures(part, figures);
}

function readFigures(part: string, { reading, why, rest }: ReturnType<typeof readingIn>): readonly Said[] {
  if (RANGE.test(part) && /\d/.test(withoutFillers(rest)))
    return [{ is: 'unread', text: part, why: 'That is a range: write the one figure you read, such as 1.012.' }];
  if (why !== null) return [{ is: 'unread', text: part, why }];
  if (!reading) {
    const isFigureAlone = /\d/.test(part) && !/\p{L}{3,}/u.test(part);
    return [
      isFigureAlone
        ? { is: 'unread', text: part, why: 'Trug does not know what that figure is: write it as 1.012, 64F, pH 3.5 or 300 g sugar.' }
        : { is: 'words', text: part },
    ];
  }
  const left = withoutFillers(rest);
  if (DATE_OF_TWO.test(left))
    return [{ is: 'unread', text: part, why: `${left} is one day to some and another to others: write the month in letters, such as 12 Nov.` }];
  if (/\d/.test(left)) return [{ is: 'unread', text: part, why: `Trug cannot tell what “${left}” is beside the rest: put a comma between, with its unit.` }];
  return [{ ...reading, text: part }, ...(left === '' ? [] : [{ is: 'words' as const, text: left }])];
}

/** The word that is left beside a count of them. */
const TABLETS = /\s*tab(?:let)?s?$/i;

/** Sulfite as it is reckoned rather than weighed. */
const MG_PER_L = /^([\d.,]+)\s*(?:ppm|mg\s*(?:\/|per)\s*l(?:it(?:re|er))?)$/i;

/** How something was done, where that changes nothing. */
const HOW_DONE = /\b(?:well|gently|again|once|briefly|up|thoroughly|softly|twice)\b/gi;

/** Words beside an act that are worth keeping. */
const leftWords = (part: string, rest: string): readonly Said[] => (withoutFillers(rest.replace(HOW_DONE, ' ')) !== '' ? [{ is: 'words', text: part }] : []);

function movedTo(part: string, to: string, degrees: Degrees): Said {
  const warmth = PLACE_WARMTH.exec(to);
  const place = (warmth ? to.replace(warmth[0], ' ') : to).replace(/[\s,(]+$/, '').trim();
  if (place === '') return { is: 'page', text: part, page: 'move' };
  return { is: 'moved', text: part, place, tempC: warmthIn(warmth, degrees) };
}

function addition(part: string, { ingredient, rest }: FoundIngredient, { gallon, weightsOf }: PartContext): Said {
  const { what, refId, usual = false } = ingredient;
  if (HEAPED.test(rest)) {
    return { is: 'unread', text: part, why: 'A heaped spoon is a gram or more either way: level it with a knife and write “2 level tsp”, or weigh it.' };
  }
  const written = rest.replace(AROUND_AMOUNTS, ' ').replace(/\s+/g, ' ').trim();
  if (!/\d/.test(written)) return { is: 'page', text: part, page: 'adjust' };
  const said = { is: 'addition' as const, text: part, what, refId, usual };
  const inLitre = what === 'sulfite' ? MG_PER_L.exec(written.replace(TABLETS, '')) : null;
  if (inLitre) return { ...said, amount: writtenNumber(inLitre[1] ?? '', false), mgPerL: true, spooned: false };
  if (refId === 'tablet') return { ...said, amount: writtenNumber(written.replace(TABLETS, ''), false), spooned: false };
  const isVolume = what === 'water' || refId === 'lemon';
  const weights = weightsOf(what, refId === 'tea' ? null : refId);
  // A spoon that the maker weighed is no guess.
  const isOwnSpoon = weights.gramsPerTeaspoon !== kitchenWeights(what, refId).gramsPerTeaspoon;
  const { value, unit, assumedUnit } = parseQuantity(written, { dimension: isVolume ? 'volume' : 'mass', gallon, ...(isVolume ? {} : weights) });
  if (assumedUnit) return { is: 'unread', text: part, why: `${written} of what measure? Write it as ${written} ${isVolume ? 'L' : 'g'}.` };
  // Lemon juice is counted in millilitres.
  return { ...said, amount: refId === 'lemon' ? value * 1000 : value, spooned: !isVolume && SPOONED.has(unit) && !isOwnSpoon };
}
