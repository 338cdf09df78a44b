import { bottlingRoutes } from '@trug/core/finish/bottling-routes';
import { filled, finishedLog, pitched, reading, sampleView, testedLog } from '../../../testing/sample-batch';
import { benchPlan, readBottles, type BottleInputs } from './bottle-plan';
import { pressureDrawing } from './pressure-geometry';

const view = sampleView(testedLog(), 26.5);
const input: BottleInputs = {
  state: view.state,
  verdict: view.verdict?.value ?? null,
  route: 'sparkling-dry',
  targetVolumes: 2.6,
  fermentableId: 'sucrose',
  mode: 'bulk',
  doseG: null,
  warmestC: 18,
  hottestC: 24,
  lossL: 0.4,
  bottles: [{ kindId: 'crown-500', count: null }],
  testBottle: true,
};

describe('benchPlan', () => {
  it('primes all of it and counts the test bottle first', () => {
    const plan = benchPlan(input);
    expect(plan?.priming?.ok === true && plan.priming.value.value.massG).toBeCloseTo(6.5946 * 20, 0);
    expect(plan?.run.ok === true && plan.run.value.value.lots.map((l) => l.count)).toEqual([1, 38]);
  });
  it('shows the pressure at three heats, rising', () => {
    const bars = benchPlan(input)?.bands.map((b) => b.likelyBar) ?? [];
    expect([...bars].sort((a, b) => a - b)).toEqual(bars);
  });
  it('primes nothing when still, and refuses to call a working one safe', () => {
    expect(benchPlan({ ...input, route: 'still' })?.priming).toBeNull();
    const working = sampleView([filled(), pitched(), reading(3, 1.03), reading(6, 1.015)], 6);
    const plan = benchPlan({ ...input, route: 'still', state: working.state, verdict: working.verdict?.value ?? null });
    expect(plan?.check.safety.map((s) => s.worked.value.verdict)).toEqual(['do-not-bottle']);
    expect(plan?.check.cautions[0]?.severity).toBe('danger');
    const routes = bottlingRoutes({ way: 'unproven', verdict: working.verdict?.value ?? null });
    expect(routes.filter((r) => r.allowed).map((r) => r.id)).toEqual(['cold-keg']);
  });
  it('primes for as much as the bottles take until the maker chooses, and says what would make more hold', () => {
    const auto = benchPlan({ ...input, targetVolumes: null });
    expect(auto?.check.cautions.filter((c) => c.severity === 'danger')).toEqual([]);
    const most = Math.max(...(auto?.levels ?? []).filter((l) => l.holds).map((l) => l.volumes));
    expect(auto?.targetVolumes).toBe(most);
    const doubtful = sampleView(finishedLog(), 26.5);
    const much = benchPlan({ ...input, state: doubtful.state, verdict: doubtful.verdict?.value ?? null });
    expect(much?.check.cautions[0]?.severity).toBe('danger');
    expect(much?.ways.map((w) => w.id)).toEqual(['test-and-malolactic', 'plastic']);
  });
  it('tells the fizz and the danger of the dose that a maker gives by habit', () => {
    const own = benchPlan({ ...input, doseG: 130 });
    expect(own?.priming?.ok === true && own.priming.value.value.massG).toBeCloseTo(130, 6);
    // A level teaspoon of 4.2 g in each half litre: 8.4 g/L of sugar make 2.18 volumes.
    const spoon = benchPlan({ ...input, mode: 'per-bottle', doseG: 4.2 });
    expect(spoon?.priming?.ok === true && spoon.priming.value.value.fromPrimingVolumes).toBeCloseTo((8.4 * 0.514) / 1.9768, 3);
    // Three drops to a bottle are past what crown caps stand, and the check says so.
    const heaped = benchPlan({ ...input, mode: 'per-bottle', doseG: 9 });
    expect(heaped?.check.cautions.map((c) => c.id)).toContain('over-pressure');
    const absurd = benchPlan({ ...input, doseG: 900 });
    expect(absurd?.priming?.ok === false && absurd.priming.error.message).toMatch(/makes 1\d\.\d volumes/);
  });
  it('asks for bottles of one size where each gets the same dose', () => {
    const mixed = [
      { kindId: 'crown-330', count: 5 },
      { kindId: 'sparkling-750', count: null },
    ];
    const each = benchPlan({ ...input, mode: 'per-bottle', doseG: 3, bottles: mixed });
    expect(each?.priming?.ok === false && each.priming.error.message).toMatch(/more fizz in a small bottle/);
    expect(benchPlan({ ...input, mode: 'bulk', doseG: 100, bottles: mixed })?.priming?.ok).toBe(true);
  });
  it('reads the chosen bottles back from the draft', () => {
    expect(readBottles('crown-500:,swing-500:6,crown-330:-2')).toEqual([
      { kindId: 'crown-500', count: null },
      { kindId: 'swing-500', count: 6 },
      { kindId: 'crown-330', count: null },
    ]);
  });
});

describe('pressureDrawing', () => {
  it('keeps labels apart however close the limits lie', () => {
    const limits = [4.2, 4.2, 4.3].map((limitBar, i) => ({ name: String(i), limitBar, chosen: false }));
    const ys = pressureDrawing({ bands: [], limits, top: 0, bottom: 500 })
      .limits.map((l) => l.textY)
      .sort((a, b) => a - b);
    ys.slice(1).forEach((y, i) => expect(y - (ys[i] ?? 0)).toBeGreaterThanOrEqual(20));
  });
});
