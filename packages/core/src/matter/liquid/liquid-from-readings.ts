import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { solidsFromSg } from '../density/solids.js';
import { acidsFromReadings } from './acid-chemistry.js';
import { mapAmounts, type Fruit, type Liquid } from './liquid.js';

/** What was measured of a juice; whatever was not is taken as usual for its fruit. */
export interface JuiceReadings {
  readonly volumeL: number;
  /** Corrected gravity 20 °C/20 °C, before any fermentation. */
  readonly sg: number;
  /** g/L as malic acid. */
  readonly taGPerL?: number | undefined;
  readonly ph?: number | undefined;
  readonly tanninGPerL?: number | undefined;
  readonly sorbitolGPerL?: number | undefined;
  readonly yanMgPerL?: number | undefined;
  readonly fruit?: Fruit | undefined;
}

/** What a juice holds when nothing was measured. */
export interface TypicalJuice {
  readonly taGPerL: number;
  readonly ph: number;
  readonly tanninGPerL: number;
  readonly sorbitolGPerL: number;
  readonly yanMgPerL: number;
  /** Share of the sugar that is sucrose. */
  readonly sucroseFraction: number;
}

/** @source the reference library's bought juices: clear apple, pear from concentrate, white grape */
export const TYPICAL_JUICE: Readonly<Record<Fruit, TypicalJuice>> = Object.freeze({
  apple: { taGPerL: 5.4, ph: 3.55, tanninGPerL: 0.3, sorbitolGPerL: 5, yanMgPerL: 60, sucroseFraction: 0.2 },
  pear: { taGPerL: 2.6, ph: 4.1, tanninGPerL: 0.2, sorbitolGPerL: 18, yanMgPerL: 45, sucroseFraction: 0.1 },
  other: { taGPerL: 5, ph: 3.35, tanninGPerL: 0.3, sorbitolGPerL: 0, yanMgPerL: 100, sucroseFraction: 0 },
});

/** Minerals, pectin and the rest that neither ferment nor taste. @source our estimate from the composition of apple juice, 4–6 g/L */
export const OTHER_MATTER_G_PER_L = 5;

/**
 * A liquid that agrees with what was measured of an unfermented juice. Of the dissolved solids, acid, tannin,
 * sorbitol and 5 g/L of other matter do not ferment; the rest is sugar.
 *
 * @param readings - volume and gravity, and what else was measured
 * @returns the liquid
 * @throws {CoreError} OUT_OF_RANGE on impossible figures; UNREACHABLE when the gravity is too low to hold that much acid and sorbitol
 * @source mass balance; a fifth of apple sugar is sucrose, a tenth of pear sugar
 */
export function liquidFromReadings(readings: JuiceReadings): Liquid {
  const fruit = readings.fruit ?? 'apple';
  const usual = TYPICAL_JUICE[fruit];
  const volumeL = inRange('volumeL', readings.volumeL, LIMITS.volumeL);
  const solids = solidsFromSg(readings.sg);
  const taGPerL = inRange('taGPerL', readings.taGPerL ?? usual.taGPerL, LIMITS.taGPerL);
  const ph = inRange('ph', readings.ph ?? usual.ph, LIMITS.ph);
  const tanninGPerL = inRange('tanninGPerL', readings.tanninGPerL ?? usual.tanninGPerL, LIMITS.tanninGPerL);
  const sorbitolGPerL = inRange('sorbitolGPerL', readings.sorbitolGPerL ?? usual.sorbitolGPerL, LIMITS.sorbitolGPerL);
  const yanMgPerL = inRange('yanMgPerL', readings.yanMgPerL ?? usual.yanMgPerL, LIMITS.yanMgPerL);
  const otherSolidsGPerL = taGPerL + tanninGPerL + sorbitolGPerL + OTHER_MATTER_G_PER_L;
  const sugarGPerL = solids - otherSolidsGPerL;
  if (sugarGPerL < 0) {
    throw new CoreError('UNREACHABLE', `a gravity of ${readings.sg} is too low to hold ${otherSolidsGPerL.toFixed(1)} g/L of acid, tannin and sorbitol`, {
      field: 'sg',
      given: readings.sg,
      otherSolidsGPerL,
    });
  }
  const amounts = mapAmounts(() => 0);
  return {
    ...amounts,
    volumeL,
    fruit,
    sucroseGPerL: sugarGPerL * usual.sucroseFraction,
    hexoseGPerL: sugarGPerL * (1 - usual.sucroseFraction),
    otherSolidsGPerL,
    ...acidsFromReadings({ ph, taGPerL }),
    tanninGPerL,
    sorbitolGPerL,
    yanMgPerL,
  };
}
