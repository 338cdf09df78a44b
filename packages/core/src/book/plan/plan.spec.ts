import * as fc from 'fast-check';
import type { FermentStatus, Verdict } from '../../ferment/verdict/verdict.js';
import type { SqueezeFeel } from '../../finish/bottle/test-bottle.js';
import { EMPTY_STATE, STAGES, type BatchState, type Crate, type StateReading } from '../state/batch-state.js';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { juiceJobs } from './juice-jobs.js';
import { METHODS, methodById } from './method.js';
import { urgencyOf, type Job } from './job.js';
import { nextJobs } from './next-jobs.js';
import { plannedDates } from './planned-dates.js';

const TODAY = '2026-11-23T10:00:00.000Z';
const daysAgo = (days: number): string => new Date(Date.parse(TODAY) - days * 86_400_000).toISOString();
const liquid = liquidFromReadings({ volumeL: 20, sg: 1.05 });
const reading = (days: number, sg: number): StateReading => ({
  id: `r${days}`,
  at: daysAgo(days),
  sg,
  tempC: 18,
  plusMinus: 0.001,
  raw: sg,
  instrument: 'hydrometer',
});
const fermenting: BatchState = {
  ...EMPTY_STATE,
  stage: 'ferment',
  liquid,
  lastLiquid: liquid,
  must: liquid,
  filledAt: daysAgo(30),
  pitchedAt: daysAgo(29),
  yeastId: 'crisp-cider',
  readings: [reading(8, 1.01), reading(2, 1.004)],
};
const crate = (bottledDaysAgo: number, changes: Partial<Crate> = {}): Crate => ({
  id: 'c',
  name: 'Lot',
  bottledAt: daysAgo(bottledDaysAgo),
  capColour: 'rust',
  place: null,
  lots: [{ kindId: 'crown-500', filled: 20, left: 20 }],
  testBottle: true,
  co2Volumes: 2.6,
  wakesVolumes: null,
  heat: null,
  sparkling: true,
  abv: 6.5,
  drink: { liquid, must: liquid },
  freeSo2MgPerL: 0,
  hottestC: 24,
  atOwnRisk: false,
  squeezed: null,
  lastOpenedAt: null,
  ...changes,
});
const verdict = (status: FermentStatus): Verdict => ({
  status,
  sentence: 'It is so.',
  evidence: [],
  next: { kind: status === 'stalled' || status === 'not-started' ? 'restart' : 'read', text: 'Do this.', on: '2026-11-23', dueOn: '2026-11-23' },
  steadySince: null,
  expectedEndSg: 0.998,
  questionedIds: [],
  unreadWarmDays: null,
});
const jobsOf = (state: BatchState, status: FermentStatus | null = null): readonly Job[] =>
  nextJobs({ batchId: 'B', batchName: 'Lot', state, verdict: status === null ? null : verdict(status), method: methodById('carton-quick'), today: TODAY });
const kinds = (state: BatchState, status: FermentStatus | null = null): string[] => jobsOf(state, status).map((j) => j.kind);

describe('juiceJobs', () => {
  const steeping = {
    days: 4,
    fruitKg: 2,
    waterL: 3,
    sugarG: 0,
    acidG: 0,
    teaCups: 0,
    driedFruitG: 0,
    hot: false,
    startedAt: daysAgo(2),
    stirredAt: [],
    strainedAt: null,
  };
  const jobFor = (changes: object): Job | undefined =>
    juiceJobs([{ id: 'J', name: 'Crab pulp', tape: 'straw', steeping: { ...steeping, ...changes } }], TODAY)[0];
  it('asks for a stir today, and for straining once its days are over', () => {
    expect(jobFor({})).toMatchObject({ kind: 'stir', title: 'Stir Crab pulp', urgency: 'today', juiceId: 'J' });
    expect(jobFor({ startedAt: daysAgo(5) })).toMatchObject({ kind: 'strain', urgency: 'overdue' });
    expect(jobFor({ startedAt: daysAgo(4) })).toMatchObject({ kind: 'strain', urgency: 'today' });
  });
  it('asks for nothing of pulp just stirred, strained, or a juice that never steeped', () => {
    expect(jobFor({ stirredAt: [daysAgo(0.1)] })).toBeUndefined();
    expect(jobFor({ strainedAt: daysAgo(1) })).toBeUndefined();
    expect(juiceJobs([{ id: 'J', name: 'Pressed', tape: 'straw', steeping: null }], TODAY)).toEqual([]);
  });
});

