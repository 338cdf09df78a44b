import { daysBetween } from '../../matter/quantity/days.js';
import { gravityText } from '../../base/worked/figures.js';
import { ROUGHNESS_SG } from './reading.js';

/** Something odd about a reading, asked before it is filed. */
export interface ReadingQuestion {
  readonly id: 'impossible' | 'mistyped' | 'unmixed' | 'rise' | 'jump' | 'below-dry';
  readonly text: string;
  /** What the maker more likely meant, SG; null when nothing suggests itself. */
  readonly suggestionSg: number | null;
  /** Whether it can be filed as it stands once the maker insists. */
  readonly canInsist: boolean;
}

/** Fastest believable fall, SG a day. @source estimate: a warm, well-fed ferment loses about 0.025 a day at its height */
const FASTEST_FALL_SG_PER_DAY = 0.03;
/** How far a must may read from what it reckons to: at least so much, SG, and by a share of its points. @source our estimate; a carton's sugar may be 20 % off by law, a steep's is rougher */
const OFF_SUM = { glass: { sg: 0.006, share: 0.08 }, carton: { sg: 0.01, share: 0.25 }, sum: { sg: 0.01, share: 0.3 } } as const;
/** How far below the reckoned dry gravity a reading may lie. @source estimate: unmeasured acid and sorbitol are worth ±0.004 */
export const BELOW_DRY_SG = 0.005;

function likelyMeant(value: number): number | null {
  const candidates = [value / 1000, 1 + (value - 1) / 10, 1 + value / 10, 1 + value / 1000, 1 + value];
  const found = candidates.find((sg) => sg >= 0.985 && sg <= 1.13);
  return found === undefined ? null : Math.round(found * 1000) / 1000;
}

/**
 * Asks about a gravity that is impossible, mistyped or out of line with what came before.
 *
 * @param input - the number as typed or corrected, its date, the last reading since anything was added, the dry gravity, and before
 *   yeast what the must reckons to without a reading since, with what that rests on
 * @returns the questions; none when nothing is odd
 */
export function questionReading(input: {
  readonly sg: number;
  readonly at: string;
  readonly previous?: { readonly sg: number; readonly at: string } | null;
  readonly drySg?: number | null;
  readonly reckoned?: { readonly sg: number; readonly by: keyof typeof OFF_SUM } | null;
}): readonly ReadingQuestion[] {
  const { sg, previous, drySg, reckoned } = input;
  if (!(sg >= 0.98 && sg <= 1.2)) {
    const meant = likelyMeant(sg);
    const ask = meant === null ? 'Read the stem again at the bottom of the curve.' : `Did you mean ${gravityText(meant)}?`;
    const written = sg >= 100 ? String(sg) : sg.toFixed(sg < 1 ? 2 : 3);
    const why = sg >= 2 ? `${written} has lost its point.` : sg > 1.2 ? `${written} is heavier than syrup.` : `${written} is lighter than spirit.`;
    return [{ id: meant === null ? 'impossible' : 'mistyped', text: `${why} ${ask}`, suggestionSg: meant, canInsist: false }];
  }
  const questions: ReadingQuestion[] = [];
  if (previous) {
    const days = Math.max(0.25, daysBetween(previous.at, input.at));
    if (sg > previous.sg + ROUGHNESS_SG) {
      questions.push({
        id: 'rise',
        text: `That is higher than ${gravityText(previous.sg)} last time, and gravity does not rise unless something was added. Was the sample warm, gassy or stirred?`,
        suggestionSg: null,
        canInsist: true,
      });
    } else if ((previous.sg - sg) / days > FASTEST_FALL_SG_PER_DAY) {
      questions.push({
        id: 'jump',
        text: `That is a fall of ${Math.round((previous.sg - sg) * 1000)} points in ${days < 1 ? 'under a day' : `${Math.round(days)} days`}, faster than yeast works. Check the number and the batch.`,
        suggestionSg: null,
        canInsist: true,
      });
    }
  }
  if (reckoned && Math.abs(sg - reckoned.sg) > Math.max(OFF_SUM[reckoned.by].sg, OFF_SUM[reckoned.by].share * (reckoned.sg - 1))) {
    const points = Math.round(Math.abs(sg - reckoned.sg) * 1000);
    questions.push({
      id: 'unmixed',
      text: `That is ${points} points ${sg > reckoned.sg ? 'above' : 'below'} what went in, which comes to about ${gravityText(reckoned.sg)}. Sugar that is not stirred in lies at the bottom: is it mixed, is the sample cool, and is it the right batch?`,
      suggestionSg: null,
      canInsist: true,
    });
  }
  if (drySg !== undefined && drySg !== null && sg < drySg - BELOW_DRY_SG) {
    questions.push({
      id: 'below-dry',
      text: `That is lighter than this juice can get: bone dry it should read about ${gravityText(drySg)}. Is it the right batch and a cool, flat sample?`,
      suggestionSg: null,
      canInsist: true,
    });
  }
  return questions;
}
