import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { expectWithin } from '../../testing/expect-within.js';
import { KEG_WAYS, kegWayById } from '../../finish/bottle/keg-ways.js';
import { kegPlan, type KegPlan, type KegPlanInput } from './keg-plan.js';

const must = liquidFromReadings({ volumeL: 20, sg: 1.0405, fruit: 'apple', taGPerL: 6, ph: 3.5, tanninGPerL: 0.5 });
const cider: Liquid = fermentTo(must, dryGravityOf(must));
const planOf = (how: Partial<KegPlanInput> = {}): KegPlan =>
  kegPlan({
    liquid: cider,
    capacityL: 19,
    lossL: 0.4,
    targetVolumes: 2.5,
    storeC: 4,
    altitudeM: 0,
    warmestC: 18,
    way: 'slow',
    today: '2026-11-27T10:00:00.000Z',
    ...how,
  }).value;

const say = (bar: number): string => `${bar.toFixed(1)} bar`;

describe('kegPlan', () => {
  it('sets the regulator by what a drink holds in the cold, and to more up a hill', () => {
    // 0.8 bar at 4 °C make 2.5 volumes in a cider of 5 %; the air weighs 0.12 bar less for each kilometre.
    expectWithin(planOf().regulatorBar, 0.8, { abs: 0.03 });
    expectWithin(planOf({ altitudeM: 1500 }).regulatorBar - planOf().regulatorBar, 0.18, { abs: 1e-9 });
    expect(planOf({ storeC: 12 }).regulatorBar).toBeGreaterThan(planOf().regulatorBar);
  });
  it('fills no keg to the brim, and loses nothing on the way', () => {
    const { fillL, overL } = planOf();
    expect(fillL).toBeLessThan(19);
    expect(fillL + overL + 0.4).toBeCloseTo(20, 9);
    expect(planOf({ capacityL: 30 })).toMatchObject({ fillL: 19.6, overL: 0 });
  });
  it('takes up the gas that is not in it yet', () => {
    // By hand: 2.5 volumes less four fifths of the 0.87 that a cider of 5 % holds at 18 °C, 1.9768 g a volume, 18.43 L.
    expectWithin(planOf().gasG, (2.5 - 0.8 * 0.884) * 1.9768 * 18.43, { abs: 1.5 });
    expect(planOf({ targetVolumes: 0.3 }).gasG).toBe(0);
    // Closed again after it was opened, it has most of it still.
    expectWithin(planOf({ heldVolumes: 2.4 }).gasG, 0.1 * 1.9768 * 18.43, { abs: 0.01 });
    expect(planOf({ heldVolumes: 2.6 }).gasG).toBe(0);
  });
  it.each(KEG_WAYS.map((w) => [w.id, w.days] as const))('%s: says when it is at its level, and what to set', (way, days) => {
    const { readyOn, regulatorBar } = planOf({ way });
    expect(readyOn).toBe(`2026-${days >= 4 ? '12' : '11'}-${String(days >= 4 ? 27 + days - 30 : 27 + days).padStart(2, '0')}`);
    expect(kegWayById(way).how(regulatorBar, say)).toContain('0.8 bar');
  });
  it('never starts quicker than it is to stand', () => {
    const { regulatorBar } = planOf({ way: 'quick', storeC: 20, targetVolumes: 3 });
    expect(kegWayById('quick').how(regulatorBar, say)).not.toContain('2.0 bar');
  });
});
