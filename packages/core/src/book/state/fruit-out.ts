import { dateAfter } from '../../matter/quantity/days.js';
import type { BatchState, Steeping } from './batch-state.js';
import type { Draft, Patch } from './draft.js';

/** Whether fruit is in it, which gives up its sugar for days: until it is out no reading says what is left. */
export const hasFruitIn = ({ infusions }: Pick<BatchState, 'infusions'>): boolean => infusions.some(({ isFruit }) => isFruit);

/** Why nothing is sealed meanwhile. */
export const FRUIT_IN = 'Fruit still steeps in it and gives up sugar for days. Take it out, and prove the end again.';

/** The day on which something that steeps is to come out, `YYYY-MM-DD`. */
export const outOn = ({ at, days }: Pick<Steeping, 'at' | 'days'>, zone: string): string => dateAfter(at, days, zone);

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
