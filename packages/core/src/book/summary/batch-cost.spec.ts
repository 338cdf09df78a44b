import { logOf } from '../../testing/made-logs.js';
import { drinkCost, pricePerUnit, type Prices } from './batch-cost.js';
import { foldOf } from './batch-summary.js';

const make = logOf();
const prices: Prices = { perLitre: new Map([['J', 1.5]]), perUnit: new Map([['Y', 0.8], ['S', null]]) }; // prettier-ignore
const bottled = make.bottled(30, { count: 20, kindId: 'crown-500' });
/** 20 L of juice with a packet, ten litres of it in bottle and the rest still standing, its loss gone. */
const summary = { ...foldOf([...make.dryAt(0.998), bottled]), poured: [{ id: 'J', amount: 20 }], used: [{ id: 'Y', amount: 1 }] };

describe('what a drink cost', () => {
  it('is what was paid for its juice and its packets over what came of it', () => {
    const madeL = 10 + (summary.state.liquid?.volumeL ?? 0);
    expect(madeL).toBeLessThan(20);
    expect(drinkCost(summary, prices)).toEqual({ perLitre: (20 * 1.5 + 0.8) / madeL, unpriced: 0 });
  });
  it('says how much of it has no price', () => {
    expect(drinkCost({ ...summary, used: [...summary.used, { id: 'S', amount: 4 }, { id: 'gone', amount: 1 }] }, prices)?.unpriced).toBe(2);
    expect(drinkCost({ ...summary, poured: [] }, prices)).toMatchObject({ unpriced: 1 });
    const poured = { id: 'B2', from: 'batch' as const, name: 'Row', litres: 2 };
    expect(drinkCost({ ...summary, from: [poured] }, prices)?.unpriced).toBe(1);
  });
  it('is not told where nothing has a price, or nothing came of it', () => {
    expect(drinkCost(summary, { perLitre: new Map(), perUnit: new Map() })).toBeNull();
    expect(drinkCost({ ...summary, state: { ...summary.state, crates: [], liquid: null } }, prices)).toBeNull();
  });
  it('is of one unit what was paid for all of them', () => {
    expect(pricePerUnit({ amount: 5, paid: 4 })).toBe(0.8);
    expect(pricePerUnit({ amount: 5, paid: 0 })).toBe(0);
    expect([pricePerUnit({ amount: 5 }), pricePerUnit({ amount: 0, paid: 4 })]).toEqual([null, null]);
  });
});
