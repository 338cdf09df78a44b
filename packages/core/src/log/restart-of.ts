import { restartOutcome, type RestartOutcome } from '../ferment/restart-plan.js';
import { gravityOf } from '../liquid/views.js';
import { daysBetween } from '../quantity/days.js';
import type { BatchState } from './batch-state.js';

/**
 * How the restart of a batch is going.
 *
 * @param state - the batch
 * @returns the outcome so far; null when no new yeast was put into a ferment that had stopped
 */
export function restartOutcomeOf({ pitch, pitchedAt, readings }: BatchState): RestartOutcome | null {
  if (!pitch || !pitchedAt || pitch.at === pitchedAt) return null;
  const since = readings.filter((r) => r.at > pitch.at).map((r) => ({ days: daysBetween(pitch.at, r.at), sg: r.sg }));
  return restartOutcome(gravityOf(pitch.liquid), since);
}
