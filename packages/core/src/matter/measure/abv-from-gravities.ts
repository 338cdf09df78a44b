import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { liquidFromReadings } from '../liquid/liquid-from-readings.js';
import { agreeWithReading } from '../liquid/ferment-to.js';
import { abvOf } from '../liquid/views.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** The ways makers reckon strength. */
export const STRENGTH_SCHOOLS = ['mass-balance', 'x131.25', 'x135', 'duty-table'] as const;

/** One of them. */
export type StrengthSchool = (typeof STRENGTH_SCHOOLS)[number];

/** Two gravities and a school. */
export interface StrengthInput {
  readonly originalSg: number;
  readonly currentSg: number;
  readonly school?: StrengthSchool;
}

/** Factor per point of gravity lost, up to each number of points. @source sliding table used for duty on fermented drinks */
const DUTY_FACTORS: readonly (readonly [upToPoints: number, factor: number])[] = [
  [6.9, 0.125],
  [10.4, 0.126],
  [17.2, 0.127],
  [26.1, 0.128],
  [36.0, 0.129],
  [46.5, 0.13],
  [57.1, 0.131],
  [67.9, 0.132],
  [78.8, 0.133],
  [89.7, 0.134],
  [Infinity, 0.135],
];

function dutyFactor(points: number): number {
  return DUTY_FACTORS.find(([upTo]) => points <= upTo)?.[1] ?? 0.135;
}

/**
 * Strength from the gravity before yeast and the gravity now, by the school the maker trusts. Mass balance is the
 * default: it gives about 131 per unit at cider strength and 135 at wine strength, so the fixed factors are right where they speak.
 *
 * @param input - both gravities and the school
 * @returns % by volume with the working
 * @throws {CoreError} OUT_OF_RANGE on impossible gravities or when the gravity has risen
 * @source 1 g hexose → 0.469 g ethanol (16.83 g/L per %, OIV) + 0.04 g other solids; a fifth of the sugar is sucrose
 */
export function abvFromGravities(input: StrengthInput): Worked<number> {
  const { originalSg, currentSg, school = 'mass-balance' } = input;
  inRange('originalSg', originalSg, LIMITS.sg);
  inRange('currentSg', currentSg, LIMITS.sg);
  if (currentSg > originalSg) {
    throw new CoreError('OUT_OF_RANGE', `gravity cannot rise from ${originalSg} to ${currentSg} by fermenting`, {
      field: 'currentSg',
      given: currentSg,
      max: originalSg,
    });
  }
  const points = (originalSg - currentSg) * 1000;
  const line = (expression: string, abv: number, source: string): Worked<number> =>
    worked(abv, [{ label: 'Strength', expression, result: `${figure(abv, 2)} %`, source }]);
  if (school === 'x131.25' || school === 'x135') {
    const factor = school === 'x135' ? 135 : 131.25;
    return line(`(${gravityText(originalSg)} − ${gravityText(currentSg)}) × ${factor}`, (points / 1000) * factor, 'fixed factor');
  }
  if (school === 'duty-table') {
    const factor = dutyFactor(points);
    return line(`${figure(points, 1)} points × ${factor}`, points * factor, 'sliding duty-type table');
  }
  // Sorbitol and acid shift both gravities alike, so usual apple figures serve; a weak solution may hold less than they assume.
  const room = originalSg > 1.012;
  const must = liquidFromReadings({
    volumeL: 1,
    sg: Math.max(originalSg, 1.003),
    ...(room ? {} : { taGPerL: 0.5, tanninGPerL: 0, sorbitolGPerL: 0 }),
    fruit: 'apple',
  });
  const abv = points === 0 ? 0 : abvOf(agreeWithReading(must, currentSg));
  return line(
    `sugar lost between ${gravityText(originalSg)} and ${gravityText(currentSg)}, ÷ 16.83 g/L per %`,
    abv,
    'mass balance: OIV yield of alcohol, 0.04 g other solids per g sugar',
  );
}
