/** A unit vector, and how it was made from the vectors given. */
export interface BasisVector {
  readonly unit: readonly number[];
  /** Coefficients on the given vectors, in their order. */
  readonly from: readonly number[];
}

/** A vector counts as made of earlier ones when less than this share of it is its own. */
const DEPENDENT = 1e-9;

/** Sum of products. */
export const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((sum, v, i) => sum + v * (b[i] ?? 0), 0);

const lessTimes = (a: readonly number[], share: number, b: readonly number[]): number[] => a.map((v, i) => v - share * (b[i] ?? 0));

/**
 * Unit vectors at right angles that span the same space as some vectors, by Gram and Schmidt's way done twice over, so
 * that rounding leaves them square. Vectors made of earlier ones add nothing.
 *
 * @param vectors - all of one length
 * @returns at most one unit vector for each
 * @source L. Giraud et al., Numerische Mathematik 101 (2005) 87: twice is enough
 */
export function orthonormalBasis(vectors: readonly (readonly number[])[]): readonly BasisVector[] {
  const basis: BasisVector[] = [];
  vectors.forEach((vector, k) => {
    let rest = [...vector];
    let from: number[] = vectors.map((_, l) => (l === k ? 1 : 0));
    for (let twice = 0; twice < 2; twice += 1) {
      for (const known of basis) {
        const share = dot(rest, known.unit);
        rest = lessTimes(rest, share, known.unit);
        from = lessTimes(from, share, known.from);
      }
    }
    const own = Math.sqrt(dot(rest, rest));
    if (own > DEPENDENT * Math.sqrt(dot(vector, vector))) basis.push({ unit: rest.map((v) => v / own), from: from.map((v) => v / own) });
  });
  return basis;
}
