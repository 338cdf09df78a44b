import { makesFizz } from '../../finish/bottle/bottle-safety.js';
import { gasParts } from '../../finish/bottle/sealed-gas.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { abvOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import type { Crate } from '../state/batch-state.js';
import { judgeState } from '../state/judge-state.js';
import { asIfDry, sealedGasOf } from '../state/sealed-gas-of.js';

const make = logOf();
const { bottled, primed } = make;
/** 20 L, proven dry at 18 °C, its malolactic change over. */
const dry = [...make.dryAt(0.9975), make.malolactic(27, { done: true, turnedFraction: 1 })];
const RUN = {
  bottles: [{ kindId: 'crown-500', count: 30 }],
  testBottle: true,
  lossL: 0.4,
  crate: 'Row',
  capColour: 'leaf',
  hottestC: 24,
  acknowledged: [],
} as const;
const working = [make.filled(), make.pitched(), make.read(3, 1.03), make.read(6, 1.015)];
const unread = [make.filled(), make.pitched()];
const crateOf = (log: readonly Entry[]): Crate => {
  const [crate] = replay(log).crates;
  if (!crate) throw new Error('nothing was bottled');
  return crate;
};
const gasOf = (log: readonly Entry[]): ReturnType<typeof gasParts> => {
  const gas = sealedGasOf(replay(log));
  if (!gas) throw new Error('there is nothing in a vessel');
  return gasParts(gas);
};
const against = (log: readonly Entry[], act: Entry): { readonly refusal: string | null; readonly dangers: readonly string[] } => {
  const { refusal, dangers } = checkEntryAgainst(replay(log), judgeState(replay(log), act.at)?.value ?? null, act);
  return { refusal, dangers: dangers.map((d) => d.id) };
};

describe('how much goes into bottles', () => {
  it.each<[count: number, lossL: number, adds: boolean]>([
    // 20 L, two in a hundred more as vessels are measured by eye, and a glass.
    [40, 0.45, true],
    [40, 0.46, false],
    [36, 2.45, true],
    [41, 0, false],
  ])('%d × 500 mL and %d L lost', (count, lossL, adds) => {
    const state = replay([...dry, bottled(28, { count, lossL })]);
    expect(state.crates).toHaveLength(adds ? 1 : 0);
    expect(state.issues.map((i) => i.text)).toEqual(adds ? [] : [`${(count / 2).toFixed(1)} L of bottles cannot be filled from 20.0 L`]);
  });
  it('leaves the rest in its vessel, less what was lost, and counts dregs as nothing', () => {
    const half = replay([...dry, bottled(28, { count: 20, lossL: 0.5 })]);
    expect(half.liquid?.volumeL).toBeCloseTo(9.5, 9);
    expect(half.vessels).toEqual([{ vesselId: 'V', volumeL: 9.5 }]);
    const whole = replay([...dry, bottled(28, { count: 38, lossL: 0.5 })]);
    expect([whole.liquid, whole.vessels]).toEqual([null, []]);
    expect(replay([...dry, bottled(28, { count: 40, lossL: 0.4 })]).liquid).toBeNull();
  });
  it('adds up every kind of bottle', () => {
    const bottles = [
      { kindId: 'crown-500', count: 10 },
      { kindId: 'sparkling-750', count: 12 },
    ];
    const state = replay([...dry, make.entry('bottled', 28, { ...RUN, bottles, lossL: 0 })]);
    expect(state.liquid?.volumeL).toBeCloseTo(20 - 5 - 9, 9);
    expect(state.crates[0]?.lots).toEqual([
      { kindId: 'crown-500', filled: 10, left: 10 },
      { kindId: 'sparkling-750', filled: 12, left: 12 },
    ]);
  });
});

describe('the crate', () => {
  it('keeps what was written of it, and is unopened', () => {
    const act = make.entry('bottled', 28, { ...RUN });
    expect(crateOf([...dry, act])).toMatchObject({
      id: act.id,
      name: 'Row',
      bottledAt: act.at,
      capColour: 'leaf',
      place: null,
      testBottle: true,
      hottestC: 24,
      atOwnRisk: false,
      squeezed: null,
      lastOpenedAt: null,
      sparkling: false,
    });
    expect(crateOf([...dry, primed(28), bottled(28.1)])).toMatchObject({ sparkling: true, testBottle: false });
  });
  it('holds the drink as it is where it is still, and as it will be where its priming ferments', () => {
    const still = replay(dry);
    const crate = crateOf([...dry, bottled(28)]);
    expect(crate.drink).toEqual({ liquid: still.liquid, must: still.must });
    expect(crate.abv).toBeCloseTo(abvOf(still.liquid ?? waterOf(1)), 9);
    expect(crate.freeSo2MgPerL).toBe(still.liquid?.freeSo2MgPerL);
    const fizzy = crateOf([...dry, primed(28), bottled(28.1)]);
    expect(fermentableGPerL(fizzy.drink.liquid)).toBeCloseTo(0, 6);
    // 130 g of sucrose in 20 L are 6.8 g/L as hexose, and 0.489 g of alcohol each.
    expect(fizzy.abv - crate.abv).toBeGreaterThan(0.3);
  });
  it('takes a drink that nobody read for fermented out, however little is known of it', () => {
    expect(fermentableGPerL(replay(unread).liquid ?? waterOf(1))).toBeGreaterThan(90);
    const crate = crateOf([...unread, bottled(60, { kindId: 'plastic-500' })]);
    expect(fermentableGPerL(crate.drink.liquid)).toBeCloseTo(0, 6);
    // A must of 1.048 makes about six and a quarter per cent.
    expect(Math.abs(crate.abv - 6.25)).toBeLessThan(0.4);
  });
});

