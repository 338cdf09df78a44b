import { gravityOf, abvOf } from '../../matter/liquid/views.js';
import { nextJobs } from '../plan/next-jobs.js';
import { methodById } from '../plan/method.js';
import { plannedDates } from '../plan/planned-dates.js';
import { DEFAULT_UNITS } from '../../matter/quantity/format-quantity.js';
import { expectWithin } from '../../testing/expect-within.js';
import type { BatchState } from '../state/batch-state.js';
import { describeEntry } from './describe-entry.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from './replay.js';

const fail = (): never => {
  throw new Error('there should be a liquid');
};
const START_MS = Date.UTC(2026, 9, 1, 10);
const day = (n: number): string => new Date(START_MS + n * 86_400_000).toISOString();
let made = 0;

function entry<K extends EntryKind>(kind: K, at: number, payload: EntryPayloads[K], note = ''): Entry {
  made += 1;
  return { id: `E${String(made).padStart(4, '0')}`, batchId: 'B', kind, at: day(at), writtenAt: day(at), note, payload } as Entry;
}
const raw = (reading: number, sampleC = 20): EntryPayloads['filled']['gravity'] => ({
  instrument: 'hydrometer',
  reading,
  sampleC,
  calibratedAtC: 20,
  offsetSg: 0,
});
const read = (at: number, sg: number): Entry =>
  entry('reading', at, { gravity: raw(sg), ph: null, taGPerL: null, placeC: 18, insistedOn: [], bubbles: null, smell: null });
const filled = (): Entry =>
  entry('filled', 0, {
    source: 'shop juice',
    fruit: 'apple',
    volumeL: 20,
    gravity: raw(1.048),
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: [{ vesselId: 'V', volumeL: 20 }],
    tempC: 18,
  });
const pitched = (at = 0.1): Entry => entry('pitched', at, { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 });
const finished = (): Entry[] => [filled(), pitched(), read(7, 1.012), read(18, 0.998), read(26, 0.998)];
const bottled = (at: number, count: number, acknowledged: string[] = [], kindId = 'crown-500'): Entry =>
  entry('bottled', at, { bottles: [{ kindId, count }], testBottle: false, lossL: 0.4, crate: 'Lot', capColour: 'rust', hottestC: 22, acknowledged });
const primed = (at: number): Entry => entry('primed', at, { fermentableId: 'sucrose', massG: 130, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 });
const verdictOf = (state: BatchState, at: number): ReturnType<typeof judgeState> => judgeState(state, day(at));

describe('replay', () => {
  it('goes from carton to an opened bottle, the sums agreeing all the way', () => {
    const log = [
      ...finished(),
      entry('racked', 27, { vessels: [{ vesselId: 'W', volumeL: 19.5 }], lossL: 0.5 }),
      primed(28),
      bottled(28, 38),
      entry('opened', 50, { kindId: 'crown-500', count: 1 }),
    ];
    const mid = replay(log.slice(0, 4));
    expect(mid.stage).toBe('ferment');
    expectWithin(gravityOf(mid.liquid ?? fail()), 0.998, { abs: 1e-5 });
    const end = replay(log);
    expect(end.issues).toEqual([]);
    expect(end.stage).toBe('drink');
    expect(end.liquid).toBeNull();
    expect(end.crates[0]).toMatchObject({ sparkling: true, lots: [{ kindId: 'crown-500', filled: 38, left: 37 }] });
    expectWithin(end.crates[0]?.co2Volumes ?? NaN, 2.6, { abs: 0.1 });
    // 1.048 to bone dry is about 6.5 %, and the priming adds 0.4.
    expectWithin(end.crates[0]?.abv ?? NaN, 6.9, { abs: 0.15 });
  });
  it('does not mind the order in which entries arrive', () => {
    const log = finished();
    expect(replay([...log].reverse())).toEqual(replay(log));
  });
  it('takes sugar into volume, strength and gravity', () => {
    const state = replay([filled(), entry('addition', 0.05, { what: 'fermentable', fermentableId: 'sucrose', massG: 500 })]);
    expectWithin(state.liquid?.volumeL ?? NaN, 20.309, { abs: 0.001 });
    expect(gravityOf(state.must ?? fail())).toBeGreaterThan(1.056);
  });
  it('corrects a refractometer for alcohol once yeast is in', () => {
    const bx = (at: number, reading: number): Entry =>
      entry('reading', at, {
        gravity: { ...raw(reading), instrument: 'refractometer' },
        ph: null,
        taGPerL: null,
        placeC: null,
        insistedOn: [],
        bubbles: null,
        smell: null,
      });
    const state = replay([filled(), bx(0.05, 12), pitched(), bx(9, 5)]);
    expectWithin(state.readings[1]?.sg ?? NaN, 1.0036, { abs: 0.0002 });
  });
  it('leaves out what does not add up and names it', () => {
    const tooMany = bottled(29, 80);
    const state = replay([...finished(), tooMany]);
    expect(state.issues).toEqual([{ entryId: tooMany.id, text: expect.stringContaining('cannot be filled') }]);
    expect(state.crates).toEqual([]);
    expect(replay([...finished(), bottled(29, 39), entry('opened', 40, { kindId: 'swing-500', count: 1 })]).issues).toHaveLength(1);
  });
  it('keeps a pH reading in the liquid', () => {
    const ph = entry('reading', 0.05, { gravity: null, ph: 3.4, taGPerL: 7, placeC: null, insistedOn: [], bubbles: null, smell: null });
    const state = replay([filled(), ph, pitched(), read(5, 1.02)]);
    expect(abvOf(state.liquid ?? fail())).toBeGreaterThan(3);
    expect(state.readings).toHaveLength(1);
  });
});

