import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { byId } from '../../base/errors/by-id.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import type { Pressing } from './juice.js';
import { PRESSES } from './presses.js';

/** The press of an id; throws UNKNOWN_ID for any other. */
export const pressById = byId('press', PRESSES);

/** One of the maker's own pressings, done. */
export interface PastPress {
  readonly pressId: string;
  readonly massKg: number;
  readonly volumeL: number;
}

/** Litres from a kilo, and how sure. */
export interface YieldEstimate {
  readonly lPerKg: number;
  /** Nine pressings in ten lie between these. */
  readonly lowLPerKg: number;
  readonly highLPerKg: number;
  /** How many of the maker's own pressings it rests on. */
  readonly ownCount: number;
}

/** How many pressings the typical figure counts for. @source our estimate: a maker's third press outweighs the books */
const PRIOR_PRESSES = 2;
/** Scatter of one maker's pressings about their own mean. @source our estimate */
const OWN_SCATTER_L_PER_KG = 0.05;
/** How many standard deviations hold nine in ten. @source normal distribution */
const NINE_IN_TEN = 1.645;
/** Yields past these are more likely a slip than a press. @source our estimate */
const POSSIBLE_L_PER_KG = { min: 0.15, max: 0.85 };
const MASS_KG = { min: 0.1, max: 5000 };

/**
 * Litres a kilo gives on a press, from the usual figure and the maker's own pressings on it: the mean of both, where
 * the usual one counts as two pressings.
 *
 * @param pressId - which press
 * @param history - the maker's own pressings, on any press
 * @returns litres from a kilo with the range nine pressings in ten fall into
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 * @source shrinkage of the maker's mean towards the typical (empirical Bayes); figures as named above
 */
export function estimateYield(pressId: string, history: readonly PastPress[]): YieldEstimate {
  const [low, middle, high] = pressById(pressId).yieldLPerKg;
  const own = history
    .filter((p) => p.pressId === pressId)
    .map((p) => inRange('volumeL', p.volumeL, { min: 0, max: 5000 }) / inRange('massKg', p.massKg, MASS_KG));
  const lPerKg = (PRIOR_PRESSES * middle + own.reduce((sum, y) => sum + y, 0)) / (PRIOR_PRESSES + own.length);
  // The usual range holds any maker's pressing. What part of it is unlike makers shrinks as this one presses.
  const total = (high - low) / 2 / NINE_IN_TEN;
  const betweenMakers = Math.max(0, total ** 2 - OWN_SCATTER_L_PER_KG ** 2);
  const doubt = Math.sqrt(OWN_SCATTER_L_PER_KG ** 2 + (betweenMakers * PRIOR_PRESSES) / (PRIOR_PRESSES + own.length));
  return { lPerKg, lowLPerKg: lPerKg - NINE_IN_TEN * doubt, highLPerKg: lPerKg + NINE_IN_TEN * doubt, ownCount: own.length };
}

