import type { Liquid } from '../../matter/liquid/liquid.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { BatchState } from './batch-state.js';

/**
 * A liquid of whose sugar some turned out to be other matter, of the same weight.
 *
 * @param liquid - as it was thought to be
 * @param goneGPerL - how much of its sugar is none, g/L; below zero there is more of it
 * @param leftGPerL - what is surely sugar, g/L
 * @returns as it is
 */
export function withoutSugar(liquid: Liquid, goneGPerL: number, leftGPerL = 0): Liquid {
  const sugar = liquid.sucroseGPerL + liquid.hexoseGPerL;
  const hexoseGPerL = Math.max(0, leftGPerL, sugar - goneGPerL);
  return { ...liquid, sucroseGPerL: 0, hexoseGPerL, otherSolidsGPerL: liquid.otherSolidsGPerL + sugar - hexoseGPerL };
}

/** A reading this old still belongs to a test of the same drink, days. @source our estimate */
const FRESH_DAYS = 2;

/** Whether the gravity was read so shortly before that a test can tell what of it is not sugar. */
export function hasFreshReading({ readings, judged }: Pick<BatchState, 'readings' | 'judged'>, at: string): boolean {
  const last = readings.at(-1);
  const moved = judged.filter((e) => e.kind === 'gravity-changed').at(-1);
  return last !== undefined && daysBetween(last.at, at) <= FRESH_DAYS && (moved === undefined || moved.at <= last.at);
}
