import { sugarForGravity } from '../adjust/sugar-for-gravity.js';
import { fermentTo } from '../liquid/ferment-to.js';
import { liquidFromReadings } from '../liquid/liquid-from-readings.js';
import type { Liquid } from '../liquid/liquid.js';
import { abvOf, fermentableGPerL } from '../liquid/views.js';
import { usualToleranceAbv, yeastById } from '../reference/yeast-kinds.js';
import { isTooCold, type JudgedEntry, type JudgeInput, type PlaceTemperature } from './judge-facts.js';
import { judgeFermentation } from './judge-fermentation.js';
import type { Verdict } from './verdict.js';

const START_MS = Date.UTC(2026, 9, 1, 10);
const on = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();
type Read = readonly [day: number, sg: number];

const must = (sg: number): Liquid =>
  sugarForGravity({ liquid: liquidFromReadings({ volumeL: 20, sg: 1.048 }), targetSg: sg, fermentableId: 'sucrose' }).value.liquid;
const APPLE = must(1.064);
const STRONG = must(1.11);

interface Given extends Partial<Pick<JudgeInput, 'liquid' | 'temps' | 'today'>> {
  readonly yeastId?: string;
  readonly entries?: readonly JudgedEntry[];
}

function judge(reads: readonly Read[], { yeastId = 'crisp-cider', ...given }: Given = {}): Verdict {
  return judgeFermentation({
    readings: reads.map(([day, sg]) => ({ id: `d${day}`, at: on(day), sg, tempC: 18 })),
    liquid: APPLE,
    yeast: yeastById(yeastId),
    temps: [{ at: on(0), tempC: 18 }],
    today: on(reads.at(-1)?.[0] ?? 0),
    entries: [{ at: on(0), kind: 'pitched' }],
    ...given,
  }).value;
}
const status = (reads: readonly Read[], given?: Given): string => judge(reads, given).status;
const END = judge([]).expectedEndSg;
/** Fell early, and then stood for some days so far above where it should end. */
const stood = (aboveSg: number, days: number, given?: Given): string =>
  status(
    [
      [5, 1.04],
      [20, END + aboveSg],
      [20 + days, END + aboveSg],
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
    const rest = (...sgs: readonly number[]): string => status([[5, 1.04], ...sgs.map((sg, i): Read => [20 + 4 * i, END + sg])]);
    expect(rest(0.0024, 0.0024, 0.0024, 0.0017)).toBe('too-few-readings');
    expect(rest(0.0014, 0.0014, 0.0014, 0.0021)).toBe('finished-dry');
  });

  it('tells since when it has stood only where that proves an end', () => {
    const reads = (above: number): readonly Read[] => [
      [5, 1.04],
      [20, END + above],
      [29, END + above],
    ];
    expect(judge(reads(0.001)).steadySince).toBe(on(20));
    expect(judge(reads(0.02)).steadySince).toBeNull();
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
    status(
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
    const weaker = must(1.08);
    const end = judge([], { liquid: weaker, yeastId: kind.id }).expectedEndSg;
    expect(abvOf(fermentTo(weaker, end))).toBeGreaterThan(usualToleranceAbv(kind) - 1.4);
    expect(abvOf(fermentTo(weaker, end))).toBeLessThan(kind.toleranceAbv[1]);
    const at = (above: number, days: number): string =>
      status(
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
    const holds = (above: number): number => fermentableGPerL(fermentTo(APPLE, END + above));
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
    expect(status(still, { temps: [{ at: on(0), tempC: yeast.tempC[0] - 3 }] })).toBe('too-cold');
    expect(status(still)).toBe('too-few-readings');
    const slowed: readonly Read[] = [
      [4, 1.04],
      [12, 1.02],
      [20, 1.018],
    ];
    expect(status(slowed, { temps: cold })).toBe('too-cold');
    expect(status(slowed)).toBe('slowing');
  });
});

