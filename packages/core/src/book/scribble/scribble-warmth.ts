import { parseQuantity } from '../../matter/typed/parse-quantity.js';
import type { UnitId } from '../../matter/quantity/units.js';

/** Which degrees a maker means who writes none. */
export type Degrees = Extract<UnitId, 'degC' | 'degF'>;

/** A warmth within a line, such as `64F`, `18 °C` or `20°`; its parts are named, since what stands before it differs. */
export const WARMTH = String.raw`(?<warm>-?\d+(?:[.,]\d+)?)\s*(?:(?:°|deg(?:rees)?\b)\s*(?<named>[CF])?|(?<letter>[CF]))(?![\p{L}\d])`;

/**
 * The warmth that was found.
 *
 * @param match - of {@link WARMTH}
 * @param degrees - the maker's own, where none are named
 * @returns °C; null where nothing was found
 * @throws {CoreError} OUT_OF_RANGE for what no shed, drink or kettle has
 */
export function warmthIn(match: RegExpExecArray | null, degrees: Degrees): number | null {
  const { warm, named, letter } = match?.groups ?? {};
  if (warm === undefined) return null;
  return parseQuantity(`${warm} ${named ?? letter ?? ''}`, { dimension: 'temperature', bareUnit: degrees }).value;
}
