import { deviceGravity, type GrowingGravity, type DeviceSeries } from '../device/device-tracks.js';
import type { BatchState } from '../state/batch-state.js';

/**
 * What devices say of a batch's gravity since the yeast went in, compared with its readings off glass.
 *
 * @param state - the batch
 * @param series - what devices sent about it
 * @param before - the same before the last of it came, which spares most of the work
 * @returns one for each device that tells gravity
 */
export function devicesOf(state: BatchState, series: readonly DeviceSeries[], before: readonly GrowingGravity[] = []): readonly GrowingGravity[] {
  const sinceMs = Date.parse(state.pitchedAt ?? state.filledAt ?? '1970-01-01');
  const glass = state.readings.filter((r) => Date.parse(r.at) >= sinceMs);
  const track = { atMs: glass.map((r) => Date.parse(r.at)), values: glass.map((r) => r.sg) };
  const knownOf = new Map(before.map((known) => [known.deviceId, known]));
  return series.flatMap((s) => deviceGravity(s, state.pitch?.liquid ?? state.must, track, knownOf.get(s.deviceId)) ?? []);
}
