import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { abvOf } from '../../matter/liquid/views.js';
import { waterOf, type Liquid } from '../../matter/liquid/liquid.js';
import { expectWithin } from '../../testing/expect-within.js';
import { restartOutcome, restartPlan, type RestartPlan } from './restart-plan.js';

const stuck = (sg = 1.024, startSg = 1.052, volumeL = 20): Liquid =>
  fermentTo(liquidFromReadings({ volumeL, sg: startSg, taGPerL: 6, ph: 3.5, yanMgPerL: 90 }), sg);
const plan = (changes: Partial<Parameters<typeof restartPlan>[0]> = {}): RestartPlan =>
  restartPlan({ liquid: stuck(), yeastId: 'crisp-cider', tempC: 18, warmestC: 18, ...changes }).value;

describe('restartPlan', () => {
  it('weighs restart yeast for this volume: 0.45 g/L', () => {
    expectWithin(plan().massG, 9, { abs: 1e-9 });
    expectWithin(plan({ liquid: stuck(1.024, 1.052, 4.5) }).massG, 2.025, { abs: 1e-9 });
    expect(plan().starter[0]?.text).toContain('90 mL of clean water');
    expect(plan().starter[0]?.text).toContain('9.0 g of restart yeast');
  });
  it('doubles the starter with the stuck drink until it is an eighth of the batch, and no vessel overflows', () => {
    const doublings = plan().starter.filter((s) => s.text.startsWith('When it foams'));
    const amounts = doublings.map((s) => Number(/with ([\d.]+) (mL|L)/.exec(s.text)?.[1]) * (s.text.includes(' mL of') ? 0.001 : 1));
    amounts.slice(1).forEach((ml, i) => expectWithin(ml / (amounts[i] ?? 1), 2, { abs: 0.15 }));
    const total = amounts.reduce((a, b) => a + b, 0.18);
    expect(total).toBeGreaterThanOrEqual(0.12 * 20);
    expect(total).toBeLessThan(0.25 * 20);
  });
  it('leaves room for foam in the vessel and in the jar, and cools the yeast by no more than 8 °C', () => {
    expectWithin(plan().foamRoomL, 20 / 6, { abs: 0.05 });
    expectWithin(plan({ liquid: stuck(1.024, 1.052, 4.5) }).foamRoomL, 4.5 / 6, { abs: 0.02 });
    const jarL = Number(/a jar that holds ([\d.]+) L and as much foam/.exec(plan().starter[0]?.text ?? '')?.[1]);
    // 90 mL of water, 90 of juice, and what the doublings bring.
    const brought = plan().starter.flatMap((s) => (/with ([\d.]+) (mL|L) of/.exec(s.text) ?? []).slice(1, 3).join(' ') || []);
    const litres = brought.reduce((sum, text) => sum + Number(text.split(' ')[0]) * (text.endsWith('mL') ? 0.001 : 1), 0.18);
    expectWithin(jarL, litres, { abs: 0.1 });
    const [, waterC] = /to (\d+) °C in a jar/.exec(plan().starter[0]?.text ?? '') ?? [];
    const [, juiceC] = /juice at (\d+) to/.exec(plan().starter[1]?.text ?? '') ?? [];
    expect((Number(waterC) - Number(juiceC)) / 2).toBeLessThanOrEqual(8);
  });
  it('tries what is free first, over five days, and asks for a reading before new yeast', () => {
    const { gentle } = plan({ tempC: 9 });
    expect(gentle.reduce((sum, s) => sum + s.waitMin, 0) / 1440).toBe(5);
    expect(gentle[0]?.text).toMatch(/^Move it to 17 to 20 °C/);
    expect(gentle.at(-1)?.text).toMatch(/^Read it/);
    expect(plan({ tempC: 19 }).gentle[0]?.text).toMatch(/^Keep it/);
  });
  it.each([
    ['cold', { tempC: 9 }],
    ['chilled', { tempC: 14, warmestC: 19 }],
    ['hungry', { liquid: { ...stuck(), yanMgPerL: 20 } }],
    ['sulfite', { liquid: { ...stuck(), freeSo2MgPerL: 45 } }],
    ['limit', { liquid: stuck(1.018, 1.108) }],
    ['unknown', { liquid: { ...stuck(), yanMgPerL: 200 } }],
  ] as const)('names the cause: %s', (id, changes) => {
    expect(plan(changes).causes.map((c) => c.id)).toContain(id);
  });
  it('waters a strong one just enough: the strength afterwards lies two under what the yeast stands', () => {
    const liquid = stuck(1.018, 1.108);
    const { diluteL } = plan({ liquid });
    expectWithin(abvOf(blendLiquids([liquid, waterOf(diluteL ?? 0)])), 10, { abs: 0.05 });
    expect(plan().diluteL).toBeNull();
  });
  it('warns of foam and of sealing, and refuses where nothing is left to ferment', () => {
    expect(restartPlan({ liquid: stuck(), yeastId: 'crisp-cider', tempC: null, warmestC: null }).cautions.map((c) => c.id)).toEqual([
      'foam-over',
      'sealed-ferment',
    ]);
    expect(() => plan({ liquid: stuck(0.9985) })).toThrow('nothing is stuck');
    expect(() => plan({ tempC: 300 })).toThrow(/tempC/);
  });
});

describe('restartOutcome', () => {
  it.each([
    [[], 'too-early', 'Read it after 4 days'],
    [[{ days: 2, sg: 1.0235 }], 'too-early', 'says nothing yet'],
    [[{ days: 3, sg: 1.022 }], 'going', '2 points down in 3 days'],
    [[{ days: 7, sg: 1.0235 }], 'not-going', 'has not taken'],
    [
      [
        { days: 4, sg: 1.0235 },
        { days: 9, sg: 1.015 },
      ],
      'going',
      '9 points down in 9 days',
    ],
  ] as const)('case %#', (since, is, words) => {
    const outcome = restartOutcome(1.024, since);
    expect(outcome.is).toBe(is);
    expect(outcome.text).toContain(words);
  });
});
