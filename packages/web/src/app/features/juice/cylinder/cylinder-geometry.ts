/** The frame a cylinder is drawn in, px. */
export const CYLINDER = { width: 132, height: 286, left: 32, inner: 52, lip: 12, bottom: 278 } as const;

/** What stands in a cylinder. */
export interface CylinderFill {
  readonly leftL: number;
  readonly tallestL: number;
  readonly pouredL: number;
}

/** Litres between two marks, so that a tall cylinder has six to twelve of them. */
function markStepL(tallestL: number): number {
  return [0.1, 0.25, 0.5, 1, 2, 2.5, 5, 10, 20, 50].find((step) => tallestL / step <= 12) ?? 100;
}

const pxPerL = (tallestL: number): number => (CYLINDER.bottom - CYLINDER.lip - 26) / Math.max(0.1, tallestL);

/** The paths and levels of a cylinder, px. */
export interface CylinderDrawing {
  readonly glass: string;
  readonly bottomY: number;
  readonly levelY: number;
  readonly pouredTopY: number;
  readonly marks: readonly number[];
  readonly bracket: string;
  readonly peg: string;
}

/**
 * A cylinder: all are as tall as the tallest, so that levels can be compared by eye.
 *
 * @param fill - what is in it, and what of that is poured
 * @returns paths and levels
 */
export function cylinderDrawing({ leftL, tallestL, pouredL }: CylinderFill): CylinderDrawing {
  const { left, inner, lip, bottom } = CYLINDER;
  const scale = pxPerL(tallestL);
  const y = (volumeL: number): number => bottom - Math.max(0, volumeL) * scale;
  const right = left + inner;
  const levelY = y(leftL - pouredL);
  const pouredTopY = y(leftL);
  const step = markStepL(tallestL);
  const marks = Array.from({ length: Math.floor(tallestL / step) }, (_, i) => y((i + 1) * step));
  return {
    glass: `M${left - 5},${lip - 6} Q${left},${lip - 4} ${left},${lip + 6} V${bottom} H${right} V${lip + 6} Q${right},${lip - 4} ${right + 5},${lip - 6}`,
    bottomY: bottom,
    levelY,
    pouredTopY,
    marks,
    bracket: `M${right + 5},${pouredTopY} h5 V${levelY} h-5`,
    peg: `M${left - 4},${levelY} l-7,-7 h-12 v14 h12 Z`,
  };
}

/**
 * What is poured when the level is dragged to a height.
 *
 * @param at - height in the frame, px, and the cylinder
 * @returns litres poured, 0 to all of it
 */
export function levelAt({ y, leftL, tallestL }: { readonly y: number; readonly leftL: number; readonly tallestL: number }): number {
  const staysL = (CYLINDER.bottom - y) / pxPerL(tallestL);
  return Math.min(leftL, Math.max(0, leftL - staysL));
}
