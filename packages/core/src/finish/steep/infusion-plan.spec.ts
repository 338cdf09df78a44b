import { INFUSIONS } from '../../base/reference/infusions-data.js';
import { nextJobs } from '../../book/plan/next-jobs.js';
import { methodById } from '../../book/plan/method.js';
import { maySeal, unprovenWords } from '../../book/state/sealing.js';
import { judgeState } from '../../book/state/judge-state.js';
import { replay } from '../../book/log/replay.js';
import type { Entry } from '../../book/entry/entry.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { checkEntryAgainst } from '../../book/log/check-entry.js';
import { logOf } from '../../testing/made-logs.js';
import { SAMPLE_PAYLOADS } from '../../testing/sample-payloads.js';
import { infusionPlan } from './infusion-plan.js';

const make = logOf();
const dry = make.dryAt(0.998);
const drink = replay(dry).liquid;
if (!drink) throw new Error('nothing to steep in');
const put = (infusionId: string, massG: number, day = 28, days = 10): Entry => make.entry('infused', day, { infusionId, massG, days });
const out = (entry: Entry, day: number): Entry => make.entry('lifted', day, { infusedId: entry.id, name: 'it' });
const jobs = (log: readonly Entry[], today: number) => {
  const state = replay(log);
  const verdict = judgeState(state, make.at(today))?.value ?? null;
  return nextJobs({ batchId: 'B', batchName: 'Row', state, verdict, method: methodById('carton-quick'), today: make.at(today) })
    .filter(({ kind }) => kind === 'taste' || kind === 'lift')
    .map(({ kind, dueAt }) => [kind, dueAt.slice(0, 10)]);
};
const day = (n: number): string => make.at(n).slice(0, 10);

describe('the list', () => {
  it('goes from faint to strong and from the first taste to the last day', () => {
    for (const { gPerL, days } of INFUSIONS) {
      expect([...gPerL].sort((a, b) => a - b)).toEqual([...gPerL]);
      expect([...days].sort((a, b) => a - b)).toEqual([...days]);
    }
    expect(new Set(INFUSIONS.map((i) => i.id)).size).toBe(INFUSIONS.length);
    expect(INFUSIONS.filter((i) => i.group === 'hops').every((i) => i.cautions.includes('hops-dogs'))).toBe(true);
    // What makes gas is never left out: all fruit is counted with sugar.
    expect(INFUSIONS.filter((i) => i.group === 'fruit').every((i) => i.sugarGPerG > 0)).toBe(true);
  });
});

describe('infusionPlan', () => {
  it('counts all the sugar that fruit brings, and its malic acid as malic', () => {
    const { after, sugarGPerL } = infusionPlan({ liquid: drink, infusionId: 'cherry', massG: 2000 }).value;
    // 2 kg of cherries hold 280 g of sugar and 20 g of acid at most.
    expectWithin(fermentableGPerL(after) * after.volumeL - fermentableGPerL(drink) * drink.volumeL, 280, { abs: 0.5 });
    expectWithin(after.malicGPerL * after.volumeL - drink.malicGPerL * drink.volumeL, 20, { abs: 0.5 });
    expectWithin(sugarGPerL, 280 / drink.volumeL, { abs: 0.01 });
  });
  it('brings nothing of wood and spice, and says what is odd', () => {
    const oak = infusionPlan({ liquid: drink, infusionId: 'oak-light', massG: null });
    expect(oak.value.after).toEqual(drink);
    expectWithin(oak.value.massG[1], 1.5 * drink.volumeL, { abs: 0.01 });
    expect([5, 30, 300].map((massG) => infusionPlan({ liquid: drink, infusionId: 'oak-light', massG }).value.isOdd)).toEqual(['faint', null, 'strong']);
    expect(refusalCode(() => infusionPlan({ liquid: drink, infusionId: 'unicorn', massG: 1 }))).toBe('UNKNOWN_ID');
  });
});

