import { fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { replay } from '../log/replay.js';
import type { BatchState } from './batch-state.js';
import { workedFromMust } from './worked-from-must.js';

const make = logOf();
const { read } = make;
/** 20 L of a must at 1.048, at work. */
const begun = [make.filled(), make.pitched(), read(5, 1.03)];
const sugared = (day: number, massG: number): Entry => make.entry('sweetened', day, { sweetenerId: 'dextrose-anhydrous', massG });
const stateOf = (...more: readonly Entry[]): BatchState => replay([...begun, ...more]);
const sugarOf = ({ liquid }: BatchState): number => (liquid ? fermentableGPerL(liquid) : NaN);
/** A gravity point in sugar, were it nothing but that, g/L. */
const POINT = 2.24;

describe('a drink as a reading shows it', () => {
  const honest = stateOf(read(12, 1.01));

  it.each([
    ['mistyped far too high', 1.09],
    ['of another must, not begun', 1.0525],
    ['mistyped far too low', 0.985],
    ['of another drink, dry', 0.992],
    ['a point off', 1.029],
  ])('does not hang on an earlier one that was %s', (_what, sg) => {
    const { liquid, must } = stateOf(read(9, sg), read(12, 1.01));
    expect(liquid).toEqual(honest.liquid);
    expect(must).toEqual(honest.must);
  });
  it('is at that gravity, whatever it is, with the strength of what fermented', () => {
    for (const sg of [1.09, 1.03, 0.998, 0.985]) expect(gravityOf(stateOf(read(12, sg)).liquid ?? never())).toBeCloseTo(sg, 5);
  });
  it('tells of the must where it lies under its end: sugar that comes in later is found above that', () => {
    const [light, usual] = [0.995, 0.9985];
    const dry = stateOf(read(20, light));
    expect(sugarOf(dry)).toBe(0);
    const woken = stateOf(read(20, light), sugared(21, 300), read(22, 0.9985));
    // 15 g/L went in. Fermented, they would bring it a point under where it was; what it reads above that is sugar, less two points of roughness.
    expect(sugarOf(woken)).toBeGreaterThan(2 * POINT);
    expect(sugarOf(woken)).toBeLessThan(15);
    // Read again, it is the same drink: nothing adds up.
    expect(sugarOf(stateOf(read(20, light), read(21, light), sugared(21.5, 300), read(22, 0.9985)))).toBeCloseTo(sugarOf(woken), 1);
    expect(sugarOf(stateOf(read(20, usual), read(21, usual + 0.0005), read(22, usual)))).toBeLessThan(POINT);
  });
  it('tells the forecast the same of the must as the rest', () => {
    const { pitch, must } = stateOf(read(20, 0.995));
    expect(pitch?.liquid.otherSolidsGPerL).toBeCloseTo(must?.otherSolidsGPerL ?? NaN, 6);
    expect(pitch?.liquid.otherSolidsGPerL).toBeLessThan(stateOf(read(20, 0.9985)).pitch?.liquid.otherSolidsGPerL ?? NaN);
    const none: Entry = make.entry('tested', 40, { by: 'sugar-test', sugarGPerL: 0, acknowledged: ['test-disagrees'] });
    const tested = stateOf(none, read(41, 1.004));
    // What a test does not find was never sugar: some 14 g/L of a must that stands at 1.004.
    expect(fermentableGPerL(honest.pitch?.liquid ?? never()) - fermentableGPerL(tested.pitch?.liquid ?? never())).toBeGreaterThan(4 * POINT);
  });
  it('is held against the test by the first reading after it alone: a later one that stands higher shows sugar', () => {
    const none: Entry = make.entry('tested', 40, { by: 'sugar-test', sugarGPerL: 0, acknowledged: ['test-disagrees'] });
    // Three points over what the test was believed at.
    expect(sugarOf(stateOf(none, read(41, 1.004), read(44, 1.007)))).toBeGreaterThan(2 * POINT);
  });
  it('is taken as it stands where nobody wrote down its must', () => {
    const liquid = honest.liquid ?? never();
    const none = { must: null, pitch: null, tested: null, readings: [], judged: [] };
    expect(workedFromMust(none, liquid, 1.008)).toMatchObject({ must: null, pitch: null });
    expect(gravityOf(workedFromMust(none, liquid, 1.008).liquid)).toBeCloseTo(1.008, 5);
  });
  it('believes a test that was made without a reading, and finds what comes in after it', () => {
    const none: Entry = make.entry('tested', 40, { by: 'sugar-test', sugarGPerL: 0, acknowledged: ['test-disagrees'] });
    expect(sugarOf(stateOf(none, read(41, 1.004)))).toBeLessThan(0.01);
    expect(sugarOf(stateOf(none, read(41, 1.004), read(44, 1.004)))).toBeLessThan(0.01);
    expect(sugarOf(stateOf(none, read(41, 1.004), sugared(45, 300), read(46, 1.009)))).toBeGreaterThan(4.5 * POINT * 0.9);
  });
});

function never(): never {
  throw new Error('there is nothing in a vessel');
}
