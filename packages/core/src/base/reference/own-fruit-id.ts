import { CoreError } from '../errors/core-error.js';
import { inRange } from '../errors/guards.js';
import { LIMITS } from '../errors/limits.js';

/** A fruit of the maker's own: a tree without a label, or one that no library holds. */
export interface OwnFruit {
  readonly name: string;
  /** The kind it is most like, by id. */
  readonly likeId: string;
  /** SG of its juice as it was once measured; null when nobody did. */
  readonly sg: number | null;
  /** Acid of its juice, g/L; null when nobody measured. */
  readonly taGPerL: number | null;
  /** pH of its juice; null when nobody measured. */
  readonly ph: number | null;
}

/** Longest name, so that the id that holds it fits wherever ids are kept. */
export const LONGEST_OWN_FRUIT = 18;

/**
 * The id of a fruit of one's own. It holds all that is known of it, so that a juice or a log that names it needs no list beside it.
 *
 * @param own - name, 1–18 characters, the kind it is like, and what was measured of its juice
 * @returns such as `own:seedling-apple:1.054:7.5:-:Gate tree`
 * @throws {CoreError} OUT_OF_RANGE; NOT_ALLOWED without a name
 */
export function ownFruitId({ name, likeId, sg, taGPerL, ph }: OwnFruit): string {
  const plain = name.replace(/\s+/g, ' ').trim();
  if (plain === '' || plain.length > LONGEST_OWN_FRUIT) throw new CoreError('NOT_ALLOWED', 'it needs a short name', { field: 'name' });
  const figures = [
    sg === null ? '-' : inRange('sg', sg, LIMITS.juiceSg).toFixed(3),
    taGPerL === null ? '-' : String(Math.round(inRange('taGPerL', taGPerL, LIMITS.juiceTaGPerL) * 10) / 10),
    ph === null ? '-' : inRange('ph', ph, LIMITS.juicePh).toFixed(2),
  ];
  return ['own', likeId, ...figures, plain].join(':');
}
