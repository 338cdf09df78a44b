import { PROOF_DAYS } from '../../ferment/verdict/judge-facts.js';
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

/** Readings this near one another are the same, SG. @source a home stem, read twice */
const SAME_SG = 0.0015;

/** For how long the last readings since something went in have shown the same, days. */
function stoodDays(since: BatchState['readings']): number {
  const last = since.at(-1);
  if (!last) return 0;
  const moved = since.findLastIndex((reading) => Math.abs(reading.sg - last.sg) > SAME_SG);
  return daysBetween(since[moved + 1]?.at ?? last.at, last.at);
}

/**
 * Whether the gravity is known on a day on which the sugar is tested, so that a test can tell what of it is not sugar: it was read
 * so shortly before, or it had stood still for a week and for at least as long as has passed since.
 */
export function hasFreshReading({ readings, judged }: Pick<BatchState, 'readings' | 'judged'>, at: string): boolean {
  const moved = judged.filter((e) => e.kind === 'gravity-changed').at(-1);
  const since = readings.filter((reading) => reading.at <= at && (moved === undefined || moved.at <= reading.at));
  const last = since.at(-1);
  if (last === undefined) return false;
  const ago = daysBetween(last.at, at);
  const stood = stoodDays(since);
  return ago <= FRESH_DAYS || (stood >= PROOF_DAYS && ago <= stood);
}