describe('effectiveEntries', () => {
  const wrong = read(7, 1.12);
  const correct = (sg: number, at: number): Entry => {
    const { payload } = read(7, sg) as Extract<Entry, { kind: 'reading' }>;
    return entry('corrected', at, { entryId: wrong.id, replacement: { kind: 'reading', at: day(7), note: 'mistyped', payload } });
  };
  it('lets the latest correction win and keeps them all', () => {
    const log = [filled(), pitched(), wrong, correct(1.02, 8), correct(1.012, 9)];
    expect(replay(log).readings.map((r) => r.raw)).toEqual([1.012]);
    expect(effectiveEntries(log).corrections.get(wrong.id)).toHaveLength(2);
  });
  it('strikes out an entry without losing it', () => {
    const log = [filled(), pitched(), wrong, entry('corrected', 8, { entryId: wrong.id, replacement: null })];
    expect(replay(log).readings).toEqual([]);
    expect(log).toContain(wrong);
  });
});

describe('nextJobs', () => {
  const jobs = (log: readonly Entry[], today: number): string[] => {
    const state = replay(log);
    return nextJobs({
      batchId: 'B',
      batchName: 'Lot',
      state,
      verdict: verdictOf(state, today)?.value ?? null,
      method: methodById('carton-quick'),
      today: day(today),
    }).map((j) => `${j.kind} ${j.urgency}`);
  };
  it('waits out a sulfite, then reads, proves, racks, bottles and opens', () => {
    const sulfited = [filled(), entry('addition', 0, { what: 'sulfite', so2MgPerL: 75 })];
    expect(jobs(sulfited, 0)).toEqual(['pitch week']);
    expect(jobs(sulfited, 2)).toEqual(['pitch overdue']);
    expect(jobs([filled(), pitched()], 1)).toEqual(['read week']);
    expect(jobs([filled(), pitched(), read(7, 1.012), read(18, 0.999)], 25)).toEqual(['second-reading today']);
    expect(jobs(finished(), 27)).toEqual(['rack week']);
    const racked = [...finished(), entry('racked', 27, { vessels: [{ vesselId: 'W', volumeL: 19.5 }], lossL: 0.5 })];
    expect(jobs(racked, 34)).toEqual(['bottle today']);
    expect(jobs([...racked, primed(34), bottled(34, 38)], 90)).toEqual(['open-one today']);
  });
  it('counts from the end, so that reading the same again puts nothing off, and calls nothing finished that settled above it', () => {
    const due = (log: readonly Entry[], today: number): readonly (readonly [dueOn: string, detail: string])[] => {
      const state = replay(log);
      const verdict = verdictOf(state, today)?.value ?? null;
      return nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict, method: methodById('cool-slow'), today: day(today) }).map((j) => [
        j.dueAt.slice(0, 10),
        j.detail,
      ]);
    };
    const [first] = due(finished(), 27);
    expect(due([...finished(), read(33, 0.998), read(40, 0.998)], 41)[0]).toEqual(first);
    const high = [filled(), pitched(), read(7, 1.012), read(18, 1.002), read(33, 1.002)];
    const [settled] = due(high, 33);
    expect(settled?.[1]).toMatch(/^Settled a touch high at 1\.002\. Rack it\. Before it is bottled, ferment a sample out/);
    expect(due([...high, read(48, 1.002)], 48)[0]).toEqual(settled);
    const racked = entry('racked', 34, { vessels: [{ vesselId: 'W', volumeL: 19.5 }], lossL: 0.5 });
    expect(due([...high, racked], 35)[0]?.[1]).toMatch(/^Settled a touch high at 1\.002, racked on .*\. Before it is bottled/);
  });
  it('gives the same job the same id every time', () => {
    const log = [filled(), pitched()];
    const state = replay(log);
    const input = { batchId: 'B', batchName: 'Lot', state, verdict: verdictOf(state, 1)?.value ?? null, method: methodById('carton-quick') };
    expect(nextJobs({ ...input, today: day(1) })[0]?.id).toBe(nextJobs({ ...input, today: day(2) })[0]?.id);
  });
});

