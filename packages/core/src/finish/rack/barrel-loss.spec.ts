import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { barrelLoss } from './barrel-loss.js';

const lost = (capacityL: number, days: number, tempC = 15): number => barrelLoss({ capacityL, days, tempC }).value.likelyL;

describe('what a barrel loses through its wood', () => {
  it('is a twentieth of 225 L in a cellar year', () => {
    expectWithin(lost(225, 365), 11.25, { abs: 1e-9 });
  });
  it('is more to the litre the smaller it is: of an eighth of the size twice as much', () => {
    expectWithin(lost(225 / 8, 365) / (225 / 8), 0.1, { abs: 1e-9 });
  });
  it('grows with warmth and with time, and is known to a half or the double', () => {
    expect(lost(30, 60, 22)).toBeGreaterThan(lost(30, 60, 12));
    expectWithin(lost(30, 60), 2 * lost(30, 30), { abs: 1e-9 });
    const { leastL, likelyL, mostL } = barrelLoss({ capacityL: 30, days: 60, tempC: 15 }).value;
    expect([likelyL / leastL, mostL / likelyL]).toEqual([2, 2]);
  });
  it('is nothing on its first day, never more than half, and of no impossible barrel', () => {
    expect(lost(30, 0)).toBe(0);
    expect(lost(5, 20_000, 35)).toBe(2.5);
    expect(refusalCode(() => lost(-5, 30))).toBe('OUT_OF_RANGE');
  });
});
