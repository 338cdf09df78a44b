import * as fc from 'fast-check';
import { sugarForGravity } from '../../juice/adjust/sugar-for-gravity.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { dateAfter } from '../../matter/quantity/days.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import type { JudgedEntry } from './judge-facts.js';
import { judgeFermentation } from './judge-fermentation.js';
import { questionReading } from './question-reading.js';
import { siftReadings, type GravityReading } from './reading.js';
import { provesFinished, type Verdict } from './verdict.js';

const START = '2026-10-01T10:00:00.000Z';
const on = (day: number): string => new Date(Date.parse(START) + day * 86_400_000).toISOString();
const readings = (...list: readonly (readonly [day: number, sg: number])[]): GravityReading[] =>
  list.map(([day, sg]) => ({ id: `d${day}`, at: on(day), sg, tempC: 18 }));
const must = (sg: number, fruit: 'apple' | 'pear' = 'apple'): Liquid =>
  sugarForGravity({ liquid: liquidFromReadings({ volumeL: 20, sg: 1.048, fruit }), targetSg: sg, fermentableId: 'sucrose' }).value.liquid;

interface Case {
  readonly list: readonly (readonly [day: number, sg: number])[];
  readonly startSg?: number;
  readonly yeastId?: string;
  readonly tempC?: number;
  readonly today?: number;
  readonly fruit?: 'apple' | 'pear';
  readonly changes?: readonly number[];
}

function judge({ list, startSg = 1.064, yeastId = 'crisp-cider', tempC = 18, today, fruit = 'apple', changes = [] }: Case): Verdict {
  const entries: JudgedEntry[] = [{ at: START, kind: 'pitched' }, ...changes.map((day) => ({ at: on(day), kind: 'gravity-changed' as const }))];
  return judgeFermentation({
    readings: readings(...list),
    liquid: must(startSg, fruit),
    yeast: yeastById(yeastId),
    temps: [{ at: START, tempC }],
    today: on(today ?? list.at(-1)?.[0] ?? 0),
    entries,
  }).value;
}

