import { waterOf } from '../../matter/liquid/liquid.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { stabiliseDose } from '../../finish/bottle/stabilise-dose.js';
import { logOf, rawGravity, type LogMaker } from '../../testing/made-logs.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import type { Entry } from '../entry/entry.js';
import { judgeState } from './judge-state.js';
import { replay } from '../log/replay.js';
import { sealedGasOf } from './sealed-gas-of.js';
import { sealWay } from './sealing.js';

/** What stands against an act after a log. */
function against(log: readonly Entry[], act: Entry): { readonly refusal: string | null; readonly dangers: readonly string[] } {
  const state = replay(log);
  const { refusal, dangers } = checkEntryAgainst(state, judgeState(state, act.at)?.value ?? null, act);
  return { refusal, dangers: dangers.map((d) => d.id) };
}
const wayAt = (log: readonly Entry[], day: number, make: LogMaker): string => {
  const state = replay(log);
  return sealWay(state, judgeState(state, make.at(day))?.value ?? null);
};

describe('sealing a drink', () => {
  const make = logOf();
  const { bottled, kegged, primed, read } = make;
  /** Proven dry at 18 °C, its acid measured and its malolactic change over. */
  const dry = [...make.dryAt(0.9975), make.malolactic(27, { done: true, turnedFraction: 1 })];
  const working = [make.filled(), make.pitched(), read(3, 1.03), read(6, 1.015)];

  it('waits for proof', () => {
    expect(against(working, bottled(6)).refusal).toMatch(/not proven/);
    expect(against(working, primed(6)).refusal).toMatch(/not proven/);
    expect(against(dry, primed(28)).refusal).toBeNull();
  });
  it('lets an unfinished ferment into a cold keg only, with its danger acknowledged', () => {
    expect(against(working, kegged(6, { storeC: 9 })).refusal).toMatch(/colder/);
    expect(against(working, kegged(6, { storeC: 4 }))).toEqual({ refusal: null, dangers: ['sealed-ferment'] });
    expect(against(working, kegged(6, { storeC: 4, acknowledged: ['sealed-ferment'] })).dangers).toEqual([]);
  });

  it('takes what the maker says does not ferment for what it is', () => {
    // 400 g of lactose in 20 L stand seven points above dry for good, and are no sugar to any sum.
    const lactose = make.entry('addition', 0.05, { what: 'fermentable', fermentableId: 'lactose', massG: 400 });
    const sweet = [
      make.filled(),
      lactose,
      make.pitched(),
      read(6, 1.02),
      read(20, 1.0055),
      read(28, 1.0055),
      make.malolactic(28.1, { done: true, turnedFraction: 1 }),
    ];
    expect(wayAt(sweet, 28.5, make)).toBe('proven');
    expect(fermentableGPerL(replay(sweet).liquid ?? waterOf(1))).toBeLessThan(3);
    const unsaid = sweet.filter((e) => e !== lactose);
    expect(wayAt(unsaid, 28.5, make)).toBe('unproven');
  });

  describe('a batch that nobody can read', () => {
    const unread = [make.filled(), make.pitched(), make.entry('moved', 0.2, { place: 'kitchen', tempC: 18 })];
    const plastic = (day: number, acknowledged: readonly string[] = []): Entry =>
      bottled(day, { kindId: 'plastic-500', count: 38, acknowledged: [...acknowledged] });
    it('waits eight weeks in the warm', () => {
      expect(wayAt(unread, 50, make)).toBe('unproven');
      expect(against(unread, plastic(50)).refusal).toMatch(/not proven/);
      expect(wayAt(unread, 57, make)).toBe('unread');
      const cold = [...unread, make.entry('moved', 20, { place: 'cellar', tempC: 9 })];
      expect(wayAt(cold, 90, make)).toBe('unproven');
      expect(wayAt(unread.slice(0, 2), 90, make)).toBe('unread');
    });
    it('then goes into plastic alone, at its maker’s own risk, and never into glass', () => {
      expect(against(unread, plastic(57))).toEqual({ refusal: null, dangers: ['unread'] });
      expect(against(unread, plastic(57, ['unread'])).dangers).toEqual([]);
      expect(against(unread, bottled(57, { acknowledged: ['unread'] })).refusal).toMatch(/no glass/);
    });
    it('takes little sugar, and a reading or more sugar ends that way', () => {
      expect(against([...unread, primed(56.9, 60)], plastic(57, ['unread'])).refusal).toBeNull();
      expect(against([...unread, primed(56.9, 160)], plastic(57, ['unread'])).refusal).toMatch(/at most 4 g\/L/);
      expect(wayAt([...unread, make.entry('addition', 40, { what: 'fermentable', fermentableId: 'sucrose', massG: 300 })], 60, make)).toBe('unproven');
      expect(wayAt([...unread, read(57, 1.004)], 58, make)).toBe('unproven');
    });
  });

  describe('anything fermentable after the end', () => {
    const woken: readonly (readonly [what: string, act: Entry])[] = [
      ['sweetened', make.entry('sweetened', 29, { sweetenerId: 'sucrose', massG: 600 })],
      ['sugar', make.entry('addition', 29, { what: 'fermentable', fermentableId: 'honey', massG: 600 })],
      ['a working cider', make.poured(29, 4, 1.02, 'batch')],
      ['juice', make.poured(29, 2, 1.05, 'juice')],
    ];
    it.each(woken)('%s un-proves it at once, and counts in full', (_what, act) => {
      expect(wayAt(dry, 28, make)).toBe('proven');
      const log = [...dry, act];
      expect(wayAt(log, 30, make)).toBe('unproven');
      expect(against(log, bottled(30)).refusal).toMatch(/proven again/);
      expect(against(log, primed(30)).refusal).toMatch(/proven again/);
      const before = fermentableGPerL(replay(dry).liquid ?? fail());
      expect(fermentableGPerL(replay(log).liquid ?? fail())).toBeGreaterThan(before + 3);
    });
    it.each(woken)('%s after priming un-proves it too', (_what, act) => {
      expect(against([...dry, primed(28), act], bottled(30)).refusal).toMatch(/not proven/);
    });
    it('what does not ferment, water and a like finished cider leave the proof', () => {
      for (const act of [
        make.entry('sweetened', 29, { sweetenerId: 'erythritol', massG: 600 }),
        make.entry('addition', 29, { what: 'water', volumeL: 1 }),
        make.poured(29, 1, 0.998, 'batch'),
      ])
        expect(wayAt([...dry, act], 30, make)).toBe('proven');
    });
    it('priming twice counts twice', () => {
      const once = sealedGasOf(replay([...dry, primed(28)]));
      const twice = sealedGasOf(replay([...dry, primed(28), primed(28.1)]));
      expect(twice?.weighedGPerL).toBeGreaterThan(1.9 * (once?.weighedGPerL ?? NaN));
      expect(against([...dry, primed(28, 130), primed(28.1, 130)], bottled(28.2)).dangers).toContain('over-pressure');
    });
  });

  describe('an end above where the sums put it', () => {
    const high = [...make.dryAt(1.003, [18, 40]), make.malolactic(41, { done: true, turnedFraction: 1 })];
    it('may be bottled with what is left counted, and is refused where the bottles would not stand it', () => {
      expect(wayAt(high, 42, make)).toBe('ended-high');
      expect(against(high, bottled(42, { kindId: 'plastic-500' })).refusal).toBeNull();
      expect(against([...high, primed(42)], bottled(42, { acknowledged: ['over-pressure', 'touch-high'] })).refusal).toMatch(/Ferment a small sample out/);
    });
    it('is known again by a test, and not by words', () => {
      const test = make.entry('tested', 40.5, { by: 'sugar-test', sugarGPerL: 0.5, acknowledged: [] });
      expect(against(high, test)).toEqual({ refusal: null, dangers: [] });
      const known = [...high, test];
      expect(wayAt(known, 44, make)).toBe('proven');
      expect(fermentableGPerL(replay(known).liquid ?? fail())).toBeCloseTo(0.5, 6);
      expect(judgeState(replay(known), make.at(44))?.value.status).toBe('finished-dry');
      // Sugar or yeast after it, and it is known no more.
      expect(replay([...known, make.pitched(45)]).tested).toBeNull();
      expect(replay([...known, woken(45)]).tested).toBeNull();
    });
    it('without a reading of the day, what it does not find may as well have fermented', () => {
      const unread = [make.filled(), make.pitched(), read(7, 1.03), make.entry('tested', 12, { by: 'sugar-test', sugarGPerL: 20, acknowledged: [] })];
      expect(fermentableGPerL(replay(unread).liquid ?? fail())).toBeCloseTo(20, 6);
      // The next reading is believed again: nothing was taken for unfermentable.
      const later = [...unread, read(13, 1.028)];
      expect(fermentableGPerL(replay(later).liquid ?? fail())).toBeGreaterThan(60);
    });
    it('a sample counts once it stood long and warm enough', () => {
      const forced = (days: number, tempC: number): Entry =>
        make.entry('tested', 41.5, { by: 'forced-ferment', before: rawGravity(1.003), after: rawGravity(1.0), days, tempC, acknowledged: [] });
      expect(against(high, forced(3, 25)).refusal).toMatch(/longer, or warmer/);
      expect(against(high, forced(6, 18)).refusal).toMatch(/longer, or warmer/);
      expect(against(high, forced(6, 25)).refusal).toBeNull();
      expect(replay([...high, forced(6, 25)]).tested?.leftGPerL).toBeCloseTo(6.7, 1);
    });
    it('a test that contradicts the sums has to be believed in words', () => {
      const test = make.entry('tested', 7, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] });
      expect(against(working, test).dangers).toEqual(['test-disagrees']);
    });
  });

  describe('sulfite and sorbate', () => {
    const racked = [...dry, make.racked(28, 19.5)];
    const dose = stabiliseDose({ liquid: replay(racked).liquid ?? fail() }).value;
    const whole = { so2MgPerL: dose.so2MgPerL, sorbateMgPerL: dose.sorbicMgPerL };
    const stabilised = (day: number, share = 1): Entry =>
      make.entry('stabilised', day, { so2MgPerL: whole.so2MgPerL * share, sorbateMgPerL: whole.sorbateMgPerL * share });
    it('stabilise in full, after the end, off the lees', () => {
      expect(wayAt([...racked, stabilised(29)], 30, make)).toBe('stabilised');
      expect(against([...racked, stabilised(29)], primed(30)).refusal).toMatch(/flat/);
    });
    it.each<[string, readonly Entry[], RegExp]>([
      ['half a dose', [...racked, stabilised(29, 0.5)], /less than it takes/],
      ['while working', [make.filled(), make.pitched(), read(6, 1.015), make.racked(7, 19.5), stabilised(8)], /end was not proven/],
      ['on its lees', [...dry, stabilised(29)], /lees/],
    ])('%s opens no door', (_what, log, why) => {
      const state = replay(log);
      expect(state.stabilisedAt).toBeNull();
      expect(state.notStabilised?.why).toMatch(why);
    });
    it('thinned with juice afterwards, they do not hold any more', () => {
      expect(wayAt([...racked, stabilised(29), make.poured(30, 10, 1.05, 'juice')], 31, make)).toBe('unproven');
    });
    it('sugar under them counts in full, and is a danger to acknowledge', () => {
      const sweet = [...racked, stabilised(29), make.entry('sweetened', 29.1, { sweetenerId: 'sucrose', massG: 600 })];
      expect(against(sweet, bottled(30))).toEqual({ refusal: null, dangers: ['re-ferment'] });
      const before = [...racked, make.entry('sweetened', 28.8, { sweetenerId: 'sucrose', massG: 600 }), stabilised(29)];
      expect(against(before, bottled(30))).toEqual({ refusal: null, dangers: ['re-ferment'] });
    });
  });

  describe('malic acid that can still turn', () => {
    const unturned = make.dryAt(0.9975);
    it('counts as gas, and needs a word where it makes the difference or is under way', () => {
      const gas = sealedGasOf(replay(unturned));
      expect(gas?.malolactic).toBe('possible');
      expect(against([...unturned, primed(28, 45)], bottled(28.1)).dangers).toContain('malolactic-gas');
      const begun = [...unturned, make.malolactic(27, { done: false, turnedFraction: 0.3 })];
      expect(against(begun, bottled(28, { kindId: 'plastic-500' })).dangers).toEqual(['malolactic-gas']);
    });
    it('counts no more once it is over, or held by sulfite for its pH', () => {
      expect(sealedGasOf(replay(dry))?.malolactic).toBe('over');
      expect(sealedGasOf(replay([...unturned, make.entry('addition', 28, { what: 'sulfite', so2MgPerL: 100 })]))?.malolactic).toBe('over');
      // The juice's sulfite is bound by what the yeast made.
      const early = [make.filled(), make.entry('addition', 0, { what: 'sulfite', so2MgPerL: 100 }), ...unturned.slice(1)];
      expect(sealedGasOf(replay(early))?.malolactic).toBe('possible');
    });
  });

  it('a sealed keg takes nothing until it is opened, and a bottled batch nothing at all', () => {
    const keg = [...dry, kegged(30)];
    for (const act of [make.entry('sweetened', 31, { sweetenerId: 'sucrose', massG: 100 }), make.pitched(31), make.poured(31, 1, 1.05, 'juice'), primed(31)]) {
      expect(against(keg, act).refusal).toMatch(/open the keg/);
      expect(against([...dry, bottled(30, { count: 38 })], act).refusal).toMatch(/in bottles/);
    }
    const opened = [...keg, make.entry('unsealed', 32, {})];
    expect(against(opened, primed(33)).refusal).toBeNull();
    // It still holds the gas it was given.
    expect(sealedGasOf(replay(opened))?.heldVolumes).toBe(2.4);
    expect(replay([...dry, make.entry('unsealed', 32, {})]).issues).toHaveLength(1);
  });

  function woken(day: number): Entry {
    return make.entry('sweetened', day, { sweetenerId: 'sucrose', massG: 600 });
  }
  function fail(): never {
    throw new Error('there should be a liquid');
  }
});
