import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { abvOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { logOf } from '../../testing/made-logs.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import { judgeState } from '../state/judge-state.js';
import { sealWay } from '../state/sealing.js';
import type { Entry } from '../entry/entry.js';
import type { PouredBackPayload } from './poured-back.js';

const make = logOf();
const dry = [
  ...make.dryAt(0.998),
  make.malolactic(27, { done: true, turnedFraction: 1 }),
  make.entry('tested', 27, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] }),
];
const primed = make.primed(30, 100);
const bottled = make.bottled(30, { count: 30, kindId: 'crown-500' });
const back = (changes: Partial<PouredBackPayload> = {}) =>
  make.entry('poured-back', 50, { crateId: bottled.id, bottles: [{ kindId: 'crown-500', count: 20 }], vessels: [{ vesselId: 'J', volumeL: 9.8 }], ...changes });
/** All of it was in bottle: what stood over was thrown away. */
const log = [...dry, primed, make.entry('discarded', 30, { volumeL: 4.6, why: 'lees' }), bottled];
const issues = (...more: readonly Entry[]) => replay([...log, ...more]).issues.map((i) => i.text);
const way = (day: number, ...more: readonly Entry[]) => {
  const state = replay([...log, ...more]);
  return sealWay(state, judgeState(state, make.at(day))?.value ?? null);
};

const raise = (): never => {
  throw new Error('something stands in a vessel');
};

