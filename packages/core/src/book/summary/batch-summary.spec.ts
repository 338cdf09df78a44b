import { seededRandom } from '../../base/numeric/random.js';
import { pastFermentOf } from '../outlook/forecast-of.js';
import { nextJobs } from '../plan/next-jobs.js';
import { logOf } from '../../testing/made-logs.js';
import { madeSeason } from '../../testing/made-season.js';
import { FOLD_VERSION, foldOf, pickedEvenly, summarise, type BatchSummary } from './batch-summary.js';
import type { BatchState } from '../state/batch-state.js';
import type { Entry } from '../entry/entry.js';
import { judgeState } from '../state/judge-state.js';
import { replay } from '../log/replay.js';

const LOGS = 500;
const kept = (log: readonly Entry[]): BatchSummary => JSON.parse(JSON.stringify(summarise(log))) as BatchSummary;

describe('summarise', () => {
  it('keeps through JSON all that a verdict and the jobs of a day are made of, for 500 logs made at random', () => {
    let [endedOnes, thinned] = [0, 0];
    for (let seed = 0; seed < LOGS; seed += 1) {
      const { log, today, method } = madeSeason(seed);
      const random = seededRandom(seed);
      const make = logOf('S');
      // Some of it is struck out, as makers do.
      const strikes = log.filter(() => random.uniform() < 0.1).map((e) => ({ ...make.entry('corrected', 1, { entryId: e.id, replacement: null }), at: today }));
      const struck = [...log, ...strikes];
      const volumeL = replay(struck).liquid?.volumeL ?? 0;
      const drunk = seed % 5 === 0 ? [{ ...make.entry('discarded', 1, { volumeL, why: 'drunk' }), at: today }] : [];
      const whole = [...struck, ...drunk];
      const summary = kept(whole);
      expect(summary).toEqual(summarise(whole));
      expect(summary.head).toEqual({ count: whole.length, lastId: whole.at(-1)?.id });
      const told = (state: BatchState): unknown => {
        const verdict = judgeState(state, today, { waits: method.waits });
        return [verdict, nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict: verdict?.value ?? null, method, today })];
      };
      const { state } = foldOf(whole);
      const ended = state.liquid === null;
      endedOnes += Number(ended);
      thinned += Number(summary.state.readings.length < state.readings.length);
      expect(summary.state.readings).toEqual(ended ? pickedEvenly(state.readings) : state.readings);
      expect(pastFermentOf(summary.state)).toEqual(pastFermentOf(state));
      expect(told({ ...summary.state, zone: 'Pacific/Auckland' })).toEqual(told(replay(whole, 'Pacific/Auckland')));
    }
    expect(endedOnes).toBeGreaterThan(50);
    expect(thinned).toBeGreaterThan(3);
  });
  it('is of a version that is raised with whatever a log folds into: what was kept of older folds would be read as if it were of this one', () => {
    // When this fails because a fold has changed: raise FOLD_VERSION, and write down here what both are now.
    const rounded = (_key: string, value: unknown): unknown => (typeof value === 'number' ? Number(value.toPrecision(6)) : value);
    const folds = Array.from({ length: 40 }, (_none, seed) => JSON.stringify(summarise(madeSeason(seed).log), rounded));
    let mark = 0x811c9dc5;
    for (const char of folds.join('')) mark = Math.imul(mark ^ (char.codePointAt(0) ?? 0), 0x01000193) >>> 0;
    expect([FOLD_VERSION, mark.toString(16)]).toEqual([10, '8bfb2727']);
  });
  it('keeps of a long list the first, the last and ten between, and all of those when asked again', () => {
    const long = Array.from({ length: 100 }, (_none, i) => i);
    const picked = pickedEvenly(long);
    expect(picked).toHaveLength(12);
    expect([picked[0], picked.at(-1)]).toEqual([0, 99]);
    expect(pickedEvenly(picked)).toEqual(picked);
    expect(pickedEvenly([3, 1])).toEqual([3, 1]);
  });
  it('tells what a batch took, left, came from and went into', () => {
    const make = logOf();
    const poured = make.poured(0, 12, 1.05, 'juice');
    const pitch = make.entry('pitched', 0.1, {
      yeastId: 'crisp-cider',
      massG: 5,
      method: 'sprinkled',
      juiceC: 18,
      supplies: [{ supplyId: 'PACKET', amount: 1 }],
    });
    const out = make.entry('split', 3, {
      into: [{ batchId: 'C', name: 'Jar', volumeL: 4 }],
      vessels: [{ vesselId: 'W', volumeL: 8 }],
      lossL: 0,
      why: 'a trial',
    });
    const { poured: took, used, emptied, from, into } = summarise([poured, pitch, out]);
    expect(took).toEqual([{ id: expect.any(String) as string, amount: 12 }]);
    expect(used).toEqual([{ id: 'PACKET', amount: 1 }]);
    expect(emptied.map((e) => e.since)).toEqual([make.at(3)]);
    expect(from).toEqual([expect.objectContaining({ from: 'juice', litres: 12 })]);
    expect(into).toEqual([{ batchId: 'C', name: 'Jar', volumeL: 4 }]);
    expect(summarise([])).toMatchObject({ head: { count: 0, lastId: null }, poured: [], used: [], from: [], into: [] });
  });
});