describe('what steeps', () => {
  it('is tasted from its first day on, every few days, and taken out on its last', () => {
    const oak = put('oak-light', 30, 28, 28);
    expect(jobs([...dry, oak], 29)).toEqual([
      ['taste', day(35)],
      ['lift', day(56)],
    ]);
    const tasted = make.entry('tasted', 36, { text: 'a little', sparkle: null, again: null });
    expect(jobs([...dry, oak, tasted], 36)).toContainEqual(['taste', day(39)]);
    expect(jobs([...dry, oak, out(oak, 40)], 41)).toEqual([]);
    expect(jobs([...dry, oak, make.racked(40, 19)], 41)).toEqual([]);
  });
  it('of wood leaves a proven end proven; of fruit nothing is sealed until it is out and proven anew', () => {
    const seal = (log: readonly Entry[], today: number): boolean => {
      const state = replay(log);
      return maySeal(state, judgeState(state, make.at(today))?.value ?? null);
    };
    expect(seal([...dry, put('oak-light', 30)], 30)).toBe(true);
    const fruit = put('raspberry', 2000);
    const steady = [make.read(40, 0.998), make.read(48, 0.998), make.read(55, 0.998)];
    expect(seal([...dry, fruit, ...steady], 56)).toBe(false);
    const state = replay([...dry, fruit, ...steady]);
    expect(unprovenWords(state, null)).toContain('Fruit still steeps in it');
    expect(seal([...dry, fruit, ...steady, out(fruit, 56)], 57)).toBe(false);
    const after = [make.read(57, 0.998), make.read(64, 0.998), make.read(71, 0.998)];
    expect(seal([...dry, fruit, ...steady, out(fruit, 56), ...after], 72)).toBe(true);
  });
  it('comes out alone: oak lifted beside fruit leaves the fruit in, and a proof where there was one', () => {
    const [oak, fruit] = [put('oak-light', 30), put('raspberry', 2000)];
    const only = (log: readonly Entry[]): readonly string[] => replay(log).infusions.map((each) => each.id);
    expect(only([...dry, oak, fruit, out(oak, 40)])).toEqual([fruit.id]);
    expect(only([...dry, oak, fruit, out(fruit, 40)])).toEqual([oak.id]);
    const proven = (log: readonly Entry[], today: number): boolean => {
      const state = replay(log);
      return maySeal(state, judgeState(state, make.at(today))?.value ?? null);
    };
    expect(proven([...dry, oak, out(oak, 40)], 41)).toBe(true);
    expect(proven([...dry, oak, make.racked(40, 19)], 41)).toBe(true);
    // Fruit that came out long ago is proven gone, and oak lifted after it changes nothing.
    const since = [make.read(41, 0.998), make.read(48, 0.998), make.read(55, 0.998)];
    expect(proven([...dry, oak, fruit, out(fruit, 40), ...since, out(oak, 56)], 57)).toBe(true);
    expect(replay([...dry, oak, out(fruit, 40)]).issues).toHaveLength(1);
  });
  it('goes into no sealed keg, and into no pulp', () => {
    const ask = (log: readonly Entry[], entry: Entry) => {
      const state = replay(log);
      return checkEntryAgainst(state, judgeState(state, entry.at)?.value ?? null, entry).refusal;
    };
    const keg = [...dry, make.kegged(27)];
    const pulp = [make.entry('steeped', 0, SAMPLE_PAYLOADS.steeped)];
    for (const entry of [put('cinnamon', 12), out(put('cinnamon', 12), 29)]) expect(ask(keg, entry)).not.toBeNull();
    expect(ask(pulp, put('cinnamon', 12, 2))).not.toBeNull();
    expect(ask(dry, put('cinnamon', 12))).toBeNull();
  });
  it('of fruit before the yeast counts as the must’s own', () => {
    const [must, fruit] = [make.filled(), put('cherry', 2000, 1)];
    const state = replay([must, fruit, out(fruit, 3)]);
    expect(state.issues).toEqual([]);
    expect(fermentableGPerL(state.must ?? drink)).toBeGreaterThan(fermentableGPerL(replay([must]).must ?? drink) + 10);
  });
  it('cannot be taken out twice', () => {
    const oak = put('oak-light', 30);
    expect(replay([...dry, oak, out(oak, 40), out(oak, 41)]).issues).toHaveLength(1);
  });
});
