import type { Entry } from '../entry/entry.js';
import { suppliesOf } from '../entry/entry-kinds.js';
import type { Amount } from '../kinds/kind.js';
import { summed } from './sum-over-logs.js';

/**
 * How much of each supply a log has used. What is left is never stored, so a struck-out entry puts its packet back.
 *
 * @param entries - of a batch, as they now stand
 * @returns amounts by supply, in each supply's own unit
 */
export function suppliesUsed(entries: readonly Entry[]): readonly Amount[] {
  return summed(entries.flatMap(suppliesOf).map(({ supplyId, amount }) => ({ id: supplyId, amount })));
}

/** How a supply is counted. */
export type SupplyUnit = 'packet' | 'g' | 'tablet' | 'mL' | 'bottle';

/** Packets are opened by halves, since a rest folded shut keeps a little while. @source our estimate of how makers count */
const PACKET_SHARES = 2;

/**
 * What an amount is in a supply's own unit, such as packets of 5 g.
 *
 * @param need - g, mL or tablets wanted
 * @param supply - its unit, g in a packet where it is counted so, and what is left of it
 * @returns how much of the supply that takes, never more than is left; null when it cannot be counted so
 */
export function shareOfSupply(
  need: { readonly amount: number; readonly unit: 'g' | 'mL' | 'tablet' },
  supply: { readonly unit: SupplyUnit; readonly packetG: number | null; readonly left: number },
): number | null {
  if (!(need.amount > 0) || !(supply.left > 0)) return null;
  if (supply.unit === need.unit) return Math.min(supply.left, need.amount);
  if (supply.unit !== 'packet' || need.unit !== 'g' || supply.packetG === null) return null;
  // A tenth of a packet more or less is the maker's eye, not another packet.
  const packets = Math.ceil((need.amount / supply.packetG) * PACKET_SHARES - 0.2) / PACKET_SHARES;
  return Math.min(supply.left, Math.max(1 / PACKET_SHARES, packets));
}
