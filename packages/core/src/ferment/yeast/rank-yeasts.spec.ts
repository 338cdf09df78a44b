import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { YEAST_KINDS } from '../../base/reference/yeast-kinds-data.js';
import { pitchSteps } from './pitch-steps.js';
import { rankYeasts, type RankedYeast } from './rank-yeasts.js';
import { yeastTogether } from './yeast-together.js';

const must = liquidFromReadings({ volumeL: 20, sg: 1.052, taGPerL: 5.5, ph: 3.45 });
const TODAY = '2026-11-23T10:00:00.000Z';
const rank = (changes: Partial<Parameters<typeof rankYeasts>[0]> = {}): readonly RankedYeast[] =>
  rankYeasts({ liquid: must, aim: null, tempProfile: [15], stock: [], today: TODAY, ...changes }).value;
const fitOf = (ranked: readonly RankedYeast[], id: string): number => ranked.find((r) => r.yeastId === id)?.fit ?? NaN;

describe('rankYeasts', () => {
  it('ranks every kind, each with a reason on every count', () => {
    const ranked = rank();
    expect(ranked).toHaveLength(YEAST_KINDS.length);
    for (const { reasons, fit } of ranked) {
      expect(new Set(reasons.map((r) => r.on)).size).toBe(6);
      expect(fit).toBeGreaterThanOrEqual(0);
      expect(fit).toBeLessThanOrEqual(1);
    }
    expect(ranked.every((r, i) => i === 0 || r.fit <= (ranked[i - 1]?.fit ?? 0))).toBe(true);
  });
  it('puts a cold shed’s kinds first in the cold and an ale kind last', () => {
    const cold = rank({ tempProfile: [9, 7, 6] });
    expect(['cold-tolerant-slow', 'wild-spontaneous', 'neutral-champagne']).toContain(cold[0]?.yeastId);
    expect(fitOf(cold, 'english-ale')).toBe(0);
  });
  it('rules out what would die in a hot kitchen', () => {
    expect(fitOf(rank({ tempProfile: [22, 31] }), 'cool-fruity-white')).toBe(0);
  });
  it('rules out kinds that stop before the strength wanted', () => {
    const strong = rank({ liquid: liquidFromReadings({ volumeL: 20, sg: 1.105 }), tempProfile: [19], aim: 'strong' });
    expect(fitOf(strong, 'high-alcohol-dessert')).toBeGreaterThan(fitOf(strong, 'english-ale'));
    expect(strong.find((r) => r.yeastId === 'sweet-finish')?.reasons[0]?.on).toBe('strength');
  });
  it('follows the character wanted, and the acid', () => {
    const sour = { ...must, ...liquidFromReadings({ volumeL: 20, sg: 1.052, taGPerL: 9, ph: 3.1 }) };
    expect(fitOf(rank({ liquid: sour, aim: 'soft', tempProfile: [18] }), 'acid-softening')).toBeGreaterThan(
      fitOf(rank({ liquid: sour, aim: 'clean', tempProfile: [18] }), 'acid-softening'),
    );
    expect(['crisp-cider', 'neutral-champagne']).toContain(rank({ aim: 'clean' })[0]?.yeastId);
  });
  it('prefers what is in the cupboard and in date, to the day', () => {
    const packet = (bestBefore: string | null) => rank({ stock: [{ yeastId: 'fruity-cider', bestBefore }] });
    const [fresh, old, none] = [packet('2026-11-23'), packet('2026-11-22'), rank()].map((r) => r.find((k) => k.yeastId === 'fruity-cider'));
    expect([fresh?.inStock, old?.inStock, none?.inStock]).toEqual(['in-date', 'out-of-date', 'none']);
    expect(fresh?.fit).toBeGreaterThan(none?.fit ?? 1);
    expect(old?.fit).toBeLessThan(none?.fit ?? 0);
  });
  it('refuses a place of 500 °C', () => {
    expect(refusalCode(() => rank({ tempProfile: [500] }))).toBe('OUT_OF_RANGE');
  });
});

describe('yeastTogether', () => {
  it('warns when one kills the other, whichever goes first', () => {
    expect(yeastTogether('neutral-champagne', 'english-ale').kills).toBe(true);
    expect(yeastTogether('english-ale', 'neutral-champagne').text).toContain('Neutral champagne-type kills English-ale type');
  });
  it('lets neutral kinds live and knows what it does not know', () => {
    expect(yeastTogether('crisp-cider', 'fruity-cider')).toMatchObject({ kills: false });
    expect(yeastTogether('crisp-cider', 'wild-spontaneous').text).toContain('Nobody can say');
    expect(yeastTogether('crisp-cider', 'crisp-cider').text).toContain('same kind');
  });
});

describe('pitchSteps', () => {
  const steps = (changes: object): readonly { text: string; waitMin: number }[] =>
    pitchSteps({ yeastId: 'crisp-cider', massG: 5, way: 'rehydrated', juiceC: 14, volumeL: 20, ...changes });
  it('rehydrates in ten times its weight of warm water, and cools it in jumps of no more than 8 °C', () => {
    const text = steps({}).map((s) => s.text);
    expect(text[0]).toContain('50 mL of clean water to 35 °C');
    for (const juiceC of [2, 8, 14, 20, 26, 30, 36]) {
      // Reckoned by mixing: volumes of water and juice at their own temperatures.
      let [ml, tempC] = [50, 35];
      for (const { text: step } of steps({ juiceC })) {
        const [, added, says] = /^Add (\d+) mL of the juice: the cup cools to about (\d+) °C/.exec(step) ?? [];
        if (added === undefined) continue;
        const mixed = (ml * tempC + Number(added) * juiceC) / (ml + Number(added));
        expect(tempC - mixed).toBeLessThanOrEqual(8.3);
        expectWithin(mixed, Number(says), { abs: 0.8 });
        [ml, tempC] = [ml + Number(added), mixed];
      }
      expect(tempC - juiceC).toBeLessThanOrEqual(8.3);
    }
  });
  it.each(['sprinkled', 'starter', 'wild'] as const)('gives %s its own steps, with times', (way) => {
    const list = steps({ way });
    expect(list.length).toBeGreaterThan(2);
    expect(list.some((s) => s.waitMin > 0)).toBe(true);
  });
  it('says how warm the juice is only where somebody read it', () => {
    const first = (juiceC: number | null): string => steps({ way: 'sprinkled', juiceC })[0]?.text ?? '';
    expect([first(16), first(9), first(null)]).toEqual([
      'The juice is at 16 °C, which suits it.',
      'Bring the juice into 14 to 20 °C if you can. It is at 9 °C.',
      'Read how warm the juice is, and bring it into 14 to 20 °C if you can.',
    ]);
    for (const way of ['rehydrated', 'starter'] as const) {
      const told = steps({ way, juiceC: null }).map((s) => s.text);
      expect(told.join(' ')).not.toMatch(/the juice \(|It is at/);
      expect(told.some((text) => text.includes('taken to be at 18 °C'))).toBe(way === 'rehydrated');
    }
  });
  it('refuses a negative packet', () => {
    expect(refusalCode(() => steps({ massG: -1 }))).toBe('OUT_OF_RANGE');
  });
});
