import { WILD_YEAST_ID, yeastById } from '../../base/reference/yeast-kinds.js';
import type { Worked } from '../../base/worked/worked.js';
import { coolDown, type CoolDown } from './cool-down.js';
import { warmUp, type WarmUp } from './warm-up.js';

/** Water from a tap, °C. @source our estimate, autumn */
export const TAP_C = 12;
/** Nearer than this to where a yeast is at its best is near enough, °C. @source our estimate */
const NEAR_C = 1.5;

/** How a juice comes to where its yeast is at its best. */
export type WarmthForPitch =
  | { readonly way: 'warm'; readonly wantedC: number; readonly warm: Worked<WarmUp> }
  /** Left to cool; null where what is around it is too warm for that. */
  | { readonly way: 'cool'; readonly wantedC: number; readonly air: Worked<CoolDown> | null; readonly bath: Worked<CoolDown> | null };

/**
 * What to do about a juice that is colder or warmer than its yeast is at its best.
 *
 * @param input - the kind of yeast; L of juice, °C of it, and of the air where it stands (null when unknown)
 * @returns null when it is warm and cool enough, or nothing is pitched into it
 * @throws {CoreError} UNKNOWN_ID
 * @source the kind's own temperatures; heat balance and Newton's law of cooling
 */
export function warmthForPitch(input: {
  readonly yeastId: string;
  readonly volumeL: number;
  readonly juiceC: number;
  readonly placeC: number | null;
}): WarmthForPitch | null {
  const { yeastId, volumeL, juiceC: isC, placeC } = input;
  if (yeastId === WILD_YEAST_ID || volumeL <= 0) return null;
  const [, coolestC, warmestC] = yeastById(yeastId).tempC;
  if (isC < coolestC - NEAR_C && isC >= 0) return { way: 'warm', wantedC: coolestC, warm: warmUp({ volumeL, isC, wantedC: coolestC }) };
  if (isC <= warmestC + NEAR_C) return null;
  const left = (aroundC: number, way: 'air' | 'water'): Worked<CoolDown> | null =>
    aroundC < warmestC ? coolDown({ volumeL, isC, wantedC: warmestC, aroundC, way }) : null;
  return { way: 'cool', wantedC: warmestC, air: placeC === null ? null : left(placeC, 'air'), bath: left(TAP_C, 'water') };
}
