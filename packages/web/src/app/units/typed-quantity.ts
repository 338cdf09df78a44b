import type { Dimension, UnitId, UnitPreferences } from '@trug/core';
import { parseQuantity, type ParsedQuantity, type Weights } from '@trug/core/matter/typed/parse-quantity';

/** What a field knows of its amounts. */
export interface ReadingHints {
  /** True where a bare number of mass means kilograms or pounds, as with fruit. */
  readonly heavy?: boolean;
  /** What a bare number means, where it is not the maker's usual unit. */
  readonly bareUnit?: UnitId;
  /** What a spoon, a tablet or a lemon of it weighs. */
  readonly weights?: Weights;
}

/**
 * What a maker typed, with bare numbers in their own unit.
 *
 * @param text - as typed
 * @param dimension - what it should measure
 * @param units - the maker's choice
 * @param hints - what the field knows of its amounts
 * @throws {CoreError} UNREADABLE or OUT_OF_RANGE with a sentence to show
 */
export function typedQuantity(text: string, dimension: Dimension, units: UnitPreferences, hints: ReadingHints = {}): ParsedQuantity {
  const metric = units.mass === 'metric';
  const bare = {
    volume: units.volume,
    mass: hints.heavy === true ? (metric ? 'kg' : 'lb') : metric ? 'g' : 'oz',
    temperature: units.temperature,
    gravity: 'SG',
    pressure: units.pressure,
  } as const;
  return parseQuantity(text, {
    ...hints.weights,
    dimension,
    gallon: units.volume === 'imp-gal' ? 'imperial' : 'us',
    bareUnit: hints.bareUnit ?? bare[dimension],
  });
}
