import fc from 'fast-check';
import { CoreError } from '../../base/errors/core-error.js';
import { feedOf, usualFeedG } from './feed.js';
import { NUTRIENTS } from './nutrient-plan.js';

describe('feedOf', () => {
  it('reckons nitrogen from the molar mass of diammonium phosphate', () => {
    // (NH4)2HPO4 is 132.06 g/mol and 2 × 14.007 of it nitrogen.
    const share = (2 * 14.007) / 132.06;
    expect(feedOf({ productId: 'mineral', massG: 5, volumeL: 20 }).mgNPerL).toBeCloseTo((5 * share * 1000) / 20, 0);
  });
  it('warns above the most usually given, and not at it', () => {
    expect(feedOf({ productId: 'mineral', massG: 6, volumeL: 20 }).says).toBe('64 mg/L of nitrogen.');
    expect(feedOf({ productId: 'mineral', massG: 8, volumeL: 20 }).says).toContain('more than 6.0 g, the most usually given');
  });
  it('gives a usual feed of 50 mg/L at most, that is never over', () => {
    fc.assert(
      fc.property(fc.constantFrom(...NUTRIENTS.map((n) => n.id)), fc.double({ min: 1, max: 500, noNaN: true }), (productId, volumeL) => {
        const { mgNPerL, says } = feedOf({ productId, massG: usualFeedG(productId, volumeL), volumeL });
        expect(mgNPerL).toBeLessThanOrEqual(50.001);
        expect(mgNPerL).toBeGreaterThan(20);
        expect(says).not.toContain('more than');
      }),
    );
  });
  it('says when it is too late, after a third of the sugar', () => {
    const says = (fermentedFraction: number): string => feedOf({ productId: 'organic', massG: 5, volumeL: 20, fermentedFraction }).says;
    expect(says(0.3)).not.toContain('takes no more');
    expect(says(0.4)).toContain('More than a third of the sugar is gone');
  });
  it('refuses what it does not know, and less than nothing', () => {
    expect(() => usualFeedG('bread', 20)).toThrow(CoreError);
    expect(() => feedOf({ productId: 'organic', massG: -1, volumeL: 20 })).toThrow(CoreError);
  });
});