describe('bottles poured back', () => {
  it('leave the crate and stand in a vessel, with the strength they had', () => {
    const before = replay(log);
    expect(before.liquid).toBeNull();
    const after = replay([...log, back()]);
    expect(after.issues).toEqual([]);
    expect(after.liquid?.volumeL).toBe(9.8);
    expect(after.vessels).toEqual([{ vesselId: 'J', volumeL: 9.8 }]);
    expect(after.crates[0]).toMatchObject({ lots: [{ filled: 30, left: 10 }], lastOpenedAt: make.at(50) });
    expect(after.liquid?.ethanolGPerL).toBeCloseTo(before.crates[0]?.drink.liquid.ethanolGPerL ?? 0, 9);
    expect(after).toMatchObject({ primed: null, stabilisedAt: null, tested: null, heldVolumes: null, stage: 'drink' });
    const all = back({ bottles: [{ kindId: 'crown-500', count: 30 }], vessels: [{ vesselId: 'J', volumeL: 14.8 }] });
    expect(replay([...log, all]).stage).toBe('rest');
  });
  it('are a working drink again: whatever was proven, tested or dosed before opens no seal, and equal readings do', () => {
    expect(way(30.5)).toBe('unproven');
    expect(way(51, back())).toBe('unproven');
    expect(way(58, back(), make.read(51, 0.998))).toBe('unproven');
    expect(way(60, back(), make.read(51, 0.998), make.read(59, 0.998))).toBe('unproven');
    // Nobody saw it fall: a fortnight at its end proves it.
    expect(way(66, back(), make.read(51, 0.998), make.read(65.5, 0.998))).toBe('proven');
    const held = [...dry, make.racked(28, 19), make.entry('stabilised', 29, { so2MgPerL: 80, sorbateMgPerL: 200 })];
    const crate = make.bottled(30, { count: 36, kindId: 'crown-500' });
    const woke = make.entry('poured-back', 50, {
      crateId: crate.id,
      bottles: [{ kindId: 'crown-500', count: 36 }],
      vessels: [{ vesselId: 'J', volumeL: 18.3 }],
    });
    const state = replay([...held, crate, woke]);
    expect(state.issues).toEqual([]);
    expect(sealWay(replay([...held, crate]), null)).not.toBe('stabilised');
    expect(sealWay(state, judgeState(state, make.at(51))?.value ?? null)).toBe('unproven');
    const again = make.bottled(52, { count: 10 });
    expect(checkEntryAgainst(state, judgeState(state, again.at)?.value ?? null, again).refusal).toMatch(/not proven/);
  });
  it('hold what a reading finds in them, and all of that counts when they are sealed again', () => {
    const high = [back(), make.read(51, 1.0), make.read(66, 1.0)];
    const state = replay([...log, ...high]);
    // Three points over its end are some seven grams of sugar to the litre.
    const left = fermentableGPerL(state.liquid ?? raise());
    expect(left).toBeGreaterThan(4);
    expect(left).toBeLessThan(9);
    expect(abvOf(state.liquid ?? raise())).toBeLessThan(abvOf(replay(log).crates[0]?.drink.liquid ?? raise()));
    const asDry = gravityOf(replay(log).crates[0]?.drink.liquid ?? raise());
    expect(fermentableGPerL(replay([...log, back(), make.read(51, asDry)]).liquid ?? raise())).toBeLessThan(0.05);
    const again = make.bottled(67, { count: 10, kindId: 'crown-500' });
    const { refusal, dangers } = checkEntryAgainst(state, judgeState(state, again.at)?.value ?? null, again);
    expect(refusal !== null || dangers.length > 0).toBe(true);
  });
  it('of a batch that nobody read begin their weeks anew', () => {
    const unread = [make.filled(), make.pitched(0.1), make.entry('moved', 0.2, { place: 'in', tempC: 20 })];
    const crate = make.bottled(70, { count: 10, kindId: 'plastic-500' });
    const poured = make.entry('poured-back', 80, {
      crateId: crate.id,
      bottles: [{ kindId: 'plastic-500', count: 10 }],
      vessels: [{ vesselId: 'J', volumeL: 19.4 }],
    });
    const ways = [70, 81, 140].map((day) => {
      const state = replay([...unread, ...(day > 70 ? [crate, poured] : [])]);
      return [state.issues.length, sealWay(state, judgeState(state, make.at(day))?.value ?? null)];
    });
    expect(ways).toEqual([
      [0, 'unread'],
      [0, 'unproven'],
      [0, 'unread'],
    ]);
  });
  it('come out of a crate of several kinds each by its own count, and out of the crate that is named', () => {
    const mixed = make.bottled(30, {
      bottles: [
        { kindId: 'crown-500', count: 20 },
        { kindId: 'swing-500', count: 6 },
      ],
    });
    const other = make.bottled(31, { count: 4, kindId: 'crown-500' });
    const some = [...dry, mixed, other];
    const stoodL = replay(some).liquid?.volumeL ?? 0;
    const poured = make.entry('poured-back', 40, {
      crateId: mixed.id,
      bottles: [
        { kindId: 'swing-500', count: 6 },
        { kindId: 'crown-500', count: 5 },
      ],
      vessels: [{ vesselId: 'V', volumeL: stoodL + 5.4 }],
    });
    const after = replay([...some, poured]);
    expect(after.issues).toEqual([]);
    expect(after.crates.map((c) => c.lots.map((lot) => lot.left))).toEqual([[15, 0], [4]]);
    for (const crateId of [mixed.id, other.id]) expect(checkEntryAgainst(replay(some), null, back({ crateId })).refusal).toBeNull();
    const wrong = { ...poured, payload: { ...poured.payload, bottles: [{ kindId: 'swing-500', count: 6 }, { kindId: 'wine-750', count: 1 }] } } as Entry; // prettier-ignore
    expect(replay([...some, wrong]).issues[0]?.text).toMatch(/no bottles of that kind/);
  });
  it('are filled by eye: a little more than their sizes say may come out, and no more', () => {
    expect(issues(back({ vessels: [{ vesselId: 'J', volumeL: 10.2 }] }))).toEqual([]);
    expect(issues(back({ vessels: [{ vesselId: 'J', volumeL: 10.3 }] }))).toHaveLength(1);
  });
  it('are said by their count and by what stands there now', () => {
    expect(describeEntry(back(), DEFAULT_UNITS)).toEqual({ lead: 'Poured back', rest: '20 × crown-capped 500 mL; 9.8 L in the vessel now' });
  });
  it('join what still stands in a vessel', () => {
    const some = [...dry, make.bottled(30, { count: 20, kindId: 'crown-500' })];
    const crateId = some.at(-1)?.id ?? '';
    const stood = replay(some).liquid?.volumeL ?? 0;
    const after = replay([
      ...some,
      make.entry('poured-back', 40, { crateId, bottles: [{ kindId: 'crown-500', count: 4 }], vessels: [{ vesselId: 'V', volumeL: stood + 1.9 }] }),
    ]);
    expect(after.issues).toEqual([]);
    expect(after.liquid?.volumeL).toBeCloseTo(stood + 1.9, 9);
  });
  it.each<[string, Partial<PouredBackPayload>, RegExp]>([
    ['more than the crate has', { bottles: [{ kindId: 'crown-500', count: 31 }] }, /1 fewer bottles/],
    ['of a kind that it has none of', { bottles: [{ kindId: 'crown-330', count: 1 }] }, /no bottles of that kind/],
    ['more litres than they hold', { vessels: [{ vesselId: 'J', volumeL: 10.4 }] }, /10\.4 L cannot come out of 10\.0 L/],
    ['nothing', { vessels: [{ vesselId: 'J', volumeL: 0 }] }, /cannot come out/],
    ['out of no crate', { crateId: 'nowhere' }, /no such crate/],
  ])('are not %s', (_what, changes, why) => {
    expect(issues(back(changes))[0]).toMatch(why);
  });
  it('go into no sealed keg, and out of no crate that is not there', () => {
    const state = replay([...dry, make.kegged(30)]);
    expect(checkEntryAgainst(state, null, back()).refusal).toMatch(/keg/);
    expect(checkEntryAgainst(replay(log), null, back({ crateId: 'nowhere' })).refusal).toMatch(/no such crate/);
    expect(checkEntryAgainst(replay(log), null, back()).refusal).toBeNull();
  });
});
