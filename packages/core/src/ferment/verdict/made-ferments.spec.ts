import * as fc from 'fast-check';
import { liquidFromReadings } from '../../matter/liquid/liquid-from-readings.js';
import { dryGravityOf } from '../../matter/liquid/views.js';
import { yeastById } from '../../base/reference/yeast-kinds.js';
import { seededRandom } from '../../base/numeric/random.js';
import { makeFerment, type MadeFerment as MadeLog } from '../../testing/made-ferments.js';
import { judgeFermentation } from './judge-fermentation.js';
import type { GravityReading } from './reading.js';
import { provesFinished, type Verdict } from './verdict.js';

/**
 * Ferments made by other curves than anything in the core: a delayed logistic and a Gompertz fall, read on irregular
 * days with a home stem's error and an occasional mistype. The truth is known, so the judgement can be marked.
 */
interface MadeFerment {
  readonly family: 'logistic' | 'gompertz';
  readonly originalSg: number;
  /** Where it really ends; above the dry gravity when it sticks. */
  readonly endSg: number;
  readonly lagDays: number;
  readonly halfDays: number;
  readonly steepness: number;
}

const START_MS = Date.UTC(2026, 8, 1, 10);
const SEED = { seed: 81, numRuns: 200 };
const juice = (sg: number): ReturnType<typeof liquidFromReadings> => liquidFromReadings({ volumeL: 20, sg, taGPerL: 6, ph: 3.5 });

function fallen(ferment: MadeFerment, day: number): number {
  const t = Math.max(0, day - ferment.lagDays) / ferment.halfDays;
  if (ferment.family === 'logistic') {
    const at = (x: number): number => 1 / (1 + Math.exp(-ferment.steepness * (x - 1)));
    return (at(t) - at(0)) / (1 - at(0));
  }
  const at = (x: number): number => Math.exp(-Math.exp(-ferment.steepness * (x - 0.8)));
  return (at(t) - at(0)) / (1 - at(0));
}
const trueSg = (ferment: MadeFerment, day: number): number => ferment.originalSg - (ferment.originalSg - ferment.endSg) * fallen(ferment, day);

/** The day after which less than a point is still to be lost. */
function finishDay(ferment: MadeFerment): number {
  for (let day = 1; day < 400; day += 0.5) if (trueSg(ferment, day) - ferment.endSg < 0.001) return day;
  return 400;
}

const rounded = (sg: number): number => Math.round(sg * 1000) / 1000;
function readAt(ferment: MadeFerment, days: readonly number[], errors: readonly number[]): GravityReading[] {
  return days.map((day, i) => ({
    id: `r${i}`,
    at: new Date(START_MS + day * 86_400_000).toISOString(),
    sg: rounded(trueSg(ferment, day) + (errors[i % errors.length] ?? 0)),
    tempC: 18,
  }));
}

function judge(ferment: MadeFerment, readings: readonly GravityReading[]): Verdict {
  return judgeFermentation({
    readings,
    liquid: juice(ferment.originalSg),
    yeast: yeastById('crisp-cider'),
    temps: [{ at: new Date(START_MS).toISOString(), tempC: 18 }],
    today: readings.at(-1)?.at ?? new Date(START_MS).toISOString(),
    entries: [{ at: new Date(START_MS).toISOString(), kind: 'pitched' }],
  }).value;
}

const base = {
  family: fc.constantFrom('logistic' as const, 'gompertz' as const),
  originalSg: fc.double({ min: 1.042, max: 1.07, noNaN: true }),
  lagDays: fc.double({ min: 0.5, max: 6, noNaN: true }),
  halfDays: fc.double({ min: 4, max: 30, noNaN: true }),
  steepness: fc.double({ min: 3, max: 6, noNaN: true }),
};
const dryFerment = fc.record(base).map((f): MadeFerment => ({ ...f, endSg: dryGravityOf(juice(f.originalSg)) }));
const stuckFerment = fc
  .record({ ...base, share: fc.double({ min: 0.3, max: 0.75, noNaN: true }) })
  .map(({ share, ...f }): MadeFerment => ({ ...f, endSg: f.originalSg - (f.originalSg - dryGravityOf(juice(f.originalSg))) * share }));
const errors = fc.array(fc.double({ min: -0.0005, max: 0.0005, noNaN: true }), { minLength: 6, maxLength: 6 });
const steps = fc.array(fc.double({ min: 2, max: 11, noNaN: true }), { minLength: 3, maxLength: 12 });
const daysOf = (gaps: readonly number[]): number[] => gaps.map((_, i) => gaps.slice(0, i + 1).reduce((a, b) => a + b, 0));

