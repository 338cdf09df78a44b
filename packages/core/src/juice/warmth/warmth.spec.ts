import fc from 'fast-check';
import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import { coolDown } from './cool-down.js';
import { mixedWarmth } from './mixed-warmth.js';
import { warmthForPitch } from './warmth-for-pitch.js';
import { warmUp } from './warm-up.js';

const litres = fc.double({ min: 1, max: 200, noNaN: true });
const warmth = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

describe('warmUp', () => {
  it('is by hand: 20 L from 10 to 18 °C, the pan at 60', () => {
    expect(warmUp({ volumeL: 20, isC: 10, wantedC: 18 }).value).toEqual({ heatL: 20 * (8 / 50), panC: 60 });
  });
  it('comes out as wanted when it is poured back, and never heats more than there is', () => {
    fc.assert(
      fc.property(litres, warmth(0, 20), warmth(0.1, 30), (volumeL, isC, more) => {
        const { heatL, panC } = warmUp({ volumeL, isC, wantedC: isC + more }).value;
        expect(heatL).toBeLessThan(volumeL);
        const together = mixedWarmth([
          { volumeL: heatL, tempC: panC },
          { volumeL: volumeL - heatL, tempC: isC },
        ]);
        expect(together).toBeCloseTo(isC + more, 6);
      }),
    );
  });
  it.each([
    [{ isC: 18, wantedC: 18 }, 'it is at 18 °C already'],
    [{ isC: 10, wantedC: 25, panC: 20 }, 'a pan at 20 °C warms nothing to 25 °C'],
  ])('says why %p cannot be', (asked, why) => expect(() => warmUp({ volumeL: 20, ...asked })).toThrow(why));
  it('warns of hot juice and glass', () => expect(warmUp({ volumeL: 20, isC: 10, wantedC: 18 }).cautions.map(({ id }) => id)).toEqual(['hot-juice']));
});

describe('coolDown', () => {
  const asked = { volumeL: 20, isC: 60, wantedC: 25, aroundC: 16, way: 'air' } as const;
  it('is by hand: 6.5 h × ln(44 ÷ 9), half as much either way', () => {
    const [from, to] = coolDown(asked).value.hours;
    expect(from).toBeCloseTo((6.5 * Math.log(44 / 9)) / 1.5, 9);
    expect(to).toBeCloseTo(6.5 * Math.log(44 / 9) * 1.5, 9);
  });
  it('takes longer the larger the vessel, the nearer what is wanted is to what is around it, and in air', () => {
    const longest = (changes: Partial<Parameters<typeof coolDown>[0]>): number => coolDown({ ...asked, ...changes }).value.hours[1];
    expect(longest({ volumeL: 40 })).toBeGreaterThan(longest({}));
    expect(longest({ wantedC: 20 })).toBeGreaterThan(longest({}));
    expect(longest({ aroundC: 20 })).toBeGreaterThan(longest({}));
    expect(longest({ way: 'water' })).toBeLessThan(longest({}));
  });
  it('comes no cooler than what is around it', () => expect(() => coolDown({ ...asked, aroundC: 25 })).toThrow('no cooler than the 25 °C around it'));
});

describe('warmthForPitch', () => {
  const [, coolest, warmest] = yeastById('crisp-cider').tempC;
  const asked = { yeastId: 'crisp-cider', volumeL: 20, placeC: 15 };
  it('warms to the cool end of its best, cools to the warm end, and leaves alone what is between', () => {
    expect(warmthForPitch({ ...asked, juiceC: coolest - 5 })).toMatchObject({ way: 'warm', wantedC: coolest });
    expect(warmthForPitch({ ...asked, juiceC: 45 })).toMatchObject({ way: 'cool', wantedC: warmest });
    expect(warmthForPitch({ ...asked, juiceC: (coolest + warmest) / 2 })).toBeNull();
  });
  it('promises no cooling in air that is too warm, or of which nothing is known', () => {
    expect(warmthForPitch({ ...asked, juiceC: 45, placeC: warmest + 1 })).toMatchObject({ air: null });
    expect(warmthForPitch({ ...asked, juiceC: 45, placeC: null })).toMatchObject({ air: null, bath: expect.objectContaining({}) });
  });
  it('says nothing where nothing is pitched', () => expect(warmthForPitch({ ...asked, yeastId: WILD_YEAST_ID, juiceC: 2 })).toBeNull());
});
