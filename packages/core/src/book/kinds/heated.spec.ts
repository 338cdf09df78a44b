import { bottleById } from '../../base/reference/bottle-kinds.js';
import { logOf, rawGravity } from '../../testing/made-logs.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import type { Entry } from '../entry/entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { followOn, type FoldedLog } from '../log/follow-on.js';
import { replay } from '../log/replay.js';
import { nextJobs } from '../plan/next-jobs.js';
import { METHODS } from '../plan/method.js';
import { kindsLeft, mayHeat, openedGravity } from '../state/heat-way.js';
import { judgeState } from '../state/judge-state.js';
import type { HeatedPayload } from './heated.js';

const make = logOf();
const dry = [...make.dryAt(0.997), make.malolactic(27, { done: true, turnedFraction: 1 }), make.racked(28, 19.5)];
const sweet = [...dry, make.entry('sweetened', 30, { sweetenerId: 'sucrose', massG: 400 })];
const ACK = { acknowledged: ['heat-due', 'hot-bottles'] };
const run = (day: number, how: Parameters<typeof make.bottled>[1] = {}): Entry => make.bottled(day, { toHeat: { headspace: 0.05 }, ...ACK, ...how });
const on = (log: readonly Entry[]): FoldedLog => ({ log, state: replay(log) });
const why = (log: readonly Entry[], entry: Entry): string => {
  const followed = followOn(on(log), entry);
  return followed.ok ? '' : followed.why;
};

/** Came to rest with sugar that a sample, fermented out in the warm, still showed. */
const proven = [
  make.filled(),
  make.pitched(),
  make.read(20, 1.012),
  make.read(30, 1.012),
  make.malolactic(31, { done: true, turnedFraction: 1 }),
  make.read(39, 1.012),
  make.entry('tested', 39.5, { by: 'sugar-test', sugarGPerL: 8, acknowledged: ['test-disagrees'] }),
  make.read(40, 1.012),
];

describe('bottles filled to be heated', () => {
  it.each<[string, readonly Entry[], Entry, RegExp]>([
    ['the day it was sweetened', sweet, run(30.5), /^$/],
    ['two days later, when its yeast may have woken', sweet, run(32), /Bottles are heated on the day/],
    ['never sweetened', dry, run(30.5), /Bottles are heated on the day/],
    ['while it works', [make.filled(), make.pitched(), make.read(3, 1.03)], run(4), /Bottles are heated on the day/],
    ['with a bottle of plastic among them', sweet, run(30.5, { kindId: 'plastic-500' }), /plastic 500 mL bottles are never heated filled/],
    ['with a washer in the neck', sweet, run(30.5, { kindId: 'swing-500' }), /wing-top 500 mL bottles are never heated/],
    ['with too little room', sweet, run(30.5, { toHeat: { headspace: 0.04 } }), /^Leave 5 % of the bottle empty/],
    ['without the danger in words', sweet, run(30.5, { acknowledged: ['hot-bottles'] }), /Until they are heated/],
    ['as any other bottles', sweet, make.bottled(30.5), /Its end is not proven/],
  ])('%s', (_what, log, entry, expected) => {
    expect(why(log, entry)).toMatch(expected);
  });
  it('may be of a drink that was proven to have ended sweet', () => {
    const high = [make.filled(), make.pitched(), make.read(20, 1.0025), make.read(30, 1.0025), make.read(40, 1.0025), make.malolactic(41, { done: true })];
    const state = replay(high);
    expect(mayHeat(state, judgeState(state, make.at(41))?.value ?? null, make.at(41))).toBe(true);
    expect(why(high, run(41.5))).toBe('');
  });
  it.each<[string, readonly Entry[], number, boolean]>([
    ['nothing is in its vessels', [], 30, false],
    ['its end is proven, and it is dry', dry, 30, false],
    ['its end is proven, and a test says that sugar is left', proven, 41, true],
    ['it was stabilised in full', [...dry, make.entry('stabilised', 29, { so2MgPerL: 120, sorbateMgPerL: 200 })], 60, true],
    ['bacteria are at work', [...proven, make.malolactic(40.5, { done: false })], 41, false],
    ['fruit is in it', [...sweet, make.entry('infused', 30.1, { infusionId: 'raspberry', massG: 500, days: 9 })], 30.3, false],
    ['nobody ever read it', [make.filled(), make.pitched()], 90, false],
  ])('where %s', (_what, log, day, may) => {
    const state = replay(log);
    expect(mayHeat(state, judgeState(state, make.at(day))?.value ?? null, make.at(day))).toBe(may);
  });
  it('of no count ask for no glass', () => {
    const bottles = [
      { kindId: 'crown-500', count: 10 },
      { kindId: 'plastic-500', count: 0 },
    ];
    expect(why(sweet, run(30.5, { bottles }))).toBe('');
  });
  it('never hold more drink than their room leaves', () => {
    const filled = replay([...sweet, run(30.5, { count: 10, lossL: 0, toHeat: { headspace: 0.14 } })]);
    expect(19.5 + 400 * 0.00062 - (filled.liquid?.volumeL ?? 0)).toBeCloseTo(10 * 0.5 * (0.86 / 0.96), 1);
  });
});