describe('judgeFermentation along whole logs with cold spells, stalls, rough readings and mistypes', () => {
  const whenOf = (day: number): string => new Date(START_MS + day * 86_400_000).toISOString();
  /** Judged after each reading, as a maker would look, and once more by two readings taken with care after the end. */
  function judgedAlong(made: MadeLog): readonly { readonly day: number; readonly status: Verdict['status'] }[] {
    const { finishDay: end } = made;
    const careful = [end + 2, end + 11].map((day) => ({ day, sg: rounded(made.sgAt(day)), mistyped: false }));
    const all = [...made.readings.filter((r) => r.day < end + 1), ...careful];
    return all.map((_, i) => {
      const day = all[i]?.day ?? 0;
      const verdict = judgeFermentation({
        readings: all.slice(0, i + 1).map((r, j) => ({ id: `r${j}`, at: whenOf(r.day), sg: r.sg, tempC: null })),
        liquid: made.must,
        yeast: yeastById('crisp-cider'),
        temps: made.temps.filter((t) => t.day <= day).map((t) => ({ at: whenOf(t.day), tempC: t.tempC })),
        today: whenOf(day),
        entries: [{ at: whenOf(0), kind: 'pitched' }],
      }).value;
      return { day, status: verdict.status };
    });
  }
  const random = seededRandom(404);
  const dry = Array.from({ length: 200 }, () => makeFerment(random));
  const stuck = Array.from({ length: 60 }, () => makeFerment(random, 0.3 + 0.4 * random.uniform()));

  it('never says finished while three points or more are still to go, nor of one that stuck', () => {
    const early = dry.flatMap((made) => judgedAlong(made).filter(({ day, status }) => provesFinished(status) && made.sgAt(day) - made.endSg >= 0.003));
    expect(early).toEqual([]);
    expect(stuck.flatMap((made) => judgedAlong(made).filter(({ status }) => provesFinished(status)))).toEqual([]);
  });
  it('is right about its end, and about one that stuck, in at least 95 of 100', () => {
    const rightlyDry = dry.filter((made) => provesFinished(judgedAlong(made).at(-1)?.status ?? 'stalled')).length;
    const rightlyStuck = stuck.filter((made) => judgedAlong(made).at(-1)?.status === 'stalled').length;
    expect(rightlyDry / dry.length).toBeGreaterThanOrEqual(0.95);
    expect(rightlyStuck / stuck.length).toBeGreaterThanOrEqual(0.95);
  });
  it('calls a ferment that is well under way working or slowing, or asks for another reading, in at least 95 of 100', () => {
    const underWay = dry.flatMap((made) =>
      judgedAlong(made).filter(({ day }) => {
        const gone = (made.originalSg - made.sgAt(day)) / (made.originalSg - made.endSg);
        return gone > 0.15 && gone < 0.85;
      }),
    );
    const right = underWay.filter(({ status }) => ['working', 'slowing', 'too-few-readings'].includes(status)).length;
    expect(underWay.length).toBeGreaterThan(400);
    expect(right / underWay.length).toBeGreaterThanOrEqual(0.95);
  });
});

describe('judgeFermentation on ferments it did not make', () => {
  it('never says finished while three points or more are still to go', () => {
    fc.assert(
      fc.property(dryFerment, steps, errors, (ferment, gaps, error) => {
        const days = daysOf(gaps);
        const last = days.at(-1) ?? 0;
        fc.pre(trueSg(ferment, last) - ferment.endSg >= 0.003);
        const { status } = judge(ferment, readAt(ferment, days, error));
        expect(provesFinished(status)).toBe(false);
      }),
      SEED,
    );
  });
  it('says finished dry after two readings a week and more apart beyond the end', () => {
    let right = 0;
    fc.assert(
      fc.property(dryFerment, errors, (ferment, error) => {
        const end = finishDay(ferment);
        const verdict = judge(ferment, readAt(ferment, [end * 0.3, end * 0.6, end + 1, end + 10], error));
        if (verdict.status === 'finished-dry') right += 1;
        // Two readings at opposite ends of their error differ by a point and more: then it must ask again, not guess.
        expect(['finished-dry', 'too-few-readings', 'slowing']).toContain(verdict.status);
      }),
      SEED,
    );
    expect(right / SEED.numRuns).toBeGreaterThanOrEqual(0.95);
  });
  it('calls one that stopped far too high stuck, and never finished dry', () => {
    let right = 0;
    let asked = 0;
    fc.assert(
      fc.property(stuckFerment, errors, (ferment, error) => {
        fc.pre(ferment.endSg - dryGravityOf(juice(ferment.originalSg)) > 0.01);
        const end = finishDay(ferment);
        const { status } = judge(ferment, readAt(ferment, [end * 0.3, end * 0.6, end + 1, end + 11], error));
        asked += 1;
        if (status === 'stalled') right += 1;
        expect(provesFinished(status)).toBe(false);
      }),
      SEED,
    );
    expect(right / asked).toBeGreaterThanOrEqual(0.95);
  });
  it('is not bent by one mistyped reading', () => {
    fc.assert(
      fc.property(dryFerment, errors, fc.constantFrom(-0.03, 0.04, 0.1), (ferment, error, slip) => {
        const end = finishDay(ferment);
        const readings = readAt(ferment, [end * 0.25, end * 0.5, end * 0.75, end + 1, end + 10], error);
        const clean = judge(ferment, readings);
        const slipped = readings.map((r, i) => (i === 1 ? { ...r, sg: rounded(r.sg + slip) } : r));
        const bent = judge(ferment, slipped);
        expect(bent.status).toBe(clean.status);
        expect(bent.questionedIds.length).toBeLessThanOrEqual(1);
      }),
      SEED,
    );
  });
});
