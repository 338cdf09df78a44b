import { judgeState } from '../state/judge-state.js';
import { replay } from '../log/replay.js';
import type { Entry } from '../entry/entry.js';
import { logOf } from '../../testing/made-logs.js';
import { bottlingPlan, type BottlingInputs, type BottlingPlan } from './bottling-plan.js';
import { bottlingRoutes } from './bottling-routes.js';

const make = logOf();
const begun = [make.filled({ source: 'shop juice', ph: null, taGPerL: null, tanninGPerL: null }), make.pitched(0.1)];
const finished = [...begun, make.read(7, 1.012), make.read(18, 0.999), make.read(26, 0.999)];
/** Its malolactic change over and no sugar found in it: what it is primed with is all the fizz it gets. */
const tested = [
  ...finished,
  make.malolactic(26.1, { done: true, turnedFraction: 1 }),
  make.entry('tested', 26.2, { by: 'sugar-test', sugarGPerL: 0, acknowledged: [] }),
];
const seen = (log: readonly Entry[], day: number): Pick<BottlingInputs, 'state' | 'verdict'> => {
  const state = replay(log);
  return { state, verdict: judgeState(state, make.at(day))?.value ?? null };
};
const input: BottlingInputs = {
  ...seen(tested, 26.5),
  route: 'sparkling-dry',
  targetVolumes: 2.6,
  fermentableId: 'sucrose',
  mode: 'bulk',
  doseG: null,
  warmestC: 18,
  today: '2026-11-20T10:00:00.000Z',
  hottestC: 24,
  lossL: 0.4,
  bottles: [{ kindId: 'crown-500', count: null }],
  testBottle: true,
  headspace: 0.05,
};