describe('a fall', () => {
  it('has not begun until it is a point, and that wants three days and two readings of the drink', () => {
    const still = (...days: readonly number[]): string => status(days.map((day): Read => [day, 1.064]));
    expect(still(3)).toBe('too-few-readings');
    expect(still(2, 3)).toBe('not-started');
    expect(still(2, 2.9)).toBe('too-few-readings');
    expect(
      status([
        [2, 1.0635],
        [5, 1.063],
      ]),
    ).toBe('not-started');
    expect(
      status([
        [2, 1.063],
        [5, 1.0625],
      ]),
    ).toBe('working');
  });
  it('cannot be told from a day and a half', () => {
    expect(judge([[1.4, 1.055]]).status).toBe('too-few-readings');
    expect(judge([[1.4, 1.055]]).evidence.map((e) => e.text)).toContain('One reading so far');
    expect(status([[1.5, 1.055]])).toBe('working');
  });
  it('works while it is four tenths of its best, and slows under that', () => {
    const after = (fallSg: number): string =>
      status([
        [7, 1.044],
        [14, 1.044 - fallSg],
      ]);
    // Its best is twenty points a week.
    expect(after(0.0081)).toBe('working');
    expect(after(0.0079)).toBe('slowing');
  });
  it('slows while it loses a point a week, and cannot be told where it loses less', () => {
    const over = (weekly: number): string =>
      status([
        [7, 1.03],
        [14, 1.0295],
        [28, 1.0295 - 2 * weekly],
      ]);
    expect(over(0.00115)).toBe('slowing');
    expect(over(0.0009)).toBe('too-few-readings');
  });
  it('may be at its end within four points of it, and is read again', () => {
    const slowTo = (above: number): string =>
      status([
        [7, 1.02],
        [14, END + above + 0.003],
        [21, END + above],
      ]);
    expect(slowTo(0.0038)).toBe('too-few-readings');
    expect(slowTo(0.0042)).toBe('slowing');
  });
});

describe('what is counted', () => {
  const sugar = (day: number): JudgedEntry => ({ at: on(day), kind: 'gravity-changed' });
  const pitched: JudgedEntry = { at: on(0), kind: 'pitched' };
  const proven: readonly Read[] = [
    [9, 1.012],
    [20, END],
    [27, END],
  ];
  it('are readings since sugar went in, that of its moment among them', () => {
    expect(judge(proven, { entries: [pitched, sugar(9)] }).steadySince).toBe(on(20));
    // Without the reading of the day the sugar went in nothing is seen to fall.
    expect(status(proven, { entries: [pitched, sugar(9.1)] })).toBe('too-few-readings');
    expect(status([...proven, [34, END]], { entries: [pitched, sugar(9.1)] })).toBe('not-started');
  });
  it('is the must itself on the day of the yeast, though sugar went in before it', () => {
    // One reading beside the must's own gravity is a fall; after sugar it is one reading.
    expect(status([[6, 1.04]], { entries: [sugar(-1), pitched] })).toBe('working');
    expect(status([[6, 1.04]], { entries: [sugar(0), pitched] })).toBe('working');
    expect(status([[6, 1.04]], { entries: [pitched, sugar(1)] })).toBe('too-few-readings');
    // A gravity from before the yeast is not one of the ferment.
    expect(
      judge([
        [-2, 1.02],
        [0, 1.03],
      ]).evidence.map((e) => e.text),
    ).toContain('No reading so far');
  });
  it('is every reading, where nobody says when the yeast went in', () => {
    expect(status(proven, { entries: [] })).toBe('finished-dry');
  });
  it('moves readings from before water as far as it moved the gravity, in the order it went in', () => {
    const water = (day: number, deltaSg?: number): JudgedEntry => ({
      at: on(day),
      kind: 'gravity-changed',
      sugarless: true,
      ...(deltaSg === undefined ? {} : { deltaSg }),
    });
    const thinned: readonly Read[] = [
      [9, 1.012],
      [20, END + 0.0025],
      [24, END + 0.0025],
      [28, END],
    ];
    expect(status(thinned, { entries: [pitched] })).toBe('too-few-readings');
    expect(status(thinned, { entries: [pitched, water(26, -0.0025)] })).toBe('finished-dry');
    expect(status(thinned, { entries: [pitched, water(22, -0.0025)] })).not.toBe('finished-dry');
    expect(status(thinned, { entries: [pitched, water(26)] })).toBe('too-few-readings');
  });
  it('proves an end only since the newest yeast', () => {
    expect(status([...proven, [34, END]], { entries: [pitched, { at: on(28), kind: 'pitched' }] })).toBe('too-few-readings');
    expect(judge([...proven, [34, END]], { entries: [pitched, { at: on(27), kind: 'pitched' }] }).steadySince).toBe(on(27));
  });
});

