import * as highs from 'highs';

/** What the independent solver gives back of a problem. */
export interface IndependentSolution {
  readonly optimal: boolean;
  readonly objective: number;
  /** Values by variable. */
  readonly values: ReadonlyMap<string, number>;
}

/** A solver of linear problems written in its own text format. */
export type IndependentSolver = (problem: string) => IndependentSolution;

interface RawSolution {
  readonly Status: string;
  readonly ObjectiveValue: number;
  readonly Columns: Readonly<Record<string, { readonly Primal?: number }>>;
}
type Load = () => Promise<{ readonly solve: (problem: string) => RawSolution }>;

/** Loads the independent solver that blends are checked against. */
export async function independentSolver(): Promise<IndependentSolver> {
  // The package gives the loader itself, or as a default, depending on how modules are compiled.
  const given: unknown = highs;
  const load = (typeof given === 'function' ? given : (given as { readonly default: unknown }).default) as Load;
  const solver = await load();
  return (problem) => {
    const { Status, ObjectiveValue, Columns } = solver.solve(problem);
    const values = new Map(Object.entries(Columns).map(([name, { Primal }]) => [name, Primal ?? NaN]));
    return { optimal: Status === 'Optimal', objective: ObjectiveValue, values };
  };
}

/** A sum of terms in the solver's own text. */
export function termsText(coefficients: readonly (readonly [value: number, name: string])[]): string {
  return coefficients.map(([v, name]) => `${v < 0 ? '-' : '+'} ${Math.abs(v).toFixed(15)} ${name}`).join(' ');
}
