import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { dryAbvOf, gravityOf } from '../../matter/liquid/views.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { sugarForGravity } from '../../juice/adjust/sugar-for-gravity.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { pitchCautions } from './pitch-cautions.js';
import { pitchRate } from './pitch-rate.js';

const must = (sg: number, ph = 3.5): Liquid => liquidFromReadings({ volumeL: 20, sg, taGPerL: 6, ph, tanninGPerL: 0.5 });

describe('pitchRate', () => {
  const rate = (sg: number, tempC: number, purpose: 'start' | 'restart' = 'start', yeastId = 'crisp-cider'): ReturnType<typeof pitchRate> =>
    pitchRate({ liquid: must(sg), yeastId, tempC, purpose });
  it.each([
    [1.05, 18, 5],
    [1.05, 10, 5],
    [1.05, 9.9, 7.5],
    [1.0795, 18, 5],
    [1.081, 18, 7.5],
    [1.081, 8, 7.5],
  ])('weighs for 20 L of %p at %p °C %p g: half as much again when strong or cold', (sg, tempC, massG) => {
    expectWithin(rate(sg, tempC).value.massG, massG, { abs: 1e-9 });
  });
  it('restarts with 0.45 g/L, however cold or strong', () => {
    expectWithin(rate(1.02, 18, 'restart').value.gPerL, 0.45, { abs: 1e-9 });
    expectWithin(rate(1.09, 8, 'restart').value.gPerL, 0.45, { abs: 1e-9 });
  });
  it('rehydrates what goes into a strong must or restarts one', () => {
    expect(rate(1.069, 18).value.method).toBe('sprinkled');
    expect(rate(1.071, 18).value.method).toBe('rehydrated');
    expect(rate(1.02, 18, 'restart').value.method).toBe('rehydrated');
  });
  it('weighs nothing of what comes by itself, and shows its working', () => {
    expect(rate(1.05, 18, 'start', 'wild-spontaneous').value.massG).toBe(0);
    expect(rate(1.05, 18).steps).toEqual([
      expect.objectContaining({ label: 'Dry yeast', expression: '0.25 g/L × 20.0 L at 1.050 and 18 °C', result: '5.0 g' }),
    ]);
    expect(refusalCode(() => rate(1.05, NaN))).toBe('OUT_OF_RANGE');
  });
});

describe('pitchCautions', () => {
  const mind = (changes: Partial<Parameters<typeof pitchCautions>[0]>): string[] =>
    pitchCautions({ liquid: must(1.05), yeastId: 'english-ale', juiceC: null, sulfitedAt: null, at: '2026-11-02T10:00:00Z', ...changes }).map((c) => c.id);
  it('has nothing to say of an ordinary must', () => {
    expect(mind({})).toEqual([]);
    expect(mind({ heated: true, juiceC: 18, sulfitedAt: '2026-11-01T10:00:00Z' })).toEqual([]);
    expect(mind({ liquid: must(1.032), yeastId: 'wild-spontaneous' })).toEqual([]);
  });
  it('minds sulfite for a day, half an hour early being near enough, for yeast that is added', () => {
    const hoursAgo = (hours: number): string => new Date(Date.UTC(2026, 10, 2, 10) - hours * 3_600_000).toISOString();
    expect(mind({ sulfitedAt: hoursAgo(23.4) })).toEqual(['sulfite-and-yeast']);
    expect(mind({ sulfitedAt: hoursAgo(23.5) })).toEqual([]);
    expect(mind({ liquid: must(1.032), sulfitedAt: hoursAgo(3), yeastId: 'wild-spontaneous' })).toEqual([]);
  });
  it('says that nothing wild lives in what was heated', () => {
    expect(mind({ liquid: must(1.032), heated: true, yeastId: 'wild-spontaneous' })).toEqual(['wild-in-heated']);
  });
  it('minds juice hotter than the kind of yeast stands', () => {
    const most = yeastById('english-ale').tempC[3];
    expect(mind({ juiceC: most })).toEqual([]);
    expect(mind({ juiceC: most + 0.1 })).toEqual(['hot-pitch']);
  });
  it('minds more alcohol to come than the kind of yeast surely stands', () => {
    const [least] = yeastById('english-ale').toleranceAbv;
    const atDryAbv = (abv: number): Liquid => {
      let [low, high] = [1.05, 1.12];
      for (let i = 0; i < 30; i += 1) {
        const middle = (low + high) / 2;
        if (dryAbvOf(sugared(middle)) < abv) low = middle;
        else high = middle;
      }
      return sugared(low);
    };
    const sugared = (targetSg: number): Liquid => sugarForGravity({ liquid: must(1.049), targetSg, fermentableId: 'sucrose' }).value.liquid;
    expect(gravityOf(atDryAbv(least - 0.1))).toBeGreaterThan(1.05);
    expect(mind({ liquid: atDryAbv(least - 0.1) })).toEqual([]);
    expect(mind({ liquid: atDryAbv(least + 0.1) })).toEqual(['over-tolerance']);
  });
  it('minds a must that is hardly acid', () => {
    expect(phOf(must(1.05, 3.79))).toBeLessThanOrEqual(3.8);
    expect(mind({ liquid: must(1.05, 3.79) })).toEqual([]);
    expect(mind({ liquid: must(1.05, 3.82) })).toEqual(['ph-high']);
  });
});