describe('weeks in the warm without a reading', () => {
  const least = yeastById('crisp-cider').tempC[1];
  const unread = (temps: readonly PlaceTemperature[], reads: readonly Read[] = [], entries?: readonly JudgedEntry[]): number | null =>
    judge(reads, { temps, today: on(60.5), ...(entries ? { entries } : {}) }).unreadWarmDays;
  it('are counted by whole days from the yeast, where every temperature was warm', () => {
    expect(unread([{ at: on(0), tempC: least }])).toBe(60);
    expect(unread([{ at: on(0), tempC: least - 0.1 }])).toBe(0);
    expect(
      unread([
        { at: on(0), tempC: 20 },
        { at: on(30), tempC: least - 1 },
      ]),
    ).toBe(0);
  });
  it('are none where nobody knows how warm it stood', () => {
    expect(unread([])).toBe(0);
  });
  it('take the place from before the yeast for the days after, and only the last of them', () => {
    expect(unread([{ at: on(-3), tempC: 20 }])).toBe(60);
    expect(unread([{ at: on(-3), tempC: 2 }])).toBe(0);
    expect(
      unread([
        { at: on(-9), tempC: 2 },
        { at: on(-3), tempC: 20 },
      ]),
    ).toBe(60);
  });
  it('end with the first reading, and begin anew with sugar', () => {
    const warm = [{ at: on(0), tempC: 20 }];
    expect(unread(warm, [[5, 1.04]])).toBeNull();
    expect(
      unread(
        warm,
        [[5, 1.04]],
        [
          { at: on(0), kind: 'pitched' },
          { at: on(10), kind: 'gravity-changed' },
        ],
      ),
    ).toBe(50);
    expect(
      unread(
        warm,
        [],
        [
          { at: on(0), kind: 'pitched' },
          { at: on(10), kind: 'gravity-changed', sugarless: true },
        ],
      ),
    ).toBe(60);
  });
});

describe('the working of a verdict', () => {
  const stepsOf = (reads: readonly Read[], given: Given = {}): readonly { readonly label: string; readonly expression: string; readonly result: string }[] =>
    judgeFermentation({
      readings: reads.map(([day, sg]) => ({ id: `d${day}`, at: on(day), sg, tempC: null })),
      liquid: APPLE,
      yeast: yeastById(given.yeastId ?? 'crisp-cider'),
      temps: [],
      today: on(21),
      entries: [{ at: on(0), kind: 'pitched' }],
      ...given,
    }).steps;
  it('says where it should end and why', () => {
    expect(stepsOf([])).toEqual([expect.objectContaining({ label: 'Where it should end', expression: 'all 1.064 of sugar gone, 9.2 %', result: '0.996' })]);
    expect(stepsOf([], { liquid: STRONG, yeastId: 'fruity-cider' })[0]?.expression).toMatch(/% if dry is past what this yeast stands, \d+–\d+ %$/);
  });
  it('says how fast it falls beside its best', () => {
    const steps = stepsOf([
      [7, 1.044],
      [14, 1.039],
    ]);
    expect(steps[1]).toMatchObject({ label: 'How fast', expression: 'last stretch 5.0 points a week, best so far 20.0', result: '25 %' });
    expect(stepsOf([[7, 1.064]])[1]?.result).toBe('no fall');
  });
});