describe('a must before its yeast', () => {
  const at = (ph: number, changes: Partial<BatchState> = {}): string =>
    jobsOf({
      ...fermenting,
      stage: 'pitch',
      pitchedAt: null,
      readings: [],
      guessed: [],
      liquid: liquidFromReadings({ volumeL: 20, sg: 1.05, ph }),
      ...changes,
    })[0]?.detail ?? '';
  it('is told of a measured pH in which spoilage takes hold, sulfited or not, and of no guess', () => {
    expect(at(3.9)).toMatch(/^At pH 3\.90 spoilage takes hold easily: bring it below 3\.8 with acid or sharp juice first\. No sulfite is in it\./);
    expect(at(3.9, { sulfitedAt: daysAgo(3) })).toMatch(/^At pH 3\.90 .* Its sulfite has had its 24 hours\.$/);
    expect(at(3.9, { guessed: ['ph'] })).not.toContain('pH');
    expect(at(3.7)).not.toContain('pH');
  });
});

describe('a starter under way', () => {
  const must: BatchState = { ...fermenting, stage: 'pitch', pitchedAt: null, readings: [] };
  const plan = { plan: 'starter' as const, step: 1, of: 4, doneAt: daysAgo(1), dueAt: TODAY, next: 'Sprinkle it.' };
  it('asks for its next step in place of pitching, until the yeast is in', () => {
    expect(kinds(must)).toEqual(['pitch']);
    expect(kinds({ ...must, plan })).toEqual(['step']);
    expect(jobsOf({ ...must, plan })[0]).toMatchObject({
      title: 'Starter for Lot',
      urgency: 'today',
      detail: expect.stringContaining('Sprinkle it. Step 2 of 4') as string,
    });
  });
  it('finings hold nothing else up', () => {
    expect(kinds({ ...fermenting, plan: { ...plan, plan: 'finings' } }, 'working').sort()).toEqual(['clear-step', 'read']);
  });
});

