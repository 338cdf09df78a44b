import { freeProtonsMmolPerL, strongChargeMmolPerL, taOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, SG_PER_ABV, SG_PER_ABV_SQUARED, solidsOf } from '../../matter/liquid/views.js';
import { SG_PER_SOLIDS, SG_PER_SOLIDS_SQUARED, solidsFromSg } from '../../matter/density/solids.js';
import type { BlendAim, BlendTargets, BlendWeights } from './blend-types.js';

/** A difference a maker would just notice, in each figure's own unit. @source our estimate: a stem is read to 0.001, acid titrated to 0.3 g/L */
export const NOTICED: Readonly<Record<BlendAim, number>> = { sg: 0.001, taGPerL: 0.3, tanninGPerL: 0.2, ph: 0.05, abv: 0.2 };

/** A target as a linear function of the shares: Σ shareᵢ · perJuiceᵢ should be `wanted`; one unit is a difference just noticed, weighted. */
export interface LinearAim {
  readonly aim: BlendAim;
  readonly perJuice: readonly number[];
  readonly wanted: number;
}

/** Where the curved figures are taken as straight: the blend last found. */
export interface Around {
  readonly solidsGPerL: number;
  readonly abv: number;
}

/**
 * Each target as a linear row. Acid, tannin and strength mix by volume as they stand. Gravity follows dissolved solids,
 * which mix by volume, and alcohol, around the blend last found. The pH of a blend equals the one wanted exactly when
 * its charges balance at that pH, and charge mixes by volume, so even pH is a linear row.
 *
 * @param liquids - the juices
 * @param targets - what is wanted
 * @param weights - how much each matters
 * @param around - the blend last found, for the curvature of gravity
 * @returns one row a target, scaled so that a difference just noticed is one
 */
export function linearAims(
  liquids: readonly Liquid[],
  { targets, weights, around }: { readonly targets: BlendTargets; readonly weights: BlendWeights; readonly around: Around },
): readonly LinearAim[] {
  const rows: LinearAim[] = [];
  const add = (aim: BlendAim, values: readonly number[], wanted: number, unit: number): void => {
    const scale = Math.sqrt(weights[aim] ?? 1) / unit;
    if (scale > 0) rows.push({ aim, perJuice: values.map((v) => v * scale), wanted: wanted * scale });
  };
  const { sg, taGPerL, tanninGPerL, ph, abv } = targets;
  if (sg !== undefined) {
    const row = gravityRow(liquids, sg, around);
    add('sg', row.perJuice, row.wanted, row.unit);
  }
  if (taGPerL !== undefined) add('taGPerL', liquids.map(taOf), taGPerL, NOTICED.taGPerL);
  if (tanninGPerL !== undefined)
    add(
      'tanninGPerL',
      liquids.map((l) => l.tanninGPerL),
      tanninGPerL,
      NOTICED.tanninGPerL,
    );
  if (ph !== undefined) {
    const charges = liquids.map((l) => strongChargeMmolPerL(l, ph));
    add('ph', charges, 0, NOTICED.ph * meanBuffer(liquids, ph));
  }
  if (abv !== undefined) add('abv', liquids.map(abvOf), abv, NOTICED.abv);
  return rows;
}

/** In a juice without alcohol gravity is a function of solids alone, so the row is exact; with alcohol it is a tangent. */
function gravityRow(liquids: readonly Liquid[], sg: number, { solidsGPerL, abv }: Around): { perJuice: readonly number[]; wanted: number; unit: number } {
  const dry = liquids.every((l) => l.ethanolGPerL === 0);
  if (dry) {
    const wanted = solidsFromSg(sg);
    return { perJuice: liquids.map(solidsOf), wanted, unit: NOTICED.sg / (SG_PER_SOLIDS - 2 * SG_PER_SOLIDS_SQUARED * wanted) };
  }
  const perSolids = SG_PER_SOLIDS - 2 * SG_PER_SOLIDS_SQUARED * solidsGPerL;
  const perAbv = -(SG_PER_ABV - 2 * SG_PER_ABV_SQUARED * abv);
  const curved = SG_PER_SOLIDS_SQUARED * solidsGPerL ** 2 - SG_PER_ABV_SQUARED * abv ** 2;
  return { perJuice: liquids.map((l) => perSolids * solidsOf(l) + perAbv * abvOf(l)), wanted: sg - 1 - curved, unit: NOTICED.sg };
}

/** Charge that moves the pH by one, averaged over the juices, mmol/L. */
function meanBuffer(liquids: readonly Liquid[], ph: number): number {
  const step = 0.01;
  const total = liquids.reduce((sum, l) => sum + strongChargeMmolPerL(l, ph - step) - strongChargeMmolPerL(l, ph + step), 0);
  return Math.max(1e-3, total / (2 * step * liquids.length), Math.abs(freeProtonsMmolPerL(ph)));
}
