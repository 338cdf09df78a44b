import { deviceGravity, type DeviceGravity, type DeviceSeries } from '../device/device-tracks.js';
import type { BatchState } from '../state/batch-state.js';

/**
 * What devices say of a batch's gravity since the yeast went in, compared with its readings off glass.
 *
 * @param state - the batch
 * @param series - what devices sent about it
 * @returns one for each device that tells gravity
 */
export function devicesOf(state: BatchState, series: readonly DeviceSeries[]): readonly DeviceGravity[] {
  const sinceMs = Date.parse(state.pitchedAt ?? state.filledAt ?? '1970-01-01');
  const glass = state.readings.filter((r) => Date.parse(r.at) >= sinceMs);
  const track = { atMs: glass.map((r) => Date.parse(r.at)), values: glass.map((r) => r.sg) };
  return series.flatMap((s) => deviceGravity(s, state.pitch?.liquid ?? state.must, track) ?? []);
}
