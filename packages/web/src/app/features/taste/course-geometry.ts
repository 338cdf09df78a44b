import type { Tasting } from '@trug/core';
import { TASTE_SCALE_IDS, TASTE_SCALES, type TasteScale } from '@trug/core/finish/taste/taste-sheet';
import { daysBetween } from '@trug/core/matter/quantity/days';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

/** Each small drawing, px. */
export const COURSE_W = 132;
export const COURSE_H = 64;
const EDGE = 8;

/** One quality over the months, as a small drawing. */
export interface CourseDrawing {
  readonly scale: TasteScale;
  readonly line: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** The last step in its word. */
  readonly now: string;
  /** All of it in words, for those who do not see it. */
  readonly spoken: string;
}

/**
 * How each quality went from tasting to tasting: small drawings that share one time and one height.
 *
 * @param tastings - oldest first
 * @param when - how the time of a tasting is told
 * @returns those that were judged at least twice
 */
export function coursesOf(tastings: readonly Tasting[], when: (tasting: Tasting) => string): readonly CourseDrawing[] {
  const [first, last] = [tastings[0], tastings.at(-1)];
  if (!first || !last) return [];
  const x = scaleLinear([0, Math.max(1, daysBetween(first.at, last.at))], [EDGE, COURSE_W - EDGE]);
  const y = scaleLinear([0, 4], [COURSE_H - EDGE, EDGE]);
  return TASTE_SCALE_IDS.flatMap((scale) => {
    const steps = tastings.flatMap((tasting) => {
      const step = tasting.sheet?.scales[scale] ?? null;
      return step === null ? [] : [{ tasting, step, word: TASTE_SCALES[scale][step] ?? '' }];
    });
    if (steps.length < 2) return [];
    const points = steps.map(({ tasting, step }) => ({ x: x(daysBetween(first.at, tasting.at)), y: y(step) }));
    const drawn = line<{ readonly x: number; readonly y: number }>()
      .x((p) => p.x)
      .y((p) => p.y);
    return [
      {
        scale,
        line: drawn(points) ?? '',
        points,
        now: steps.at(-1)?.word ?? '',
        spoken: `${scale}: ${steps.map(({ tasting, word }) => `${word} ${when(tasting)}`).join(', ')}`,
      },
    ];
  });
}
