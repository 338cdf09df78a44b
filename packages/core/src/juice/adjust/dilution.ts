import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { taOf } from '../../matter/liquid/acid-chemistry.js';
import { addWater } from '../../matter/liquid/additions.js';
import { blendLiquids } from '../../matter/liquid/blend-liquids.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, gravityOf } from '../../matter/liquid/views.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/**
 * Water that thins a liquid to a gravity.
 *
 * @param input - the liquid and a gravity between plain water and its own
 * @returns litres of water, with what it costs in acid
 * @throws {CoreError} UNREACHABLE when the target is not between 1.000 and the gravity now
 * @source mass balance
 */
export function waterForGravity(input: { readonly liquid: Liquid; readonly targetSg: number }): Worked<number> {
  const { liquid, targetSg } = input;
  inRange('targetSg', targetSg, LIMITS.sg);
  const now = gravityOf(liquid);
  if (!(targetSg > 1 && targetSg <= now)) {
    throw new CoreError('UNREACHABLE', `water takes this from ${now.toFixed(4)} towards 1.000, not to ${targetSg}`, {
      field: 'targetSg',
      given: targetSg,
      nowSg: now,
    });
  }
  const waterL = targetSg === now ? 0 : findRoot({ f: (v) => gravityOf(addWater(liquid, v)) - targetSg, lo: 0, hi: LIMITS.volumeL.max, tolerance: 1e-6 });
  const thinned = addWater(liquid, waterL);
  return worked(waterL, [
    {
      label: 'Water to add',
      expression: `solids shared over more volume until ${gravityText(now)} falls to ${gravityText(targetSg)}`,
      result: `${figure(waterL, 2)} L`,
      source: 'mass balance',
    },
    {
      label: 'What it costs',
      expression: `acid ${figure(taOf(liquid), 1)} × ${figure(liquid.volumeL, 1)} ÷ ${figure(thinned.volumeL, 1)}`,
      result: `${figure(taOf(thinned), 1)} g/L`,
      source: 'mass balance',
    },
  ]);
}

/** A vessel topped up, and the price. */
export interface ToppedUp {
  readonly liquid: Liquid;
  readonly abvBefore: number;
  readonly abvAfter: number;
  readonly taBeforeGPerL: number;
  readonly taAfterGPerL: number;
}

/**
 * A vessel topped up with another liquid, and what that does to strength and acid.
 *
 * @param input - the liquid, what is added (its own volume is ignored) and how much of it, L
 * @returns the liquid after and both figures before and after, with the working
 * @throws {CoreError} OUT_OF_RANGE
 * @source mass balance
 */
export function topUp(input: { readonly liquid: Liquid; readonly withLiquid: Liquid; readonly volumeL: number }): Worked<ToppedUp> {
  const { liquid, withLiquid } = input;
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.volumeL);
  const after = volumeL === 0 ? liquid : { ...blendLiquids([liquid, { ...withLiquid, volumeL }]), fruit: liquid.fruit };
  return worked({ liquid: after, abvBefore: abvOf(liquid), abvAfter: abvOf(after), taBeforeGPerL: taOf(liquid), taAfterGPerL: taOf(after) }, [
    {
      label: 'Strength',
      expression: `(${figure(liquid.volumeL, 1)} L × ${figure(abvOf(liquid), 1)} % + ${figure(volumeL, 1)} L × ${figure(abvOf(withLiquid), 1)} %) ÷ ${figure(after.volumeL, 1)} L`,
      result: `${figure(abvOf(after), 1)} %`,
      source: 'mass balance',
    },
  ]);
}

/** What topping up did, such as `6.8 to 6.5 %, acid 6.0 to 5.7 g/L`. */
export function topUpCost({ abvBefore, abvAfter, taBeforeGPerL, taAfterGPerL }: ToppedUp): string {
  return `${figure(abvBefore, 1)} to ${figure(abvAfter, 1)} %, acid ${figure(taBeforeGPerL, 1)} to ${figure(taAfterGPerL, 1)} g/L`;
}
