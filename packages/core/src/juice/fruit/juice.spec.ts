import { effectiveEntries } from '../../book/entry/effective-entries.js';
import { expectWithin, refusalCode } from '../../testing/expect-within.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { FRUIT_LIBRARY } from '../../base/reference/fruit-library-data.js';
import type { Entry } from '../../book/entry/entry.js';
import { replay } from '../../book/log/replay.js';
import type { Juice, Pressing } from './juice.js';
import { juiceInHand } from './juice-in-hand.js';
import { longAshtonClass } from './long-ashton-class.js';
import { pouredVolumes } from '../../book/summary/poured-volumes.js';
import { PRESSES } from './presses.js';
import { estimateYield, fruitForVolume, pressSums, yieldFromFruit, type PastPress } from './yield.js';

const AT = '2026-11-21T10:00:00.000Z';
const JUICE: Juice = {
  id: 'J1',
  name: 'Russet row',
  tape: 'straw',
  origin: 'pressed',
  fruit: 'apple',
  fruitId: 'egremont-russet',
  madeAt: AT,
  volumeL: 17.5,
  gravity: null,
  ph: null,
  taGPerL: null,
  tanninGPerL: null,
  yanMgPerL: null,
  costPerL: null,
  preserved: false,
  vitaminC: false,
  pressing: null,
  steeping: null,
  goneL: 0,
  note: '',
};

describe('juiceInHand', () => {
  it('takes what was not measured as typical of its kind, with the spread of the library', () => {
    const { figures, liquid } = juiceInHand(JUICE, 0);
    expect(figures.sg.source).toBe('typical');
    expectWithin(gravityOf(liquid), 1.056, { abs: 1e-6 });
    expectWithin(figures.sg.plusMinus, 0.0085, { abs: 1e-9 });
    expect(figures.ph.source).toBe('typical');
  });
  it('keeps measured and typical apart, figure by figure, and corrects the stem for heat', () => {
    const gravity = { instrument: 'hydrometer', reading: 1.05, sampleC: 30, calibratedAtC: 20, offsetSg: 0 } as const;
    const { figures, liquid } = juiceInHand({ ...JUICE, gravity, ph: 3.3 }, 0);
    expect(figures).toMatchObject({ sg: { source: 'measured' }, ph: { source: 'measured', plusMinus: 0.05 }, taGPerL: { source: 'typical' } });
    expectWithin(gravityOf(liquid), 1.0524, { abs: 5e-5 });
    expectWithin(phOf(liquid), 3.3, { abs: 1e-6 });
    expect(figures.sg.plusMinus).toBeLessThan(0.002);
  });
  it('knows what is left, never less than nothing', () => {
    expect(juiceInHand({ ...JUICE, goneL: 1 }, 12).leftL).toBeCloseTo(4.5, 9);
    expect(juiceInHand(JUICE, 40).leftL).toBe(0);
  });
  it('gives a juice nobody named the widest doubt', () => {
    expect(juiceInHand({ ...JUICE, fruitId: null }, 0).doubt.ph).toBeGreaterThanOrEqual(0.25);
  });
  it('makes a liquid of every kind in the library', () => {
    for (const kind of FRUIT_LIBRARY) {
      const { liquid } = juiceInHand({ ...JUICE, fruit: kind.fruit, fruitId: kind.id }, 0);
      expectWithin(taOf(liquid), kind.taGPerL[1], { abs: 1e-6 });
      expect(liquid.hexoseGPerL).toBeGreaterThan(0);
    }
  });
});

describe('longAshtonClass', () => {
  it.each([
    [3, 1, 'sweet'],
    [7, 1, 'sharp'],
    [3, 2.4, 'bittersweet'],
    [7, 2.4, 'bittersharp'],
    [4.5, 2, 'bittersharp'],
  ])('acid %p and tannin %p is %s', (taGPerL, tanninGPerL, expected) => {
    expect(longAshtonClass({ taGPerL, tanninGPerL })).toBe(expected);
  });
  it('agrees with the groups of the library’s cider apples', () => {
    const cider = FRUIT_LIBRARY.filter((k) => ['sweet', 'sharp', 'bittersweet', 'bittersharp'].includes(k.group));
    expect(cider.length).toBeGreaterThan(15);
    for (const kind of cider) expect([kind.id, longAshtonClass({ taGPerL: kind.taGPerL[1], tanninGPerL: kind.tanninGPerL[1] })]).toEqual([kind.id, kind.group]);
  });
  it('refuses acid below nothing', () => {
    expect(refusalCode(() => longAshtonClass({ taGPerL: -1, tanninGPerL: 1 }))).toBe('OUT_OF_RANGE');
  });
});

