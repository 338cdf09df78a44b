import { caution } from '../../base/cautions/catalogue.js';
import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { phOf, taOf } from '../../matter/liquid/acid-chemistry.js';
import { malolactic } from '../../matter/liquid/add-acid.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** What the change would do to a drink. */
export interface MalolacticOutlook {
  readonly now: { readonly taGPerL: number; readonly ph: number };
  readonly after: { readonly taGPerL: number; readonly ph: number };
  readonly advice: string;
}

/** A drink softer than this afterwards tastes flat, and above this pH it keeps badly. @source usual craft limits */
const FLAT_TA_G_PER_L = 3;
const KEEPS_TO_PH = 3.8;
/** A drink sharper than this gains by it. @source usual craft limits */
const SHARP_TA_G_PER_L = 7;

/**
 * What a complete malolactic change would do.
 *
 * @param liquid - the drink
 * @returns acidity and pH before and after, and whether that is to be wished
 * @source malic acid to lactic acid and CO2, acid chemistry of the liquid
 */
export function malolacticOutlook(liquid: Liquid): Worked<MalolacticOutlook> {
  const turned = malolactic(liquid, 1);
  const now = { taGPerL: taOf(liquid), ph: phOf(liquid) };
  const after = { taGPerL: taOf(turned), ph: phOf(turned) };
  const advice =
    after.ph > KEEPS_TO_PH
      ? `At pH ${figure(after.ph, 2)} it would keep badly. Better stop it, or put acid back afterwards.`
      : after.taGPerL < FLAT_TA_G_PER_L
        ? 'It would taste flat. Better stop it, or blend it with something sharp.'
        : now.taGPerL > SHARP_TA_G_PER_L
          ? 'So sharp a cider gains by it. Wait until it is over before bottling: it makes gas.'
          : 'Softer, and still with some bite. Wait until it is over before bottling: it makes gas.';
  return worked(
    { now, after, advice },
    [
      {
        label: 'All malic acid turned',
        expression: `${figure(liquid.malicGPerL, 1)} g/L malic → ${figure(turned.lacticGPerL, 1)} g/L lactic`,
        result: `acid ${figure(after.taGPerL, 1)} g/L, pH ${figure(after.ph, 2)}`,
        source: 'molar masses 134.09 and 90.08; acid chemistry of the drink',
      },
    ],
    after.ph > KEEPS_TO_PH ? [caution('ph-high-after')] : [],
  );
}

/**
 * How far the change has come, from the acidity measured now.
 *
 * @param liquid - the drink as last known
 * @param taGPerL - titratable acidity now, g/L as malic
 * @returns share of the malic acid turned, 0–1
 * @throws {CoreError} OUT_OF_RANGE when the acidity cannot be reached by this change
 * @source the same acid chemistry, solved for the share
 */
export function turnedFromTa(liquid: Liquid, taGPerL: number): number {
  inRange('taGPerL', taGPerL, LIMITS.taGPerL);
  const [most, least] = [taOf(liquid), taOf(malolactic(liquid, 1))];
  // A titration at home is good to about 0.3 g/L.
  if (taGPerL > most + 0.3)
    throw new CoreError(
      'OUT_OF_RANGE',
      `${figure(taGPerL, 1)} g/L is more acid than the ${figure(most, 1)} g/L it had: this change only takes acid away. Measure again.`,
      {},
    );
  if (taGPerL < least - 0.3)
    throw new CoreError(
      'OUT_OF_RANGE',
      `${figure(taGPerL, 1)} g/L is less than the ${figure(least, 1)} g/L that are left when all of it has turned. Measure again.`,
      {},
    );
  if (taGPerL >= most) return 0;
  if (taGPerL <= least) return 1;
  return findRoot({ f: (share) => taOf(malolactic(liquid, share)) - taGPerL, lo: 0, hi: 1, tolerance: 1e-6 });
}
