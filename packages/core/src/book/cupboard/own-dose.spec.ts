import { ownDoseGPerL } from './own-dose.js';
import type { SupplyInHand } from './supply-for.js';

const AT = '2026-11-01T10:00:00.000Z';
const jar = (id: string, changes: Partial<SupplyInHand> = {}): SupplyInHand => ({
  ...{ id, kind: 'enzyme', refId: null, unit: 'g', packetG: null, bestBefore: null, left: 20 },
  ...changes,
});

it('is what the packet says that is used first, where one says anything', () => {
  expect(ownDoseGPerL([], 'enzyme', AT)).toBeNull();
  expect(ownDoseGPerL([jar('A')], 'enzyme', AT)).toBeNull();
  const [soon, later] = [jar('B', { doseGPerL: 0.4, bestBefore: '2027-01-01' }), jar('C', { doseGPerL: 0.9, bestBefore: '2028-01-01' })];
  expect(ownDoseGPerL([later, jar('A'), soon], 'enzyme', AT)).toBe(0.4);
  expect(ownDoseGPerL([later, { ...soon, left: 0 }], 'enzyme', AT)).toBe(0.9);
  expect(ownDoseGPerL([later, soon], 'bentonite', AT)).toBeNull();
});
