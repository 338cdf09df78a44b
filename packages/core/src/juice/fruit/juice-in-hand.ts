import type { JuiceDoubt } from '../blend/blend-uncertainty.js';
import { taOf, phOf } from '../../matter/liquid/acid-chemistry.js';
import { GUESSED_FIGURES, GUESSED_PH_DOUBT, type GuessedFigure } from '../../matter/liquid/guessed.js';
import { liquidFromReadings, TYPICAL_JUICE } from '../../matter/liquid/liquid-from-readings.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import { fruitById } from '../../base/reference/fruit-library.js';
import type { Juice, Steeping } from './juice.js';
import { steepedLiquid } from './steeped-liquid.js';

/** A figure with where it comes from. */
export interface KnownFigure {
  readonly value: number;
  /** How far it may be off, ±. */
  readonly plusMinus: number;
  /** Measured, reckoned from a recipe, or typical of its kind. */
  readonly source: 'measured' | 'reckoned' | 'typical';
}

/** A juice with what is known of it now. */
export interface JuiceInHand {
  /** With the volume still there. */
  readonly liquid: Liquid;
  readonly leftL: number;
  readonly figures: { readonly [K in keyof JuiceDoubt]: KnownFigure };
  readonly doubt: JuiceDoubt;
}

/** How closely each is measured at home, ±. @source our estimate: a calibrated meter, a 10 mL titration, tannin by taste */
const MEASURED_DOUBT: JuiceDoubt = { sg: 0.001, taGPerL: 0.3, ph: 0.05, tanninGPerL: 0.4 };

/** What a fruit nobody named may differ by, ±. @source spread between the cultivars of the library */
const UNKNOWN_DOUBT: JuiceDoubt = { sg: 0.006, taGPerL: 2, ph: GUESSED_PH_DOUBT, tanninGPerL: 0.6 };
/** SG of a juice that nobody measured. */
export const USUAL_SG = 1.049;

interface Typical {
  readonly value: JuiceDoubt;
  readonly doubt: JuiceDoubt;
  readonly yanMgPerL: number;
  readonly sorbitolGPerL: number;
}

/** How far a steeping may differ from its recipe, ±. @source our estimate: mostly how much the water draws out */
const STEEPED_DOUBT: JuiceDoubt = { sg: 0.006, taGPerL: 1.2, ph: GUESSED_PH_DOUBT, tanninGPerL: 0.5 };

function steepedTypical(juice: Juice, steeping: Steeping): Typical {
  const liquid = steepedLiquid({ ...steeping, fruitId: juice.fruitId });
  const { tanninGPerL, yanMgPerL, sorbitolGPerL } = liquid;
  return { value: { sg: gravityOf(liquid), taGPerL: taOf(liquid), ph: phOf(liquid), tanninGPerL }, doubt: STEEPED_DOUBT, yanMgPerL, sorbitolGPerL };
}

function typicalOf(juice: Juice): Typical {
  if (juice.steeping) return steepedTypical(juice, juice.steeping);
  if (juice.fruitId === null) {
    const usual = TYPICAL_JUICE[juice.fruit];
    return { value: { sg: USUAL_SG, ...usual }, doubt: UNKNOWN_DOUBT, yanMgPerL: usual.yanMgPerL, sorbitolGPerL: usual.sorbitolGPerL };
  }
  const kind = fruitById(juice.fruitId);
  const middle = ([, typical]: readonly [number, number, number]): number => typical;
  const half = ([low, , high]: readonly [number, number, number]): number => (high - low) / 2;
  return {
    value: { sg: middle(kind.sg), taGPerL: middle(kind.taGPerL), ph: middle(kind.ph), tanninGPerL: middle(kind.tanninGPerL) },
    doubt: { sg: half(kind.sg), taGPerL: half(kind.taGPerL), ph: half(kind.ph), tanninGPerL: half(kind.tanninGPerL) },
    yanMgPerL: middle(kind.yanMgPerL),
    sorbitolGPerL: kind.sorbitolGPerL,
  };
}

/**
 * What is known of a juice: measured figures with their honest ±, and typical ones of its kind with their spread where
 * nothing was measured. The two are never mixed up.
 *
 * @param juice - as written down
 * @param pouredL - what has been poured into batches, L, ≥ 0
 * @returns the liquid that is left, each figure with its source, and the doubts
 * @throws {CoreError} OUT_OF_RANGE or UNREACHABLE on impossible figures; UNKNOWN_ID
 * @source the fruit library's low, typical and high figures; measuring errors are our estimates
 */
export function juiceInHand(juice: Juice, pouredL: number): JuiceInHand {
  const typical = typicalOf(juice);
  const corrected = juice.gravity ? correctGravity(juice.gravity, null) : null;
  const leftL = Math.max(0, juice.volumeL - juice.goneL - pouredL);
  const liquid = liquidFromReadings({
    volumeL: leftL,
    sg: corrected?.sg ?? typical.value.sg,
    fruit: juice.fruit,
    taGPerL: juice.taGPerL ?? typical.value.taGPerL,
    ph: juice.ph ?? typical.value.ph,
    tanninGPerL: juice.tanninGPerL ?? typical.value.tanninGPerL,
    yanMgPerL: juice.yanMgPerL ?? typical.yanMgPerL,
    sorbitolGPerL: typical.sorbitolGPerL,
  });
  const figure = (value: number, measured: boolean, ownDoubt: number, typicalDoubt: number): KnownFigure => ({
    value,
    plusMinus: measured ? ownDoubt : typicalDoubt,
    source: measured ? 'measured' : juice.steeping ? 'reckoned' : 'typical',
  });
  const figures = {
    sg: figure(gravityOf(liquid), corrected !== null, corrected?.plusMinus ?? 0, typical.doubt.sg),
    taGPerL: figure(taOf(liquid), juice.taGPerL !== null, MEASURED_DOUBT.taGPerL, typical.doubt.taGPerL),
    ph: figure(phOf(liquid), juice.ph !== null, MEASURED_DOUBT.ph, typical.doubt.ph),
    tanninGPerL: figure(liquid.tanninGPerL, juice.tanninGPerL !== null, MEASURED_DOUBT.tanninGPerL, typical.doubt.tanninGPerL),
  };
  return {
    liquid,
    leftL,
    figures,
    doubt: { sg: figures.sg.plusMinus, taGPerL: figures.taGPerL.plusMinus, ph: figures.ph.plusMinus, tanninGPerL: figures.tanninGPerL.plusMinus },
  };
}

/** Which figures of a juice nobody measured: usual for its kind, or reckoned from a recipe. */
export const guessedOf = ({ figures }: Pick<JuiceInHand, 'figures'>): readonly GuessedFigure[] =>
  GUESSED_FIGURES.filter((figure) => figures[figure].source !== 'measured');

/** Whether the two figures that tell a kind of fruit, acid and tannin, were measured. */
export const isKindMeasured = ({ taGPerL, tanninGPerL }: JuiceInHand['figures']): boolean => taGPerL.source === 'measured' && tanninGPerL.source === 'measured';
