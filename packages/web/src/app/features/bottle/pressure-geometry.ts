import type { PressureBand } from '@trug/core';
import { scaleLinear } from 'd3-scale';

/** What the pressure column draws, px. */
export interface PressureDrawing {
  readonly ticks: readonly { readonly y: number; readonly label: string }[];
  readonly limits: readonly { readonly y: number; readonly textY: number; readonly name: string; readonly chosen: boolean; readonly bar: number }[];
  readonly bands: readonly {
    readonly y: number;
    readonly height: number;
    readonly name: string;
    readonly tempC: number;
    readonly low: number;
    readonly high: number;
    readonly index: number;
  }[];
}

/** Between two names. */
const LINE_PX = 20;
/** Labels moved apart so that none covers another and none falls below the foot, keeping their order. */
function spread(positions: readonly number[], gap: number, foot: number): readonly number[] {
  const order = positions.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  for (let n = 1; n < order.length; n += 1) {
    const before = order[n - 1];
    const here = order[n];
    if (before && here && here.y - before.y < gap) here.y = before.y + gap;
  }
  for (let n = order.length - 1; n >= 0; n -= 1) {
    const here = order[n];
    const lowest = (order[n + 1]?.y ?? foot + gap) - gap;
    if (here && here.y > lowest) here.y = lowest;
  }
  const out = [...positions];
  for (const { y, i } of order) out[i] = y;
  return out;
}

/**
 * Lays out the pressure column: limits of bottles as marks, predicted pressures as blurred bands.
 *
 * @param input - bands and limits in bar, the column's top and bottom, px
 * @returns positions
 */
export function pressureDrawing(input: {
  readonly bands: readonly (PressureBand & { readonly name: string })[];
  readonly limits: readonly { readonly name: string; readonly limitBar: number; readonly chosen: boolean }[];
  readonly top: number;
  readonly bottom: number;
  /** Bar in one unit of the scale. */
  readonly barPerUnit?: number;
}): PressureDrawing {
  const { barPerUnit = 1 } = input;
  const most = Math.max(8, ...input.bands.map((b) => b.highBar + 0.3));
  const y = scaleLinear().domain([0, most]).range([input.bottom, input.top]);
  const limitText = spread(
    input.limits.map((l) => y(l.limitBar)),
    LINE_PX,
    input.bottom,
  );
  return {
    ticks: scaleLinear()
      .domain([0, most / barPerUnit])
      .ticks(8)
      .map((value) => ({ y: y(value * barPerUnit), label: String(value) })),
    limits: input.limits.map((l, i) => ({ y: y(l.limitBar), textY: limitText[i] ?? 0, name: l.name, chosen: l.chosen, bar: l.limitBar })),
    bands: input.bands.map((b, i) => ({
      y: y(b.highBar),
      height: Math.max(6, y(b.lowBar) - y(b.highBar)),
      name: b.name,
      tempC: b.tempC,
      low: b.lowBar,
      high: b.highBar,
      index: i,
    })),
  };
}