describe('judgeFermentation', () => {
  it('follows four weeks: working, working, cannot tell yet, finished', () => {
    const list = [
      [2, 1.062],
      [9, 1.012],
      [18, 0.9975],
      [28, 0.9968],
    ] as const;
    const verdicts = list.map((_, i) => judge({ list: list.slice(0, i + 1) }));
    expect(verdicts.map((v) => v.status)).toEqual(['working', 'working', 'too-few-readings', 'finished-dry']);
    expect(verdicts[2]?.sentence).toMatch(/^Cannot tell yet/);
    expect(verdicts[2]?.next).toMatchObject({ kind: 'read', on: dateAfter(on(18), 7) });
    expect(verdicts[3]?.evidence.map((e) => e.text)).toContain('Readings 10 days apart differ by less than a point');
  });

  it.each<[string, Case]>([
    [
      'not-started',
      {
        list: [
          [1, 1.064],
          [3, 1.064],
          [6, 1.0635],
        ],
      },
    ],
    ['too-few-readings', { list: [] }],
    [
      'too-few-readings',
      {
        list: [
          [0.5, 1.06],
          [1, 1.055],
        ],
      },
    ],
    [
      'working',
      {
        list: [
          [3, 1.05],
          [6, 1.035],
        ],
      },
    ],
    [
      'slowing',
      {
        list: [
          [3, 1.05],
          [9, 1.025],
          [16, 1.018],
        ],
      },
    ],
    [
      'finished-dry',
      {
        list: [
          [9, 1.012],
          [20, 0.997],
          [27, 0.997],
        ],
      },
    ],
    [
      'finished-at-tolerance',
      {
        startSg: 1.11,
        yeastId: 'fruity-cider',
        list: [
          [9, 1.05],
          [30, 1.027],
          [40, 1.027],
        ],
      },
    ],
    [
      'settled-short',
      {
        fruit: 'pear',
        startSg: 1.056,
        list: [
          [9, 1.02],
          [20, 1.0055],
          [36, 1.0055],
        ],
      },
    ],
    [
      'too-few-readings',
      {
        fruit: 'pear',
        startSg: 1.056,
        list: [
          [9, 1.02],
          [20, 1.0055],
          [29, 1.0055],
        ],
      },
    ],
    [
      'stalled',
      {
        list: [
          [5, 1.045],
          [12, 1.026],
          [24, 1.026],
        ],
      },
    ],
    [
      'too-cold',
      {
        tempC: 6,
        list: [
          [5, 1.045],
          [12, 1.026],
          [24, 1.026],
        ],
      },
    ],
  ])('says %s', (status, given) => {
    expect(judge(given).status).toBe(status);
  });

  it('never calls equal readings closer than a week finished', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 6.49, noNaN: true }), fc.double({ min: 0.994, max: 1.03, noNaN: true }), (gap, sg) => {
        const { status } = judge({
          list: [
            [4, 1.04],
            [15, sg],
            [15 + gap, sg],
          ],
        });
        expect(provesFinished(status)).toBe(false);
      }),
      SEED,
    );
  });
  it('counts a week by the day, not by the hour', () => {
    expect(
      judge({
        list: [
          [9, 1.012],
          [20, 0.997],
          [26.8, 0.997],
        ],
      }).status,
    ).toBe('finished-dry');
    expect(
      judge({
        list: [
          [9, 1.012],
          [20, 0.998],
          [26.2, 0.998],
        ],
      }).status,
    ).toBe('too-few-readings');
  });
  it('never calls a ferment that still falls finished', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.0025, max: 0.02, noNaN: true }), fc.double({ min: 0.996, max: 1.03, noNaN: true }), (fall, sg) => {
        expect(
          provesFinished(
            judge({
              list: [
                [4, 1.055],
                [15, sg + fall],
                [22, sg],
              ],
            }).status,
          ),
        ).toBe(false);
      }),
      SEED,
    );
  });
  it('sets a mistyped reading aside and says so', () => {
    const verdict = judge({
      list: [
        [5, 1.045],
        [9, 1.002],
        [12, 1.03],
        [19, 1.018],
      ],
    });
    expect(verdict.questionedIds).toEqual(['d9']);
    expect(verdict.evidence.some((e) => e.text.startsWith('1.002'))).toBe(true);
    expect(verdict.status).toBe('working');
  });
  it('takes a usual finish for an explanation and never for a proof', () => {
    const high = (...list: readonly (readonly [number, number])[]): Verdict => judge({ list: [[9, 1.012], ...list] });
    expect(high([20, 1.0], [29, 1.0]).status).toBe('too-few-readings');
    const settled = high([20, 1.0], [36, 1.0]);
    expect(settled.status).toBe('settled-short');
    expect(settled.evidence.map((e) => e.text).join(' ')).toMatch(/explains it, and proves nothing/);
  });
  it('asks for the cold before it believes any finish with sugar left', () => {
    const cold: Case = {
      startSg: 1.065,
      tempC: 5,
      list: [
        [9, 1.012],
        [20, 1.0],
        [36, 1.0],
      ],
    };
    expect(judge(cold).status).toBe('too-cold');
    expect(
      judge({
        ...cold,
        list: [
          [9, 1.012],
          [20, 0.9955],
          [36, 0.9955],
        ],
      }).status,
    ).toBe('finished-dry');
  });
  it('lets one reading a point off neither break a proof nor make one', () => {
    const off = (...sgs: readonly number[]): string => judge({ list: [[9, 1.012], ...sgs.map((sg, i) => [20 + 4 * i, sg] as const)] }).status;
    expect(off(0.997, 0.9985, 0.997, 0.997)).toBe('finished-dry');
    expect(off(0.997, 0.9958, 0.997, 0.997)).toBe('finished-dry');
    // Two readings agree by chance; what lies between says that it still falls.
    expect(off(1.004, 1.0, 0.9985, 0.9965)).not.toBe('finished-dry');
  });
  it('keeps the readings before water or a like drink came in, and none before sugar', () => {
    const list = [
      [9, 1.012],
      [18, 0.997],
      [27, 0.9975],
    ] as const;
    const judged = (sugarless: boolean): string =>
      judgeFermentation({
        readings: readings(...list),
        liquid: must(1.064),
        yeast: yeastById('crisp-cider'),
        temps: [{ at: START, tempC: 18 }],
        today: on(27),
        entries: [
          { at: START, kind: 'pitched' },
          { at: on(20), kind: 'gravity-changed', deltaSg: 0.0005, sugarless },
        ],
      }).value.status;
    expect([judged(true), judged(false)]).toEqual(['finished-dry', 'too-few-readings']);
  });
  it('starts afresh when sugar was added between', () => {
    expect(
      judge({
        list: [
          [9, 1.0],
          [18, 1.0],
          [25, 1.0],
        ],
        changes: [20],
      }).status,
    ).toBe('too-few-readings');
  });
  it('tells an old reading from a fresh one', () => {
    expect(
      judge({
        list: [
          [3, 1.05],
          [6, 1.035],
        ],
        today: 30,
      }).evidence.map((e) => e.text),
    ).toContain('The last reading is 24 days old');
  });
});

describe('siftReadings', () => {
  it('keeps a falling series whole and drops what cannot be', () => {
    const fine = readings([1, 1.05], [3, 1.04], [6, 1.0415], [9, 1.02]);
    expect(siftReadings(fine).questioned).toEqual([]);
    expect(siftReadings([...fine, ...readings([7, 1.5])]).questioned.map((r) => r.sg)).toEqual([1.5]);
  });
  it('never keeps a rise beyond roughness', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.99, max: 1.1, noNaN: true }), { maxLength: 20 }), (sgs) => {
        const { usable, questioned } = siftReadings(sgs.map((sg, i) => ({ id: String(i), at: on(i), sg, tempC: null })));
        expect(usable.length + questioned.length).toBe(sgs.length);
        usable.slice(1).forEach((r, i) => expect(r.sg).toBeLessThanOrEqual((usable[i]?.sg ?? 0) + 0.003 + 1e-12));
      }),
      SEED,
    );
  });
});

describe('questionReading', () => {
  it.each([
    [1055, 1.055],
    [1.5, 1.05],
    [0.55, 1.055],
    [48, 1.048],
    [0.048, 1.0048],
  ])('asks whether %p was meant as %p', (typed, meant) => {
    const [question] = questionReading({ sg: typed, at: on(3) });
    expect(question?.canInsist).toBe(false);
    expect(question?.suggestionSg).toBeCloseTo(meant, 2);
  });
  it('asks about a rise, a jump and a gravity below dry, and lets the maker insist', () => {
    const previous = { sg: 1.02, at: on(10) };
    const ids = (sg: number, day: number): string[] => questionReading({ sg, at: on(day), previous, drySg: 0.998 }).map((q) => q.id);
    expect(ids(1.026, 12)).toEqual(['rise']);
    expect(ids(0.999, 10.2)).toEqual(['jump']);
    expect(ids(0.991, 20)).toEqual(['below-dry']);
    expect(ids(1.012, 14)).toEqual([]);
  });
});
