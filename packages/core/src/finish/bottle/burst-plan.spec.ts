import { burstPlan } from './burst-plan.js';

const bottles = { kindIds: ['crown-500'], co2Volumes: 2.6, standsC: 22, abv: 6 };
const textOf = (given: Partial<typeof bottles> = {}): string =>
  burstPlan({ ...bottles, ...given })
    .value.map((s) => `${s.what}: ${s.how}`)
    .join('\n');

describe('what to do with bottles that gush or burst', () => {
  it('keeps people away and covers the crate before it is made cold, and makes it cold before anything is opened', () => {
    const order = ['Everyone out', 'Goggles', 'blankets', 'wait a day', 'Let the gas out', 'pour them back', 'has burst', 'rather not'];
    const places = order.map((words) => textOf().indexOf(words));
    expect(places.every((place) => place >= 0)).toBe(true);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
  });
  it('reckons with four volumes at least, and with more where the sums find more', () => {
    // Four volumes at 22 °C: about 0.83 a bar in water, less for strength, some in the neck: 3.7 to 4.3 bar above the air.
    const bars = (given: Partial<typeof bottles> = {}): readonly number[] =>
      (/press with ([\d.]+) bar; at 2 °C it is ([\d.]+) bar/.exec(textOf(given)) ?? []).slice(1).map(Number);
    const [warm = NaN, cold = NaN] = bars();
    expect(warm).toBeGreaterThan(3.5);
    expect(warm).toBeLessThan(4.5);
    expect(cold).toBeLessThan(warm / 2);
    expect(bars({ co2Volumes: 1 })).toEqual(bars());
    expect(bars({ co2Volumes: 7 })[0]).toBeGreaterThan(warm + 2);
  });
  it('says how each closure there is lets gas out, and no other', () => {
    expect(textOf()).toContain('Lift a crown');
    expect(textOf()).not.toContain('swing top');
    const mixed = textOf({ kindIds: ['swing-500', 'plastic-500', 'plastic-1000'] });
    expect(mixed).toContain('swing top');
    expect(mixed.match(/Turn a screw cap/g)).toHaveLength(1);
    expect(mixed).not.toContain('Lift a crown');
  });
  it('warns, and sends nobody to do it who would rather not', () => {
    expect(burstPlan(bottles).cautions.map((c) => c.id)).toEqual(['burst-glass']);
    expect(textOf()).toContain('Nobody has to open them');
  });
});
