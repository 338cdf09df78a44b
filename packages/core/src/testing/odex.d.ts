/** The independent solver of differential equations: what the tests use of it. Its own sources do not pass strict checks. */
export declare class Solver {
  constructor(size: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(
    rates: (x: number, y: readonly number[]) => readonly number[],
    from: number,
    start: readonly number[],
    to: number,
  ): { readonly y: readonly number[]; readonly outcome: number };
}
