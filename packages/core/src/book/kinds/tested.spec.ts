import { SUGAR_TEST_SD_G_PER_L } from '../../finish/bottle/sealed-gas.js';
import { fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { logOf, rawGravity } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import type { BatchState } from '../state/batch-state.js';
import { judgeState } from '../state/judge-state.js';
import { hasFreshReading } from '../state/sugar-known.js';
import { sugarFound, type SugarTest } from './tested.js';

const make = logOf();
const { read } = make;
/** 20 L at 1.048 that stands high: the sums find sugar in it. */
const high = [make.filled(), make.pitched(), read(7, 1.02), read(20, 1.0105), read(36, 1.0105)];
const forced = (from: number, to: number, days = 7, tempC = 25): SugarTest => ({
  by: 'forced-ferment',
  before: rawGravity(from),
  after: rawGravity(to),
  days,
  tempC,
});
const sugarTest = (sugarGPerL: number): SugarTest => ({ by: 'sugar-test', sugarGPerL });
const tested = (day: number, test: SugarTest, acknowledged: readonly string[] = []): Entry => make.entry('tested', day, { ...test, acknowledged });
const liquidOf = ({ liquid }: BatchState): Liquid => {
  if (!liquid) throw new Error('there is nothing in a vessel');
  return liquid;
};
/** By the scales, whichever sugar it is. */
const dissolvedSugar = ({ sucroseGPerL, hexoseGPerL }: Liquid): number => sucroseGPerL + hexoseGPerL;
const sugarOf = (log: readonly Entry[]): number => fermentableGPerL(liquidOf(replay(log)));

describe('the sugar that a test finds', () => {
  it('is 2.24 g/L for each point the sample fell, and never less than none', () => {
    expect(sugarFound(forced(1.01, 1.005), null)).toBeCloseTo(11.2, 1);
    expect(sugarFound(forced(1.0, 1.001), null)).toBe(0);
    expect(sugarFound(sugarTest(3.5), null)).toBe(3.5);
  });
  it('is what the sums believe from then on, as well as the test can tell', () => {
    expect(sugarOf(high)).toBeGreaterThan(20);
    const bySample = replay([...high, tested(36.1, forced(1.0105, 1.007))]);
    expect(fermentableGPerL(liquidOf(bySample))).toBeCloseTo(7.84, 1);
    // Two readings of one sample with one stem, 0.0007 of it.
    expect(bySample.tested?.sdGPerL).toBeCloseTo(1.57, 2);
    const byTest = replay([...high, tested(36.1, sugarTest(4))]);
    expect(byTest.tested).toEqual({ at: make.at(36.1), leftGPerL: 4, sdGPerL: SUGAR_TEST_SD_G_PER_L });
    expect(fermentableGPerL(liquidOf(byTest))).toBeCloseTo(4, 9);
  });
});

describe('what a test does not find', () => {
  it('is other matter where the gravity was read with it: nothing that weighs is lost, and no strength comes of it', () => {
    const [before, after] = [replay(high), replay([...high, tested(36.1, sugarTest(4))])];
    const [was, is] = [liquidOf(before), liquidOf(after)];
    expect(gravityOf(is)).toBeCloseTo(gravityOf(was), 3);
    expect(is.ethanolGPerL).toBeCloseTo(was.ethanolGPerL, 9);
    expect(is.otherSolidsGPerL).toBeCloseTo(was.otherSolidsGPerL + dissolvedSugar(was) - 4, 9);
    expect(is.sucroseGPerL).toBe(0);
    expect(after.lastLiquid).toEqual(is);
  });
  it('was no sugar when it went to yeast either', () => {
    const [before, after] = [replay(high), replay([...high, tested(36.1, sugarTest(4))])];
    const gone = dissolvedSugar(liquidOf(before)) - 4;
    for (const [was, is] of [
      [before.must, after.must],
      [before.pitch?.liquid, after.pitch?.liquid],
    ]) {
      if (!was || !is) throw new Error('it went to yeast');
      expect(is).toMatchObject({ sucroseGPerL: 0, ethanolGPerL: was.ethanolGPerL });
      expect(is.hexoseGPerL).toBeCloseTo(dissolvedSugar(was) - gone, 9);
      expect(is.otherSolidsGPerL).toBeCloseTo(was.otherSolidsGPerL + gone, 9);
    }
  });
  it('may as well have fermented where nobody read, and the strength follows', () => {
    const unread = [make.filled(), make.pitched(), read(7, 1.03)];
    const [was, is] = [liquidOf(replay(unread)), liquidOf(replay([...unread, tested(12, sugarTest(20))]))];
    expect(fermentableGPerL(is)).toBeCloseTo(20, 6);
    // 0.489 g of alcohol, at the least, for each gram of sugar gone: a little less is grown into yeast.
    expect(is.ethanolGPerL - was.ethanolGPerL).toBeGreaterThan(0.42 * (fermentableGPerL(was) - 20));
    expect(is.otherSolidsGPerL - was.otherSolidsGPerL).toBeLessThan(6);
    expect(replay([...unread, tested(12, sugarTest(20))]).must).toEqual(replay(unread).must);
  });
  it('shows no fall where a test before it agrees within their doubt, however long ago both were', () => {
    const once = [...high, tested(36.1, forced(1.0105, 1.0095))];
    const [was, is] = [once, [...once, tested(100, sugarTest(0))]].map((log) => liquidOf(replay(log))) as [Liquid, Liquid];
    expect([fermentableGPerL(is), is.ethanolGPerL]).toEqual([0, expect.closeTo(was.ethanolGPerL, 9)]);
    expect(gravityOf(is)).toBeCloseTo(gravityOf(was), 4);
    // Twelve grams lie beyond the doubt of two tests: they fermented.
    const far = liquidOf(replay([...high, tested(36.1, forced(1.0105, 1.005)), tested(100, sugarTest(0))]));
    expect(gravityOf(far)).toBeLessThan(1.0105 - 0.004);
  });
  it('does not make sugar of what was never there, nor of more than the sums have', () => {
    const more = sugarOf(high) + 6;
    expect(sugarOf([...high, tested(36.1, sugarTest(more))])).toBeCloseTo(more, 6);
    const unread = [make.filled(), make.pitched(), read(7, 1.03)];
    const found = sugarOf(unread) + 6;
    expect(sugarOf([...unread, tested(12, sugarTest(found))])).toBeCloseTo(found, 6);
  });
  it('takes the weighed sugar with it: the test found that too', () => {
    const primed = [...make.dryAt(0.9975), make.primed(28)];
    expect(replay(primed).weighedGPerL).toBeGreaterThan(6);
    expect(replay([...primed, tested(28.1, sugarTest(7))]).weighedGPerL).toBe(0);
  });
});

describe('whether a reading belongs to a test', () => {
  const reading = { id: 'R', at: make.at(10), sg: 1.01 };
  it.each<[string, number | null, number]>([
    ['of the same day', null, 10],
    ['of two days before', null, 12],
    ['from before something went in', 10.5, 11],
    ['from after something went in', 9, 11],
    ['at the very hour something went in', 10, 11],
  ])('%s', (what, movedOn, day) => {
    const judged = movedOn === null ? [] : [{ at: make.at(movedOn), kind: 'gravity-changed' as const, deltaSg: 0.001, sugarless: false }];
    const { readings } = replay([make.filled(), make.pitched(), read(10, 1.01)]);
    expect(readings.at(-1)?.at).toBe(reading.at);
    expect(hasFreshReading({ readings, judged }, make.at(day))).toBe(!what.includes('before something'));
  });
  it('of a drink that stood still for a week at least, for as long as it was seen to', () => {
    const since = (...log: readonly (readonly [day: number, sg: number])[]): ((day: number) => boolean) => {
      const { readings } = replay([make.filled(), make.pitched(), ...log.map(([day, sg]) => read(day, sg))]);
      return (day) => hasFreshReading({ readings, judged: [] }, make.at(day));
    };
    const still = since([20, 1.0105], [30, 1.0095], [34, 1.01]);
    expect([36, 37, 48, 49].map(still)).toEqual([true, true, true, false]);
    expect(since([20, 1.0105], [26, 1.0105])(29)).toBe(false);
    expect(since([20, 1.014], [34, 1.0105])(37)).toBe(false);
    const { readings } = replay([make.filled(), make.pitched(), read(20, 1.01), read(34, 1.01)]);
    const fed = [{ at: make.at(33), kind: 'gravity-changed' as const, deltaSg: 0.002, sugarless: false }];
    expect(hasFreshReading({ readings, judged: fed }, make.at(37))).toBe(false);
  });
  it('not when it is older, was of another time, or there is none', () => {
    const { readings } = replay([make.filled(), make.pitched(), read(4, 1.03), read(10, 1.01)]);
    expect(hasFreshReading({ readings, judged: [] }, make.at(12.01))).toBe(false);
    expect(hasFreshReading({ readings: [], judged: [] }, make.at(12))).toBe(false);
    const again = [{ at: make.at(11), kind: 'pitched' as const }];
    expect(hasFreshReading({ readings, judged: again }, make.at(12))).toBe(true);
  });
});

describe('what stands against a test', () => {
  const against = (test: SugarTest, acknowledged: readonly string[] = []): ReturnType<typeof checkEntryAgainst> => {
    const state = replay(high);
    return checkEntryAgainst(state, judgeState(state, make.at(37))?.value ?? null, tested(37, test, acknowledged));
  };
  it('is an empty vessel', () => {
    const state = { ...replay(high), liquid: null };
    expect(checkEntryAgainst(state, null, tested(37, sugarTest(1))).refusal).toMatch(/nothing in the vessels/);
  });
  it.each<[days: number, tempC: number, refused: boolean]>([
    [5, 22, false],
    [4.9, 25, true],
    [7, 21.9, true],
  ])('a sample that stood %d days at %d °C', (days, tempC, refused) => {
    const { refusal } = against(forced(1.0105, 1.0105, days, tempC), ['test-disagrees']);
    if (refused) expect(refusal).toMatch(/at least 5 days at 22 °C or warmer, with much yeast/);
    else expect(refusal).toBeNull();
  });
  it('is a word where it misses more than seven points of what the sums find, and none nearer', () => {
    const sums = sugarOf(high);
    expect(against(sugarTest(sums - 15.1)).dangers.map((d) => d.id)).toEqual(['test-disagrees']);
    expect(against(sugarTest(sums - 15.1), ['test-disagrees'])).toEqual({ refusal: null, dangers: [] });
    expect(against(sugarTest(sums - 14.9))).toEqual({ refusal: null, dangers: [] });
    expect(against(sugarTest(sums + 30))).toEqual({ refusal: null, dangers: [] });
  });
});

it('is read back with what was found, or what the sample did', () => {
  const words = (test: SugarTest): unknown => describeEntry(tested(37, test), DEFAULT_UNITS);
  expect(words(sugarTest(3.4))).toEqual({ lead: 'Tested for sugar', rest: '3.4 g/L by a sugar test' });
  expect(words(forced(1.01, 1.006))).toEqual({ lead: 'Tested for sugar', rest: 'a sample went from 1.010 to 1.006 in 7 days in the warm' });
});
