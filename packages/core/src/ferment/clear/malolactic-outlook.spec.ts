import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { malolactic } from '../../matter/liquid/add-acid.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { malolacticOutlook, turnedFromTa } from './malolactic-outlook.js';

const of = (taGPerL: number, ph: number): ReturnType<typeof liquidFromReadings> => liquidFromReadings({ volumeL: 20, sg: 1.05, taGPerL, ph });

describe('malolacticOutlook', () => {
  it('takes one of the two acid groups of every malic molecule, also of those that potash had half tied', () => {
    const liquid = of(8, 3.2);
    const { now, after } = malolacticOutlook(liquid).value;
    expect(after.taGPerL).toBeCloseTo(now.taGPerL - liquid.malicGPerL / 2, 1);
    expect(after.taGPerL).toBeLessThan(now.taGPerL / 2);
    expect(after.ph).toBeGreaterThan(now.ph);
  });
  it.each([
    [9, 3.2, /sharp a cider gains/],
    [5, 3.3, /taste flat/],
    [4, 3.75, /keep badly/],
  ])('advises on %d g/L at pH %d', (ta, ph, words) => expect(malolacticOutlook(of(ta, ph)).value.advice).toMatch(words));
});

describe('turnedFromTa', () => {
  it.each([0, 0.3, 0.8, 1])('finds back %d', (share) => {
    const liquid = of(7, 3.4);
    expect(turnedFromTa(liquid, taOf(malolactic(liquid, share)))).toBeCloseTo(share, 3);
  });
  it('asks to measure again where it cannot be', () => {
    expect(() => turnedFromTa(of(7, 3.4), 8)).toThrow(/only takes acid away/);
    expect(() => turnedFromTa(of(7, 3.4), 1)).toThrow(/Measure again/);
  });
});
