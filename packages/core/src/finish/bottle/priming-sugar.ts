import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { caution } from '../../base/cautions/catalogue.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { CO2_PER_HEXOSE, dryAbvOf, fermentableGPerL } from '../../matter/liquid/views.js';
import { fermentableById, roomLPerKg } from '../../base/reference/fermentables.js';
import { celsius, figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { residualCo2 } from './co2-solubility.js';
import { CO2_G_PER_VOLUME, volumesFromHexose } from './gas-of-sugar.js';

/** Where priming sugar goes in. */
export const PRIMING_MODES = ['bulk', 'per-bottle'] as const;

/** One of them. */
export type PrimingMode = (typeof PRIMING_MODES)[number];

/** What priming depends on. */
export interface PrimingInput {
  readonly liquid: Liquid;
  /** Fizz wanted, volumes, 0–6. */
  readonly targetVolumes: number;
  /** Warmest the drink has been since it stopped, °C. */
  readonly warmestSinceEndC: number;
  readonly fermentableId: string;
  readonly mode: PrimingMode;
  /** Size of one bottle, mL; needed for `per-bottle`. */
  readonly bottleMl?: number;
}

/** How much sugar, and where the fizz comes from. */
export interface Priming {
  /** For each litre before it goes in, g. */
  readonly gPerL: number;
  /** In each litre as it is bottled, of which what went in is a part, g. */
  readonly gPerBottledL: number;
  /** For the whole volume, g. */
  readonly massG: number;
  /** For one bottle, g; null in bulk. */
  readonly perBottleG: number | null;
  readonly residualVolumes: number;
  /** Fizz that sugar still in the drink will make, volumes. */
  readonly fromLeftoverVolumes: number;
  readonly fromPrimingVolumes: number;
  /** Strength the priming adds, % by volume. */
  readonly addsAbv: number;
}

/**
 * The fizz that a dose of sugar makes, for whoever doses by habit: grams, level spoons or drops.
 *
 * @param input - the drink, the warmest it has been since it ended, the sugar and how much of it goes into all of the drink, g
 * @returns volumes in all: what is still in it, what the sugar left in it makes, and what the dose adds
 * @throws {CoreError} UNKNOWN_ID
 * @source the sum of {@link primingSugar}, the other way round
 */
export function fizzFromDose(input: Pick<PrimingInput, 'liquid' | 'warmestSinceEndC' | 'fermentableId'> & { readonly massG: number }): number {
  const { liquid, massG } = input;
  const { co2GPerG } = fermentableById(input.fermentableId);
  const there = residualCo2({ warmestSinceEndC: input.warmestSinceEndC }) + volumesFromHexose(fermentableGPerL(liquid));
  return (there * liquid.volumeL + (massG * co2GPerG) / CO2_G_PER_VOLUME) / (liquid.volumeL + (massG * roomLPerKg(input.fermentableId)) / 1000);
}

/**
 * What goes into one bottle, which it then fills to the same mark.
 *
 * @param priming - of {@link primingSugar}
 * @param bottleMl - mL
 * @returns g
 * @throws {CoreError} OUT_OF_RANGE
 */
export const primingPerBottle = ({ gPerBottledL }: Pick<Priming, 'gPerBottledL'>, bottleMl: number): number =>
  gPerBottledL * (inRange('bottleMl', bottleMl, LIMITS.bottleMl) / 1000);

/**
 * Sugar that brings a finished drink to a level of fizz: the carbon dioxide wanted, less what is still dissolved,
 * less what sugar left in the drink will make by itself.
 *
 * @param input - the drink, the fizz, the warmest it has been since it ended, the sugar and how it goes in
 * @returns grams in bulk and per bottle, and the parts of the fizz, with the working
 * @throws {CoreError} OUT_OF_RANGE; UNREACHABLE when it will be fizzier than asked with no sugar at all; UNKNOWN_ID
 * @source sucrose gives 0.514 g CO₂/g, hexose 0.489; 1.9768 g per volume
 */
export function primingSugar(input: PrimingInput): Worked<Priming> {
  const { liquid, fermentableId, mode } = input;
  const targetVolumes = inRange('targetVolumes', input.targetVolumes, LIMITS.fizzVolumes);
  const kind = fermentableById(fermentableId);
  if (kind.co2GPerG <= 0) {
    throw new CoreError('NOT_ALLOWED', `${kind.name} does not ferment, so it makes no fizz`, { field: 'fermentableId', given: fermentableId });
  }
  const residualVolumes = residualCo2({ warmestSinceEndC: input.warmestSinceEndC });
  const fromLeftoverVolumes = volumesFromHexose(fermentableGPerL(liquid));
  const missing = targetVolumes - residualVolumes - fromLeftoverVolumes;
  if (missing < -1e-9) {
    throw new CoreError('UNREACHABLE', `it will reach ${figure(residualVolumes + fromLeftoverVolumes, 1)} volumes with no sugar added`, {
      field: 'targetVolumes',
      given: targetVolumes,
      withoutSugarVolumes: residualVolumes + fromLeftoverVolumes,
    });
  }
  const takenUpGPerG = (targetVolumes * CO2_G_PER_VOLUME * roomLPerKg(fermentableId)) / 1000;
  const gPerL = Math.max(0, missing * CO2_G_PER_VOLUME) / (kind.co2GPerG - takenUpGPerG);
  const massG = gPerL * liquid.volumeL;
  const primed = massG > 0 ? addFermentable(liquid, { fermentableId, massG }) : liquid;
  const gPerBottledL = gPerL / (1 + (gPerL * roomLPerKg(fermentableId)) / 1000);
  const perBottleG = mode === 'per-bottle' ? primingPerBottle({ gPerBottledL }, input.bottleMl ?? NaN) : null;
  return worked(
    {
      gPerL,
      gPerBottledL,
      massG,
      perBottleG,
      residualVolumes,
      fromLeftoverVolumes,
      fromPrimingVolumes: Math.max(0, missing),
      addsAbv: dryAbvOf(primed) - dryAbvOf(liquid),
    },
    [
      {
        label: 'Fizz still in it',
        expression: `what cider holds at ${celsius(input.warmestSinceEndC)} under the open air`,
        result: `${figure(residualVolumes, 2)} volumes`,
        source: '0.95 × CO₂ in water, handbook tables',
      },
      {
        label: 'Fizz from sugar left in it',
        expression: `${figure(fermentableGPerL(liquid), 1)} g/L × ${CO2_PER_HEXOSE} ÷ ${CO2_G_PER_VOLUME}`,
        result: `${figure(fromLeftoverVolumes, 2)} volumes`,
        source: 'mass balance',
      },
      {
        label: 'Sugar to add',
        expression: `(${figure(targetVolumes, 2)} − ${figure(residualVolumes, 2)} − ${figure(fromLeftoverVolumes, 2)}) × ${CO2_G_PER_VOLUME} ÷ ${takenUpGPerG > 0 ? `(${kind.co2GPerG} − ${figure(takenUpGPerG, 4)})` : kind.co2GPerG}`,
        result: `${figure(gPerL, 2)} g/L`,
        source: `CO₂ of this sugar by molar mass${takenUpGPerG > 0 ? ', less the fizz of the room it takes up' : ''}`,
      },
      {
        label: 'For the whole of it',
        expression: `${figure(gPerL, 2)} g/L × ${figure(liquid.volumeL, 2)} L`,
        result: `${figure(massG, 0)} g`,
        source: 'weigh it: a heaped spoon is a gram out either way',
      },
    ],
    [caution('burst-glass'), caution('scald')],
  );
}
