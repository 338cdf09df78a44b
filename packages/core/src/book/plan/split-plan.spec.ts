import { litresIn } from '../state/vessel-fill.js';
import { splitPlan, SPLIT_FULL } from './split-plan.js';

const vessels = [
  { vesselId: 'A', volumeL: 12 },
  { vesselId: 'B', volumeL: 6 },
  { vesselId: 'C', volumeL: 2 },
];
const free = [{ id: 'F', capacityL: 5 }];
const asked = { volumeL: 20, vessels, free, eachL: null };

describe('a drink shared out over vessels', () => {
  it('is racked into free ones out of all that stay, and leaves nothing out', () => {
    const { shares, stays, staysL } = splitPlan({ ...asked, picked: ['F'] });
    expect(shares).toEqual([{ vesselId: 'F', volumeL: 5 * SPLIT_FULL }]);
    expect(staysL).toBeCloseTo(20 - 5 * SPLIT_FULL, 9);
    expect(litresIn(stays)).toBeCloseTo(staysL, 9);
    expect((stays[0]?.volumeL ?? NaN) / (stays[1]?.volumeL ?? NaN)).toBeCloseTo(2, 9);
  });
  it('puts as much into each free one as is asked, and says which does not hold it', () => {
    const two = { ...asked, free: [...free, { id: 'G', capacityL: 23 }], picked: ['F', 'G', 'C'] };
    const plan = splitPlan({ ...two, eachL: 4.5 });
    expect(plan.shares.map(({ volumeL }) => volumeL)).toEqual([4.5, 4.5, 2]);
    expect([plan.staysL, plan.tooSmallId]).toEqual([9, null]);
    expect(splitPlan({ ...two, eachL: 5.1 }).tooSmallId).toBe('F');
  });
  it('leaves a vessel of its own as it stands, a lot by itself, and the others untouched', () => {
    const { shares, stays, staysL } = splitPlan({ ...asked, picked: ['B'] });
    expect(shares).toEqual([{ vesselId: 'B', volumeL: 6 }]);
    expect(stays).toEqual([vessels[0], vessels[2]]);
    expect(staysL).toBe(14);
  });
  it('does both at once, and says what is missing where more is taken than there is', () => {
    const both = splitPlan({ ...asked, picked: ['B', 'F'] });
    expect(litresIn(both.shares) + litresIn(both.stays)).toBeCloseTo(20, 9);
    expect(splitPlan({ ...asked, picked: ['A', 'B', 'F'] }).staysL).toBeLessThan(0);
    expect(splitPlan({ ...asked, picked: ['A', 'B', 'C'] })).toMatchObject({ staysL: 0, stays: [] });
    expect(splitPlan({ ...asked, picked: ['gone'] })).toMatchObject({ shares: [], staysL: 20 });
  });
});
