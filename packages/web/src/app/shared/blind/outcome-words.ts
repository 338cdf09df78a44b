import { RARE } from '@trug/core/finish/trial/taste-tests';
import { trialOutcome } from '@trug/core/finish/trial/trial-outcome';
import { countText } from '@trug/core/matter/quantity/count-text';
import type { Judged } from './judged';

/** What a blind tasting shows, in words. */
export interface OutcomeWords {
  readonly headline: string;
  /** How often chance does as much, and what so few could have found. */
  readonly sure: string;
  /** The glass that came first by itself. */
  readonly best: number | null;
}

const share = (chance: number): string => (chance < 0.001 ? 'less than once in a thousand' : `${Math.round(chance * 1000) / 10} times in 100`);

/**
 * What a blind tasting shows.
 *
 * @param judged - what everybody said
 * @param words - each drink in words
 */
export function outcomeWords({ way, judged }: Judged, words: readonly string[]): OutcomeWords {
  const { best, correct, chance, leastChance, finds } = trialOutcome({ way, judged, drinks: words.length });
  const often = `Guessing alone does as much ${share(chance)}.`;
  if (correct !== null) {
    const found = `A test of this size finds a difference that half the people can taste ${Math.round((finds ?? 0) * 100)} times in 100`;
    return {
      headline: `${correct} of ${countText(judged.length, 'taster')} found the odd glass`,
      sure: `${often} ${chance < RARE ? 'They can be told apart.' : `${found}: that none was found does not mean that there is none.`}`,
      best,
    };
  }
  const word = best === null ? null : words[best];
  const few = 'With so few at the table nothing can be told from chance, even when all agree: take it as what you liked tonight.';
  const told = chance < RARE ? 'The order is more than chance.' : 'Others on another evening may well say otherwise.';
  return { headline: word ? `Liked best: ${word}` : 'None came first by itself', sure: `${often} ${leastChance >= RARE ? few : told}`, best };
}
