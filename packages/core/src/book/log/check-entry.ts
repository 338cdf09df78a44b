import type { Verdict } from '../../ferment/verdict/verdict.js';
import type { Entry } from '../entry/entry.js';
import { checkedBy, ENTRY_KINDS } from '../entry/entry-kinds.js';
import { CLEAR, refuse, type EntryCheck } from '../kinds/kind.js';
import { IN_A_KEG } from '../kinds/kegged.js';
import { ON_THE_PULP } from '../kinds/steeped.js';
import type { BatchState } from '../state/batch-state.js';

/**
 * Whether an act may be filed on a batch as it stands: sealed vessels only when the end is proven, and no danger
 * that was not acknowledged. Server and web ask the same question.
 *
 * @param state - the batch before the act
 * @param verdict - its verdict before the act
 * @param entry - the act
 * @returns a refusal, and the dangers still to be acknowledged
 */
export function checkEntryAgainst(state: BatchState, verdict: Verdict | null, entry: Entry): EntryCheck {
  const { onTheDrink = false, offThePulp = false } = ENTRY_KINDS[entry.kind];
  if (offThePulp && state.pulp) return refuse(ON_THE_PULP);
  if (onTheDrink && state.keg) return refuse(IN_A_KEG);
  if (onTheDrink && !state.liquid && state.crates.length > 0) return refuse('It is in bottles, so nothing goes into it any more.');
  return checkedBy(state, verdict, entry) ?? CLEAR;
}
