import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { findRoot } from '../../base/numeric/find-root.js';
import type { Liquid } from './liquid.js';
import { SG_PER_SOLIDS, SG_PER_SOLIDS_SQUARED } from '../density/solids.js';
import {
  abvOf,
  BYPRODUCT_PER_HEXOSE,
  dryGravityOf,
  ETHANOL_PER_HEXOSE,
  fermentableGPerL,
  gravityFromParts,
  gravityOf,
  HEXOSE_G_PER_L_PER_ABV,
  SG_PER_ABV,
  SG_PER_ABV_SQUARED,
  solidsOf,
} from './views.js';

/**
 * The liquid after a share of its sugar has fermented. Sucrose is split first and goes in step with the rest.
 *
 * @param liquid - before
 * @param fraction - share of the sugar used; below zero it undoes fermentation, as far as there is alcohol
 * @returns after; carbon dioxide leaves, the volume is held
 * @source 1 g hexose → 0.469 g ethanol (OIV) + 0.04 g other solids (our estimate)
 */
export function fermentFraction(liquid: Liquid, fraction: number): Liquid {
  const usedGPerL = fermentableGPerL(liquid) * fraction;
  // Field by field: a long log makes thousands of these, and spreading takes twice as long.
  return {
    volumeL: liquid.volumeL,
    sucroseGPerL: liquid.sucroseGPerL * (1 - fraction),
    hexoseGPerL: liquid.hexoseGPerL * (1 - fraction),
    otherSolidsGPerL: liquid.otherSolidsGPerL + BYPRODUCT_PER_HEXOSE * usedGPerL,
    ethanolGPerL: liquid.ethanolGPerL + ETHANOL_PER_HEXOSE * usedGPerL,
    malicGPerL: liquid.malicGPerL,
    lacticGPerL: liquid.lacticGPerL,
    citricGPerL: liquid.citricGPerL,
    tartaricGPerL: liquid.tartaricGPerL,
    backgroundMmolPerL: liquid.backgroundMmolPerL,
    strongCationsMmolPerL: liquid.strongCationsMmolPerL,
    tanninGPerL: liquid.tanninGPerL,
    sorbitolGPerL: liquid.sorbitolGPerL,
    yanMgPerL: liquid.yanMgPerL,
    freeSo2MgPerL: liquid.freeSo2MgPerL,
    totalSo2MgPerL: liquid.totalSo2MgPerL,
    sorbateMgPerL: liquid.sorbateMgPerL,
    sweetenerGPerL: liquid.sweetenerGPerL,
    fruit: liquid.fruit,
  };
}

/**
 * The liquid once fermented down to a gravity.
 *
 * @param liquid - before
 * @param sg - the gravity reached, between the dry gravity and the gravity now
 * @returns after
 * @throws {CoreError} UNREACHABLE when the gravity is above what it is now or below bone dry
 */
export function fermentTo(liquid: Liquid, sg: number): Liquid {
  inRange('sg', sg, LIMITS.sg);
  const now = gravityOf(liquid);
  const dry = dryGravityOf(liquid);
  if (sg > now + 1e-9 || sg < dry - 1e-9) {
    throw new CoreError('UNREACHABLE', `fermenting takes this from ${now.toFixed(4)} to ${dry.toFixed(4)} at most, not to ${sg}`, {
      field: 'sg',
      given: sg,
      nowSg: now,
      drySg: dry,
    });
  }
  return fermentFraction(liquid, fermentedFraction(liquid, sg));
}

/**
 * The share of the sugar that must ferment to reach a gravity, without limits at the present gravity: earlier stages are
 * reached by undoing. Solids and alcohol are linear in the share and gravity is quadratic in both, so it is a quadratic,
 * solved in closed form because a long log solves thousands.
 */
function fermentedFraction(liquid: Liquid, sg: number): number {
  const sugarGPerL = fermentableGPerL(liquid);
  if (sugarGPerL <= 0) return 0;
  const solidsGPerL = solidsOf(liquid);
  const abv = abvOf(liquid);
  const solidsLost = liquid.sucroseGPerL + liquid.hexoseGPerL - BYPRODUCT_PER_HEXOSE * sugarGPerL;
  const abvGained = sugarGPerL / HEXOSE_G_PER_L_PER_ABV;
  const square = SG_PER_ABV_SQUARED * abvGained ** 2 - SG_PER_SOLIDS_SQUARED * solidsLost ** 2;
  const slope = solidsLost * (2 * SG_PER_SOLIDS_SQUARED * solidsGPerL - SG_PER_SOLIDS) + abvGained * (2 * SG_PER_ABV_SQUARED * abv - SG_PER_ABV);
  const gap = gravityFromParts(solidsGPerL, abv) - sg;
  const root = Math.sqrt(Math.max(0, slope ** 2 - 4 * square * gap));
  // Gravity falls with fermentation, so the slope is below zero and this form loses no digits when the square is tiny.
  const fraction = (2 * gap) / (root - slope);
  const least = -liquid.ethanolGPerL / (ETHANOL_PER_HEXOSE * sugarGPerL);
  return Math.min(1, Math.max(least, fraction));
}

/**
 * The liquid brought to agree with a gravity reading taken while it ferments. The reading may lie a little above an
 * earlier one, since readings are rough. Below bone dry, there was less unfermentable matter than assumed.
 *
 * @param liquid - as last known
 * @param sg - a corrected reading
 * @returns a liquid whose gravity is the reading, whenever one exists
 */
export function agreeWithReading(liquid: Liquid, sg: number): Liquid {
  inRange('sg', sg, LIMITS.sg);
  const moved = fermentFraction(liquid, fermentedFraction(liquid, sg));
  const gap = gravityOf(moved) - sg;
  if (Math.abs(gap) < 1e-6) return moved;
  // Alcohol and sugar are now at an end of their range: the rest of the difference is unfermentable matter misjudged.
  const others = findRoot({
    f: (otherSolidsGPerL) => gravityOf({ ...moved, otherSolidsGPerL }) - sg,
    lo: moved.otherSolidsGPerL - 400,
    hi: moved.otherSolidsGPerL + 900,
    tolerance: 1e-7,
  });
  return { ...moved, otherSolidsGPerL: others };
}

/**
 * The unfermented liquid brought to agree with a gravity reading: the sugar was more or less than thought.
 *
 * @param liquid - as last known, before yeast
 * @param sg - a corrected reading
 * @returns a liquid with the same acids and that gravity
 * @throws {CoreError} UNREACHABLE when the gravity is too low to hold its acids and other matter
 */
export function agreeWithMustReading(liquid: Liquid, sg: number): Liquid {
  inRange('sg', sg, LIMITS.sg);
  const sugar = liquid.sucroseGPerL + liquid.hexoseGPerL;
  const sucroseFraction = sugar > 0 ? liquid.sucroseGPerL / sugar : 0;
  const withSugar = (sugarGPerL: number): Liquid => ({
    ...liquid,
    sucroseGPerL: sugarGPerL * sucroseFraction,
    hexoseGPerL: sugarGPerL * (1 - sucroseFraction),
  });
  return withSugar(findRoot({ f: (s) => gravityOf(withSugar(s)) - sg, lo: 0, hi: 1200, tolerance: 1e-7 }));
}