describe('plannedDates and describeEntry', () => {
  it('plans in order', () => {
    const dates = plannedDates({ startAt: day(0), sulfited: true, method: methodById('cool-slow') }).map((p) => p.on);
    expect([...dates].sort()).toEqual(dates);
    expect(dates[2]).toBe('2026-10-02');
  });
  it('reads entries back in words', () => {
    const say = (e: Entry): string => `${describeEntry(e, DEFAULT_UNITS).lead} ${describeEntry(e, DEFAULT_UNITS).rest}`.trim();
    expect(say(filled())).toBe('Filled 20 L of shop juice, 1.048 at 20 °C, hydrometer');
    expect(say(read(7, 1.012))).toBe('Read 1.012 at 20 °C, hydrometer · standing at 18 °C');
    expect(say(read(7, 0.9995))).toBe('Read 0.9995 at 20 °C, hydrometer · standing at 18 °C');
    expect(say(bottled(28, 38))).toBe('Bottled 38 × crown-capped 500 mL, rust caps');
    expect(say(primed(28))).toBe('Primed with 130 g White sugar (sucrose) for 2.6 volumes');
  });
});

describe('the original gravity', () => {
  const carton = (): Entry => {
    const entry = filled();
    return entry.kind === 'filled' ? { ...entry, payload: { ...entry.payload, gravity: { ...raw(1.047), instrument: 'carton' } } } : entry;
  };
  const originalOf = (...log: readonly Entry[]): number => gravityOf(replay(log).must ?? fail());
  it('is the one read off glass near the pitch, whatever the carton promised or the recipe came to', () => {
    expect(originalOf(carton(), pitched(), read(0.5, 1.052))).toBeCloseTo(1.052, 5);
    expect(originalOf(carton(), pitched(), read(0.5, 1.044))).toBeCloseTo(1.044, 5);
    const sugar = entry('addition', 0.05, { what: 'fermentable', fermentableId: 'sucrose', massG: 500 });
    expect(originalOf(filled(), sugar, pitched(), read(0.6, 1.053))).toBeCloseTo(1.053, 5);
  });
  it('is raised by a reading above the promise, and not lowered by what has begun to work', () => {
    expect(originalOf(carton(), pitched(), read(2, 1.051))).toBeCloseTo(1.051, 5);
    expect(originalOf(carton(), pitched(), read(2, 1.043))).toBeCloseTo(1.047, 5);
    expect(originalOf(carton(), pitched(), read(0.9, 1.038))).toBeCloseTo(1.047, 5);
  });
  it('stands once it was read off glass, and what follows goes by it', () => {
    expect(originalOf(filled(), pitched(), read(0.5, 1.052))).toBeCloseTo(1.048, 5);
    const log = [carton(), pitched(), read(0.5, 1.052), read(20, 0.998), read(28, 0.998)];
    expect(replay(log).readings).toHaveLength(3);
    expect(judgeState(replay(log), day(28))?.value.questionedIds).toEqual([]);
    expect(abvOf(replay(log).liquid ?? fail())).toBeGreaterThan(6.8);
  });
});