describe('nextJobs', () => {
  it('disturbs nothing that clears before its day, and nothing is due before it', () => {
    const lookAt = daysAgo(-200);
    const on = lookAt.slice(0, 10);
    const due = (rackedAt: string | null): readonly string[] =>
      jobsOf({ ...fermenting, rackedAt, clarified: { means: 'enzyme', at: daysAgo(5), lookAt } }, 'finished-dry').map(
        (job) => `${job.kind} ${job.dueAt.slice(0, 10)}`,
      );
    expect(due(null)).toEqual(expect.arrayContaining([`rack ${on}`, `look ${on}`]));
    expect(due(daysAgo(9))).toEqual(expect.arrayContaining([`bottle ${on}`, `look ${on}`]));
    // What was racked since has cleared.
    expect(due(daysAgo(1)).join()).not.toContain(on);
  });
  it.each<[FermentStatus, string]>([
    ['working', 'read'],
    ['slowing', 'read'],
    ['too-few-readings', 'second-reading'],
    ['too-cold', 'warm'],
    ['stalled', 'restart'],
    ['not-started', 'restart'],
    ['finished-at-tolerance', 'stabilise'],
    ['finished-dry', 'rack'],
    ['settled-short', 'rack'],
  ])('asks one thing of a ferment that is %s: %s', (status, kind) => {
    expect(kinds(fermenting, status)).toEqual([kind]);
  });
  it('asks for the bottle once it is racked', () => {
    expect(kinds({ ...fermenting, rackedAt: daysAgo(1) }, 'finished-dry')).toEqual(['bottle']);
  });
  it('asks for a first reading when there is none', () => {
    const [job] = jobsOf({ ...fermenting, pitchedAt: daysAgo(1), readings: [] }, 'too-few-readings');
    expect(job).toMatchObject({ kind: 'read', dueAt: '2026-11-23', title: 'First reading of Lot' });
  });
  it('says when the sulfite has had its day, to the minute', () => {
    const [job] = jobsOf({ ...EMPTY_STATE, liquid, filledAt: daysAgo(1), sulfitedAt: '2026-11-22T16:10:00.000Z' });
    expect(job).toMatchObject({ kind: 'pitch', dueAt: '2026-11-23T16:10:00.000Z', urgency: 'today' });
    expect(job?.detail).toContain('16:10 on 23 Nov');
  });
  it('has the test bottle squeezed before the first is opened', () => {
    const bottled: BatchState = { ...EMPTY_STATE, stage: 'drink', crates: [crate(10)], lastEntryAt: daysAgo(10) };
    expect(jobsOf(bottled).map((j) => `${j.kind} ${j.urgency}`)).toEqual(['test-bottle overdue', 'open-one later']);
    expect(jobsOf(bottled)[0]?.detail).toMatch(/It should be firm by now\.$/);
    const [today] = jobsOf({ ...bottled, crates: [crate(0)], lastEntryAt: daysAgo(0) });
    expect(today?.detail).toMatch(/bottled today .* It should be firm by Wed 2 Dec\.$/);
    expect(kinds({ ...bottled, lastEntryAt: daysAgo(0) })).toEqual(['test-bottle', 'open-one']);
    expect(kinds({ ...bottled, crates: [crate(10, { testBottle: false })] })).toEqual(['open-one']);
  });
  it('is answered by a squeeze alone, and a hard test bottle is the most urgent there is', () => {
    const of = (feel: SqueezeFeel, over: Partial<Crate> = {}): readonly string[] =>
      jobsOf({ ...EMPTY_STATE, stage: 'drink', crates: [crate(20, { squeezed: { at: daysAgo(2), feel }, ...over })], lastEntryAt: daysAgo(0) })
        .filter((j) => j.kind.startsWith('test-'))
        .map((j) => `${j.kind} ${j.urgency} ${j.dueAt}`);
    expect(of('firm')).toEqual([]);
    expect(of('firm', { atOwnRisk: true })).toEqual(['test-bottle week 2026-11-28']);
    expect(of('firm', { atOwnRisk: true, bottledAt: daysAgo(59) })).toEqual([]);
    expect(of('soft')).toEqual(['test-bottle week 2026-11-28']);
    expect(of('soft', { bottledAt: daysAgo(45) })).toEqual([]);
    expect(of('hard')).toEqual(['test-hard overdue 2026-11-21']);
    // One bottle opened leaves the others as they are.
    expect(of('hard', { lastOpenedAt: daysAgo(1) })).toEqual(['test-hard overdue 2026-11-21']);
    expect(of('soft', { lastOpenedAt: daysAgo(1) })).toEqual([]);
  });
  it('asks nothing of a crate that is open, or empty, or of a keg', () => {
    expect(kinds({ ...EMPTY_STATE, crates: [crate(60, { lastOpenedAt: daysAgo(5) })] })).toEqual([]);
    expect(kinds({ ...EMPTY_STATE, crates: [crate(60, { lots: [{ kindId: 'crown-500', filled: 20, left: 0 }] })] })).toEqual([]);
    expect(
      kinds(
        {
          ...fermenting,
          keg: { id: 'k', vesselId: 'K', volumeL: 19, targetVolumes: 2.4, storeC: 4, at: daysAgo(3), gassedOn: null, unproven: false, letOff: null },
        },
        'finished-dry',
      ),
    ).toEqual([]);
  });
  it('asks for a glass of a keg once it is gassed, and for a weekly letting off where its end was not proven', () => {
    const keg = {
      id: 'k',
      vesselId: 'K',
      volumeL: 19,
      targetVolumes: 2.4,
      storeC: 4,
      at: daysAgo(3),
      gassedOn: daysAgo(-4).slice(0, 10),
      unproven: true,
      letOff: null,
    };
    const state: BatchState = { ...fermenting, keg, lastEntryAt: daysAgo(3) };
    expect(jobsOf(state, 'working').map((j) => [j.kind, j.dueAt])).toEqual([
      ['keg-release', daysAgo(-4).slice(0, 10)],
      ['keg-ready', daysAgo(-4).slice(0, 10)],
    ]);
    // What is written of something else lets no gas off.
    expect(jobsOf({ ...state, lastEntryAt: daysAgo(-5) }, 'working').map((j) => [j.kind, j.dueAt])).toEqual([['keg-release', daysAgo(-4).slice(0, 10)]]);
    const off = (lifts: boolean): BatchState => ({ ...state, keg: { ...keg, gassedOn: null, letOff: { at: daysAgo(1), lifts } } });
    expect(jobsOf(off(true), 'working').map((j) => [j.kind, j.dueAt])).toEqual([['keg-release', daysAgo(-6).slice(0, 10)]]);
    expect(kinds(off(false), 'working')).toEqual(['keg-valve', 'keg-release']);
    expect(kinds({ ...state, keg: { ...keg, unproven: false } }, 'working')).toEqual(['keg-ready']);
  });
  it('puts the most urgent first and never gives two jobs one id', () => {
    const state: BatchState = { ...fermenting, crates: [crate(40), crate(5, { id: 'd' })], lastEntryAt: daysAgo(4) };
    const order = ['overdue', 'today', 'week', 'later'];
    const jobs = jobsOf(state, 'working');
    const ranks = jobs.map((j) => order.indexOf(j.urgency));
    expect([...ranks].sort((a, b) => a - b)).toEqual(ranks);
    expect(new Set(jobs.map((j) => j.id)).size).toBe(jobs.length);
  });
});

