import { caution } from '../../base/cautions/catalogue.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { infusedSugarG, infusionById, withInfusion } from './infusions.js';

/** What a steeping in the drink takes. */
export interface InfusionPlan {
  /** Faint, usual and strong for this volume, g. */
  readonly massG: readonly [number, number, number];
  readonly after: Liquid;
  /** Sugar it brings, g in a litre. */
  readonly sugarGPerL: number;
  /** Whether the amount is beyond what is usually called strong, or less than faint. */
  readonly isOdd: 'strong' | 'faint' | null;
}

/**
 * How much of something to steep in a drink, and what it brings.
 *
 * @param input - the drink, what steeps, and how much the maker takes, g; null for the usual
 * @returns the amounts with the working
 * @throws {CoreError} UNKNOWN_ID; OUT_OF_RANGE
 * @source amounts by our estimates; sugar and acid by mass balance
 */
export function infusionPlan(input: { readonly liquid: Liquid; readonly infusionId: string; readonly massG: number | null }): Worked<InfusionPlan> {
  const { liquid } = input;
  const infusion = infusionById(input.infusionId);
  const [faint, usual, strong] = infusion.gPerL.map((gPerL) => gPerL * liquid.volumeL);
  const massG: InfusionPlan['massG'] = [faint ?? 0, usual ?? 0, strong ?? 0];
  const given = inRange('massG', input.massG ?? massG[1], LIMITS.massG);
  const after = withInfusion(liquid, { infusion, massG: given });
  const sugarG = infusedSugarG(infusion, given);
  return worked(
    { massG, after, sugarGPerL: sugarG / liquid.volumeL, isOdd: given > massG[2] * 1.05 ? 'strong' : given < massG[0] * 0.95 ? 'faint' : null },
    [
      {
        label: 'Usual',
        expression: `${figure(infusion.gPerL[1], 2)} g/L × ${figure(liquid.volumeL, 2)} L`,
        result: `${figure(massG[1], massG[1] < 10 ? 1 : 0)} g`,
        source: 'our estimate, to be tasted',
      },
      ...(sugarG > 0
        ? [
            {
              label: 'Sugar it brings',
              expression: `${figure(given, 0)} g × ${figure(infusion.sugarGPerG, 2)}`,
              result: `${figure(sugarG, 0)} g`,
              source: 'food composition tables, all of it counted',
            },
          ]
        : []),
    ],
    infusion.cautions.map((id) => caution(id)),
  );
}
