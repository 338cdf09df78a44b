import { logOf, rawGravity } from '../../testing/made-logs.js';
import type { BatchState } from '../state/batch-state.js';
import { checkEntryAgainst } from './check-entry.js';
import type { Entry } from '../entry/entry.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from './replay.js';

const make = logOf();
const dry = [...make.dryAt(0.9975), make.malolactic(27, { done: true, turnedFraction: 1 })];
const refusal = (state: BatchState, act: Entry): string | null => checkEntryAgainst(state, judgeState(state, act.at)?.value ?? null, act).refusal;
const sugar = make.entry('addition', 28, { what: 'fermentable', fermentableId: 'sucrose', massG: 100 });
const withSorbate = (state: BatchState, sorbateMgPerL: number): BatchState => ({ ...state, liquid: state.liquid && { ...state.liquid, sorbateMgPerL } });

describe('checkEntryAgainst', () => {
  it('lets nothing into bottles, and all into what is left in the vessel, or before anything is there', () => {
    const state = replay(dry);
    const filled = replay([...dry, make.primed(28, 60), make.bottled(28, { count: 38 })]);
    expect(filled.crates).toHaveLength(1);
    expect(refusal({ ...filled, liquid: null }, sugar)).toMatch(/in bottles/);
    expect(refusal({ ...filled, liquid: null }, make.entry('note', 29, { text: 'gone' }))).toBeNull();
    expect(refusal({ ...filled, liquid: state.liquid }, sugar)).toBeNull();
    expect(refusal(replay([]), sugar)).toBeNull();
  });
  it('keeps bought bacteria and sorbate apart, whichever comes first', () => {
    const state = replay(dry);
    const [bacteria, found] = [make.malolactic(28, { bacteria: true }), make.malolactic(28, { bacteria: false })];
    expect(refusal(withSorbate(state, 120), bacteria)).toMatch(/geranium/);
    expect(refusal(withSorbate(state, 120), found)).toBeNull();
    expect(refusal(withSorbate(state, 0), bacteria)).toBeNull();
    expect(refusal({ ...state, liquid: null }, bacteria)).toBeNull();
    const stabilise = (sorbateMgPerL: number): Entry => make.entry('stabilised', 28, { so2MgPerL: 50, sorbateMgPerL });
    const begun = replay([...make.dryAt(0.9975), make.malolactic(27, { done: false })]);
    expect(refusal(begun, stabilise(180))).toMatch(/geranium/);
    expect(refusal(begun, stabilise(0))).toBeNull();
    expect(refusal(state, stabilise(180))).toBeNull();
    expect(refusal({ ...begun, malolactic: null }, stabilise(180))).toBeNull();
  });
  it('gives the first part of the finings its hour, and asks none of other means', () => {
    const state = replay(dry);
    const clarified = (means: 'finings' | 'cold', day: number): Entry => make.entry('clarified', day, { means, massG: 10, waitDays: 3 });
    const first = make.entry('stepped', 28, { plan: 'finings', done: 'the first part', step: 1, of: 2, next: 'the second', waitMin: 60 });
    const waiting = replay([...dry, first]);
    const hour = 1 / 24;
    expect(refusal(state, clarified('finings', 28))).toMatch(/first part of the finings is not in/);
    expect(refusal(state, clarified('cold', 28))).toBeNull();
    expect(refusal(waiting, clarified('finings', 28 + 0.9 * hour))).toMatch(/needs its hour/);
    expect(refusal(waiting, clarified('finings', 28 + hour))).toBeNull();
    expect(refusal(waiting, clarified('cold', 28.01))).toBeNull();
  });
  it('fills no bottle from a sealed keg, and asks nothing of the gas where there is no drink', () => {
    const kegged = replay([...dry, make.kegged(28, { vessel: { vesselId: 'K', volumeL: 19 } })]);
    expect(refusal(kegged, make.bottled(29))).toMatch(/keg/);
    const state = replay(dry);
    const verdict = judgeState(state, make.at(28))?.value ?? null;
    expect(checkEntryAgainst({ ...state, liquid: null }, verdict, make.bottled(28))).toEqual({ refusal: null, dangers: [] });
  });
  it('asks for a fridge where an end is not proven, to the degree, and for nothing where it is', () => {
    const [working, proven] = [replay([make.filled(), make.pitched(), make.read(3, 1.03), make.read(6, 1.02)]), replay(dry)];
    const keg = (storeC: number): Entry => make.kegged(28, { storeC, acknowledged: ['sealed-ferment'] });
    expect([refusal(working, keg(5)), refusal(proven, keg(20))]).toEqual([null, null]);
    expect(refusal(working, keg(5.1))).toMatch(/5 °C or colder/);
    const verdict = judgeState(proven, make.at(28))?.value ?? null;
    expect(checkEntryAgainst(proven, verdict, make.kegged(28, { storeC: 20 })).dangers).toEqual([]);
  });
  it('believes a sample from its fifth day at 22 °C on, and one that contradicts the sums in words only', () => {
    const state = replay([make.filled(), make.pitched(), make.read(7, 1.02), make.read(20, 1.0155), make.read(36, 1.0155)]);
    const forced = (days: number, tempC: number): Entry =>
      make.entry('tested', 37, { by: 'forced-ferment', before: rawGravity(1.0155), after: rawGravity(1.0155), days, tempC, acknowledged: [] });
    expect(refusal(state, forced(5, 22))).toBeNull();
    expect([refusal(state, forced(4.9, 25)), refusal(state, forced(7, 21.9))]).toEqual([
      expect.stringMatching(/at least 5 days/),
      expect.stringMatching(/at least 5 days/),
    ]);
    expect(refusal({ ...state, liquid: null }, forced(5, 22))).toMatch(/nothing in the vessels/);
    const dangers = (of: BatchState): readonly string[] => checkEntryAgainst(of, null, forced(6, 25)).dangers.map((d) => d.id);
    expect([dangers(state), dangers(replay(dry))]).toEqual([['test-disagrees'], []]);
  });
});
