/**
 * Asserts that a figure lies within an absolute distance of the expected one.
 *
 * @param actual - what was computed
 * @param expected - what the source says
 * @param tolerance - the distance allowed, and nothing vaguer
 */
export function expectWithin(actual: number, expected: number, tolerance: { readonly abs: number }): void {
  if (!(Math.abs(actual - expected) <= tolerance.abs)) {
    throw new Error(`expected ${actual} to lie within ${tolerance.abs} of ${expected}`);
  }
}

/** Runs a calculation and gives what it was refused with; fails when it was not. */
function refusal(work: () => unknown): { readonly code: string; readonly details: unknown } {
  try {
    work();
  } catch (error) {
    if (error instanceof Error && 'code' in error && typeof error.code === 'string')
      return { code: error.code, details: 'details' in error ? error.details : undefined };
    throw error;
  }
  throw new Error('expected a refusal');
}

/** The code that a calculation is refused with; fails when it is not refused. */
export const refusalCode = (work: () => unknown): string => refusal(work).code;

/** The details that a calculation is refused with; fails when it is not refused. */
export const refusalDetails = (work: () => unknown): unknown => refusal(work).details;
