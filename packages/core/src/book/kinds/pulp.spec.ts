import { solidsFromSg } from '../../matter/density/solids.js';
import { abvOf, gravityOf } from '../../matter/liquid/views.js';
import { steepedLiquid } from '../../juice/fruit/steeped-liquid.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from '../log/replay.js';
import { checkEntryAgainst } from '../log/check-entry.js';
import { nextJobs } from '../plan/next-jobs.js';
import { methodById } from '../plan/method.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { expectWithin } from '../../testing/expect-within.js';
import { SAMPLE_PAYLOADS } from '../../testing/sample-payloads.js';

const at = (day: number): string => new Date(Date.UTC(2026, 8, 1, 10) + day * 86_400_000).toISOString();
let made = 0;
function entry<K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]): Entry {
  made += 1;
  return { id: `P${String(made).padStart(4, '0')}`, batchId: 'B', kind, at: at(day), writtenAt: at(day), note: '', payload } as Entry;
}
const steeped = (how: Partial<EntryPayloads['steeped']> = {}): Entry => {
  const payload = {
    ...SAMPLE_PAYLOADS.steeped,
    fruitKg: 3,
    hot: true,
    waterL: 3,
    sugars: [
      { fermentableId: 'sucrose', massG: 500 },
      { fermentableId: 'brown-sugar-dark', massG: 250 },
    ],
    acidG: 0,
    teaCups: 0,
    vessels: [{ vesselId: 'V', volumeL: 7 }],
    ...how,
  };
  return entry('steeped', 0, { ...payload, liquid: steepedLiquid({ ...payload, sugarG: 0, otherSugars: payload.sugars }) });
};
const pitched = (day: number): Entry => entry('pitched', day, SAMPLE_PAYLOADS.pitched);
const stirred = (day: number): Entry => entry('stirred', day, {});
const strained = (day: number, volumeL: number): Entry => entry('strained', day, { vessels: [{ vesselId: 'J', volumeL }], squeezed: false });
const read = (day: number, sg: number): Entry =>
  entry('reading', day, { ...SAMPLE_PAYLOADS.reading, gravity: { instrument: 'hydrometer', reading: sg, sampleC: 20, calibratedAtC: 20, offsetSg: 0 } });
const jobsOf = (log: readonly Entry[], day: number): readonly string[] => {
  const state = replay(log);
  return nextJobs({
    batchId: 'B',
    batchName: 'Bag',
    state,
    verdict: judgeState(state, at(day))?.value ?? null,
    method: methodById('cool-slow'),
    today: at(day),
  }).map((j) => j.kind);
};

describe('a batch on its pulp', () => {
  it('begins as what the water will have drawn out of the fruit, by a sum from nothing but the amounts', () => {
    const { liquid, pulp, issues, vessels } = replay([steeped()]);
    expect(issues).toEqual([]);
    // 3 kg give 0.82 L of juice a kilo, 85 of 100 of it in hot water, at 1.049; 0.15 L of water a kilo stay in the pulp.
    const juiceL = 3 * 0.82 * 0.85;
    const solidsG = juiceL * solidsFromSg(1.049) + 500 + 250 * 0.97;
    const endL = juiceL + 3 - 0.45 + 0.000618 * 750;
    expectWithin(liquid?.volumeL ?? 0, endL, { abs: 0.02 });
    expectWithin(solidsFromSg(gravityOf(liquid ?? fail())), solidsG / endL, { abs: 2 });
    expect(pulp).toMatchObject({ days: 4, hot: true });
    expect(vessels).toEqual([{ vesselId: 'V', volumeL: 7 }]);
  });
  it('keeps the room its pulp takes in the bucket, whatever goes in', () => {
    const before = replay([steeped()]);
    const after = replay([steeped(), entry('addition', 0.5, { what: 'water', volumeL: 1 })]);
    const room = (state: typeof before): number => (state.vessels[0]?.volumeL ?? 0) - (state.liquid?.volumeL ?? 0);
    expectWithin(room(after), before.pulp?.volumeL ?? 0, { abs: 1e-9 });
    expectWithin((after.liquid?.volumeL ?? 0) - (before.liquid?.volumeL ?? 0), 1, { abs: 1e-9 });
  });
  it('takes yeast with the bag in, and what runs off is what there is, with its strength', () => {
    const log = [steeped(), pitched(0.4), stirred(1), stirred(2), read(4, 1.05), strained(4, 4.5)];
    const state = replay(log);
    expect(state.issues).toEqual([]);
    expect([state.liquid?.volumeL, state.must?.volumeL, state.pulp]).toEqual([4.5, 4.5, null]);
    expect(state.vessels).toEqual([{ vesselId: 'J', volumeL: 4.5 }]);
    const unstrained = replay(log.slice(0, -1));
    expectWithin(abvOf(state.liquid ?? fail()), abvOf(unstrained.liquid ?? fail()), { abs: 1e-9 });
  });
  it('is read in place of the sums when it is strained before its yeast', () => {
    const state = replay([steeped(), strained(3, 4.5), read(3, 1.082)]);
    expect(state.issues).toEqual([]);
    expectWithin(gravityOf(state.must ?? fail()), 1.082, { abs: 1e-6 });
    expect(state.liquid?.volumeL).toBe(4.5);
  });
  it.each(['racked', 'split', 'bottled', 'kegged', 'clarified', 'stabilised'] as const)('is not %s before it is strained', (kind) => {
    const on = replay([steeped(), pitched(0.4)]);
    expect(checkEntryAgainst(on, null, entry(kind, 3, SAMPLE_PAYLOADS[kind])).refusal).toContain('Strain it first');
    const off = replay([steeped(), pitched(0.4), strained(3, 4.5)]);
    expect(checkEntryAgainst(off, null, entry(kind, 4, SAMPLE_PAYLOADS[kind])).refusal ?? '').not.toContain('Strain it first');
  });
  it('is strained once, and only where there is pulp', () => {
    const off = replay([steeped(), strained(3, 4.5)]);
    expect(checkEntryAgainst(off, null, strained(4, 4)).refusal).toContain('does not stand on pulp');
    expect(replay([steeped(), strained(3, 4.5), strained(4, 4)]).issues).toHaveLength(1);
  });
  it('runs off no more than stood in its bucket', () => {
    expect(replay([steeped(), strained(3, 7)]).issues).toEqual([]);
    expect(replay([steeped(), strained(3, 7.4)]).issues[0]?.text).toContain('cannot run off what stood in 7.0 L');
  });
  it('asks to be stirred twice a day, then to be strained, and then for neither', () => {
    expect(jobsOf([steeped()], 0.1)).toEqual(['pitch']);
    expect(jobsOf([steeped()], 0.5)).toEqual(['stir', 'pitch']);
    expect(jobsOf([steeped(), pitched(0.4), stirred(0.5)], 0.6)).not.toContain('stir');
    expect(jobsOf([steeped(), pitched(0.4), stirred(0.5)], 0.9)).toContain('stir');
    expect(jobsOf([steeped(), pitched(0.4), stirred(3.9)], 4.1)).toContain('strain');
    const after = jobsOf([steeped(), pitched(0.4), strained(4.2, 4.5)], 5);
    expect(after.filter((kind) => kind === 'stir' || kind === 'strain')).toEqual([]);
  });
});

function fail(): never {
  throw new Error('nothing is there');
}
