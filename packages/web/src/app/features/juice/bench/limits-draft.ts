import { parsed } from '../../../browser/stored';
import { readQuantity } from '../../../shared/field/quantity-field';
import type { Units } from '../../../units/units';

/** Least and most by juice, as typed. */
export type TypedLimits = Readonly<Record<string, { readonly least: string; readonly most: string }>>;

/** Limits out of a draft's text; anything else is none. */
export function readLimits(text: string): TypedLimits {
  if (text === '') return {};
  const stored: unknown = parsed(text);
  if (typeof stored !== 'object' || stored === null) return {};
  const known = Object.entries(stored as Record<string, unknown>).flatMap(([id, limit]) => {
    if (typeof limit !== 'object' || limit === null || !('least' in limit) || !('most' in limit)) return [];
    return typeof limit.least === 'string' && typeof limit.most === 'string' ? [[id, { least: limit.least, most: limit.most }] as const] : [];
  });
  return Object.fromEntries(known);
}

/** Limits a solver can take, and what is wrong with those typed. */
export interface ReadLimit {
  readonly minL: number;
  readonly maxL: number;
  readonly problem: string | null;
}

/**
 * Least and most in litres; a figure that cannot hold is left out and named.
 *
 * @param typed - as typed, in any unit
 * @param leftL - what there is, L
 * @param units - the maker's units
 * @returns limits within what there is
 */
export function limitsOf(typed: TypedLimits[string], leftL: number, units: Units): ReadLimit {
  const least = readQuantity(units, typed.least, 'volume');
  const most = readQuantity(units, typed.most, 'volume');
  const minL = least?.ok === true ? least.value.value : 0;
  const maxL = most?.ok === true ? Math.min(leftL, most.value.value) : leftL;
  if (minL > leftL) return { minL: 0, maxL, problem: `There are only ${units.volumeAbout(leftL)} of it. Ask for less.` };
  if (minL > maxL) return { minL: 0, maxL, problem: 'The least is more than the most. Change one of them.' };
  return { minL, maxL, problem: null };
}
