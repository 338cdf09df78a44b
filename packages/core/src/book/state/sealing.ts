import { provesFinished, STATUS_WORDS, type Verdict } from '../../ferment/verdict/verdict.js';
import { holdsSorbate } from '../../finish/bottle/sorbate.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { BatchState } from './batch-state.js';
import { FRUIT_IN, hasFruitIn } from './fruit-out.js';

/**
 * What speaks for sealing a drink: its end is proven where the sums put it, or a test says what is left; it is proven to
 * have ended higher, so that what the sums still find may be sugar; it was stabilised in full; it stood for eight weeks in the
 * warm and nobody can read it; or nothing does.
 */
export type SealWay = 'proven' | 'ended-high' | 'stabilised' | 'unread' | 'unproven';

/** Days in the warm after which a batch that nobody read may go into plastic, at its maker's risk. @source our estimate: four times a usual warm ferment */
export const UNREAD_DAYS = 56;

/** Within this of the sugar, yeast that had starved has not woken, days. @source our estimate */
const WAKES_AFTER_DAYS = 1;

/** Whether sugar came in so lately that the yeast of a drink proven before it has not woken. */
export const justWoken = ({ wokenAt }: BatchState, at: string): boolean => wokenAt !== null && daysBetween(wokenAt, at) <= WAKES_AFTER_DAYS;

/** Whether the whole dose of sulfite and sorbate is still in it. */
export function holdsDose(state: BatchState): boolean {
  // Sulfite leaves with time, and that it was whole was asked when it went in; sorbate is only thinned.
  return state.stabilisedAt !== null && state.liquid !== null && holdsSorbate(state.liquid);
}

/**
 * On what grounds a batch may be sealed.
 *
 * @param state - the batch
 * @param verdict - its verdict; null where there is none
 * @returns the grounds
 */
export function sealWay(state: BatchState, verdict: Verdict | null): SealWay {
  // Fruit gives up sugar for days: whatever was read while it is in says too little.
  if (hasFruitIn(state)) return 'unproven';
  if (holdsDose(state)) return 'stabilised';
  if (verdict !== null && (verdict.unreadWarmDays ?? 0) >= UNREAD_DAYS) return 'unread';
  if (verdict === null || !provesFinished(verdict.status)) return 'unproven';
  return verdict.status === 'finished-dry' || state.tested !== null ? 'proven' : 'ended-high';
}

/** Whether anything speaks for sealing a batch. */
export const maySeal = (state: BatchState, verdict: Verdict | null): boolean => !['unproven', 'unread'].includes(sealWay(state, verdict));

/** Why a batch may not be sealed, in words. */
export function unprovenWords(state: BatchState, verdict: Verdict | null): string {
  if (hasFruitIn(state)) return FRUIT_IN;
  const word = verdict ? STATUS_WORDS[verdict.status] : 'no yeast yet';
  const since = state.wokenAt !== null ? ' Sugar went in after its end was proven, so it must be proven again.' : '';
  const dose = state.notStabilised ? ` The sulfite and sorbate in it do not count: ${state.notStabilised.why}.` : '';
  const next = verdict ? ` ${verdict.next.text}` : '';
  return `Its end is not proven (${word}), so it cannot be sealed in bottles.${since}${dose}${next} Equal readings over a week prove an end, over two where nobody saw it fall; a cold keg takes it meanwhile.`;
}
