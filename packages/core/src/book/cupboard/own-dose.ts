import { inOrderOfUse, type SupplyInHand } from './supply-for.js';

/**
 * What the maker's own packet asks for: of those of a kind that are there, the one that is used first and says so.
 *
 * @param supplies - the cupboard
 * @param kind - what goes in
 * @param at - when, ISO 8601
 * @returns g in a litre; null where no packet says
 */
export const ownDoseGPerL = (supplies: readonly SupplyInHand[], kind: string, at: string): number | null =>
  inOrderOfUse(supplies, at).find((s) => s.kind === kind && s.left > 0 && s.doseGPerL !== undefined)?.doseGPerL ?? null;
