import { supplyFor, type Need, type SupplyInHand } from './supply-for.js';

const TODAY = '2026-11-23T10:00:00Z';
const packets = (id: string, bestBefore: string | null, left = 3): SupplyInHand => ({
  id,
  kind: 'yeast',
  refId: 'crisp-cider',
  unit: 'packet',
  packetG: 5,
  bestBefore,
  left,
});
const need: Need = { kind: 'yeast', refId: 'crisp-cider', amount: 5, unit: 'g' };
const taken = (...supplies: readonly SupplyInHand[]): string | undefined => supplyFor(need, supplies, TODAY)?.supply.id;

describe('supplyFor', () => {
  it('takes what goes off first, in whatever order the cupboard is, and what keeps last', () => {
    expect(taken(packets('keeps', null), packets('later', '2028-01-01'), packets('soon', '2027-01-01'))).toBe('soon');
    expect(taken(packets('keeps', null), packets('later', '2028-01-01'))).toBe('later');
  });
  it('takes what is past its date only where nothing else is left, the freshest first, and says so', () => {
    const gone = packets('gone', '2026-11-22');
    expect(supplyFor(need, [packets('today', '2026-11-23')], TODAY)).toMatchObject({ supply: { id: 'today' }, isPast: false });
    expect(taken(gone, packets('keeps', null))).toBe('keeps');
    expect(supplyFor(need, [packets('older', '2024-05-01'), gone], TODAY)).toMatchObject({ supply: { id: 'gone' }, isPast: true });
  });
  it('passes by what is empty or another kind', () => {
    expect(taken(packets('empty', '2027-01-01', 0), packets('full', null))).toBe('full');
    expect(taken({ ...packets('other', null), refId: 'english-ale' })).toBeUndefined();
  });
  it('says how much of it goes', () => {
    expect(supplyFor({ ...need, amount: 7 }, [packets('p', null)], TODAY)?.use).toEqual({ supplyId: 'p', amount: 1.5 });
  });
});
