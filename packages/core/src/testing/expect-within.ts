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

/** Runs a calculation and gives the code it was refused with; fails when it was not. */
export function refusalCode(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    if (error instanceof Error && 'code' in error && typeof error.code === 'string') return error.code;
    throw error;
  }
  throw new Error('expected a refusal');
}