describe('yields', () => {
  const own = (lPerKg: number, count: number): PastPress[] =>
    Array.from({ length: count }, () => ({ pressId: 'hand-mill-basket', massKg: 40, volumeL: 40 * lPerKg }));
  it('begin with the usual figure of the press and its range', () => {
    const { value, low, high } = yieldFromFruit({ massKg: 100, pressId: 'hand-mill-basket', history: [] }).value;
    expectWithin(value, 52, { abs: 1e-9 });
    expectWithin(low, 42, { abs: 0.5 });
    expectWithin(high, 62, { abs: 0.5 });
  });
  it('lean towards the maker’s own pressings, the more the more there are, and grow surer', () => {
    const one = estimateYield('hand-mill-basket', own(0.62, 1));
    const many = estimateYield('hand-mill-basket', own(0.62, 8));
    expectWithin(one.lPerKg, 0.52 + 0.1 / 3, { abs: 1e-9 });
    expectWithin(many.lPerKg, 0.6, { abs: 1e-9 });
    expect(many.highLPerKg - many.lowLPerKg).toBeLessThan(one.highLPerKg - one.lowLPerKg);
    expect(estimateYield('mill-rack', own(0.62, 8)).ownCount).toBe(0);
  });
  it('turn round into kilos for a volume', () => {
    const { value, high } = fruitForVolume({ volumeL: 23, pressId: 'hand-mill-basket', history: own(0.5, 3) }).value;
    const back = yieldFromFruit({ massKg: value, pressId: 'hand-mill-basket', history: own(0.5, 3) }).value;
    expectWithin(back.value, 23, { abs: 1e-9 });
    expect(high).toBeGreaterThan(value);
  });
  it.each(PRESSES.map((p) => p.yieldLPerKg))('of every press lie low, middle, high: %p %p %p', (low, middle, high) => {
    expect(low).toBeLessThan(middle);
    expect(middle).toBeLessThan(high);
  });
  it('refuse a press nobody has and fruit below nothing', () => {
    expect(refusalCode(() => estimateYield('stone', []))).toBe('UNKNOWN_ID');
    expect(refusalCode(() => yieldFromFruit({ massKg: -3, pressId: 'mill-rack', history: [] }))).toBe('OUT_OF_RANGE');
  });

  const pressing = (massKg: number, ...runsL: number[]): Pressing => ({
    pressId: 'hand-mill-basket',
    lots: massKg > 0 ? [{ fruitId: null, massKg, ripeness: 'ripe', condition: 'sound' }] : [],
    runs: runsL.map((volumeL) => ({ at: AT, volumeL, into: 'jug' })),
  });
  it('are summed on press day, and questioned when they cannot be', () => {
    expect(pressSums(pressing(31, 9, 6.5), [])).toEqual({ massKg: 31, volumeL: 15.5, lPerKg: 0.5, question: null });
    expect(pressSums(pressing(20, 9, 9), []).question).toContain('more than apples hold');
    expect(pressSums(pressing(24, 9, 9), []).question).toContain('more than usual');
    expect(pressSums(pressing(0, 9), []).question).toContain('weigh the fruit');
    // Early runs are always few litres from many kilos: that is no slip.
    expect(pressSums(pressing(31, 2), []).question).toBeNull();
  });
});

describe('pouring juice into batches', () => {
  const { liquid } = juiceInHand(JUICE, 0);
  const entry = <K extends Entry['kind']>(n: number, kind: K, payload: Extract<Entry, { kind: K }>['payload']): Entry =>
    ({ id: `E${n}`, batchId: 'B', kind, at: `2026-11-21T1${n}:00:00.000Z`, writtenAt: AT, note: '', payload }) as Entry;
  const poured = entry(0, 'blended', {
    parts: [{ from: 'juice', sourceId: 'J1', name: 'Russet row', liquid: { ...liquid, volumeL: 12 }, yeastId: null }],
    vessels: [{ vesselId: 'V', volumeL: 12 }],
    tempC: 14,
  });
  it('is counted from the logs, and not when struck out', () => {
    expect(pouredVolumes([poured])).toEqual([{ id: 'J1', amount: 12 }]);
    expect(pouredVolumes(effectiveEntries([poured, entry(1, 'corrected', { entryId: 'E0', replacement: null })]).entries)).toEqual([]);
  });
  it('begins the batch with that liquid', () => {
    const state = replay([poured]);
    expect(state).toMatchObject({ stage: 'pitch', filledAt: poured.at, placeC: 14, pitchedAt: null });
    expect(state.liquid?.volumeL).toBeCloseTo(12, 9);
  });
  it('of a cider asks for proof of the end anew', () => {
    const cider = { ...liquid, volumeL: 6, hexoseGPerL: 0, sucroseGPerL: 0, ethanolGPerL: 52 };
    const state = replay([
      poured,
      entry(1, 'blended', {
        parts: [{ from: 'batch', sourceId: 'C', name: 'Old', liquid: cider, yeastId: 'crisp-cider' }],
        vessels: [{ vesselId: 'V', volumeL: 18 }],
        tempC: null,
      }),
    ]);
    expect(state).toMatchObject({ yeastId: 'crisp-cider', placeC: 14 });
    expect(state.judged.at(-1)?.kind).toBe('gravity-changed');
    expect(state.liquid?.volumeL).toBeCloseTo(18, 9);
  });
  it('is split into shares, and no more than there is', () => {
    const split = (volumeL: number): Entry =>
      entry(2, 'split', { into: [{ batchId: 'B2', name: 'Jar', volumeL }], vessels: [{ vesselId: 'V', volumeL: 12 - volumeL }], lossL: 0, why: '' });
    expect(replay([poured, split(5)]).liquid?.volumeL).toBeCloseTo(7, 9);
    expect(replay([poured, split(12)]).liquid).toBeNull();
    expect(replay([poured, split(14)]).issues[0]?.text).toContain('cannot be taken');
  });
});
