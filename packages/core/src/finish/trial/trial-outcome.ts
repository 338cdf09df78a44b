import { CoreError } from '../../base/errors/core-error.js';
import { firstOf } from './rank-sums.js';
import { rankingTest, triangleTest, type TasteTest } from './taste-tests.js';
import type { TrialWay } from './trial-substance.js';

/** What everybody said before anybody was told. */
export interface TrialJudgements {
  readonly way: TrialWay;
  /** How many drinks were judged. */
  readonly drinks: number;
  readonly judged: readonly { readonly said: readonly number[] }[];
}

/** What a trial shows. */
export interface TrialOutcome extends TasteTest {
  /** The glass with the best rank sum; null of a triangle, and where several share it. */
  readonly best: number | null;
  /** How many found the odd one; null of a ranking. */
  readonly correct: number | null;
  /** Of each drink, the lowest liked best; null of a triangle. */
  readonly rankSums: readonly number[] | null;
}

/**
 * What a trial shows.
 *
 * @param trial - with one who judged at least
 * @throws {CoreError} OUT_OF_RANGE when what was said is no judgement of these glasses
 */
export function trialOutcome({ way, judged, drinks }: TrialJudgements): TrialOutcome {
  if (way === 'triangle') {
    const correct = judged.filter(({ said }) => said[0] === 1).length;
    return { ...triangleTest({ n: judged.length, correct }), best: null, correct, rankSums: null };
  }
  const ranked = rankingTest(judged.map(({ said }) => said));
  if (ranked.rankSums.length !== drinks) throw new CoreError('OUT_OF_RANGE', 'every glass of the trial is ranked', { drinks });
  return { ...ranked, best: firstOf(ranked.rankSums), correct: null };
}
