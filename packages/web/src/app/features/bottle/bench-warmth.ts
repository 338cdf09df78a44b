import { isWithin } from '@trug/core/base/errors/guards';
import { LIMITS } from '@trug/core/base/errors/limits';
import { numberIn, readQuantity } from '../../shared/field/quantity-field';
import type { Units } from '../../units/units';

/** A warmth as typed at the bench, °C; the usual one where nothing can be read. */
export function celsiusIn(units: Units, text: string, otherwise: number): number {
  const typed = numberIn(readQuantity(units, text, 'temperature'));
  return typed !== null && isWithin(typed, LIMITS.hottestC) ? typed : otherwise;
}

/** Why a temperature that can be read cannot be one of a drink or its store. */
export function warmthProblem(units: Units, text: string): string | null {
  const typed = numberIn(readQuantity(units, text, 'temperature'));
  const { min, max } = LIMITS.hottestC;
  return typed === null || isWithin(typed, LIMITS.hottestC) ? null : units.say(`A drink stands between ${min} and ${max} °C. Write it as 24 °C.`);
}
