import { CoreError } from '../../base/errors/core-error.js';
import { parseFigure } from '../../matter/typed/typed-figures.js';
import type { Bubbles } from '../state/entry-choices.js';
import { warmthIn, WARMTH, type Degrees } from './scribble-warmth.js';
import type { SaidReading } from './scribble-types.js';

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const PH = new RegExp(String.raw`\bph\s*(?:of|is|at|=|:)?\s*(${NUMBER})`, 'i');
const ACID = new RegExp(String.raw`\b(?:ta|acid(?:ity)?)\s*(?:of|is|at|=|:)?\s*(${NUMBER})\s*(?:g\/l)?`, 'i');
const PLACED_WARMTH = new RegExp(
  String.raw`(?:\b(?<where>at|sample|juice|must|room|shed|air|place|cellar|garage|outside|kitchen|standing at|stands at)\s+(?:is\s+|at\s+)?)?${WARMTH}`,
  'iu',
);
const SCALED = new RegExp(
  String.raw`(?:\b(?:bx|brix)\s*(${NUMBER})|(${NUMBER})\s*(°?\s*(?:bx|brix)|%\s*pot(?:ential)?|g\/l(?:\s+(?:of\s+)?sugar)?))(?![\p{L}\d])`,
  'iu',
);
/** With its point or comma, or in thousandths; a comma before three digits is a point here, as no gravity has thousands. */
const GRAVITY = /(?<![\d.,/])(?:0?[.,]9\d{1,3}|[01][.,]\d{2,4}|9[89]\d|1[01]\d\d)(?![\d/]|[.,]\d|\s*(?:k?g|m?l|lbs?|oz|tsps?|tbsps?|gal|cups?|%)\b)/;
const ORIGINAL = /\b(?:og|original)\b/i;
const LENS = /\b(?:refractometer|refr?|lens)\b/i;
const STEM = /\b(?:hydrometer|stem|jar reading|glass)\b/i;
/** Where a warmth is the sample's own. */
const OF_SAMPLE: ReadonlySet<string> = new Set(['at', 'sample', 'juice', 'must']);

const BUBBLES: readonly { readonly is: Bubbles; readonly words: RegExp }[] = [
  { is: 'none', words: /\b(?:no|not a|without)\s+bubbl\w*|\b(?:airlock|lock)\s+(?:is\s+)?(?:quiet|still|silent)|\bnot bubbling\b|\bstopped bubbling\b/i },
  { is: 'lively', words: /\b(?:lively|fast|mad(?:ly)?|lots of|many|vigorous)\s+bubbl\w*|\bbubbling\s+(?:away|well|madly|fast|hard|lots|vigorously)/i },
  { is: 'some', words: /\b(?:some|a few|few|slow|odd)\s+bubbl\w*|\bbubbling(?:\s+(?:slowly|a little|a bit))?/i },
];

/** Figures found in a part of a line, and what of it is left. */
export interface FoundReading {
  /** Null when nothing was read. */
  readonly reading: SaidReading | null;
  /** Why a figure that looks like a reading cannot be one; null when all could be read. */
  readonly why: string | null;
  /** The part without its figures. */
  readonly rest: string;
}

/**
 * Reads gravity, warmth, pH, acid and bubbles out of a part of a line.
 *
 * @param part - in plain writing
 * @param degrees - the maker's own, where a warmth names none
 * @returns the figures, with those limits that every field of a reading has
 */
