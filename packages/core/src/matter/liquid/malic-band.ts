import { malolactic } from './add-acid.js';
import { taOf } from './acid-chemistry.js';
import type { Liquid } from './liquid.js';
import type { YeastKind } from '../../base/reference/yeast-kinds-data.js';

/** A figure that lies between two. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

/** What a kind of yeast may have done to the acid of a drink that nobody measured since. */
export interface YeastAcid {
  readonly malicGPerL: Band;
  readonly taGPerL: Band;
}

/**
 * What a yeast takes out of the malic acid while it works: by its kind, as a band, until the acid is measured.
 *
 * @param liquid - the drink by the sums, its malic acid untouched
 * @param yeast - the kind
 * @param fermentedShare - share of the sugar gone, 0–1
 * @returns malic acid and acidity, g/L, each between what the kind takes least and most
 * @source the kind's own range, taken in step with the sugar; the acid goes through alcohol, so nothing of it stays
 */
export function yeastAcid(liquid: Liquid, yeast: YeastKind, fermentedShare: number): YeastAcid {
  const [least, most] = yeast.malicReductionPct;
  const left = (percent: number): number => 1 - (percent / 100) * fermentedShare;
  const taWith = (percent: number): number => {
    const share = 1 - left(percent);
    // Each malic acid that yeast eats takes both its protons; turned to lactic it would have left one.
    const turned = malolactic(liquid, share);
    return taOf({ ...turned, lacticGPerL: liquid.lacticGPerL });
  };
  return {
    malicGPerL: { low: liquid.malicGPerL * left(most), high: liquid.malicGPerL * left(least) },
    taGPerL: { low: taWith(most), high: taWith(least) },
  };
}
