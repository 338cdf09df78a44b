import { figure } from '../../base/worked/figures.js';
import { isFullDose } from '../../finish/bottle/stabilise-dose.js';
import type { SupplyUse } from '../../juice/adjust/addition-payload.js';
import { addSulfite } from '../../matter/liquid/additions.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState } from '../state/batch-state.js';
import { CLEAR, refuse, type Kind } from './kind.js';
import { GERANIUM } from './malolactic.js';
import { justWoken } from '../state/sealing.js';
import { both, isProven } from './sugar-moves.js';

/** Sulfite and sorbate together. */
export interface StabilisedPayload {
  readonly so2MgPerL: number;
  readonly sorbateMgPerL: number;
  readonly supplies?: readonly SupplyUse[] | undefined;
}

/** Why sulfite and sorbate do not stabilise a drink, in words. */
export const NOT_STABILISED = {
  unproven: 'its end was not proven',
  'on-lees': 'it still stood on its lees',
  malolactic: 'the malolactic change was under way',
  dose: 'the dose was less than it takes',
} as const;

/** One of the reasons. */
export type NotStabilised = keyof typeof NOT_STABILISED;

/**
 * Why sulfite and sorbate would not stabilise a drink as it stands.
 *
 * @param state - the fold so far
 * @param at - when, ISO 8601
 * @param dose - what goes in, mg/L
 * @returns the reason; null when they would
 */
export function whyNotStabilised(state: BatchState, at: string, dose: StabilisedPayload): NotStabilised | null {
  if (!justWoken(state, at) && !isProven(state, at)) return 'unproven';
  if (state.rackedAt === null) return 'on-lees';
  if (state.malolactic?.done === false) return 'malolactic';
  if (!state.liquid || !isFullDose(state.liquid, dose, !state.guessed.includes('ph'))) return 'dose';
  return null;
}

/** The drink with both stirred in. */
export const withBoth = (liquid: Liquid, { so2MgPerL, sorbateMgPerL }: StabilisedPayload): Liquid => ({
  ...addSulfite(liquid, so2MgPerL),
  sorbateMgPerL: liquid.sorbateMgPerL + sorbateMgPerL,
});

export const stabilised: Kind<StabilisedPayload> = {
  offThePulp: true,
  // Counted as stabilised only in full, on a racked drink whose end was proven.
  apply: (state, { at, payload }) => {
    const why = whyNotStabilised(state, at, payload);
    const patch = both(state, (l) => withBoth(l, payload));
    return why === null ? { ...patch, stabilisedAt: at, notStabilised: null } : { ...patch, notStabilised: { at, why: NOT_STABILISED[why] } };
  },
  words: ({ payload }) => ({
    lead: 'Sulfite and sorbate',
    rest: `${figure(payload.so2MgPerL, 0)} mg/L sulfite, ${figure(payload.sorbateMgPerL, 0)} mg/L sorbic acid`,
  }),
  check: (state, _verdict, { payload }) =>
    payload.sorbateMgPerL > 0 && state.malolactic?.done === false
      ? refuse(`The malolactic change is under way. ${GERANIUM} Let it end, or stop it with sulfite and wait two weeks, before sorbate goes in.`)
      : CLEAR,
  onTheDrink: true,
  supplies: ({ supplies = [] }) => supplies,
};
