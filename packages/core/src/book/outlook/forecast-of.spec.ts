import { forecast } from '../../ferment/forecast/forecast.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { forecastInputOf, pastFermentOf } from './forecast-of.js';
import { replay } from '../log/replay.js';

const START_MS = Date.UTC(2026, 9, 1, 10);
const dayAt = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();
let made = 0;
function entry<K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]): Entry {
  made += 1;
  return { id: `F${String(made).padStart(5, '0')}`, batchId: 'B', kind, at: dayAt(day), writtenAt: dayAt(day), note: '', payload } as Entry;
}
const raw = (reading: number): EntryPayloads['filled']['gravity'] => ({ instrument: 'hydrometer', reading, sampleC: 20, calibratedAtC: 20, offsetSg: 0 });
const fill = entry('filled', 0, {
  source: 'juice',
  fruit: 'apple',
  volumeL: 20,
  gravity: raw(1.05),
  ph: 3.5,
  taGPerL: 6,
  tanninGPerL: 0.5,
  yanMgPerL: 80,
  vessels: [{ vesselId: 'V', volumeL: 20 }],
  tempC: 18,
});
const pitch = (day: number, yeastId = 'crisp-cider'): Entry => entry('pitched', day, { yeastId, massG: 5, method: 'sprinkled', juiceC: 18 });
const read = (day: number, sg: number, placeC: number | null = 18): Entry =>
  entry('reading', day, { gravity: raw(sg), ph: null, taGPerL: null, placeC, insistedOn: [], bubbles: null, smell: null });

describe('forecastInputOf', () => {
  it('counts days from the pitch, with the pitch rate of that day and the warmth of each place', () => {
    const state = replay([fill, pitch(1), read(4, 1.042), read(8, 1.03, 12)]);
    const input = forecastInputOf(state, dayAt(9));
    expect(input).toMatchObject({ yeastId: 'crisp-cider', pitchGPerL: 0.25, todayDay: 8 });
    expect(input?.readings.map((r) => [r.day, Math.round(r.sg * 1000)])).toEqual([
      [3, 1042],
      [7, 1030],
    ]);
    expect(input?.tempProfile.at(-1)).toEqual({ day: 7, tempC: 12 });
  });
  it('counts the reading written a moment after the page was opened', () => {
    const input = forecastInputOf(replay([fill, pitch(1), read(4, 1.042), read(8.001, 1.03)]), dayAt(8));
    expect(input?.readings).toHaveLength(2);
    expect(input?.todayDay).toBeCloseTo(7.001, 6);
  });
  it('counts food by its day after the pitch, and as the juice’s own before it', () => {
    const food = (day: number, name = 'organic yeast nutrient'): Entry => entry('addition', day, { what: 'nutrient', name, massG: 10 });
    const before = forecastInputOf(replay([fill, food(0.5), pitch(1), read(4, 1.042)]), dayAt(5));
    expect(before?.feeds).toEqual([]);
    expect(before?.liquid.yanMgPerL).toBeCloseTo(80 + 20, 6);
    const after = forecastInputOf(replay([fill, pitch(1), read(4, 1.042), food(4.5), food(4.6, 'a stranger’s powder')]), dayAt(5), { feedMgNPerL: 50 });
    expect(after?.feeds).toEqual([
      { day: 3.5, mgNPerL: 20 },
      { day: 4, mgNPerL: 50 },
    ]);
    expect(after?.liquid.yanMgPerL).toBeCloseTo(80, 6);
  });
  it('asks with what a device says, less surely than with glass', () => {
    const state = replay([fill, pitch(1), read(4, 1.042)]);
    const device = [
      { at: dayAt(3), sg: 1.045, plusMinus: 0.004 },
      { at: dayAt(6), sg: 1.034, plusMinus: 0.004 },
    ];
    expect(forecastInputOf(state, dayAt(6), {}, { device })?.readings.map((r) => [r.day, r.plusMinus])).toEqual([
      [2, 0.004],
      [3, undefined],
      [5, 0.004],
    ]);
  });
  it('has nothing to ask before yeast, in a keg, or when it is gone', () => {
    expect(forecastInputOf(replay([fill]), dayAt(2))).toBeNull();
    const gone = replay([fill, pitch(1), entry('discarded', 5, { volumeL: 20, why: 'vinegar' })]);
    expect(forecastInputOf(gone, dayAt(6))).toBeNull();
    const kegged = replay([
      fill,
      pitch(1),
      entry('kegged', 9, { vessel: { vesselId: 'K', volumeL: 19 }, lossL: 1, targetVolumes: 2, storeC: 4, acknowledged: [] }),
    ]);
    expect(forecastInputOf(kegged, dayAt(10))).toBeNull();
  });
  it('takes sugar added on the way as if it had been there from the start', () => {
    const state = replay([fill, pitch(1), read(4, 1.042), entry('addition', 5, { what: 'fermentable', fermentableId: 'sucrose', massG: 520 }), read(6, 1.046)]);
    const input = forecastInputOf(state, dayAt(7));
    const lift = gravityOf(input?.liquid ?? waterOf(20)) - 1.05;
    expect(lift).toBeGreaterThan(0.007);
    expect((input?.readings[0]?.sg ?? 0) - 1.042).toBeCloseTo(lift, 3);
    expect(input?.readings[1]?.sg).toBeCloseTo(1.046, 4);
  });
  it('begins anew when a stuck one is given new yeast: from the gravity and the strength it had', () => {
    const stuck = [fill, pitch(1), read(6, 1.03), read(14, 1.022), read(24, 1.022), read(32, 1.022)];
    const state = replay([...stuck, pitch(33, 'restart'), read(36, 1.016)]);
    const input = forecastInputOf(state, dayAt(37));
    expect(gravityOf(input?.liquid ?? waterOf(20))).toBeCloseTo(1.022, 3);
    expect(input?.readings.map((r) => r.day)).toEqual([3]);
    if (!input) throw new Error('nothing asked');
    const found = forecast({ ...input, members: 300 }).value;
    expect(found.finalSg.p50).toBeLessThan(1.002);
    expect(found.chanceStuck).toBeLessThan(0.2);
    expect(found.finishDay.p50 ?? Infinity).toBeLessThan(25);
  });
  it('tries a move and a feed from today on, and leaves what was as it was', () => {
    const state = replay([fill, pitch(1), read(4, 1.042)]);
    const tried = forecastInputOf(state, dayAt(5), { tempC: 10, feedMgNPerL: 50 });
    expect(tried?.tempProfile.at(-1)).toEqual({ day: 4, tempC: 10 });
    expect(tried?.feeds).toEqual([{ day: 4, mgNPerL: 50 }]);
    expect(forecastInputOf(state, dayAt(5))?.tempProfile.at(-1)?.tempC).toBe(18);
  });
});

describe('pastFermentOf', () => {
  it('still tells the pace of a batch that is long in its bottles, and nothing of one hardly read', () => {
    const log = [fill, pitch(1), read(4, 1.042), read(8, 1.02), read(14, 1.002), read(24, 0.999)];
    const bottled = entry('bottled', 30, {
      bottles: [{ kindId: 'crown-500', count: 38 }],
      testBottle: false,
      lossL: 1,
      crate: 'Lot',
      capColour: 'rust',
      hottestC: 24,
      acknowledged: [],
    });
    expect(pastFermentOf(replay([...log, bottled]))?.readings).toHaveLength(4);
    expect(pastFermentOf(replay([fill, pitch(1), read(4, 1.042)]))).toBeNull();
  });
});
