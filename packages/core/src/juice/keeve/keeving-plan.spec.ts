import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { keevingPlan } from './keeving-plan.js';

const lean = { ...liquidFromReadings({ volumeL: 20, sg: 1.056, ph: 3.7, taGPerL: 4, tanninGPerL: 2 }), yanMgPerL: 60 };
const wrong = (changes: Partial<typeof lean> = {}, tempC = 8): readonly string[] =>
  keevingPlan({ liquid: { ...lean, ...changes }, tempC })
    .value.signs.filter((sign) => !sign.isRight)
    .map((sign) => sign.id);

describe('keevingPlan', () => {
  it('wants a lean juice, of middling acidity, in the cold', () => {
    expect(wrong()).toEqual([]);
    expect(keevingPlan({ liquid: lean, tempC: 8 }).value.mayWork).toBe(true);
    expect(wrong({ yanMgPerL: 75 })).toEqual(['nitrogen']);
    expect(wrong({ yanMgPerL: 74.9 })).toEqual([]);
    expect([4.9, 5, 10, 10.1].map((tempC) => wrong({}, tempC).length)).toEqual([1, 0, 0, 1]);
    const edge = liquidFromReadings({ volumeL: 20, sg: 1.056, ph: 3.397, taGPerL: 6 });
    expect(keevingPlan({ liquid: { ...edge, yanMgPerL: 60 }, tempC: 8 }).value.mayWork).toBe(true);
    const acid = liquidFromReadings({ volumeL: 20, sg: 1.056, ph: 3.3, taGPerL: 8 });
    expect(keevingPlan({ liquid: { ...acid, yanMgPerL: 60 }, tempC: 8 }).value).toMatchObject({ mayWork: false });
    const flat = liquidFromReadings({ volumeL: 20, sg: 1.056, ph: 4.1, taGPerL: 2 });
    expect(keevingPlan({ liquid: { ...flat, yanMgPerL: 60 }, tempC: 8 }).value.signs[1]?.says).toMatch(/spoilage comes first/);
  });
  it('gives 0.4 g/L of calcium chloride, three days until the first look, and names its failures', () => {
    const { value, cautions, steps } = keevingPlan({ liquid: lean, tempC: 8 });
    expect(value.calciumG).toBeCloseTo(8, 9);
    expect(value.steps[1]).toMatchObject({ text: expect.stringContaining('8.0 g'), waitMin: 3 * 24 * 60 });
    expect(value.failures.join(' ')).toMatch(/8 days.*goes dry all the same.*wakes in spring, in the bottle/);
    expect(cautions.map((c) => c.id)).toEqual(['keeving']);
    expect(steps[0]?.result).toBe('8.0 g');
  });
  it('refuses a warmth that is none', () => {
    expect(() => keevingPlan({ liquid: lean, tempC: 300 })).toThrow(/tempC must lie between/);
  });
});
