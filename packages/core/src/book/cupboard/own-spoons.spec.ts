import { parseQuantity } from '../../matter/typed/parse-quantity.js';
import { kitchenWeights } from './kitchen-weights.js';
import { ownWeights } from './own-spoons.js';
import type { SupplyInHand } from './supply-for.js';

const TODAY = '2026-11-27T10:00:00.000Z';
const jar = (changes: Partial<SupplyInHand>): SupplyInHand => ({
  id: 'J',
  kind: 'sugar',
  refId: 'sucrose',
  unit: 'g',
  packetG: null,
  bestBefore: null,
  left: 500,
  ...changes,
});
const spoons = (supplies: readonly SupplyInHand[], kind = 'sugar', refId: string | null = 'sucrose'): number =>
  parseQuantity('2 tsp', { dimension: 'mass', ...ownWeights(supplies, TODAY)(kind, refId) }).value;

describe('a spoon in the maker’s own kitchen', () => {
  const usual = 2 * (kitchenWeights('sugar', 'sucrose').gramsPerTeaspoon ?? NaN);

  it('weighs what they weighed, of that ingredient alone', () => {
    expect(spoons([jar({ teaspoonG: 5.1 })])).toBeCloseTo(10.2, 9);
    expect(spoons([jar({ teaspoonG: 5.1, refId: 'honey' })])).toBeCloseTo(usual, 9);
    expect(spoons([jar({ teaspoonG: 5.1, kind: 'acid' })])).toBeCloseTo(usual, 9);
    // What is only said to be a nutrient is any of them.
    expect(spoons([jar({ teaspoonG: 3, kind: 'nutrient', refId: null })], 'nutrient', 'organic')).toBeCloseTo(6, 9);
  });
  it('weighs as usual where nobody did, or none is left', () => {
    expect(spoons([jar({})])).toBeCloseTo(usual, 9);
    expect(spoons([jar({ teaspoonG: 5.1, left: 0 })])).toBeCloseTo(usual, 9);
  });
  it('is of the jar that is used first, and changes nothing but spoons', () => {
    const two = [jar({ id: 'A', teaspoonG: 4, bestBefore: '2028-01-01' }), jar({ id: 'B', teaspoonG: 6, bestBefore: '2027-01-01' })];
    expect(spoons(two)).toBeCloseTo(12, 9);
    expect(ownWeights(two, TODAY)('sugar', 'sucrose').gramsPerDrop).toBe(kitchenWeights('sugar', 'sucrose').gramsPerDrop);
  });
});
