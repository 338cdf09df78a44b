import type { Weights } from '../../matter/typed/parse-quantity.js';
import { kitchenWeights } from './kitchen-weights.js';
import { inOrderOfUse, type SupplyInHand } from './supply-for.js';

/** What a spoon, a tablet or a lemon weighs of an ingredient, by its kind and which of it. */
export type WeightsOf = (kind: string, refId: string | null) => Weights;

/**
 * What spoons weigh in a maker's own kitchen: as they weighed them of what they have, and as usual of all else.
 *
 * @param supplies - everything in the cupboard
 * @param today - ISO 8601
 * @returns the weights of an ingredient; a spoon of it by the packet that is used first
 */
export function ownWeights(supplies: readonly SupplyInHand[], today: string): WeightsOf {
  const spooned = inOrderOfUse(
    supplies.filter((s) => s.teaspoonG !== undefined && s.left > 0),
    today,
  );
  return (kind, refId) => {
    const usual = kitchenWeights(kind, refId);
    const own = spooned.find((s) => s.kind === kind && (refId === null || s.refId === null || s.refId === refId));
    return own ? { ...usual, gramsPerTeaspoon: own.teaspoonG } : usual;
  };
}
