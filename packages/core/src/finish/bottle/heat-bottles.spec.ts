import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { heatBottles, heatedCo2Bar } from './heat-bottles.js';
import { pasteurisationUnits } from './heat-units.js';

describe('pasteurisationUnits', () => {
  it('of 10 minutes at 65 °C are 52.5, and add up', () => {
    expectWithin(pasteurisationUnits([{ minutes: 10, coreC: 65 }]), 52.5, { abs: 0.1 });
    expectWithin(
      pasteurisationUnits([
        { minutes: 20, coreC: 60 },
        { minutes: 10, coreC: 65 },
      ]),
      72.5,
      { abs: 0.1 },
    );
  });
});

describe('heatBottles', () => {
  it.each([
    [2, 6.2],
    [2.5, 7.8],
    [3, 9.3],
  ])('has %d volumes at 65 °C in 2.2 %% of room press with %d bar of their own', (co2Volumes, bar) => {
    expectWithin(heatedCo2Bar({ co2Volumes, hotHeadspace: 0.022, coreC: 65, abv: 5 }), bar, { abs: 0.07 });
  });
  it('shrinks the room by 1.8 % of the bottle from the filling to 65 °C, and counts the air shut in', () => {
    const { hotHeadspace, co2Bar, gaugeBar } = heatBottles({ co2Volumes: 2, headspace: 0.05, coreC: 65 }).value;
    expectWithin(0.05 - hotHeadspace, 0.018, { abs: 0.001 });
    // 0.75 bar of air, squeezed to a third less room and warmed by 53 degrees.
    expectWithin(gaugeBar - co2Bar + 1.01325, 0.75 * (0.05 / 0.0329) * (338.15 / 285.15), { abs: 0.01 });
  });
  it('holds for less time the hotter, and for ten minutes at about 65 °C', () => {
    const minutes = (coreC: number): number => heatBottles({ co2Volumes: 2, headspace: 0.05, coreC }).value.minutes;
    expectWithin(minutes(65), 9.5, { abs: 0.1 });
    expect(minutes(60)).toBe(50);
    expect(minutes(70)).toBeLessThan(2);
  });
  it('never presses less with more fizz, more heat or less room', () => {
    const bar = (co2Volumes: number, coreC: number, headspace: number): number => heatBottles({ co2Volumes, coreC, headspace }).value.gaugeBar;
    for (const volumes of [0, 1, 2]) expect(bar(volumes + 0.5, 65, 0.06)).toBeGreaterThan(bar(volumes, 65, 0.06));
    for (const coreC of [60, 65, 70]) expect(bar(2, coreC + 5, 0.06)).toBeGreaterThan(bar(2, coreC, 0.06));
    for (const room of [0.07, 0.08, 0.1]) expect(bar(2, 65, room - 0.01)).toBeGreaterThan(bar(2, 65, room));
  });
  it('shows the danger and its working, and a stronger drink, which holds less, presses more', () => {
    const strong = (abv?: number): number => heatBottles({ co2Volumes: 2, headspace: 0.05, coreC: 65, ...(abv === undefined ? {} : { abv }) }).value.co2Bar;
    expect(strong(12)).toBeGreaterThan(strong(5));
    expect(strong()).toBe(strong(5));
    const { cautions, steps } = heatBottles({ co2Volumes: 2, headspace: 0.05, coreC: 65 });
    expect(cautions.map((c) => c.id)).toEqual(['hot-bottles']);
    expect(steps.map((step) => step.result)).toEqual(['9.5 minutes', '3.3 %', expect.stringMatching(/bar$/)]);
    expect(() => heatBottles({ co2Volumes: 2, headspace: 0.04, coreC: 65 })).toThrow(/leave 5 % of the bottle empty/);
  });
  it('refuses what glass cannot stand, and a core that is no heat treatment', () => {
    expect(refusalCode(() => heatBottles({ co2Volumes: 2.6, headspace: 0.05, coreC: 65 }))).toBe('NOT_ALLOWED');
    expect(refusalCode(() => heatBottles({ co2Volumes: 2, headspace: 0.04, coreC: 65 }))).toBe('NOT_ALLOWED');
    expect(refusalCode(() => heatBottles({ co2Volumes: 2, headspace: 0.05, coreC: 55 }))).toBe('OUT_OF_RANGE');
    expect(refusalCode(() => heatBottles({ co2Volumes: 2, headspace: 0.05, coreC: 90 }))).toBe('OUT_OF_RANGE');
  });
});