export function readingIn(part: string, degrees: Degrees): FoundReading {
  let rest = part;
  const take = (pattern: RegExp): RegExpExecArray | null => {
    const match = pattern.exec(rest);
    if (match) rest = `${rest.slice(0, match.index)} ${rest.slice(match.index + match[0].length)}`.replace(/\s+/g, ' ').trim();
    return match;
  };
  try {
    const bubbles = BUBBLES.find(({ words }) => take(words) !== null)?.is ?? null;
    const ph = figureOf(take(PH)?.[1], 'ph');
    const taGPerL = figureOf(take(ACID)?.[1], 'taGPerL');
    const warmths: { readonly where: string; readonly tempC: number }[] = [];
    for (let match = take(PLACED_WARMTH); match; match = take(PLACED_WARMTH)) {
      const tempC = warmthIn(match, degrees);
      if (tempC !== null) warmths.push({ where: (match.groups?.['where'] ?? '').toLowerCase(), tempC });
    }
    const gravity = gravityTaken(take);
    const [by, original] = [LENS.test(rest) ? ('refractometer' as const) : STEM.test(rest) ? ('hydrometer' as const) : null, ORIGINAL.test(rest)];
    const ofSample = warmths.filter(({ where }) => gravity !== null && (where === '' || OF_SAMPLE.has(where)));
    const ofPlace = warmths.filter((warmth) => !ofSample.includes(warmth));
    const nothing = gravity === null && ph === null && taGPerL === null && warmths.length === 0 && bubbles === null;
    if (nothing) return { reading: null, why: null, rest: part };
    if (ofSample.length > 1 || ofPlace.length > 1)
      return { reading: null, why: 'Two temperatures, and no word which is whose: write “1.012 at 64F, shed 50F”.', rest };
    const reading: SaidReading = {
      is: 'reading',
      text: part,
      gravity,
      by,
      original,
      sampleC: ofSample[0]?.tempC ?? null,
      placeC: ofPlace[0]?.tempC ?? null,
      ph,
      taGPerL,
      bubbles,
    };
    return { reading, why: null, rest };
  } catch (cause) {
    if (!(cause instanceof CoreError)) throw cause;
    return { reading: null, why: cause.message, rest: part };
  }
}

const figureOf = (text: string | undefined, id: 'ph' | 'taGPerL'): number | null => (text === undefined ? null : parseFigure(text, id));

/** The gravity as the fields of a reading take it; its scale stands behind the figure. */
function gravityTaken(take: (pattern: RegExp) => RegExpExecArray | null): string | null {
  const scaled = take(SCALED);
  if (scaled) {
    const [, ahead, figure, scale = 'Bx'] = scaled;
    const unit = /^%/.test(scale) ? '% potential' : /^g/i.test(scale) ? 'g/L' : 'Bx';
    return `${ahead ?? figure ?? ''} ${unit}`;
  }
  return take(GRAVITY)?.[0] ?? null;
}

/** Whether one reading may be joined by what was read after it: nothing of it says the same thing twice. */
export function joined(first: SaidReading, second: SaidReading): SaidReading | null {
  const fields = ['gravity', 'sampleC', 'placeC', 'ph', 'taGPerL', 'bubbles'] as const;
  if (fields.some((field) => first[field] !== null && second[field] !== null)) return null;
  // A warmth after a gravity, with nothing said of the place, is the sample's: “1.012, 64F”.
  const bare = second.placeC !== null && fields.every((field) => field === 'placeC' || second[field] === null) && !/\p{L}{3,}/u.test(second.text);
  // A second warmth with nothing said of the place may be either's.
  if (bare && first.sampleC !== null) return null;
  const sampleC = first.sampleC ?? second.sampleC ?? (bare && first.gravity !== null ? second.placeC : null);
  return {
    ...first,
    text: `${first.text}, ${second.text}`,
    gravity: first.gravity ?? second.gravity,
    by: first.by ?? second.by,
    original: first.original || second.original,
    sampleC,
    placeC: first.placeC ?? (bare && first.gravity !== null && first.sampleC === null ? null : second.placeC),
    ph: first.ph ?? second.ph,
    taGPerL: first.taGPerL ?? second.taGPerL,
    bubbles: first.bubbles ?? second.bubbles,
  };
}

/** Words that stand around figures and say nothing more. */
const FILLERS =
  /\b(?:sg|og|fg|original|final|gravity|specific|hydrometer|stem|glass|refractometer|refr?|lens|reads?|reading|read|temp(?:erature)?|sample|at|is|it|its|was|the|of|on|in|and|with|now|still|down|up|to|a|about|around|juice|must|room|air|place|potential|sugar)\b|[~=:·()%]|'s\b/gi;

/** What is left of a part when its fillers are gone. */
export const withoutFillers = (text: string): string =>
  text
    .replace(FILLERS, ' ')
    .replace(/[\s,.;:-]+/g, ' ')
    .trim();
