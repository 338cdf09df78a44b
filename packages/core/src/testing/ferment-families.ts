import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../matter/liquid/liquid.js';
import { dryGravityOf } from '../matter/liquid/views.js';
import type { Random } from '../base/numeric/random.js';
import type { DayReading } from '../ferment/forecast/forecast-types.js';
import type { TempFromDay } from '../ferment/forecast/temp-profile.js';

/** Families of falls that a forecast is marked on. None is a shape the core draws from, save by chance. */
export const FERMENT_FAMILIES = [
  'delayed-logistic',
  'hyperbolic-tail',
  'two-sugars',
  'cold-spell',
  'second-wind',
  'ends-above-dry',
  'slow-fading',
  'straight-then-abrupt',
  'pause',
  'skewed-bell',
] as const;

/** One of them. */
export type FermentFamily = (typeof FERMENT_FAMILIES)[number];

/** A ferment whose truth is known. */
export interface TrueFerment {
  readonly family: FermentFamily;
  readonly must: Liquid;
  readonly originalSg: number;
  readonly endSg: number;
  readonly temps: readonly TempFromDay[];
  readonly sgAt: (day: number) => number;
  /** The day from which it stays within two points of its own end. */
  readonly finishDay: number;
  /** What a maker wrote down until a share of the fall was gone. */
  readonly seenUntil: (share: number) => readonly DayReading[];
}

const between = (random: Random, low: number, high: number): number => low + (high - low) * random.uniform();
/** Between two figures, as likely in each octave. */
const scaled = (random: Random, low: number, high: number): number => Math.exp(between(random, Math.log(low), Math.log(high)));
const STEP = 0.1;
const LONGEST_DAYS = 330;

/** Rate of the fall, per day of its own clock, by the share that is left: the shape of a family as a law of decay. */
function shapeOf(family: FermentFamily, random: Random, halfDays: number): (day: number) => number {
  const lag = between(random, 0.05, 0.35) * halfDays;
  const at = (day: number): number => Math.max(0, day - lag);
  switch (family) {
    case 'delayed-logistic':
    case 'cold-spell':
    case 'ends-above-dry':
    case 'pause': {
      const k = between(random, 3, 6.5);
      const raw = (x: number): number => 1 / (1 + Math.exp(-k * (x - 1)));
      return (day) => (raw(at(day) / halfDays) - raw(0)) / (1 - raw(0));
    }
    case 'hyperbolic-tail': {
      const power = between(random, 1.6, 3);
      const scale = halfDays / (2 ** (1 / power) - 1);
      return (day) => 1 - (1 + at(day) / scale) ** -power;
    }
    case 'two-sugars': {
      // One sugar goes at a steady rate while there is much of it, the other waits and goes slower.
      const first = between(random, 0.45, 0.7);
      const slow = between(random, 1.6, 3.5);
      return (day) => {
        const t = at(day) / halfDays;
        const quick = 1 - Math.exp(-1.1 * t ** 1.6);
        const late = 1 - Math.exp(-0.7 * (t / slow) ** 1.5);
        return first * quick + (1 - first) * late;
      };
    }
    case 'second-wind': {
      const first = between(random, 0.55, 0.8);
      const from = between(random, 1.6, 2.6) * halfDays;
      const raw = (x: number): number => 1 - 1 / (1 + x ** 3.2);
      return (day) => first * raw(at(day) / (0.8 * halfDays)) + (1 - first) * (day < from ? 0 : raw((day - from) / (0.7 * halfDays)));
    }
    case 'slow-fading': {
      const power = between(random, 0.75, 1.05);
      return (day) => 1 - Math.exp(-Math.LN2 * (at(day) / halfDays) ** power);
    }
    case 'straight-then-abrupt': {
      const round = between(random, 0.05, 0.25);
      return (day) => {
        const x = at(day) / (2 * halfDays);
        return x < 1 - round ? x / (1 - round / 2) : 1 - (round / 2 / (1 - round / 2)) * Math.exp((-2 * (x - 1 + round)) / round);
      };
    }
    case 'skewed-bell': {
      // A gamma-like bell of the rate, summed.
      const a = between(random, 1.8, 4);
      const scale = halfDays / (a - 0.33);
      const total = 400;
      const cumulative = [0];
      for (let i = 1; i <= total * 20; i += 1) cumulative.push((cumulative[i - 1] ?? 0) + (i / 20) ** (a - 1) * Math.exp(-i / 20));
      const whole = cumulative.at(-1) ?? 1;
      return (day) => (cumulative[Math.min(cumulative.length - 1, Math.round((20 * at(day)) / scale))] ?? whole) / whole;
    }
  }
}

/**
 * Makes a ferment of a family, drawn widely.
 *
 * @param family - its shape
 * @param random - the source of chance
 * @returns the ferment
 */
export function trueFerment(family: FermentFamily, random: Random): TrueFerment {
  const originalSg = between(random, 1.042, 1.07);
  const must = liquidFromReadings({ volumeL: 20, sg: originalSg, taGPerL: between(random, 4, 8), ph: 3.5, yanMgPerL: between(random, 45, 150) });
  const high = family === 'ends-above-dry' ? between(random, 0.002, 0.0055) : 0.0009 * random.normal();
  const endSg = dryGravityOf(must) + high;
  const halfDays = scaled(random, 3, 22);
  const placeC = between(random, 13, 21);
  const temps: TempFromDay[] = [{ day: 0, tempC: placeC }];
  if (family === 'cold-spell') {
    const from = between(random, 0.5, 1.3) * halfDays;
    temps.push({ day: from, tempC: placeC - between(random, 3, 7) }, { day: from + between(random, 0.3, 0.9) * halfDays, tempC: placeC });
  }
  const pauseFrom = family === 'pause' ? between(random, 0.5, 1) * halfDays : Infinity;
  const pauseDays = between(random, 0.2, 0.6) * halfDays;
  const q10 = between(random, 1.8, 3);
  const clock = [0];
  for (let day = STEP; day <= LONGEST_DAYS; day += STEP) {
    const tempC = temps.reduce((found, t) => (t.day <= day ? t.tempC : found), placeC);
    const still = day > pauseFrom && day < pauseFrom + pauseDays;
    clock.push((clock.at(-1) ?? 0) + (still ? 0 : STEP * q10 ** ((tempC - placeC) / 10)));
  }
  const shape = shapeOf(family, random, halfDays);
  const sgAt = (day: number): number => originalSg - (originalSg - endSg) * shape(clock[Math.min(clock.length - 1, Math.max(0, Math.round(day / STEP)))] ?? 0);
  let finishDay = 0;
  while (finishDay < LONGEST_DAYS && sgAt(finishDay) - endSg > 0.002) finishDay += STEP;
  const readings: (DayReading & { readonly trueSg: number })[] = [];
  for (let day = between(random, 0.05, 0.25) * halfDays; day < finishDay; day += Math.max(0.7, halfDays * between(random, 0.12, 0.45))) {
    const mistyped = random.uniform() < 0.01;
    const seen = sgAt(day) + 0.0009 * random.normal() + (mistyped ? (random.uniform() < 0.5 ? 0.02 : -0.02) : 0);
    readings.push({ day, sg: Math.round(seen * 2000) / 2000, trueSg: sgAt(day) });
  }
  const seenUntil = (share: number): readonly DayReading[] =>
    readings.filter((r) => r.trueSg >= originalSg - share * (originalSg - endSg)).map(({ day, sg }) => ({ day, sg }));
  return { family, must, originalSg, endSg, temps, sgAt, finishDay, seenUntil };
}
