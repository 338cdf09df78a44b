import { gasParts, type SealedGas } from '../../finish/bottle/sealed-gas.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import { checkBottling, UNREAD_PRIMING_G_PER_L } from './bottling-check.js';
import type { SealWay } from './sealing.js';

const juice = liquidFromReadings({ volumeL: 20, sg: 1.048, taGPerL: 5.5, ph: 3.5 });
/** A drink with some sugar in it, weighed in or left over, g/L. */
const gas = (sugarGPerL: number, changes: Partial<SealedGas> = {}): SealedGas => ({
  liquid: { ...fermentTo(juice, dryGravityOf(juice)), hexoseGPerL: sugarGPerL, sucroseGPerL: 0 },
  weighedGPerL: sugarGPerL,
  sugarSdGPerL: 0.5,
  malolactic: 'over',
  warmestSinceEndC: 18,
  ...changes,
});
const check = (way: SealWay, of: SealedGas, ...bottles: readonly (readonly [kindId: string, count: number])[]): ReturnType<typeof checkBottling> =>
  checkBottling({ way, gas: of, bottles: bottles.map(([kindId, count]) => ({ kindId, count })), hottestC: 25 });
const idsOf = ({ cautions }: ReturnType<typeof checkBottling>): readonly string[] => cautions.map((c) => c.id);

describe('checkBottling', () => {
  it('fills proven drinks with nothing to acknowledge where the bottles stand it', () => {
    const found = check('proven', gas(3), ['plastic-500', 20]);
    expect(found.refusal).toBeNull();
    expect(found.cautions.filter((c) => c.severity === 'danger')).toEqual([]);
    expect(gasParts(gas(3)).weighed).toBeGreaterThan(0.5);
  });
  it('tells the weakest kind first, each caution once with dangers before the rest, and leaves out kinds of which none is filled', () => {
    const found = check('proven', gas(14), ['plastic-500', 10], ['crown-330', 0], ['sparkling-750', 6], ['crown-500', 10], ['crown-330', 8]);
    expect(
      found.safety
        .map((s) => s.kindId)
        .slice(0, 2)
        .sort(),
    ).toEqual(['crown-330', 'crown-500']);
    expect(found.safety.map((s) => s.kindId)).toHaveLength(4);
    const chances = found.safety.map((s) => s.worked.value.chanceOverLimit);
    expect([...chances].sort((a, b) => b - a)).toEqual(chances);
    const ids = idsOf(found);
    expect(ids).toContain('over-pressure');
    expect(new Set(ids).size).toBe(ids.length);
    const severities = found.cautions.map((c) => c.severity === 'danger');
    expect([...severities].sort((a, b) => Number(b) - Number(a))).toEqual(severities);
    expect(severities[0]).toBe(true);
    expect(severities.at(-1)).toBe(false);
  });
  it('lets no unproven drink pass as safe in any bottle', () => {
    const found = check('unproven', gas(0), ['plastic-500', 10]);
    expect(found.safety[0]?.worked.value.verdict).toBe('do-not-bottle');
    expect(check('proven', gas(0), ['plastic-500', 10]).safety[0]?.worked.value.verdict).toBe('safe');
  });
  it('refuses a touch high where the bottles would not stand what may be left, and only there', () => {
    const [left, some] = [gas(16, { weighedGPerL: 0, sugarSdGPerL: 2 }), gas(1, { weighedGPerL: 0 })];
    expect(check('ended-high', left, ['crown-500', 10]).refusal).toMatch(/\S/);
    expect(idsOf(check('ended-high', left, ['crown-500', 10]))).toContain('touch-high');
    expect(idsOf(check('ended-high', left, ['crown-500', 10]))).not.toContain('over-pressure');
    expect(check('ended-high', some, ['plastic-500', 10]).refusal).toBeNull();
    expect(check('proven', left, ['crown-500', 10]).refusal).toBeNull();
    // A bottle made for no pressure at all counts with those that would not stand it.
    expect(check('ended-high', left, ['wine-750', 6]).refusal).toMatch(/\S/);
    expect(idsOf(check('proven', left, ['wine-750', 6]))).toContain('wrong-bottle');
  });
  it('calls sugar under sorbate what it is: a danger of its own, and no refusal', () => {
    const found = check('stabilised', gas(30, { weighedGPerL: 0 }), ['crown-500', 10]);
    expect(found.refusal).toBeNull();
    expect(idsOf(found)[0]).toBe('re-ferment');
    expect(idsOf(found)).not.toContain('over-pressure');
    expect(idsOf(check('stabilised', gas(0.2, { weighedGPerL: 0 }), ['plastic-500', 10]))).not.toContain('re-ferment');
  });
  it('lets a drink that nobody read into plastic alone, with little sugar and a word', () => {
    const little = gas(100, { weighedGPerL: UNREAD_PRIMING_G_PER_L });
    expect(check('unread', little, ['plastic-500', 10])).toMatchObject({ refusal: null, safety: [] });
    expect(idsOf(check('unread', little, ['plastic-500', 10]))).toEqual(['unread']);
    expect(check('unread', little, ['plastic-500', 10], ['crown-500', 1]).refusal).toMatch(/no glass/);
    expect(check('unread', little, ['plastic-500', 10], ['crown-500', 0]).refusal).toBeNull();
    expect(check('unread', gas(100, { weighedGPerL: UNREAD_PRIMING_G_PER_L + 0.1 }), ['plastic-500', 10]).refusal).toMatch(/at most 4 g\/L/);
  });
});
