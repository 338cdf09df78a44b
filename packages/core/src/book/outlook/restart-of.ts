import { restartOutcome, type RestartInput, type RestartOutcome } from '../../ferment/yeast/restart-plan.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { BatchState } from '../state/batch-state.js';

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

/**
 * What a restart plan needs to know of a batch.
 *
 * @param state - the batch
 * @returns the plan's input; null when nothing in it has fermented
 */
export function restartInputOf({ liquid, yeastId, placeC, temps, pitch }: BatchState): RestartInput | null {
  if (!liquid || !yeastId) return null;
  const since = temps.filter((t) => pitch !== null && t.at >= pitch.at).map((t) => t.tempC);
  return { liquid, yeastId, tempC: placeC, warmestC: since.length === 0 ? null : Math.max(...since) };
}
