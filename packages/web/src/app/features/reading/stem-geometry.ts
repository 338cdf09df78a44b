import type { UnitPreferences } from '@trug/core';
import { sgFromBrix } from '@trug/core/matter/density/brix';
import { sgFromSolids } from '@trug/core/matter/density/solids';
import { scaleLinear } from 'd3-scale';

type GravityUnit = UnitPreferences['gravity'];

/** The scale of a drawn stem, px from the top of the drawing. */
export const STEM_TOP = 84;
export const STEM_FOOT = 390;
/** Marks beside the stem stand at least so far apart, px. */
const LEAST_APART = 38;
/** A stem is drawn from the lightest cider to a little past a usual must. */
const LIGHTEST_SG = 0.99;
const USUAL_HEAVIEST_SG = 1.056;
/** Room kept past the heaviest mark, SG. */
const PAST_SG = 0.004;

/** One line of a scale; a long one carries its figure. */
export interface StemTick {
  readonly y: number;
  readonly figure: string | null;
}

/** A mark beside the stem: where it points, and where its words stand. */
export interface StemMark {
  readonly id: 'last' | 'end';
  readonly y: number;
  readonly textY: number;
}

/** What a stem shows. */
export interface StemInput {
  readonly unit: GravityUnit;
  /** What is typed, as the stem shows it; null while nothing is, SG. */
  readonly readSg: number | null;
  /** The last reading before it; null where there is none, SG. */
  readonly lastSg: number | null;
  /** Where it should end; null while nobody can say, SG. */
  readonly endSg: number | null;
}

/** A stem drawn: its lines, its marks and how high the drink stands. */
export interface StemDrawing {
  readonly ticks: readonly StemTick[];
  readonly marks: readonly StemMark[];
  /** The surface of the drink, px; at the last reading, or the middle, while nothing is typed. */
  readonly surfaceY: number;
}

/** How a scale is divided: figures of its unit from, to, apart, and every how many lines one carries its figure. */
const SCALES: Readonly<
  Record<
    GravityUnit,
    { readonly from: number; readonly step: number; readonly long: number; readonly sg: (figure: number) => number; readonly text: (figure: number) => string }
  >
> = {
  SG: { from: 0.99, step: 0.002, long: 5, sg: (figure) => figure, text: (figure) => figure.toFixed(3) },
  Bx: { from: 0, step: 0.5, long: 5, sg: sgFromBrix, text: (figure) => figure.toFixed(1) },
  'g/L': { from: 0, step: 5, long: 5, sg: sgFromSolids, text: (figure) => figure.toFixed(0) },
};

/**
 * Draws a hydrometer's stem beside a drink.
 *
 * @param input - the scale, what is typed, what was read last and where it should end
 * @returns lines and marks in px
 */
export function stemDrawing({ unit, readSg, lastSg, endSg }: StemInput): StemDrawing {
  const heaviest = Math.max(USUAL_HEAVIEST_SG, (readSg ?? 0) + PAST_SG, (lastSg ?? 0) + PAST_SG);
  const y = scaleLinear().domain([LIGHTEST_SG, heaviest]).range([STEM_TOP, STEM_FOOT]).clamp(true);
  const { from, step, long, sg, text } = SCALES[unit];
  const ticks: StemTick[] = [];
  // Denser scales keep their lines apart by drawing every second.
  const every = (heaviest - LIGHTEST_SG) / (USUAL_HEAVIEST_SG - LIGHTEST_SG) > 1.6 ? 2 : 1;
  for (let i = 0; sg(from + i * step) <= heaviest + 1e-9; i += 1) {
    const isLong = i % (long * every) === 0;
    if (isLong || i % every === 0) ticks.push({ y: y(sg(from + i * step)), figure: isLong ? text(from + i * step) : null });
  }
  return { ticks, marks: marksAt({ last: lastSg, end: endSg }, y), surfaceY: y(readSg ?? lastSg ?? (LIGHTEST_SG + heaviest) / 2) };
}

/** The marks with their words kept apart, the lighter above. */
function marksAt(sgs: Readonly<Record<StemMark['id'], number | null>>, y: (sg: number) => number): readonly StemMark[] {
  const marks = (['end', 'last'] as const).flatMap((id) => (sgs[id] === null ? [] : [{ id, y: y(sgs[id]) }])).sort((a, b) => a.y - b.y);
  const [upper, lower] = marks;
  const tooNear = upper && lower ? Math.max(0, LEAST_APART - (lower.y - upper.y)) / 2 : 0;
  return marks.map((mark, i) => ({ ...mark, textY: mark.y + (i === 0 ? -tooNear : tooNear) }));
}
