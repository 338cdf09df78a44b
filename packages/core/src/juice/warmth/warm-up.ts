import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { caution } from '../../base/cautions/catalogue.js';
import { celsius, litresText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** As hot as juice is made in the pan: hotter it loses its scent, and its pectin sets to a haze. @source our estimate, from the usual advice */
export const PAN_C = 60;

/** Part of a juice heated, so that all of it comes to a warmth. */
export interface WarmUp {
  /** L to heat. */
  readonly heatL: number;
  /** °C to heat it to. */
  readonly panC: number;
}

/**
 * How much of a juice to heat, and how hot, so that the whole comes to a warmth.
 *
 * @param input - all of it, L; how warm it is and should become, °C; how hot the pan is made, °C
 * @returns the part to heat
 * @throws {CoreError} OUT_OF_RANGE; UNREACHABLE when it is as warm already, or the pan is no hotter than what is wanted
 * @source heat balance, as `mixedWarmth`; vessel and air take a little more
 */
export function warmUp(input: { readonly volumeL: number; readonly isC: number; readonly wantedC: number; readonly panC?: number }): Worked<WarmUp> {
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.pourL);
  const [isC, wantedC, panC] = [input.isC, input.wantedC, input.panC ?? PAN_C].map((c) => inRange('tempC', c, LIMITS.sampleC)) as [number, number, number];
  if (wantedC <= isC) throw new CoreError('UNREACHABLE', `it is at ${celsius(isC)} already`, { isC, wantedC });
  if (panC <= wantedC) throw new CoreError('UNREACHABLE', `a pan at ${celsius(panC)} warms nothing to ${celsius(wantedC)}`, { panC, wantedC });
  const heatL = (volumeL * (wantedC - isC)) / (panC - isC);
  return worked(
    { heatL, panC },
    [
      {
        label: 'To heat',
        expression: `${litresText(volumeL)} × (${celsius(wantedC)} − ${celsius(isC)}) ÷ (${celsius(panC)} − ${celsius(isC)})`,
        result: litresText(heatL),
        source: 'heat balance; the vessel and the air take a little more',
      },
    ],
    [caution('hot-juice')],
  );
}
