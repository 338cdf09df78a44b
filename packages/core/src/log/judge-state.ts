import { judgeFermentation } from '../ferment/judge-fermentation.js';
import { provesFinished, type Verdict } from '../ferment/verdict.js';
import type { Liquid } from '../liquid/liquid.js';
import { yeastById } from '../reference/yeast-kinds.js';
import type { Worked } from '../worked/worked.js';
import type { BatchState } from './batch-state.js';

/**
 * The verdict on a replayed batch.
 *
 * @param state - the batch
 * @param today - ISO 8601
 * @returns the judgement; null before yeast and after bottling
 */
export function judgeState(state: BatchState, today: string): Worked<Verdict> | null {
  if (!state.pitchedAt || !state.must || !state.yeastId || !state.liquid || state.keg) return null;
  return judgeFermentation({
    readings: state.readings,
    liquid: state.must,
    yeast: yeastById(state.yeastId),
    temps: state.temps,
    today,
    entries: state.judged,
    hints: state.hints,
    zone: state.zone,
  });
}

/**
 * What will go into bottles. Where two equal readings prove it dry, the little sugar the sums still find is
 * unfermentable matter that was guessed too low, and counts as such; sugar kept by sulfite and sorbate together
 * stays too. In every other case it can still ferment.
 *
 * @param state - the batch
 * @param verdict - its verdict
 * @returns the liquid to reckon fizz from
 */
export function liquidToBottle(state: BatchState, verdict: Verdict | null): Liquid | null {
  const { liquid } = state;
  const stabilised = liquid !== null && liquid.sorbateMgPerL > 0 && liquid.totalSo2MgPerL > 0;
  if (!liquid || (verdict?.status !== 'finished-dry' && !stabilised)) return liquid;
  return { ...liquid, otherSolidsGPerL: liquid.otherSolidsGPerL + liquid.sucroseGPerL + liquid.hexoseGPerL, sucroseGPerL: 0, hexoseGPerL: 0 };
}

/**
 * Whether a batch may be sealed at all.
 *
 * @param state - the batch
 * @param verdict - its verdict
 * @returns true when its end is proven, or it was stabilised after being proven
 */
export function maySeal(state: BatchState, verdict: Verdict | null): boolean {
  return verdict !== null && (provesFinished(verdict.status) || state.stabilisedAt !== null);
}
