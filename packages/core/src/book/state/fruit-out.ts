import type { BatchState, Steeping } from './batch-state.js';
import type { Draft, Patch } from './draft.js';

/** Whether fruit is in it, which gives up its sugar for days: until it is out no reading says what is left. */
export const hasFruitIn = ({ infusions }: Pick<BatchState, 'infusions'>): boolean => infusions.some(({ isFruit }) => isFruit);

/**
 * What steeps no more. Of fruit the last sugar comes out when it is lifted, so readings and tests from before prove nothing.
 *
 * @param state - the fold so far; that something changed is noted in it
 * @param at - ISO 8601
 * @param stay - what still steeps
 */
export function onlySteeping(state: Draft, at: string, stay: readonly Steeping[]): Patch {
  const left = state.infusions.filter((each) => !stay.includes(each));
  if (!hasFruitIn({ infusions: left }) || !state.pitchedAt) return { infusions: stay };
  state.judged.push({ at, kind: 'gravity-changed' });
  return { infusions: stay, tested: null };
}
