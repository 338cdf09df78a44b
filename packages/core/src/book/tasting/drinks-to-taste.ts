import { bottleById } from '../../base/reference/bottle-kinds.js';
import { CoreError } from '../../base/errors/core-error.js';
import { countText } from '../../matter/quantity/count-text.js';
import type { DiscardedPayload } from '../kinds/discarded.js';
import type { OpenedPayload } from '../kinds/opened.js';
import type { BatchState, Crate } from '../state/batch-state.js';

/** A drink that can be poured: out of a vessel or a keg, or out of one crate. */
export interface DrinkToTaste {
  readonly batchId: string;
  readonly name: string;
  readonly from: 'vessel' | 'keg' | Pick<Crate, 'id' | 'capColour' | 'bottledAt' | 'lots'>;
}

/** What it is known by beside others: a batch may be in bottle twice, and in its vessel still. */
export const drinkKey = ({ batchId, from }: DrinkToTaste): string => (typeof from === 'string' ? batchId : `${batchId}/${from.id}`);

/**
 * What can be poured of a batch.
 *
 * @param batch - its id and name
 * @param state - as replayed
 * @returns what stands in a vessel or keg once yeast went in and off its pulp, then each crate with bottles left
 */
export function drinksOf({ id, name }: { readonly id: string; readonly name: string }, state: BatchState): readonly DrinkToTaste[] {
  const standing =
    state.liquid !== null && state.pitchedAt !== null && !state.pulp ? [{ batchId: id, name, from: state.keg ? ('keg' as const) : ('vessel' as const) }] : [];
  const crates = state.crates
    .filter((crate) => crate.lots.some((lot) => lot.left > 0))
    .map(({ id: crateId, capColour, bottledAt, lots }) => ({ batchId: id, name, from: { id: crateId, capColour, bottledAt, lots } }));
  return [...standing, ...crates];
}

/** What leaves a batch when it is poured. */
export type Poured = { readonly kind: 'opened'; readonly payload: OpenedPayload } | { readonly kind: 'discarded'; readonly payload: DiscardedPayload };

/**
 * What a tasting takes of a drink: whole bottles out of its crate, or so much out of its vessel.
 *
 * @param drink - which
 * @param litres - poured for all who taste, L
 * @param standingL - in its vessel, L; not looked at for a crate
 * @returns what is filed for it
 * @throws {CoreError} NOT_ALLOWED where there is less of it
 */
export function takenToTaste({ from, name }: DrinkToTaste, litres: number, standingL: number): Poured {
  if (typeof from === 'string') {
    if (litres > standingL) throw new CoreError('NOT_ALLOWED', `There are only ${standingL.toFixed(1)} L of ${name}`, { standingL });
    // To the millilitre.
    return { kind: 'discarded', payload: { volumeL: Math.round(litres * 1000) / 1000, why: 'drunk side by side with others' } };
  }
  // Of several sizes the one that leaves least over.
  const enough = from.lots
    .filter(({ left }) => left > 0)
    .map(({ kindId, left }) => ({ kindId, left, count: Math.ceil((litres * 1000) / bottleById(kindId).sizeMl - 1e-9) }))
    .filter(({ count, left }) => count <= left)
    .sort((a, b) => a.count * bottleById(a.kindId).sizeMl - b.count * bottleById(b.kindId).sizeMl);
  const [least] = enough;
  if (!least) {
    const left = from.lots.reduce((sum, lot) => sum + lot.left, 0);
    throw new CoreError('NOT_ALLOWED', `There ${left === 1 ? 'is' : 'are'} only ${countText(left, 'bottle')} of ${name} left: pour less, or for fewer`, {
      left,
    });
  }
  return { kind: 'opened', payload: { kindId: least.kindId, count: Math.max(1, least.count), crateId: from.id } };
}
