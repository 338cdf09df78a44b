import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import { bottleById } from '../../base/reference/bottle-kinds.js';
import { bottleSafety, chanceText, lotChance, type BottleSafetyInput } from './bottle-safety.js';
import { gasParts, type SealedGas } from './sealed-gas.js';

const juice = liquidFromReadings({ volumeL: 20, sg: 1.048, taGPerL: 5.5, ph: 3.5 });
/** A drink at its end with no malic acid in it, and so much sugar weighed in, g/L. */
const gas = (weighedGPerL: number, changes: Partial<SealedGas> = {}): SealedGas => ({
  liquid: { ...fermentTo(juice, dryGravityOf(juice)), hexoseGPerL: weighedGPerL, sucroseGPerL: 0, malicGPerL: 0 },
  weighedGPerL,
  sugarSdGPerL: 0.3,
  malolactic: 'over',
  warmestSinceEndC: 18,
  ...changes,
});
const malic = (gPerL: number): SealedGas['liquid'] => ({ ...gas(0).liquid, malicGPerL: gPerL });
const safety = (of: SealedGas, kindId: string, changes: Partial<BottleSafetyInput> = {}): ReturnType<typeof bottleSafety> =>
  bottleSafety({ gas: of, provenFinished: true, bottle: bottleById(kindId), bottleCount: 20, hottestC: 25, ...changes });
const ids = (found: ReturnType<typeof bottleSafety>): readonly string[] => found.cautions.map((c) => c.id);
/** The least sugar, g/L, from which the chance of a lot passes a figure. */
function sugarWhere(kindId: string, chance: number): number {
  let [lo, hi] = [0, 40];
  for (let i = 0; i < 50; i += 1) {
    const middle = (lo + hi) / 2;
    if (safety(gas(middle), kindId).value.chanceOverLimit > chance) hi = middle;
    else lo = middle;
  }
  return hi;
}

describe('bottleSafety', () => {
  it.each(['crown-500', 'plastic-500'])('is safe to one in a thousand, careful to one in a hundred, and no more above: %s', (kindId) => {
    const [careful, refused] = [sugarWhere(kindId, 0.001), sugarWhere(kindId, 0.01)];
    expect(refused).toBeGreaterThan(careful + 0.05);
    const at = (sugar: number): readonly [string, boolean] => {
      const found = safety(gas(sugar), kindId);
      return [found.value.verdict, ids(found).includes('over-pressure')];
    };
    expect(at(careful - 0.02)).toEqual(['safe', false]);
    expect(at(careful + 0.02)).toEqual(['careful', false]);
    expect(at(refused - 0.02)).toEqual(['careful', false]);
    expect(at(refused + 0.02)).toEqual(['do-not-bottle', true]);
  });
  it('has nothing to warn of where nothing makes gas, and of glass where sugar does', () => {
    expect(ids(safety(gas(0), 'crown-500'))).toEqual([]);
    // 0.3 volumes: 1.213 g/L as hexose, weighed in or left.
    expect(ids(safety(gas(1.2), 'crown-500'))).toEqual([]);
    expect(ids(safety(gas(1.23), 'crown-500'))).toEqual(['burst-glass']);
    expect(ids(safety(gas(1.23, { weighedGPerL: 0 }), 'crown-500'))).toEqual(['burst-glass']);
    expect(ids(safety(gas(1.6, { weighedGPerL: 0.8 }), 'crown-500'))).toEqual(['burst-glass']);
  });
  it('never calls fit what is not proven to have ended', () => {
    const found = safety(gas(0), 'plastic-500', { provenFinished: false });
    expect([found.value.verdict, ids(found)]).toEqual(['do-not-bottle', ['sealed-ferment']]);
  });
  it('takes a bottle made for no pressure for a still drink only', () => {
    expect(ids(safety(gas(0, { warmestSinceEndC: 25 }), 'wine-750'))).toEqual([]);
    expect([safety(gas(1.23), 'wine-750').value.verdict, ids(safety(gas(1.23), 'wine-750'))]).toEqual(['do-not-bottle', ['wrong-bottle', 'burst-glass']]);
    // No sugar, yet so much gas held from a keg that a driven cork creeps.
    expect(ids(safety(gas(0, { heldVolumes: 2.4 }), 'wine-750'))).toEqual(['wrong-bottle']);
  });
  it('names the acid where it alone makes the difference, and the sugar where it does not', () => {
    const byMalic = safety(gas(0, { liquid: { ...malic(6), hexoseGPerL: 7 }, weighedGPerL: 7, malolactic: 'possible' }), 'crown-500');
    expect(ids(byMalic)).toEqual(['malolactic-gas', 'burst-glass']);
    const both = safety(gas(0, { liquid: { ...malic(6), hexoseGPerL: 20 }, weighedGPerL: 20, malolactic: 'possible' }), 'crown-500');
    expect(ids(both)).toEqual(['over-pressure', 'burst-glass']);
    const turning = safety(gas(0, { liquid: malic(1), malolactic: 'under-way' }), 'crown-500');
    expect([turning.value.verdict, ids(turning)]).toEqual(['do-not-bottle', ['malolactic-gas']]);
    expect([safety(gas(0, { liquid: malic(1), malolactic: 'possible' }), 'crown-500').value.verdict]).toEqual(['safe']);
  });
  it('adds up its gas and says how, for no less than a day of 25 °C', () => {
    const of = gas(5, { liquid: { ...malic(2), hexoseGPerL: 6 }, malolactic: 'possible' });
    const { residual, weighed, leftover, malic: turns } = gasParts(of);
    expect([weighed, leftover, turns].every((v) => v > 0)).toBe(true);
    const found = safety(of, 'crown-500', { hottestC: 12 });
    expect(found.value.co2Volumes).toBeCloseTo(residual + weighed + leftover + turns, 9);
    expect(found.value.hottest.tempC).toBe(25);
    expect(found.steps.map((s) => s.label)).toEqual(['Gas in all, at most', 'Pressure on a 25 °C day', 'How sure']);
    expect(found.steps[1]?.expression).toContain('4 % headspace');
    expect(safety(of, 'crown-500', { hottestC: 31 }).value.hottest.tempC).toBe(31);
  });
  it('is the lot’s chance: more bottles, more chances, and forty where nobody counted', () => {
    const some = { gas: gas(11), bottle: bottleById('crown-500'), hottestC: 25 };
    const [one, forty, many] = [1, 40, 400].map((bottleCount) => lotChance({ ...some, bottleCount }));
    expect(one).toBeLessThan(forty ?? 0);
    expect(forty).toBeLessThan(many ?? 0);
    expect(lotChance(some)).toBe(forty);
    for (const wrong of [{ bottleCount: 0 }, { bottleCount: 5001 }, { hottestC: -1 }, { hottestC: 61 }])
      expect(() => lotChance({ ...some, ...wrong })).toThrow(/between/);
  });
});

it.each([
  [0.0004, 'under 1 in 1,000'],
  [0.001, 'about 1 in 1,000'],
  [0.00213, 'about 1 in 470'],
  [0.0123, 'about 1 in 81'],
  [0.124, 'about 1 in 8'],
  [0.5, 'about 1 in 2'],
  [0.51, 'more likely than not'],
])('a chance of %d is %s', (chance, words) => {
  expect(chanceText(chance)).toBe(words);
});
