import { readyWindow } from '../../finish/bottle/ready-window.js';
import { stabiliseDose } from '../../finish/bottle/stabilise-dose.js';
import { forecast } from '../../ferment/forecast/forecast.js';
import { forecastWords } from '../../ferment/forecast/forecast-words.js';
import { waterOf } from '../../matter/liquid/liquid.js';
import { pathStops } from '../plan/path-stops.js';
import { nextJobs } from '../plan/next-jobs.js';
import { methodById } from '../plan/method.js';
import { logOf } from '../../testing/made-logs.js';
import type { Entry } from '../entry/entry.js';
import { forecastInputOf } from '../outlook/forecast-of.js';
import { judgeState } from './judge-state.js';
import { replay } from '../log/replay.js';
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

describe('a drink stabilised in full and then sweetened', () => {
  const dry = [...make.dryAt(0.9975), make.racked(27, 19)];
  const dose = stabiliseDose({ liquid: replay(dry).liquid ?? waterOf(1) }).value;
  const stabilised = make.entry('stabilised', 28, { so2MgPerL: dose.so2MgPerL, sorbateMgPerL: dose.sorbicMgPerL });
  const sweetened = make.entry('sweetened', 29.5, { sweetenerId: 'sucrose', massG: 500 });
  const log = [...dry, stabilised, sweetened];
  const state = replay(log);
  const verdict = judgeState(state, make.at(31))?.value;

  it('is held, which proves nothing and waits for nothing: verdict, job, path, forecast and bench say the same', () => {
    expect([verdict?.status, sealWay(state, verdict ?? null)]).toEqual(['held', 'stabilised']);
    expect(verdict?.sentence).toMatch(/^Held: sulfite and sorbate keep its yeast off the 2[5-8] g\/L of sugar/);
    expect(verdict?.evidence.map((e) => e.text).join()).toMatch(/does not kill it, so no end is proven/);
    const jobs = nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict: verdict ?? null, method: methodById('carton-quick'), today: make.at(31) });
    expect(jobs.map((j) => j.kind)).toEqual(['bottle']);
    const stops = pathStops({ state, method: methodById('carton-quick'), startedAt: make.at(0), now: make.at(31), status: 'held' });
    expect(stops.find((s) => s.state === 'here')?.stage).toBe('bottle');
    const question = forecastInputOf(state, make.at(31));
    if (question)
      expect(forecastWords(forecast({ ...question, members: 100 }).value, { pitchedAt: make.at(0.1), today: make.at(31), status: 'held' }).lead).toMatch(
        /nothing is waited for/,
      );
  });
  it('is still in the bottle, is opened by the week, and says what it would be if it woke', () => {
    const crate = replay([...log, make.bottled(31, { kindId: 'plastic-500', count: 34, acknowledged: ['re-ferment'] })]).crates[0];
    expect(crate?.sparkling).toBe(false);
    expect(crate?.co2Volumes).toBeLessThan(1);
    expect(crate?.wakesVolumes).toBeGreaterThan(6);
    const window = crate ? readyWindow(crate) : null;
    expect([window?.from, window?.bestUntil]).toEqual([make.at(38).slice(0, 10), make.at(73).slice(0, 10)]);
    const plain = replay([...dry, stabilised, make.bottled(31, { kindId: 'plastic-500', count: 34 })]).crates[0];
    expect(plain?.wakesVolumes).toBeNull();
  });
  it('is as it was where too little went in, or where it was thinned since', () => {
    const half = make.entry('stabilised', 28, { so2MgPerL: dose.so2MgPerL / 2, sorbateMgPerL: dose.sorbicMgPerL / 2 });
    expect(judgeState(replay([...dry, half, sweetened]), make.at(31))?.value.status).toBe('too-few-readings');
    expect(judgeState(replay([...log, make.poured(30, 12, 1.05, 'juice')]), make.at(31))?.value.status).not.toBe('held');
    expect(judgeState(replay([...dry, stabilised]), make.at(31))?.value.status).toBe('finished-dry');
  });
});
