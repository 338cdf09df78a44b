import type { ReachAxis, ReachPoint } from '@trug/core';
import { scaleLinear, type ScaleLinear } from 'd3-scale';

/** The map's frame, px. */
export interface MapSize {
  readonly width: number;
  readonly height: number;
}

const MARGIN = { top: 10, right: 22, bottom: 44, left: 48 };

/** How each axis is written. */
export const AXES: Readonly<
  Record<ReachAxis, { readonly name: string; readonly title: string; readonly digits: number; readonly step: number; readonly least: number }>
> = {
  taGPerL: { name: 'Acid', title: 'acid, g/L as malic', digits: 1, step: 0.1, least: 3 },
  tanninGPerL: { name: 'Tannin', title: 'tannin, g/L', digits: 1, step: 0.1, least: 1 },
  ph: { name: 'pH', title: 'pH', digits: 2, step: 0.02, least: 0.4 },
  abv: { name: 'Strength', title: 'strength, % by volume', digits: 1, step: 0.1, least: 2 },
};

/** A stretch of the upward axis that makers name. */
export interface Band {
  readonly low: number;
  readonly high: number;
  readonly says: string;
}

/** @source our estimates of what is usual and pleasant in cider; safe pH by usual practice */
export const BANDS: Readonly<Partial<Record<ReachAxis, Band>>> = {
  taGPerL: { low: 4.5, high: 7.5, says: 'lively, not sour' },
  ph: { low: 3.2, high: 3.8, says: 'safe and not harsh' },
};

/** The scales of a map. */
export interface MapScales {
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
}

/**
 * Scales that hold every point with some air around.
 *
 * @param points - juices, outline and target
 * @param least - smallest height of the upward axis
 * @param size - the frame, px
 * @returns scales from figures to px
 */
export function mapScales(points: readonly ReachPoint[], least: number, { width, height }: MapSize): MapScales {
  const span = (values: readonly number[], minimum: number): [number, number] => {
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const pad = Math.max((minimum - (high - low)) / 2, (high - low) * 0.08);
    return [low - pad, high + pad];
  };
  const x = span(
    points.map((p) => p.sg),
    0.012,
  );
  const y = span(
    points.map((p) => p.y),
    least,
  );
  return {
    x: scaleLinear(x, [MARGIN.left, width - MARGIN.right]).nice(6),
    y: scaleLinear([Math.max(0, y[0]), y[1]], [height - MARGIN.bottom, MARGIN.top]).nice(6),
  };
}

/** An outline as a path; a region shrunk to a line or a point is still drawn. */
export function outlinePath(outline: readonly ReachPoint[], { x, y }: MapScales): string {
  return outline.length === 0 ? '' : `M${outline.map((p) => `${x(p.sg).toFixed(1)},${y(p.y).toFixed(1)}`).join('L')}Z`;
}

/** A name on the map, moved down when another stands there already. */
export interface PlacedLabel {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'end' | 'middle';
}

const LABEL = { height: 14, charPx: 6.4, dotPx: 9 };

interface Box {
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly bottom: number;
}

/** How far two boxes cover one another, px². */
const covered = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.to, b.to) - Math.max(a.from, b.from)) * Math.max(0, Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top));

/**
 * Places names beside their points where they cover names, points and the frame least.
 *
 * @param points - where each name belongs, px
 * @param size - the frame, px
 * @returns a place for each name
 */
export function placeLabels(
  points: readonly { readonly id: string; readonly x: number; readonly y: number; readonly name: string }[],
  { width }: MapSize,
): readonly PlacedLabel[] {
  const dots = points.map(({ x, y }): Box => ({ from: x - LABEL.dotPx, to: x + LABEL.dotPx, top: y - LABEL.dotPx, bottom: y + LABEL.dotPx }));
  const names: Box[] = [];
  return points.map((point, own) => {
    const long = point.name.length * LABEL.charPx;
    const tries = [
      { dx: 0, dy: -12, anchor: 'middle' as const },
      { dx: 0, dy: 21, anchor: 'middle' as const },
      { dx: 12, dy: 4, anchor: 'start' as const },
      { dx: -12, dy: 4, anchor: 'end' as const },
      { dx: 12, dy: -8, anchor: 'start' as const },
      { dx: -12, dy: -8, anchor: 'end' as const },
      { dx: 0, dy: 35, anchor: 'middle' as const },
      { dx: 0, dy: -26, anchor: 'middle' as const },
    ].map(({ dx, dy, anchor }, order) => {
      const x = point.x + dx;
      const from = anchor === 'start' ? x : anchor === 'end' ? x - long : x - long / 2;
      const box: Box = { from, to: from + long, top: point.y + dy - LABEL.height + 2, bottom: point.y + dy + 3 };
      const outside = Math.max(0, MARGIN.left - box.from) + Math.max(0, box.to - width + 2);
      const cost = [...names, ...dots.filter((_, i) => i !== own)].reduce((sum, b) => sum + covered(box, b), 0) + 50 * outside + order;
      return { place: { id: point.id, x, y: point.y + dy, anchor }, box, cost };
    });
    const best = tries.reduce((a, b) => (b.cost < a.cost ? b : a));
    names.push(best.box);
    return best.place;
  });
}
