import { nextJobs } from '../plan/next-jobs.js';
import { methodById } from '../plan/method.js';
import { logOf } from '../testing/made-logs.js';
import type { Entry } from './entry.js';
import { judgeState } from './judge-state.js';
import { replay } from './replay.js';
import { sealWay } from './sealing.js';

const make = logOf();
const stuck = [make.filled(), make.pitched(), make.read(5, 1.03), make.read(9, 1.022), make.read(16, 1.0215), make.read(25, 1.0215)];
const helps: readonly (readonly [how: string, act: Entry])[] = [
  ['roused', make.entry('stirred', 28, {})],
  ['fed', make.entry('addition', 28, { what: 'nutrient', name: 'mineral nutrient (diammonium phosphate)', massG: 3 })],
  ['warmed', make.entry('moved', 28, { place: 'kitchen', tempC: 22 })],
];

describe.each(helps)('a batch that was %s', (how, act) => {
  const at = (log: readonly Entry[], day: number): ReturnType<typeof seen> => seen(log, day);
  const seen = (log: readonly Entry[], day: number) => {
    const state = replay(log);
    const verdict = judgeState(state, make.at(day))?.value;
    if (!verdict) throw new Error('no verdict');
    const jobs = nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict, method: methodById('carton-quick'), today: make.at(day) });
    return {
      verdict,
      words: verdict.evidence.map((e) => e.text).join(' '),
      way: sealWay(state, verdict),
      jobs: jobs.map((j) => [j.kind, j.dueAt.slice(0, 10)]),
    };
  };
  const fiveDaysOn = make.at(33).slice(0, 10);

  it('is read five days later, where it was stuck, and not told to do it again', () => {
    const before = at(stuck, 28);
    expect([before.verdict.status, before.verdict.next.kind, before.jobs[0]?.[0]]).toEqual(['stalled', 'restart', 'restart']);
    const after = at([...stuck, act], 29);
    expect(after.verdict.status).toBe('stalled');
    expect(after.verdict.next).toMatchObject({ kind: 'read', on: fiveDaysOn, dueOn: fiveDaysOn });
    expect(after.verdict.next.text).toContain(`It was ${how} on`);
    expect(after.verdict.next.text).not.toMatch(/[Rr]ouse it/);
    expect(after.jobs).toEqual([['read', fiveDaysOn]]);
    // Late is late, and the day does not slide.
    expect(at([...stuck, act], 40).verdict.next).toMatchObject({ on: make.at(40).slice(0, 10), dueOn: fiveDaysOn });
    // Once it was read, what to do is told by that reading again.
    expect(at([...stuck, act, make.read(34, 1.0215, 20)], 34).verdict.next.kind).toBe('restart');
  });
  it('keeps its proof, and begins none, and says so', () => {
    const proven = at([...make.dryAt(0.9975), act], 28.5);
    expect([proven.verdict.status, proven.way]).toEqual(['finished-dry', 'proven']);
    expect(proven.words).toMatch(new RegExp(`It was ${how} on .* the readings before it still count`));
    const one = at([make.filled(), make.pitched(), make.read(7, 1.012), make.read(26, 0.9975), act], 28.5);
    expect([one.verdict.status, one.way]).toEqual(['too-few-readings', 'unproven']);
  });
});
