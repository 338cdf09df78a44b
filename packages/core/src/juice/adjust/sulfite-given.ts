import { caution } from '../../base/cautions/catalogue.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { SO2_MG_PER_UNIT, TOTAL_CAP_MG_PER_L, type SulfiteForm } from './sulfite-dose.js';

/** What an amount that was put in comes to. */
export interface SulfiteGiven {
  /** What it brings, mg/L. */
  readonly so2MgPerL: number;
  /** Everything added so far with it, mg/L. */
  readonly totalMgPerL: number;
}

/**
 * Sulfite from the amount a maker really put in, with the running total.
 *
 * @param input - the form, g of powder or count of tablets, the volume, L, and mg/L added before
 * @returns mg/L from it and in all, with a caution once the total passes what is commonly allowed
 * @throws {CoreError} OUT_OF_RANGE
 * @source as the dose: 57.6 %, 67.4 %, 225 mg a tablet; commonly 200 mg/L in all, local rules differ
 */
export function sulfiteGiven(input: {
  readonly form: SulfiteForm;
  readonly amount: number;
  readonly volumeL: number;
  readonly totalSo2MgPerL: number;
}): Worked<SulfiteGiven> {
  const amount = inRange('amount', input.amount, { min: 0, max: 10_000 });
  const volumeL = inRange('volumeL', input.volumeL, LIMITS.pourL);
  const before = inRange('totalSo2MgPerL', input.totalSo2MgPerL, { min: 0, max: 1000 });
  const each = SO2_MG_PER_UNIT[input.form];
  const so2MgPerL = (amount * each) / volumeL;
  const totalMgPerL = before + so2MgPerL;
  return worked(
    { so2MgPerL, totalMgPerL },
    [
      {
        label: 'Sulfite from it',
        expression: `${figure(amount, 1)} × ${each} mg ÷ ${figure(volumeL, 1)} L`,
        result: `${figure(so2MgPerL, 0)} mg/L`,
        source: 'share of SO₂ in the salt; usual tablet',
      },
      {
        label: 'In all',
        expression: `${figure(before, 0)} + ${figure(so2MgPerL, 0)}`,
        result: `${figure(totalMgPerL, 0)} mg/L`,
        source: `commonly ${TOTAL_CAP_MG_PER_L} mg/L at most; your rules win`,
      },
    ],
    totalMgPerL > TOTAL_CAP_MG_PER_L ? [caution('sulfite-total')] : [],
  );
}

/**
 * How much of a form brings so much sulfite, as `sulfiteGiven` the other way round.
 *
 * @param form - a powder or tablets
 * @param so2MgPerL - mg/L
 * @param volumeL - L
 * @returns g of powder, or a count of tablets
 */
export const sulfiteAmount = (form: SulfiteForm, so2MgPerL: number, volumeL: number): number => (so2MgPerL * volumeL) / SO2_MG_PER_UNIT[form];
