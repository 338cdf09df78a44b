import { gravityOf } from '@trug/core/matter/liquid/views';
import { daysBetween } from '@trug/core/matter/quantity/days';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { BatchView } from '../../../state/batch-views.selectors';
import { familyOf } from './family-members';

/** A batch's fall, counted from its own pitch. */
export interface ComparedFall {
  readonly id: string;
  readonly name: string;
  /** Why it stands here. */
  readonly kin: 'own' | 'sibling' | 'earlier';
  readonly points: readonly { readonly day: number; readonly sg: number }[];
}

/** Earlier batches with the same kind of yeast that are drawn beside it. */
const MOST_EARLIER = 3;

/** A batch's readings by day after its pitch, led by the must; questioned ones are left out. */
function fallOf(view: BatchView, kin: ComparedFall['kin']): readonly ComparedFall[] {
  const { state, batch, verdict } = view;
  const { pitchedAt, must } = state;
  if (!pitchedAt || !must) return [];
  const questioned = new Set(verdict?.value.questionedIds ?? []);
  const read = state.readings.filter((r) => r.at > pitchedAt && !questioned.has(r.id)).map((r) => ({ day: daysBetween(pitchedAt, r.at), sg: r.sg }));
  return read.length === 0 ? [] : [{ id: batch.id, name: batch.name, kin, points: [{ day: 0, sg: gravityOf(must) }, ...read] }];
}

/**
 * The batch, its siblings, and the latest earlier batches with the same kind of yeast, each counted from its own pitch.
 *
 * @param view - the batch
 * @param all - every batch
 * @returns falls to draw; empty when there is nothing to compare with
 */
export function comparedFalls(view: BatchView, all: readonly BatchView[]): readonly ComparedFall[] {
  const siblings = new Set(familyOf(view, all).siblings.map((s) => s.id));
  const others = all.filter((o) => o.batch.id !== view.batch.id);
  const earlier = others
    .filter((o) => !siblings.has(o.batch.id) && o.state.yeastId === view.state.yeastId && o.batch.startedAt < view.batch.startedAt)
    .sort((a, b) => (a.batch.startedAt < b.batch.startedAt ? 1 : -1))
    .flatMap((o) => fallOf(o, 'earlier'))
    .slice(0, MOST_EARLIER);
  const falls = [...fallOf(view, 'own'), ...others.filter((o) => siblings.has(o.batch.id)).flatMap((o) => fallOf(o, 'sibling')), ...earlier];
  return falls.length > 1 ? falls : [];
}

/** The drawing's frame, px. */
export interface CompareSize {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** At a desk, names stand at the right. */
export const COMPARE_SIZE: CompareSize = { width: 860, height: 300, left: 58, right: 190, top: 24, bottom: 40 };
/** On a phone, with less room for them. */
export const COMPARE_PHONE_SIZE: CompareSize = { width: 400, height: 280, left: 48, right: 112, top: 24, bottom: 40 };

/** Falls laid out. */
export interface CompareDrawing {
  readonly falls: readonly {
    readonly id: string;
    readonly name: string;
    readonly kin: ComparedFall['kin'];
    readonly path: string;
    readonly points: readonly { readonly x: number; readonly y: number }[];
    /** Where its name stands, moved off other names. */
    readonly label: { readonly x: number; readonly y: number };
    readonly end: { readonly x: number; readonly y: number };
  }[];
  readonly gravityTicks: readonly { readonly y: number; readonly sg: number }[];
  readonly dayTicks: readonly { readonly x: number; readonly day: number }[];
}

const LABEL_STEP_PX = 19;

/**
 * Lays the falls out: gravity against days since each batch's own pitch, with names at the right.
 *
 * @param falls - at least one
 * @param size - the frame
 * @returns paths and positions
 */
export function compareDrawing(falls: readonly ComparedFall[], { width, height, left, right, top, bottom }: CompareSize): CompareDrawing {
  const points = falls.flatMap((f) => f.points);
  const x = scaleLinear([0, Math.max(7, ...points.map((p) => p.day))], [left, width - right]);
  const y = scaleLinear([Math.min(0.998, ...points.map((p) => p.sg)) - 0.001, Math.max(...points.map((p) => p.sg)) + 0.001], [height - bottom, top]);
  const path = line<{ readonly day: number; readonly sg: number }>()
    .x((p) => x(p.day))
    .y((p) => y(p.sg));
  const ends = falls.map((f) => ({ x: x(f.points.at(-1)?.day ?? 0), y: y(f.points.at(-1)?.sg ?? 1) }));
  const labelYs = spaced(ends.map((e) => e.y));
  return {
    falls: falls.map((f, i) => ({
      id: f.id,
      name: f.name,
      kin: f.kin,
      path: path([...f.points]) ?? '',
      points: f.points.slice(1).map((p) => ({ x: x(p.day), y: y(p.sg) })),
      label: { x: width - right + 14, y: labelYs[i] ?? 0 },
      end: ends[i] ?? { x: 0, y: 0 },
    })),
    gravityTicks: y.ticks(5).map((sg) => ({ y: y(sg), sg })),
    dayTicks: x.ticks(width < 500 ? 4 : 8).map((day) => ({ x: x(day), day })),
  };
}

/** Heights moved apart, in their own order, so that no two names cover one another. */
function spaced(ys: readonly number[]): readonly number[] {
  const placed: number[] = [...ys];
  const order = ys.map((_, i) => i).sort((a, b) => (ys[b] ?? 0) - (ys[a] ?? 0));
  let lowest = Infinity;
  for (const i of order) {
    const at = Math.min(ys[i] ?? 0, lowest - LABEL_STEP_PX);
    placed[i] = at;
    lowest = at;
  }
  return placed;
}
