import type { Dimension } from '@trug/core';
import type { AmountMeasure, EntryAmount } from '@trug/core/book/entry/entry-amounts';
import type { TypedFigureId } from '@trug/core/matter/typed/typed-figures';
import { readNumber } from '../../shared/field/number-field';
import { readQuantity } from '../../shared/field/quantity-field';
import type { Units } from '../../units/units';

/** The field an amount is typed into: in any unit, or a plain figure. */
export const fieldOf = (measure: AmountMeasure): { readonly dimension: Dimension | null; readonly figure: TypedFigureId } =>
  measure === 'mg/L' || measure === 'count' ? { dimension: null, figure: measure === 'count' ? 'count' : 'mgPerL' } : { dimension: measure, figure: 'count' };

/** An amount as typed; null for an empty field, and a sentence where it cannot be used. */
export function readAmount({ measure }: EntryAmount, typed: string, units: Units): number | string | null {
  const { dimension, figure } = fieldOf(measure);
  const read = dimension ? readQuantity(units, typed, dimension) : readNumber(typed, figure);
  if (read?.ok === false) return read.error.message;
  return read === null ? null : typeof read.value === 'number' ? read.value : read.value.value;
}

/** An amount in the maker's units. */
export function saidAmount({ measure, value }: EntryAmount, units: Units): string {
  if (measure === 'mass') return units.mass(value);
  if (measure === 'volume') return units.volume(value);
  return measure === 'temperature' ? units.temperature(value) : String(Math.round(value * 10) / 10);
}
