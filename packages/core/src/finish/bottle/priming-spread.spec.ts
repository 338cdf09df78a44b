import { bottleById } from '../../base/reference/bottle-kinds.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import { expectWithin } from '../../testing/expect-within.js';
import { primingSpread, type SpreadAsked } from './priming-spread.js';

const juice = liquidFromReadings({ volumeL: 19, sg: 1.048, ph: 3.5, taGPerL: 5, fruit: 'apple' });
const liquid = fermentTo(juice, dryGravityOf(juice));
const asked: SpreadAsked = {
  gas: { liquid, weighedGPerL: 0, sugarSdGPerL: 1, malolactic: 'over', warmestSinceEndC: 18 },
  fermentableId: 'sucrose',
  massG: 19 * 6,
  mode: 'per-bottle',
  bottles: [bottleById('crown-500')],
  hottestC: 25,
};
/** Of sucrose, by molar mass. */
const VOLUMES_PER_G_PER_L = 0.514 / 1.9768;

describe('the bottle that got most of the sugar', () => {
  it('has a gram more where a spoon was heaped, which tells most in a small one', () => {
    const level = primingSpread({ ...asked, massG: 19 * 6 });
    const small = primingSpread({ ...asked, bottles: [bottleById('crown-500'), bottleById('crown-330')] });
    expect(level).toMatchObject({ how: 'heaped', kindId: 'crown-500' });
    expect(small?.kindId).toBe('crown-330');
    // One gram in 0.33 L instead of in half a litre; what its own volume takes is under a hundredth.
    expectWithin((small?.volumes ?? 0) - (level?.volumes ?? 0), (1 / 0.33 - 1 / 0.5) * VOLUMES_PER_G_PER_L, { abs: 0.02 });
  });
  it('has half as much again from the foot of a bucket that nobody stirred', () => {
    const unstirred = primingSpread({ ...asked, mode: 'bulk' });
    const heaped = primingSpread(asked);
    expect(unstirred?.how).toBe('unstirred');
    expectWithin((unstirred?.volumes ?? 0) - (heaped?.volumes ?? 0), (3 - 2) * VOLUMES_PER_G_PER_L, { abs: 0.03 });
  });
  it('is held by heavy glass where a crown cap would not hold it, and never by a bottle for no pressure', () => {
    const much = { ...asked, mode: 'bulk' as const, massG: 19 * 8 };
    expect(primingSpread(much)?.holds).toBe(false);
    expect(primingSpread({ ...much, bottles: [bottleById('sparkling-750')] })?.holds).toBe(true);
    expect(primingSpread({ ...much, bottles: [bottleById('sparkling-750'), bottleById('wine-750')] })).toMatchObject({ kindId: 'wine-750', holds: false });
    expect(primingSpread({ ...much, bottles: [bottleById('wine-750'), bottleById('crown-500'), bottleById('sparkling-750')] })?.kindId).toBe('wine-750');
    expect(primingSpread({ ...much, bottles: [bottleById('plastic-500'), bottleById('crown-500'), bottleById('sparkling-750')] })?.kindId).toBe('crown-500');
  });
  it('counts the sugar that was left in it', () => {
    const sweeter = { ...asked, gas: { ...asked.gas, liquid: { ...liquid, hexoseGPerL: liquid.hexoseGPerL + 2 } } };
    expectWithin((primingSpread(sweeter)?.volumes ?? 0) - (primingSpread(asked)?.volumes ?? 0), (2 * 0.489) / 1.9768, { abs: 0.01 });
  });
  it('is none without sugar or bottles', () => {
    expect(primingSpread({ ...asked, massG: 0 })).toBeNull();
    expect(primingSpread({ ...asked, bottles: [] })).toBeNull();
  });
});
