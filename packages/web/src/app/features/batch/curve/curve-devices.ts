import type { DeviceGravity } from '@trug/core';
import { thinOut } from '@trug/core/book/device/thin-out';
import { line } from 'd3-shape';

/** A device's gravity as drawn: everything it sent as a faint trace, the smoothed line over it. */
export interface DeviceDrawing {
  readonly id: string;
  readonly trace: string;
  readonly line: string;
  readonly madeUp: boolean;
}

/** A longer silence breaks the smoothed line: so many ms, and so many times the usual step. */
const SILENCE_MS = 8 * 3_600_000;
const SILENCE_STEPS = 4;

/**
 * Lays the devices' lines out for the stretch of time that is shown.
 *
 * @param devices - made ready by the core
 * @param view - the scales and the stretch shown, ms since 1970
 * @returns paths, thinned to the picture's own width
 */
export function deviceDrawings(
  devices: readonly DeviceGravity[],
  view: { readonly x: (ms: number) => number; readonly y: (sg: number) => number; readonly fromMs: number; readonly toMs: number; readonly columns: number },
): readonly DeviceDrawing[] {
  return devices.map(({ deviceId, raw, smooth, madeUp }) => {
    const usualMs = ((smooth.atMs.at(-1) ?? 0) - (smooth.atMs[0] ?? 0)) / Math.max(1, smooth.atMs.length);
    const silenceMs = Math.max(SILENCE_MS, SILENCE_STEPS * usualMs);
    const thin = thinOut(raw, view);
    const shown = thinOut(smooth, view);
    const trace = line<number>()
      .x((i) => view.x(thin.atMs[i] ?? 0))
      .y((i) => view.y(thin.values[i] ?? 1));
    const course = line<number | null>()
      .defined((i) => i !== null)
      .x((i) => view.x(shown.atMs[i ?? 0] ?? 0))
      .y((i) => view.y(shown.values[i ?? 0] ?? 1));
    // A gap is put where it fell silent.
    const points = shown.atMs.flatMap((ms, i): (number | null)[] => (i > 0 && ms - (shown.atMs[i - 1] ?? 0) > silenceMs ? [null, i] : [i]));
    return { id: deviceId, trace: trace(thin.atMs.keys()) ?? '', line: course(points) ?? '', madeUp };
  });
}
