import { CoreError } from '../../base/errors/core-error.js';
import { firstOf, rankSumsOf } from '../../finish/trial/rank-sums.js';
import type { TrialWay } from '../../finish/trial/trial-substance.js';
import { countText } from '../../matter/quantity/count-text.js';
import type { Kind } from './kind.js';

/** One of the drinks that were tasted side by side. */
export interface ComparedDrink {
  readonly batchId: string;
  readonly name: string;
  /** The crate it came from; null where it was drawn from its vessel. */
  readonly crateId: string | null;
}

/** Several drinks tasted side by side, blind; it stands in the log of each. */
export interface ComparedPayload {
  /** The same in every log that it stands in. */
  readonly tastingId: string;
  readonly drinks: readonly ComparedDrink[];
  /** Which of them the log is of, by number from 0. */
  readonly own: number;
  readonly glassMl: number;
  readonly way: TrialWay;
  /** Of a ranking the drinks by number from 0, best first; of a triangle 1 for who found the odd one, else 0. */
  readonly judged: readonly { readonly name: string; readonly said: readonly number[] }[];
  readonly text: string;
}

/** What came of it for one of the drinks, in words. */
function outcomeWords({ drinks, own, way, judged }: ComparedPayload): string {
  if (way === 'triangle') return `${judged.filter(({ said }) => said[0] === 1).length} of ${judged.length} told them apart`;
  const sums = rankSumsOf(
    judged.map(({ said }) => said),
    drinks.length,
  );
  const before = sums.filter((sum) => sum < (sums[own] ?? 0)).length;
  return firstOf(sums) === own ? 'liked best' : before === 0 ? 'nobody came first alone' : `place ${before + 1} of ${drinks.length}`;
}

export const compared: Kind<ComparedPayload> = {
  apply: (_state, { payload: { drinks, own } }) => {
    if (!drinks[own]) throw new CoreError('NOT_ALLOWED', 'this drink is none of those that were tasted', { field: 'own' });
    return {};
  },
  words: ({ payload }) => {
    const beside = payload.drinks.flatMap(({ name }, i) => (i === payload.own ? [] : name)).join(' and ');
    const parts = [`beside ${beside}`, outcomeWords(payload), countText(payload.judged.length, 'taster'), payload.text];
    return { lead: 'Tasted blind', rest: parts.filter((part) => part !== '').join(' · ') };
  },
};