describe('the fizz the bottles will have', () => {
  it('is what is in it and all that its sugar makes', () => {
    const log = [...dry, primed(28)];
    const { residual, weighed, leftover } = gasOf(log);
    expect(weighed).toBeGreaterThan(1.5);
    expect(crateOf([...log, bottled(28.1)])).toMatchObject({ co2Volumes: residual + weighed + leftover, wakesVolumes: null });
    expect(crateOf([...dry, bottled(28)]).co2Volumes).toBeCloseTo(gasOf(dry).residual + gasOf(dry).leftover, 9);
  });
  it('makes a lot that was meant to be still a fizzy one, by its name and its strength, while the sums find sugar in it', () => {
    const high = [...make.dryAt(1.002, [18, 40]), make.entry('tested', 40.1, { by: 'sugar-test', sugarGPerL: 4, acknowledged: [] })];
    // 4 g/L make a volume, and a quarter of a per cent.
    const crate = crateOf([...high, bottled(40.2)]);
    expect(crate.co2Volumes - gasOf(high).residual).toBeCloseTo((4 * 0.489) / 1.9768, 2);
    expect([crate.sparkling, fermentableGPerL(crate.drink.liquid)]).toEqual([true, expect.closeTo(0, 6)]);
    expect(crate.abv - abvOf(replay(high).liquid ?? waterOf(1))).toBeGreaterThan(0.2);
    const none = [...high.slice(0, -1), make.entry('tested', 40.1, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] })];
    expect(crateOf([...none, bottled(40.2)]).sparkling).toBe(false);
  });
  it('of a drink that nobody read counts its priming, and hopes for no more', () => {
    const log = [...unread, primed(56.9, 60)];
    const gas = sealedGasOf(replay(log));
    const { residual, weighed, leftover } = gasParts(asIfDry(gas ?? fail()));
    expect(leftover).toBeCloseTo(0, 9);
    expect(crateOf([...log, bottled(57, { kindId: 'plastic-500' })]).co2Volumes).toBeCloseTo(residual + weighed, 9);
  });
  it('of a stabilised drink is what is in it, with what its sugar would make should it wake', () => {
    // A point above its end, so that the sums still find a little sugar.
    const clear = [...make.dryAt(0.999), make.malolactic(27, { done: true, turnedFraction: 1 }), make.racked(28, 19.5)];
    const dosed = [...clear, make.entry('stabilised', 28.2, { so2MgPerL: 120, sorbateMgPerL: 200 })];
    expect(replay(dosed).stabilisedAt).not.toBeNull();
    const sweet = [...dosed, make.entry('sweetened', 28.3, { sweetenerId: 'sucrose', massG: 400 })];
    const { residual, weighed, leftover } = gasOf(sweet);
    expect(leftover).toBeGreaterThan(0.05);
    expect(crateOf([...sweet, bottled(29)])).toMatchObject({ co2Volumes: residual, wakesVolumes: residual + weighed + leftover });
    const plain = gasOf(dosed);
    expect(makesFizz(plain)).toBe(false);
    expect(crateOf([...dosed, bottled(29)])).toMatchObject({ co2Volumes: plain.residual, wakesVolumes: null });
  });
});

describe('what stands against bottling', () => {
  it('is a keg, an end that is not proven, and what the bottles would not stand', () => {
    const kegged = [...dry, make.kegged(28, { vessel: { vesselId: 'K', volumeL: 19 } })];
    expect(against(kegged, bottled(29)).refusal).toMatch(/sealed in a keg/);
    expect(against(working, bottled(6.1)).refusal).toMatch(/not proven/);
    expect(against([...dry, primed(28)], bottled(28.1, { kindId: 'wine-750', count: 24 })).dangers).toContain('wrong-bottle');
    expect(against([...dry, primed(28, 60)], bottled(28.1, { kindId: 'plastic-500' }))).toEqual({ refusal: null, dangers: [] });
  });
  it('asks for each danger in words, and for no warning', () => {
    const log = [...dry, primed(28, 260)];
    const { refusal, dangers } = against(log, bottled(28.1));
    expect([refusal, dangers]).toEqual([null, ['over-pressure']]);
    expect(against(log, bottled(28.1, { acknowledged: ['wrong-bottle'] })).dangers).toEqual(['over-pressure']);
    expect(against(log, bottled(28.1, { acknowledged: ['over-pressure'] })).dangers).toEqual([]);
  });
  it('asks nothing of gas where there is none to ask about', () => {
    const state = { ...replay(dry), liquid: null };
    expect(checkEntryAgainst(state, judgeState(replay(dry), make.at(28))?.value ?? null, bottled(28))).toEqual({ refusal: null, dangers: [] });
  });
});

it('is read back with its bottles and its caps', () => {
  const bottles = [
    { kindId: 'crown-500', count: 10 },
    { kindId: 'plastic-500', count: 2 },
  ];
  const { lead, rest } = describeEntry(make.entry('bottled', 28, { ...RUN, bottles }), DEFAULT_UNITS);
  expect(lead).toBe('Bottled');
  expect(rest).toMatch(/^10 × .+, 2 × .+, leaf caps$/);
});