describe('bottlingPlan', () => {
  it('primes all of it and counts the test bottle first', () => {
    const plan = bottlingPlan(input);
    expect(plan?.priming?.ok === true && plan.priming.value.value.massG).toBeCloseTo(6.5946 * 20, 0);
    expect(plan?.run.ok === true && plan.run.value.value.lots.map((l) => l.count)).toEqual([1, 38]);
  });
  it('asks for no sugar where what is in it makes the fizz asked for, and counts every gram that a maker gives', () => {
    // 0.88 volumes since it stood at 18 °C, and nothing left to ferment.
    const [enough, more] = [0.9, 1].map((targetVolumes) => bottlingPlan({ ...input, targetVolumes }));
    expect([enough?.priming, enough?.needsNoSugar, enough?.freshYeast, enough?.uneven]).toEqual([null, true, null, null]);
    expect([more?.priming?.ok, more?.needsNoSugar]).toEqual([true, false]);
    const pinch = bottlingPlan({ ...input, targetVolumes: null, doseG: 1 });
    expect(pinch?.priming?.ok === true && pinch.priming.value.value.massG).toBeCloseTo(1, 6);
    expect(pinch?.needsNoSugar).toBe(false);
    expect(bottlingPlan({ ...input, route: 'still' })?.needsNoSugar).toBe(false);
  });
  it('sets a plastic one beside a still lot while the sums find sugar in it, and says what that would come to', () => {
    const still = (log: readonly Entry[], day: number): BottlingPlan | null => bottlingPlan({ ...input, route: 'still', ...seen(log, day) });
    const left = [...finished, make.entry('tested', 26.2, { by: 'sugar-test', sugarGPerL: 3, acknowledged: [] })];
    const kindsOf = (plan: BottlingPlan | null): readonly string[] => (plan?.run.ok === true ? plan.run.value.value.lots.map((lot) => lot.kindId) : []);
    expect([still(left, 26.5)?.takesTest, kindsOf(still(left, 26.5))]).toEqual([true, ['plastic-500', 'crown-500']]);
    // 0.88 volumes since it stood at 18 °C, and a quarter of a volume of each gram.
    expect(still(left, 26.5)?.comesToVolumes).toBeCloseTo(0.88 + (3 * 0.489) / 1.9768, 1);
    expect([still(tested, 26.5)?.takesTest, kindsOf(still(tested, 26.5))]).toEqual([false, ['crown-500']]);
    expect(still([...begun, make.read(3, 1.03), make.read(6, 1.015)], 6)?.takesTest).toBe(false);
  });
  it('fills more bottles where juice primes it, and is less sure of what they will feel', () => {
    const [sugar, juice] = ['sucrose', 'apple-juice'].map((fermentableId) => bottlingPlan({ ...input, fermentableId }));
    const bottles = (plan: typeof sugar): number => (plan?.run.ok === true ? plan.run.value.value.bottleCount : NaN);
    const hot = (plan: typeof sugar): { readonly likelyBar: number; readonly highBar: number } => plan?.bands.at(-1) ?? { likelyBar: NaN, highBar: NaN };
    expect(bottles(juice)).toBeGreaterThanOrEqual(bottles(sugar) + 2);
    expect(Math.abs(hot(juice).likelyBar - hot(sugar).likelyBar)).toBeLessThan(0.1);
    expect(hot(juice).highBar - hot(juice).likelyBar).toBeGreaterThan(1.08 * (hot(sugar).highBar - hot(sugar).likelyBar));
  });
  it('shows the pressure at three heats, rising', () => {
    const bars = bottlingPlan(input)?.bands.map((b) => b.likelyBar) ?? [];
    expect([...bars].sort((a, b) => a - b)).toEqual(bars);
  });
  it('primes nothing when still, and refuses to call a working one safe', () => {
    expect(bottlingPlan({ ...input, route: 'still' })?.priming).toBeNull();
    const working = seen([...begun, make.read(3, 1.03), make.read(6, 1.015)], 6);
    const plan = bottlingPlan({ ...input, route: 'still', ...working });
    expect(plan?.check.safety.map((s) => s.worked.value.verdict)).toEqual(['do-not-bottle']);
    expect(plan?.check.cautions[0]?.severity).toBe('danger');
    const routes = bottlingRoutes({ way: 'unproven', verdict: working.verdict });
    expect(routes.filter((r) => r.allowed).map((r) => r.id)).toEqual(['cold-keg']);
  });
  it('primes for as much as the bottles take until the maker chooses, and says what would make more hold', () => {
    const auto = bottlingPlan({ ...input, targetVolumes: null });
    expect(auto?.check.cautions.filter((c) => c.severity === 'danger')).toEqual([]);
    const most = Math.max(...(auto?.levels ?? []).filter((l) => l.holds).map((l) => l.volumes));
    expect(auto?.targetVolumes).toBe(most);
    const much = bottlingPlan({ ...input, ...seen(finished, 26.5) });
    expect(much?.check.cautions[0]?.severity).toBe('danger');
    expect(much?.ways.map((w) => w.id)).toEqual(['test-and-malolactic', 'plastic']);
    // What a test has found stands: to test it again is no way out.
    const found = bottlingPlan({ ...input, ...seen([...finished, make.entry('tested', 26.2, { by: 'sugar-test', sugarGPerL: 1, acknowledged: [] })], 26.5) });
    expect(found?.check.cautions[0]?.severity).toBe('danger');
    expect(found?.ways.map((w) => w.id).filter((id) => id.startsWith('test'))).toEqual([]);
    expect(found?.ways.length).toBeGreaterThan(0);
  });
  it('calls no level one that the bottles take which the check of the same run refuses, nor the other way round', () => {
    const kinds = [['crown-500'], ['swing-500'], ['plastic-500'], ['crown-330', 'sparkling-750'], []];
    const logs = [tested, finished, [...finished, make.malolactic(26.1, { done: true, turnedFraction: 1 })]];
    let [taken, refused] = [0, 0];
    for (const lossL of [0.4, 13, 18.9]) {
      for (const kindIds of kinds) {
        for (const log of logs) {
          const asked = { ...input, ...seen(log, 26.5), lossL, hottestC: 30, bottles: kindIds.map((kindId) => ({ kindId, count: null })) };
          for (const { volumes, holds } of bottlingPlan(asked)?.levels ?? []) {
            const plan = bottlingPlan({ ...asked, targetVolumes: volumes });
            // Fizzier than that with no sugar at all: nothing is primed.
            if (plan?.priming?.ok !== true) continue;
            expect([volumes, kindIds, plan.check.safety.every((s) => s.worked.value.verdict !== 'do-not-bottle')]).toEqual([volumes, kindIds, holds]);
            if (holds) taken += 1;
            else refused += 1;
          }
        }
      }
    }
    expect(Math.min(taken, refused)).toBeGreaterThan(20);
  });
  it('judges bottles of one kind together, the test bottle among them', () => {
    const plastic = bottlingPlan({ ...input, bottles: [{ kindId: 'plastic-500', count: null }] });
    expect(plastic?.check.safety.map((s) => s.kindId)).toEqual(['plastic-500']);
    expect(plastic?.run.ok === true && plastic.run.value.value.lots.map((l) => l.count)).toEqual([1, 38]);
  });
  it('tells the fizz and the danger of the dose that a maker gives by habit', () => {
    const own = bottlingPlan({ ...input, doseG: 130 });
    expect(own?.priming?.ok === true && own.priming.value.value.massG).toBeCloseTo(130, 6);
    // A level teaspoon of 4.2 g in each half litre: 8.4 g/L of sugar make 2.18 volumes.
    const spoon = bottlingPlan({ ...input, mode: 'per-bottle', doseG: 4.2 });
    expect(spoon?.priming?.ok === true && spoon.priming.value.value.fromPrimingVolumes).toBeCloseTo((8.4 * 0.514) / 1.9768, 3);
    // Three drops to a bottle are past what crown caps stand, and the check says so.
    const heaped = bottlingPlan({ ...input, mode: 'per-bottle', doseG: 9 });
    expect(heaped?.check.cautions.map((c) => c.id)).toContain('over-pressure');
    const absurd = bottlingPlan({ ...input, doseG: 900 });
    expect(absurd?.priming?.ok === false && absurd.priming.error.message).toMatch(/makes 1\d\.\d volumes/);
  });
  it('asks for bottles of one size where each gets the same dose', () => {
    const mixed = [
      { kindId: 'crown-330', count: 5 },
      { kindId: 'sparkling-750', count: null },
    ];
    const each = bottlingPlan({ ...input, mode: 'per-bottle', doseG: 3, bottles: mixed });
    expect(each?.priming?.ok === false && each.priming.error.message).toMatch(/more fizz in a small bottle/);
    expect(bottlingPlan({ ...input, mode: 'bulk', doseG: 100, bottles: mixed })?.priming?.ok).toBe(true);
  });
  it('asks for fresh yeast where its own is old, and tells the bottle that gets most', () => {
    expect(bottlingPlan(input)?.freshYeast).toBeNull();
    const old = bottlingPlan({ ...input, today: make.at(200) });
    expect(old?.freshYeast?.value).toEqual({ massG: 1, why: ['its yeast went in 200 days ago'] });
    expect(bottlingPlan({ ...input, today: make.at(200), route: 'still' })).toMatchObject({ freshYeast: null, uneven: null });
    const fined = seen([...tested, make.entry('clarified', 26.3, { means: 'finings', massG: 2, waitDays: 3 })], 90);
    expect(bottlingPlan({ ...input, ...fined, today: make.at(90) })?.freshYeast?.value.why).toEqual(['its yeast went in 90 days ago', 'it was fined']);
    expect(bottlingPlan(input)?.uneven).toMatchObject({ how: 'unstirred', kindId: 'crown-500' });
    expect(bottlingPlan({ ...input, mode: 'per-bottle' })?.uneven?.how).toBe('heaped');
  });
});
