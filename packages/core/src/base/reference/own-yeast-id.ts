import { CoreError } from '../errors/core-error.js';
import { inRange } from '../errors/guards.js';

/** A yeast of the maker's own, by what its packet says; all else is as of the kind it is like. */
export interface OwnYeast {
  readonly name: string;
  /** The kind it is most like, by id. */
  readonly likeId: string;
  /** Strength its packet says that it stands, % by volume, 3–20. */
  readonly standsAbv: number;
  /** Warmth its packet asks for, °C, from and to, 2–40. */
  readonly tempC: readonly [from: number, to: number];
}

/** Longest name, so that the id that holds it fits wherever ids are kept. */
export const LONGEST_OWN_YEAST = 20;
export const OWN_STANDS_ABV = { min: 3, max: 20 } as const;
export const OWN_WARMTH_C = { min: 2, max: 40 } as const;

/**
 * The id of a yeast of one's own. It holds all that the packet says, so that a log that names it needs no list beside it.
 *
 * @param own - name, 1–20 characters, the kind it is like, strength and warmth
 * @returns such as `own:crisp-cider:12:15-24:Orchard gold`
 * @throws {CoreError} OUT_OF_RANGE; NOT_ALLOWED without a name, or where it is warmer from than to
 */
export function ownYeastId({ name, likeId, standsAbv, tempC: [from, to] }: OwnYeast): string {
  const plain = name.replace(/\s+/g, ' ').trim();
  if (plain === '' || plain.length > LONGEST_OWN_YEAST) throw new CoreError('NOT_ALLOWED', 'it needs a short name', { field: 'name' });
  inRange('standsAbv', standsAbv, OWN_STANDS_ABV);
  inRange('tempC', from, OWN_WARMTH_C);
  inRange('tempC', to, OWN_WARMTH_C);
  if (Math.round(from) >= Math.round(to)) throw new CoreError('NOT_ALLOWED', 'its warmth goes from the cooler to the warmer figure', { field: 'tempC' });
  return `own:${likeId}:${Math.round(standsAbv * 10) / 10}:${Math.round(from)}-${Math.round(to)}:${plain}`;
}
