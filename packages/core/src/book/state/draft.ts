import { CoreError } from '../../base/errors/core-error.js';
import type { JudgedEntry } from '../../ferment/verdict/judge-facts.js';
import type { Hint } from '../../ferment/verdict/hints.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import type { BatchState, StateReading } from './batch-state.js';
import { litresIn, type VesselFill } from './vessel-fill.js';

/** The state while a log is folded: the same as the result, but its lists grow in place, so long logs stay quick. */
export interface Draft extends Omit<BatchState, 'readings' | 'temps' | 'judged' | 'hints' | 'feeds' | 'crates' | 'issues' | 'stage'> {
  readonly readings: StateReading[];
  readonly temps: { at: string; tempC: number }[];
  readonly judged: JudgedEntry[];
  readonly hints: Hint[];
  readonly feeds: { at: string; mgNPerL: number }[];
  readonly crates: BatchState['crates'][number][];
  readonly issues: { entryId: string; text: string }[];
  stage: BatchState['stage'];
}

/** What an entry changes. */
export type Patch = Partial<{ -readonly [K in keyof Draft]: Draft[K] }>;

/** What stands in the vessels; refused when there is nothing. */
export function inHand(state: Draft): Liquid {
  if (!state.liquid) throw new CoreError('NOT_ALLOWED', 'there is nothing in the vessels of this batch');
  return state.liquid;
}

/** Fills scaled to a new volume in all. */
export function scaled(vessels: readonly VesselFill[], volumeL: number): readonly VesselFill[] {
  const total = litresIn(vessels);
  return total > 0 ? vessels.map((v) => ({ ...v, volumeL: (v.volumeL * volumeL) / total })) : vessels;
}

/** Litres that stand in the vessels, with the pulp in them. */
export const standingL = (state: Draft, liquid: Liquid): number => liquid.volumeL + (state.pulp?.volumeL ?? 0);

/** Less than this in the bottom of a vessel is not worth an airlock. @source estimate */
const DREGS_L = 1;

/** What stays after some of the drink has left its vessels; dregs count as empty. */
export function emptied(state: Draft, left: Liquid): Patch {
  const gone = left.volumeL < DREGS_L;
  return { liquid: gone ? null : left, lastLiquid: gone ? state.lastLiquid : left, vessels: gone ? [] : scaled(state.vessels, standingL(state, left)) };
}