describe('urgencyOf', () => {
  it.each([
    ['2026-11-22T23:59:00Z', 'overdue'],
    ['2026-11-23', 'today'],
    ['2026-11-23T23:00:00Z', 'today'],
    ['2026-11-24', 'week'],
    ['2026-11-30', 'week'],
    ['2026-12-01', 'later'],
  ])('calls %s %s', (due, urgency) => {
    expect(urgencyOf(due, TODAY)).toBe(urgency);
  });
});

describe('plannedDates', () => {
  it.each(METHODS.map((m) => [m.id, m] as const))('of %s run in the order of the path', (_id, method) => {
    for (const sulfited of [true, false]) {
      const plan = plannedDates({ startAt: TODAY, sulfited, method });
      expect(plan.map((p) => p.stage)).toEqual([...STAGES]);
      const days = plan.map((p) => p.on);
      expect([...days].sort()).toEqual(days);
    }
  });
  it('wait a day longer for yeast after sulfite, and longest for wild yeast in the cold', () => {
    const drink = (id: string): string => plannedDates({ startAt: TODAY, sulfited: false, method: methodById(id) }).at(-1)?.on ?? '';
    expect(drink('carton-quick') < drink('cool-slow') && drink('cool-slow') < drink('wild-cold')).toBe(true);
    const pitch = (sulfited: boolean): string => plannedDates({ startAt: TODAY, sulfited, method: methodById('cool-slow') })[2]?.on ?? '';
    expect([pitch(false), pitch(true)]).toEqual(['2026-11-23', '2026-11-24']);
  });
  it('move with the day they start from', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 700 }), (days) => {
        const at = (startAt: string): number => Date.parse(plannedDates({ startAt, sulfited: true, method: methodById('cool-slow') }).at(-1)?.on ?? '');
        expect((at(daysAgo(-days)) - at(TODAY)) / 86_400_000).toBe(days);
      }),
      SEED,
    );
  });
});
