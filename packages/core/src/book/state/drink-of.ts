import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState } from './batch-state.js';

/**
 * What there is to drink or to judge of a batch: what stands in its vessels, what is in the bottles filled last, or what was last there.
 * In bottles the sugar that primed it has fermented.
 *
 * @param state - the batch
 * @returns the drink and the must it came from; null before anything was in it
 */
export function drinkOf(state: BatchState): { readonly liquid: Liquid; readonly must: Liquid | null } | null {
  if (state.liquid) return { liquid: state.liquid, must: state.must };
  const crate = state.crates.at(-1);
  if (crate) return crate.drink;
  return state.lastLiquid && { liquid: state.lastLiquid, must: state.must };
}
