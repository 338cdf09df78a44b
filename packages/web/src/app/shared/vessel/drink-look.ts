import type { BatchState } from '@trug/core';
import { isWorking, type Verdict } from '@trug/core/ferment/verdict/verdict';
import { daysBetween } from '@trug/core/matter/quantity/days';
import type { DrinkLook } from './vessel';

/** How fast a drink clears once it rests, and how deep its lees lie. @source our estimate, for drawing only */
const CLEARS_IN_DAYS = 60;
const LEES_MM = 30;
const LEES_AFTER_RACKING_MM = 9;

/**
 * What a batch looks like in its vessel.
 *
 * @param state - the batch
 * @param verdict - its verdict
 * @param now - ISO 8601
 * @returns colour, haze, sediment and whether it bubbles
 */
export function drinkLook(state: BatchState, verdict: Verdict | null, now: string): DrinkLook {
  const fruit = state.lastLiquid?.fruit ?? 'apple';
  if (!state.pitchedAt) return { fruit, haze: 0.9, sedimentMm: 0, working: false };
  const status = verdict?.status;
  const working = isWorking(status) || (status === 'too-few-readings' && (state.readings.length < 2 || state.wokenAt !== null));
  const days = daysBetween(state.rackedAt ?? state.pitchedAt, now);
  const haze = working ? 0.85 : Math.max(0.05, 0.7 - days / CLEARS_IN_DAYS);
  return { fruit, haze, sedimentMm: state.rackedAt ? LEES_AFTER_RACKING_MM : Math.min(LEES_MM, 4 + days), working };
}