describe('heating them', () => {
  const bottled = run(30.5);
  const filled = [...sweet, bottled];
  const bath = (day: number, how: Partial<HeatedPayload> = {}): Entry =>
    make.entry('heated', day, { crateId: bottled.id, steps: [{ minutes: 10, coreC: 65 }], acknowledged: ['hot-bottles'], ...how });
  const crate = (log: readonly Entry[]) => replay(log).crates[0];

  it('kills what would burst them, and keeps the sugar', () => {
    expect(crate(filled)).toMatchObject({ heat: { units: 0, at: null }, sparkling: false });
    expect(crate(filled)?.wakesVolumes).toBeGreaterThan(5);
    const after = crate([...filled, bath(30.9)]);
    expect(after?.wakesVolumes).toBeNull();
    expect(after?.heat?.units).toBeCloseTo(52.5, 1);
    expect(after?.drink.liquid.sucroseGPerL).toBeGreaterThan(19);
    expect(after?.co2Volumes).toBeLessThan(1.1);
  });
  it('is read back with its heat and its units, and whether they are enough', () => {
    const said = (minutes: number): string => {
      const { lead, rest } = describeEntry(bath(30.9, { steps: [{ minutes: 3, coreC: 60 }, { minutes, coreC: 65 }] }), DEFAULT_UNITS); // prettier-ignore
      return `${lead}: ${rest}`;
    };
    expect(said(10)).toBe('Heated: up to 65 °C, 55 units');
    expect(said(5)).toBe('Heated: up to 65 °C, 29 units, short of 50');
  });
  it('counts the gas that was made before it, by the fall of an opened bottle and a point more', () => {
    const before = crate(filled);
    const sg = gravityOf(before?.drink.liquid ?? waterOf(1));
    const after = crate([...filled, bath(33, { openedSg: sg - 0.002 })]);
    // Three points: 2.24 g/L of sugar each, half a gram of gas from a gram.
    expect((after?.co2Volumes ?? 0) - (before?.co2Volumes ?? 0)).toBeCloseTo((3 * 2.24 * 0.489) / 1.9768, 2);
  });
  it('takes the sample of an opened bottle for cold where nobody measured it, which hides no gas', () => {
    const read = (sampleC: number | null): number => openedGravity({ ...rawGravity(1.004), sampleC });
    expect(read(null)).toBe(read(5));
    expect(read(20)).toBeCloseTo(1.004, 5);
    // Water is 1.76 kg/m³ heavier at 5 °C than at 20, and a stem's glass 0.04 % narrower: the drink is lighter than it reads.
    expect(read(null)).toBeCloseTo(1.004 * (998.205 / 999.967) * (1 + 25e-6 * 15), 4);
    expect(read(null)).toBeLessThan(1.0027);
  });
  it('asks for no glass that is gone already', () => {
    const two = run(30.5, { bottles: [{ kindId: 'crown-500', count: 9 }, { kindId: 'sparkling-750', count: 2 }] }); // prettier-ignore
    const log = [...sweet, two, make.entry('opened', 30.6, { kindId: 'crown-500', count: 9, crateId: two.id, how: 'broken' })];
    const left = crate(log);
    expect(left && kindsLeft(left)).toEqual(['sparkling-750']);
  });
  it('counts baths together, and not before they are enough', () => {
    const half = bath(30.7, { steps: [{ minutes: 5, coreC: 65 }] });
    expect(crate([...filled, half])?.wakesVolumes).toBeGreaterThan(5);
    expect(crate([...filled, half, { ...half, id: 'again', at: make.at(30.8) }])?.wakesVolumes).toBeNull();
  });
  it.each<[string, Entry, RegExp]>([
    ['the same day', bath(30.9), /^$/],
    ['without the danger in words', bath(30.9, { acknowledged: [] }), /Pressure multiplies/],
    ['hotter than glass bears for a minute of many', bath(30.9, { steps: [{ minutes: 9, coreC: 64 }, { minutes: 1, coreC: 76 }] }), /must lie between 60 and 75/], // prettier-ignore
    ['with a gravity that is none', bath(33, { openedSg: 7 }), /^Write the gravity of the opened bottle/],
    ['hotter than glass bears', bath(30.9, { steps: [{ minutes: 3, coreC: 76 }] }), /must lie between 60 and 75/],
    ['a crate that is not there', bath(30.9, { crateId: 'none' }), /No bottles of that crate wait/],
    ['two days later, unseen', bath(33), /nobody knows what gas is in them/],
    ['two days later, one opened and hardly fallen', bath(33, { openedSg: 1.004 }), /^$/],
    ['on the hour a day after', bath(31.5), /^$/],
    ['two days later, one opened and five points down', bath(33, { openedSg: 0.9995 }), /more than 2.5 volumes are never heated/],
  ])('%s', (_what, entry, expected) => {
    expect(why(filled, entry)).toMatch(expected);
  });
  it('is refused above what the glass stands hot, by the kind it would burst', () => {
    const keg = [...dry, make.kegged(29, { targetVolumes: 1.9, ...ACK }), make.entry('unsealed', 40, {})];
    const sugared = [...keg, make.entry('sweetened', 40.1, { sweetenerId: 'sucrose', massG: 400 })];
    expect(why(sugared, run(40.3, { count: 20 }))).toMatch(/about 6\.\d bar would press on them, and crown-capped 500 mL glass stands 6\.5 bar hot|^At 65/);
    expect(why(sugared, run(40.3, { count: 20, kindId: 'sparkling-750' }))).toBe('');
    expect(bottleById('sparkling-750').hotLimitBar).toBeGreaterThan(6.5);
  });
  it('is the most urgent job until it is done, and a danger a day later', () => {
    const method = METHODS[0];
    if (!method) throw new Error('no method');
    const jobs = (log: readonly Entry[], day: number) => {
      const state = replay(log);
      return nextJobs({ batchId: 'B', batchName: 'Row', state, verdict: null, method, today: make.at(day) }).map((j) => `${j.kind} ${j.urgency}`);
    };
    expect(jobs(filled, 30.55)[0]).toBe('heat today');
    expect(jobs(filled, 32)[0]).toBe('heat-late overdue');
    expect(jobs([...filled, bath(30.9)], 32).filter((j) => j.startsWith('heat'))).toEqual([]);
    expect(jobs([...filled, bath(30.9)], 32)).toContain('open-one later');
  });
});