/** A figure with the range it likely falls into. */
export interface Expected {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

function sayWhy({ lPerKg, ownCount }: YieldEstimate): string {
  const from = ownCount === 0 ? 'usual for this press' : `${ownCount} of your pressings and the usual figure`;
  return `${figure(lPerKg, 2)} L/kg, from ${from}`;
}

/**
 * Litres to expect from fruit.
 *
 * @param input - fruit, kg, 0.1–5000, the press, and the maker's own pressings
 * @returns litres with their likely range, with the working
 * @throws {CoreError} OUT_OF_RANGE or UNKNOWN_ID
 * @source {@link estimateYield}
 */
export function yieldFromFruit(input: { readonly massKg: number; readonly pressId: string; readonly history: readonly PastPress[] }): Worked<Expected> {
  const massKg = inRange('massKg', input.massKg, MASS_KG);
  const estimate = estimateYield(input.pressId, input.history);
  return worked({ value: massKg * estimate.lPerKg, low: massKg * estimate.lowLPerKg, high: massKg * estimate.highLPerKg }, [
    {
      label: 'Juice to expect',
      expression: `${figure(massKg, 1)} kg × ${sayWhy(estimate)}`,
      result: `${figure(massKg * estimate.lPerKg, 1)} L, likely ${figure(massKg * estimate.lowLPerKg, 1)} to ${figure(massKg * estimate.highLPerKg, 1)}`,
      source: 'mean of the usual yield and your own',
    },
  ]);
}

/**
 * Fruit needed for a volume, and to be nearly sure of it.
 *
 * @param input - juice wanted, L, 0.1–2000, the press, and the maker's own pressings
 * @returns kilos: `value` on average, `high` to be sure nine times in ten or better
 * @throws {CoreError} OUT_OF_RANGE or UNKNOWN_ID
 * @source {@link estimateYield}
 */
export function fruitForVolume(input: { readonly volumeL: number; readonly pressId: string; readonly history: readonly PastPress[] }): Worked<Expected> {
  const volumeL = inRange('volumeL', input.volumeL, { min: 0.1, max: 2000 });
  const estimate = estimateYield(input.pressId, input.history);
  const kg = (lPerKg: number): number => volumeL / lPerKg;
  return worked({ value: kg(estimate.lPerKg), low: kg(estimate.highLPerKg), high: kg(estimate.lowLPerKg) }, [
    {
      label: 'Fruit needed',
      expression: `${figure(volumeL, 1)} L ÷ ${sayWhy(estimate)}`,
      result: `${figure(kg(estimate.lPerKg), 0)} kg, or ${figure(kg(estimate.lowLPerKg), 0)} kg to be nearly sure`,
      source: 'mean of the usual yield and your own',
    },
  ]);
}

/** A pressing summed up. */
export interface PressSums {
  readonly massKg: number;
  readonly volumeL: number;
  /** Null before there is fruit. */
  readonly lPerKg: number | null;
  /** Why the yield is doubted; null when it is not. */
  readonly question: string | null;
}

/**
 * What a pressing has given so far, and whether that can be.
 *
 * @param pressing - fruit and runs
 * @param history - the maker's own pressings
 * @returns sums, and a question when the yield lies far outside the usual
 * @throws {CoreError} UNKNOWN_ID or OUT_OF_RANGE
 */
export function pressSums(pressing: Pressing, history: readonly PastPress[]): PressSums {
  const massKg = pressing.lots.reduce((sum, l) => sum + inRange('massKg', l.massKg, { min: 0, max: MASS_KG.max }), 0);
  const volumeL = pressing.runs.reduce((sum, r) => sum + inRange('volumeL', r.volumeL, { min: 0, max: 2000 }), 0);
  if (massKg === 0)
    return { massKg, volumeL, lPerKg: null, question: volumeL > 0 ? 'Juice without fruit: weigh the fruit in, or the yield cannot be told.' : null };
  const lPerKg = volumeL / massKg;
  return { massKg, volumeL, lPerKg, question: yieldQuestion(lPerKg, estimateYield(pressing.pressId, history)) };
}

function yieldQuestion(lPerKg: number, usual: YieldEstimate): string | null {
  if (!(lPerKg >= 0)) throw new CoreError('OUT_OF_RANGE', `a yield cannot be ${lPerKg}`, { field: 'lPerKg', given: lPerKg });
  const percent = figure(lPerKg * 100, 0);
  if (lPerKg > POSSIBLE_L_PER_KG.max)
    return `${percent} L from 100 kg is more than apples hold. Check the weights, what ran off, or whether a run was written twice.`;
  const spread = (usual.highLPerKg - usual.lowLPerKg) / 2;
  if (lPerKg > usual.highLPerKg + spread)
    return `${percent} L from 100 kg is a good deal more than usual here (about ${figure(usual.lPerKg * 100, 0)} L from 100 kg). Check the weights.`;
  return null;
}
