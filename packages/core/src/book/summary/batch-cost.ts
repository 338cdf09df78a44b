import { litresOf } from '../state/bottle-count.js';
import type { BatchSummary } from './batch-summary.js';

/** What was paid for the things a batch is made of. */
export interface Prices {
  /** Of each juice, for a litre; null where nobody said. */
  readonly perLitre: ReadonlyMap<string, number | null>;
  /** Of each supply, for one of its unit; null where nobody said. */
  readonly perUnit: ReadonlyMap<string, number | null>;
}

/** What a litre of a drink cost, as far as prices are known. */
export interface DrinkCost {
  readonly perLitre: number;
  /** Things in it that have no price. */
  readonly unpriced: number;
}

/** What a supply cost, for one of its unit. */
export const pricePerUnit = ({ amount, paid }: { readonly amount: number; readonly paid?: number | undefined }): number | null =>
  paid === undefined || amount <= 0 ? null : paid / amount;

/**
 * What a litre of a batch cost: its juices and what it took out of the cupboard, over what came of it in bottles, keg and vessels. What was
 * lost is paid for as well.
 *
 * @param summary - of the batch
 * @param prices - as far as they are known
 * @returns null where nothing of it has a price, or nothing came of it
 */
export function drinkCost({ state, poured, used, from }: Pick<BatchSummary, 'state' | 'poured' | 'used' | 'from'>, prices: Prices): DrinkCost | null {
  const juices = poured.map(({ id, amount }) => ({ amount, price: prices.perLitre.get(id) ?? null }));
  const supplies = used.map(({ id, amount }) => ({ amount, price: prices.perUnit.get(id) ?? null }));
  const all = [...juices, ...supplies];
  const priced = all.filter(({ price }) => price !== null);
  const bottledL = litresOf(state.crates.flatMap(({ lots }) => lots.map(({ kindId, filled }) => ({ kindId, count: filled }))));
  const madeL = bottledL + (state.liquid?.volumeL ?? 0);
  if (priced.length === 0 || madeL <= 0) return null;
  // A drink poured in from another batch was paid for there, and a must that was bought for it alone has no juice of its own.
  const others = from.filter((part) => part.from === 'batch').length + (poured.length === 0 ? 1 : 0);
  return {
    perLitre: priced.reduce((sum, { amount, price }) => sum + amount * (price ?? 0), 0) / madeL,
    unpriced: all.length - priced.length + others,
  };
}
