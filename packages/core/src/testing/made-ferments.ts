import { liquidFromReadings } from '../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../matter/liquid/liquid.js';
import { dryGravityOf } from '../matter/liquid/views.js';
import type { Random } from '../base/numeric/random.js';
import type { TempFromDay } from '../ferment/forecast/temp-profile.js';
import type { DayReading } from '../ferment/forecast/forecast-types.js';

/**
 * A ferment made by another curve than anything in the core: a delayed logistic or a Gompertz fall on a clock of its own,
 * which runs by a Q10 rule in the cold and stands still in a stall. What is true of it is known, so a forecast or a
 * verdict can be marked.
 */
export interface MadeFerment {
  readonly must: Liquid;
  readonly originalSg: number;
  readonly endSg: number;
  readonly temps: readonly TempFromDay[];
  /** The true gravity on a day. */
  readonly sgAt: (day: number) => number;
  /** The day from which less than two points are still to be lost. */
  readonly finishDay: number;
  /** What a maker wrote down: irregular days, rough readings, now and then a mistype. */
  readonly readings: readonly (DayReading & { readonly mistyped: boolean })[];
}

const CLOCK_STEP_DAYS = 0.05;
const Q10 = 2.3;
const LONGEST_DAYS = 190;

/**
 * Makes one; the same random source gives the same ferment.
 *
 * @param random - the source
 * @param sticksAt - share of the fall at which it stops for good; 1 for one that goes dry
 * @returns the ferment
 */
export function makeFerment(random: Random, sticksAt = 1): MadeFerment {
  const between = (low: number, high: number): number => low + (high - low) * random.uniform();
  const originalSg = between(1.042, 1.068);
  const must = liquidFromReadings({ volumeL: 20, sg: originalSg, taGPerL: between(4, 8), ph: 3.5, yanMgPerL: between(50, 140) });
  const endSg = originalSg - (originalSg - dryGravityOf(must) - 0.0008 * random.normal()) * sticksAt;
  const placeC = between(14, 21);
  const temps: TempFromDay[] = [{ day: 0, tempC: placeC }];
  const halfDays = Math.exp(between(Math.log(3), Math.log(14)));
  if (random.uniform() < 0.25) {
    // A cold spell that ends, as a frost in the shed does.
    const from = between(0.2, 1.2) * halfDays;
    temps.push({ day: from, tempC: placeC - between(3, 7) }, { day: from + between(2, 6), tempC: placeC });
  }
  // A stall: it stands still for days and goes on by itself.
  const stallFrom = random.uniform() < 0.1 ? between(0.4, 0.9) * halfDays : Infinity;
  const stallDays = between(2, 5);
  const tempAt = (day: number): number => temps.reduce((found, t) => (t.day <= day ? t.tempC : found), placeC);
  const clock: number[] = [0];
  for (let i = 1; i <= LONGEST_DAYS / CLOCK_STEP_DAYS; i += 1) {
    const day = i * CLOCK_STEP_DAYS;
    const still = day > stallFrom && day < stallFrom + stallDays;
    clock.push((clock[i - 1] ?? 0) + (still ? 0 : CLOCK_STEP_DAYS * Q10 ** ((tempAt(day) - placeC) / 10)));
  }
  const fall = fallOf(random, halfDays);
  const sgAt = (day: number): number => {
    const ticks = clock[Math.min(clock.length - 1, Math.max(0, Math.round(day / CLOCK_STEP_DAYS)))] ?? 0;
    return originalSg - (originalSg - endSg) * fall(ticks);
  };
  let finishDay = 0;
  while (finishDay < LONGEST_DAYS && sgAt(finishDay) - endSg > 0.002) finishDay += CLOCK_STEP_DAYS;
  return { must, originalSg, endSg, temps, sgAt, finishDay, readings: readingsOf(random, sgAt, finishDay) };
}

/** Share of the fall by the ferment's own clock, 0 to 1. */
function fallOf(random: Random, halfDays: number): (ticks: number) => number {
  const steep = 3.2 + 2.2 * random.uniform();
  const lag = Math.min(3, 0.25 * halfDays) * random.uniform();
  const curve =
    random.uniform() < 0.5
      ? (x: number): number => 1 / (1 + Math.exp(-steep * (x - 1)))
      : (x: number): number => Math.exp(-Math.exp(-0.75 * steep * (x - 0.85)));
  return (ticks) => {
    const x = Math.max(0, ticks - lag) / halfDays;
    return (curve(x) - curve(0)) / (1 - curve(0));
  };
}

function readingsOf(random: Random, sgAt: (day: number) => number, finishDay: number): MadeFerment['readings'] {
  const readings: (DayReading & { readonly mistyped: boolean })[] = [];
  const gap = Math.min(7, Math.max(1, finishDay / 11));
  for (let day = gap * (0.3 + random.uniform()); day < finishDay * 1.6; day += gap * (0.5 + random.uniform())) {
    const mistyped = random.uniform() < 0.04;
    const error = 0.0007 * random.normal() + (mistyped ? (random.uniform() < 0.5 ? -0.02 : 0.03) : 0);
    readings.push({ day, sg: Math.round((sgAt(day) + error) * 1000) / 1000, mistyped });
  }
  return readings;
}
