/** The figures that place a juice between sugar, acid and tannin. */
export interface Trio {
  readonly sugarGPerL: number;
  readonly taGPerL: number;
  readonly tanninGPerL: number;
}

/** The triangle's frame, px. */
export const TRIANGLE = { width: 380, height: 300, left: 40, right: 340, top: 34, bottom: 262 } as const;

/** A usual juice, at the middle of the triangle. @source our estimate of a balanced cider juice */
const MIDDLE: Trio = { sugarGPerL: 115, taGPerL: 5, tanninGPerL: 1.2 };

/**
 * Where a juice lies between the corners Sugar, Acid and Tannin: each figure is counted in usual juices, and the three
 * counts are the shares.
 *
 * @param trio - sugar, acid and tannin, g/L, ≥ 0
 * @returns px in the frame
 */
export function trianglePoint(trio: Trio): { readonly x: number; readonly y: number } {
  const sugar = trio.sugarGPerL / MIDDLE.sugarGPerL;
  const acid = trio.taGPerL / MIDDLE.taGPerL;
  const tannin = trio.tanninGPerL / MIDDLE.tanninGPerL;
  const total = sugar + acid + tannin || 1;
  const { left, right, top, bottom } = TRIANGLE;
  const middle = (left + right) / 2;
  return { x: (sugar * middle + acid * left + tannin * right) / total, y: (sugar * top + (acid + tannin) * bottom) / total };
}

/** The triangle with its inner thirds, as paths. */
export function triangleGrid(): { readonly outline: string; readonly inner: readonly string[] } {
  const at = (sugar: number, acid: number, tannin: number): string => {
    const p = trianglePoint({ sugarGPerL: sugar * MIDDLE.sugarGPerL, taGPerL: acid * MIDDLE.taGPerL, tanninGPerL: tannin * MIDDLE.tanninGPerL });
    return `${p.x.toFixed(1)},${p.y.toFixed(1)}`;
  };
  const inner = [0.25, 0.5, 0.75].flatMap((k) => [
    `M${at(k, 1 - k, 0)}L${at(k, 0, 1 - k)}`,
    `M${at(1 - k, k, 0)}L${at(0, k, 1 - k)}`,
    `M${at(1 - k, 0, k)}L${at(0, 1 - k, k)}`,
  ]);
  return { outline: `M${at(1, 0, 0)}L${at(0, 1, 0)}L${at(0, 0, 1)}Z`, inner };
}
