import { abvOf, dryAbvOf, dryGravityOf, gravityOf } from '../../matter/liquid/views.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentFraction } from '../../matter/liquid/ferment-to.js';
import { findRoot } from '../../base/numeric/find-root.js';

/**
 * Where fermentation should end: bone dry, or at the strength that stops this yeast.
 *
 * @param must - unfermented, or as it was poured together
 * @param toleranceAbv - strength at which this kind surely stops, % by volume
 * @returns the gravity, and whether tolerance sets it
 * @source mass balance
 */
export function expectedEnd(must: Liquid, toleranceAbv: number): { readonly sg: number; readonly stopsAtTolerance: boolean } {
  if (dryAbvOf(must) <= toleranceAbv) return { sg: dryGravityOf(must), stopsAtTolerance: false };
  // A strong drink poured in stands past it already: this yeast takes it no further.
  if (abvOf(must) >= toleranceAbv) return { sg: gravityOf(must), stopsAtTolerance: true };
  const fraction = findRoot({ f: (x) => abvOf(fermentFraction(must, x)) - toleranceAbv, lo: 0, hi: 1, tolerance: 1e-9 });
  return { sg: gravityOf(fermentFraction(must, fraction)), stopsAtTolerance: true };
}
