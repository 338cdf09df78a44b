import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { cardinalFactor } from './cardinal-temperature.js';
import { finishDayOf, simulateFermentation, type SimulatedFerment } from './simulate-fermentation.js';
import { tempsBySteps } from './temp-profile.js';

const POINTS = 0.002;
const run = (yeastId: string, tempC: number, changes: { sg?: number; yanMgPerL?: number; pitchGPerL?: number } = {}): SimulatedFerment => {
  const { sg = 1.05, yanMgPerL = 90, pitchGPerL = 0.25 } = changes;
  const liquid = liquidFromReadings({ volumeL: 20, sg, taGPerL: 5, ph: 3.5, yanMgPerL });
  return simulateFermentation({ liquid, yeastId, tempProfile: [{ day: 0, tempC }], pitchGPerL, days: 250 });
};
const end = ({ sg }: SimulatedFerment): number => sg[sg.length - 1] ?? NaN;

describe('simulateFermentation', () => {
  it.each([
    ['an ale kind at 18 °C', 'english-ale', 18, {}, 8, 14],
    ['an ale kind at 20 °C', 'american-ale', 20, {}, 8, 14],
    ['a cool wine kind at 12 °C', 'cool-fruity-white', 12, {}, 28, 42],
    ['wild yeast at 7 °C with little nitrogen', 'wild-spontaneous', 7, { yanMgPerL: 50, pitchGPerL: 0 }, 90, 150],
  ] as const)('%s takes as long as it usually does', (_, yeastId, tempC, changes, least, most) => {
    const days = finishDayOf(run(yeastId, tempC, changes), POINTS);
    expect(days).toBeGreaterThanOrEqual(least);
    expect(days).toBeLessThanOrEqual(most);
  });
  it('1.110 stops near the limit of a 12 % yeast, sweet', () => {
    const stopped = run('crisp-cider', 20, { sg: 1.11, yanMgPerL: 150 });
    expect(end(stopped)).toBeGreaterThan(1.012);
    expect(end(stopped)).toBeLessThan(1.025);
  });
  it('goes dry otherwise, never rises, and a hungry must takes longer', () => {
    for (const kind of YEAST_KINDS.filter((k) => k.toleranceAbv[0] > 7.5)) {
      const { sg } = run(kind.id, kind.tempC[2]);
      for (let i = 1; i < sg.length; i += 1) expect(sg[i]).toBeLessThanOrEqual((sg[i - 1] ?? 0) + 1e-12);
      expect(sg[sg.length - 1]).toBeLessThan(1);
    }
    expect(finishDayOf(run('crisp-cider', 18, { yanMgPerL: 30 }), POINTS)).toBeGreaterThan(finishDayOf(run('crisp-cider', 18, { yanMgPerL: 140 }), POINTS) + 1);
  });
});

describe('cardinalFactor', () => {
  it('is nothing outside its limits, best in between, and never above one', () => {
    for (const { tempC } of YEAST_KINDS) {
      expect(cardinalFactor(tempC[0] - 3, tempC)).toBe(0);
      expect(cardinalFactor(tempC[3] + 2, tempC)).toBe(0);
      expect(cardinalFactor(tempC[0], tempC)).toBeGreaterThan(0);
      const best = tempC[2] + 0.75 * (tempC[3] - tempC[2]);
      expect(cardinalFactor(best, tempC)).toBeCloseTo(1, 6);
      for (let t = -5; t < 45; t += 0.5) expect(cardinalFactor(t, tempC)).toBeLessThanOrEqual(1);
    }
    expect(cardinalFactor(14, yeastById('crisp-cider').tempC)).toBeLessThan(cardinalFactor(18, yeastById('crisp-cider').tempC));
  });
});

describe('tempsBySteps', () => {
  it('holds each temperature until the next, and the first before it', () => {
    const temps = tempsBySteps(
      [
        { day: 3, tempC: 8 },
        { day: 1, tempC: 18 },
      ],
      0.5,
      10,
    );
    expect([...temps]).toEqual([18, 18, 18, 18, 18, 18, 8, 8, 8, 8]);
    expect(tempsBySteps([], 1, 2)).toEqual(Float64Array.of(16, 16));
  });
});
