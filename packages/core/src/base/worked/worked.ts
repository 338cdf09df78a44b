import type { Caution } from '../cautions/caution.js';

/** One line of a working: what was done, with the maker's own figures in it. */
export interface Step {
  readonly label: string;
  /** The formula with the figures put in. */
  readonly expression: string;
  /** The result with its unit. */
  readonly result: string;
  /** Where the formula or figure comes from. */
  readonly source: string;
}

/** A result that can show how it was reached. */
export interface Worked<T> {
  readonly value: T;
  readonly steps: readonly Step[];
  readonly cautions: readonly Caution[];
}

/**
 * Puts a result, its steps and its cautions together.
 *
 * @param value - the result
 * @param steps - the working, in order
 * @param cautions - what to mind, most severe first by convention of the caller
 * @returns the worked result
 */
export function worked<T>(value: T, steps: readonly Step[], cautions: readonly Caution[] = []): Worked<T> {
  return { value, steps, cautions };
}
