import { agreeWithAcidReadings } from '../../matter/liquid/add-acid.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import type { Liquid } from '../../matter/liquid/liquid.js';

/** How far each figure of a juice may be off, ±. */
export interface JuiceDoubt {
  readonly sg: number;
  readonly taGPerL: number;
  readonly ph: number;
  readonly tanninGPerL: number;
}

/** A juice poured, with its doubt. */
export interface PouredJuice {
  /** With the volume poured. */
  readonly liquid: Liquid;
  readonly doubt: JuiceDoubt;
}

/**
 * How far a blend's figures may be off, when each juice's own are. Errors of different juices are taken as independent;
 * for pH each juice's reading is moved by its doubt and the charge balance solved again, because pH answers unevenly.
 *
 * @param poured - the juices with the volumes poured, together more than 0 L
 * @returns ± on each figure
 * @source propagation of independent errors, with differences taken by solving anew
 */
export function blendUncertainty(poured: readonly PouredJuice[]): JuiceDoubt {
  const parts = poured.filter((p) => p.liquid.volumeL > 0);
  const liquids = parts.map((p) => p.liquid);
  const totalL = liquids.reduce((sum, l) => sum + l.volumeL, 0);
  const spread = (of: (doubt: JuiceDoubt) => number): number => Math.hypot(...parts.map((p) => (of(p.doubt) * p.liquid.volumeL) / totalL));
  const ph = phOf(blendLiquids(liquids));
  const phAfter = (i: number, changed: Liquid): number => phOf(blendLiquids(liquids.map((l, j) => (j === i ? changed : l)))) - ph;
  const phShifts = parts.flatMap(({ liquid, doubt }, i) => {
    const ownPh = phOf(liquid);
    return [
      phAfter(i, agreeWithAcidReadings(liquid, { ph: ownPh + doubt.ph })),
      // Acid tasted or typical is doubted by a share of itself, so less of it cannot fall under nothing.
      phAfter(i, agreeWithAcidReadings(liquid, { ph: ownPh, taGPerL: taOf(liquid) + doubt.taGPerL })),
    ];
  });
  return { sg: spread((d) => d.sg), taGPerL: spread((d) => d.taGPerL), ph: Math.hypot(...phShifts), tanninGPerL: spread((d) => d.tanninGPerL) };
}
