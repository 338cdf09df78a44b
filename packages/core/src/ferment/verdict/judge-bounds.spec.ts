import { fermentTo } from '../../matter/liquid/ferment-to.js';
import { abvOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { usualToleranceAbv, yeastById } from '../../base/reference/yeast-kinds.js';
import { APPLE, END_SG, judged, on, statusOf, STRONG, sugaredMust, type Given, type Read } from '../../testing/judged.js';
import { isTooCold, type PlaceTemperature } from './judge-facts.js';

/** Fell early, and then stood for some days so far above where it should end. */
const stood = (aboveSg: number, days: number, given?: Given): string =>
  statusOf(
    [
      [5, 1.04],
      [20, END_SG + aboveSg],
      [20 + days, END_SG + aboveSg],
    ],
    given,
  );

describe('a gravity that stands', () => {
  it.each([
    [0.0018, 7, 'finished-dry'],
    [0.0018, 6, 'too-few-readings'],
    [0.0022, 7, 'too-few-readings'],
    [0.0022, 13, 'too-few-readings'],
    [0.0022, 14, 'settled-short'],
    [0.0058, 14, 'settled-short'],
    [0.0062, 14, 'stalled'],
    [0.0062, 7, 'stalled'],
    [0.0062, 6, 'slowing'],
  ])('%p above its end for %p days is %s', (above, days, expected) => {
    expect(stood(above, days)).toBe(expected);
  });

  it('is judged by the mean of its rest, not by its last reading', () => {
    const rest = (...sgs: readonly number[]): string => statusOf([[5, 1.04], ...sgs.map((sg, i): Read => [20 + 4 * i, END_SG + sg])]);
    expect(rest(0.0024, 0.0024, 0.0024, 0.0017)).toBe('too-few-readings');
    expect(rest(0.0014, 0.0014, 0.0014, 0.0021)).toBe('finished-dry');
  });

  it('tells since when it has stood only where that proves an end', () => {
    const reads = (above: number): readonly Read[] => [
      [5, 1.04],
      [20, END_SG + above],
      [29, END_SG + above],
    ];
    expect(judged(reads(0.001)).value.steadySince).toBe(on(20));
    expect(judged(reads(0.02)).value.steadySince).toBeNull();
  });
});

describe('strength', () => {
  const kind = yeastById('fruity-cider');
  /** The gravity at which the strong must has come to a strength. */
  const sgAt = (abv: number): number => {
    let [low, high] = [0.99, 1.1];
    for (let i = 0; i < 40; i += 1) {
      const middle = (low + high) / 2;
      if (abvOf(fermentTo(STRONG, middle)) > abv) low = middle;
      else high = middle;
    }
    return low;
  };
  const stops = (abv: number, liquid = STRONG): string =>
    statusOf(
      [
        [9, 1.06],
        [30, sgAt(abv)],
        [38, sgAt(abv)],
      ],
      { liquid, yeastId: kind.id },
    );
  it('explains an end from a percent and a half under what the kind usually stands', () => {
    const usual = usualToleranceAbv(kind);
    expect(stops(usual - 1.45)).toBe('finished-at-tolerance');
    expect(stops(usual - 1.55)).toBe('stalled');
  });
  it('explains nothing of a touch above the end of a must that cannot pass what the kind stands', () => {
    // Dry it would be half a percent under what the kind may stand.
    const weaker = sugaredMust(1.08);
    const end = judged([], { liquid: weaker, yeastId: kind.id }).value.expectedEndSg;
    expect(abvOf(fermentTo(weaker, end))).toBeGreaterThan(usualToleranceAbv(kind) - 1.4);
    expect(abvOf(fermentTo(weaker, end))).toBeLessThan(kind.toleranceAbv[1]);
    const at = (above: number, days: number): string =>
      statusOf(
        [
          [9, 1.05],
          [30, end + above],
          [30 + days, end + above],
        ],
        { liquid: weaker, yeastId: kind.id },
      );
    expect(at(0.004, 7)).toBe('too-few-readings');
    expect(at(0.004, 14)).toBe('settled-short');
    expect(at(0.001, 7)).toBe('finished-dry');
    expect(at(0.007, 7)).toBe('finished-at-tolerance');
  });
});

describe('cold', () => {
  const yeast = yeastById('crisp-cider');
  const cold: readonly PlaceTemperature[] = [{ at: on(10), tempC: yeast.tempC[0] - 3 }];
  it('begins three degrees under the least the kind works at', () => {
    expect(isTooCold(yeast, yeast.tempC[0] - 3)).toBe(true);
    expect(isTooCold(yeast, yeast.tempC[0] - 2.9)).toBe(false);
    expect(isTooCold(yeast, null)).toBe(false);
    expect(stood(0.02, 10, { temps: cold })).toBe('too-cold');
    expect(stood(0.02, 10, { temps: [{ at: on(10), tempC: yeast.tempC[0] - 2.9 }] })).toBe('stalled');
  });
  it('is asked by the temperature of the latest day, whatever the order they were written in', () => {
    const warm = { at: on(22), tempC: 18 };
    expect(stood(0.02, 10, { temps: [warm, ...cold] })).toBe('stalled');
    expect(stood(0.02, 10, { temps: [...cold, warm] })).toBe('stalled');
    expect(stood(0.02, 10, { temps: [...cold, { at: on(5), tempC: 18 }] })).toBe('too-cold');
    // The sample's own where nobody wrote down the place.
    expect(stood(0.02, 10, { temps: [] })).toBe('stalled');
  });
  it('asks nothing of less than two grams of sugar', () => {
    const holds = (above: number): number => fermentableGPerL(fermentTo(APPLE, END_SG + above));
    expect(holds(0.0005)).toBeLessThan(2);
    expect(holds(0.0015)).toBeGreaterThan(2);
    expect(stood(0.0005, 10, { temps: cold })).toBe('finished-dry');
    expect(stood(0.0015, 10, { temps: cold })).toBe('too-cold');
  });
  it('explains a must that has not moved at once, and one that slows', () => {
    const still: readonly Read[] = [
      [1, 1.064],
      [2, 1.064],
    ];
    expect(statusOf(still, { temps: [{ at: on(0), tempC: yeast.tempC[0] - 3 }] })).toBe('too-cold');
    expect(statusOf(still)).toBe('too-few-readings');
    const slowed: readonly Read[] = [
      [4, 1.04],
      [12, 1.02],
      [20, 1.018],
    ];
    expect(statusOf(slowed, { temps: cold })).toBe('too-cold');
    expect(statusOf(slowed)).toBe('slowing');
  });
});

describe('a fall', () => {
  it('has not begun until it is a point, and that wants three days and two readings of the drink', () => {
    const still = (...days: readonly number[]): string => statusOf(days.map((day): Read => [day, 1.064]));
    expect(still(3)).toBe('too-few-readings');
    expect(still(2, 3)).toBe('not-started');
    expect(still(2, 2.9)).toBe('too-few-readings');
    expect(
      statusOf([
        [2, 1.0635],
        [5, 1.063],
      ]),
    ).toBe('not-started');
    expect(
      statusOf([
        [2, 1.063],
        [5, 1.0625],
      ]),
    ).toBe('working');
  });
  it('cannot be told from a day and a half', () => {
    expect(judged([[1.4, 1.055]]).value.status).toBe('too-few-readings');
    expect(judged([[1.4, 1.055]]).value.evidence.map((e) => e.text)).toContain('One reading so far');
    expect(statusOf([[1.5, 1.055]])).toBe('working');
  });
  it('works while it is four tenths of its best, and slows under that', () => {
    const after = (fallSg: number): string =>
      statusOf([
        [7, 1.044],
        [14, 1.044 - fallSg],
      ]);
    // Its best is twenty points a week.
    expect(after(0.0081)).toBe('working');
    expect(after(0.0079)).toBe('slowing');
  });
  it('slows while it loses a point a week, and cannot be told where it loses less', () => {
    const over = (weekly: number): string =>
      statusOf([
        [7, 1.03],
        [14, 1.0295],
        [28, 1.0295 - 2 * weekly],
      ]);
    expect(over(0.00115)).toBe('slowing');
    expect(over(0.0009)).toBe('too-few-readings');
  });
  it('may be at its end within four points of it, and is read again', () => {
    const slowTo = (above: number): string =>
      statusOf([
        [7, 1.02],
        [14, END_SG + above + 0.003],
        [21, END_SG + above],
      ]);
    expect(slowTo(0.0038)).toBe('too-few-readings');
    expect(slowTo(0.0042)).toBe('slowing');
  });
});
