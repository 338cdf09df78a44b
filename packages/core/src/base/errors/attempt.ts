import { CoreError } from './core-error.js';

/** A result that may be a refusal. */
export type Attempt<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: CoreError };

/**
 * Runs a calculation and turns a `CoreError` into a value; anything else is a fault and is thrown on.
 *
 * @param work - the calculation
 * @returns its value, or the refusal
 */
export function attempt<T>(work: () => T): Attempt<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof CoreError) {
      return { ok: false, error };
    }
    throw error;
  }
}
