import type { Gallon } from '../../matter/quantity/units.js';
import { plainWriting } from '../../matter/typed/written-number.js';
import { withCountsInDigits } from '../../matter/typed/written-counts.js';
import type { WeightsOf } from '../cupboard/own-spoons.js';
import type { OwnSweet } from './scribble-ingredients.js';
import { readPart, type PartContext } from './read-part.js';
import { batchNamedIn } from './scribble-batch.js';
import { saidWhen } from './scribble-day.js';
import { joined, withoutFillers } from './scribble-reading.js';
import type { Degrees } from './scribble-warmth.js';
import type { NamedBatch, Said, SaidReading, Scribble } from './scribble-types.js';
import type { NamedYeast } from './scribble-yeast.js';

/** What a line is read by. */
export interface ScribbleContext {
  readonly batches: readonly NamedBatch[];
  readonly yeasts: readonly NamedYeast[];
  /** What spoons weigh in the maker's kitchen. */
  readonly weightsOf: WeightsOf;
  /** Sweet things of the maker's own. */
  readonly sweets: readonly OwnSweet[];
  /** `YYYY-MM-DD`, the maker's own day. */
  readonly today: string;
  readonly gallon: Gallon;
  /** Which degrees a warmth is in that names none. */
  readonly degrees: Degrees;
}

/** Longest line. @source our choice: a strip of tape holds less */
export const LONGEST_SCRIBBLE = 300;

/** Between two things said: not the comma of a decimal, nor the point of a figure or of what is cut short. */
const BETWEEN =
  /\s*(?:;|(?<!\d),|,(?!\d)|(?<!\b(?:tsp|tbsp|lbs?|oz|gal|approx|ca|qt|pt|fl|hrs?|temp|tab))(?<!\d)\.(?=\s|$)|(?<=\d)\.(?=\s|$)|\s(?:then|and|&|\+)\s)\s*/i;
/** Verbs and small words that a batch's name is not cut down to. */
const COMMON =
  /^(?:added?|put|gave|fed|read|racked|bottled|pitched|moved|smells?|smelt|tast\w*|looks?|very|bit|some|now|still|white|brown|dark|half|two|three|yesterday|today|on|last|this)$/i;

/**
 * Reads a line as a maker would write it on tape: `back jar 1.012 at 64F, eggy, racked`.
 *
 * Nothing is guessed in silence: what cannot be read is told, what was left undone stays words, and which batch is meant is only
 * said when it is named.
 *
 * @param text - as typed
 * @param context - the batches and yeasts it may name, the maker's day, gallon and degrees
 * @returns what it says, as far as the words alone tell
 */
export function parseScribble(text: string, context: ScribbleContext): Scribble {
  const line = withCountsInDigits(plainWriting(text.slice(0, LONGEST_SCRIBBLE)));
  const { gallon, degrees, yeasts, weightsOf, sweets } = context;
  const part: PartContext = { gallon, degrees, yeasts, weightsOf, sweets };
  const isKnown = (word: string): boolean => COMMON.test(word) || withoutFillers(word) === '' || readPart(word, part).some((said) => said.is !== 'words');
  const named = batchNamedIn(line, context.batches, isKnown);
  const when = saidWhen(named.rest, context.today);
  const parts = when.rest.split(BETWEEN).map((each) => each.replace(/^[\s,:.-]+|[\s,:.]+$/g, ''));
  const said = parts.filter((each) => each !== '').flatMap((each) => readPart(each, part));
  return { batchIds: named.batchIds, day: when.day, hour: when.hour, said: joinedUp(said) };
}

const isWarmthAlone = ({ gravity, ph, taGPerL, sampleC, bubbles, placeC }: SaidReading): boolean =>
  placeC !== null && [gravity, ph, taGPerL, sampleC, bubbles].every((other) => other === null);

/** Figures that follow one another are one reading, until something else was done; a warmth after a new place is that place's. */
function joinedUp(said: readonly Said[]): readonly Said[] {
  const out: Said[] = [];
  for (const each of said) {
    const at = out.findLastIndex((earlier) => earlier.is !== 'words');
    const last = out[at];
    if (each.is === 'reading' && last?.is === 'moved' && last.tempC === null && isWarmthAlone(each)) {
      out[at] = { ...last, text: `${last.text}, ${each.text}`, tempC: each.placeC };
      continue;
    }
    if (each.is !== 'reading' || last?.is !== 'reading') {
      out.push(each);
      continue;
    }
    const both = joined(last, each);
    if (both) out[at] = both;
    else
      out.push({
        is: 'unread',
        text: each.text,
        why: 'That is the second figure of its kind in this line, with nothing done between: write the one that counts.',
      });
  }
  return out;
}
