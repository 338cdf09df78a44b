import { phCautions } from '../../base/cautions/ph-cautions.js';
import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { addAcid, addCarbonate, addTannin, type CarbonateId } from '../../matter/liquid/add-acid.js';
import { phOf, taOf, type AcidId } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { figure } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';

/** An addition weighed out, with what it does. */
export interface WeighedAddition {
  readonly massG: number;
  readonly liquid: Liquid;
  readonly taBeforeGPerL: number;
  readonly taAfterGPerL: number;
  readonly phBefore: number;
  readonly phAfter: number;
}

/** Most that is ever added in one go, g/L. @source usual practice: more than this is a different drink */
const MOST_G_PER_L = 20;

interface Search {
  readonly liquid: Liquid;
  readonly add: (massG: number) => Liquid;
  /** What is to reach the target. */
  readonly view: (liquid: Liquid) => number;
  readonly target: number;
  readonly field: string;
  readonly substance: string;
}

function massFor({ liquid, add, view, target, field, substance }: Search): number {
  const now = view(liquid);
  if (Math.abs(now - target) < 1e-9) return 0;
  const mostG = MOST_G_PER_L * liquid.volumeL;
  const reached = view(add(mostG));
  if ((target - now) * (target - reached) > 0) {
    throw new CoreError('UNREACHABLE', `${substance} takes this from ${now.toFixed(2)} towards ${reached.toFixed(2)}, not to ${target}`, {
      field,
      given: target,
      now,
      most: reached,
    });
  }
  return findRoot({ f: (m) => view(add(m)) - target, lo: 0, hi: mostG, tolerance: 1e-6 });
}

function weighed(liquid: Liquid, massG: number, after: Liquid, how: string, source: string): Worked<WeighedAddition> {
  const value = { massG, liquid: after, taBeforeGPerL: taOf(liquid), taAfterGPerL: taOf(after), phBefore: phOf(liquid), phAfter: phOf(after) };
  return worked(
    value,
    [
      {
        label: 'To weigh out',
        expression: `${figure(massG / liquid.volumeL, 2)} g/L × ${figure(liquid.volumeL, 1)} L ${how}`,
        result: `${figure(massG, 1)} g`,
        source,
      },
      {
        label: 'Acidity',
        expression: `from ${figure(value.taBeforeGPerL, 2)} g/L`,
        result: `${figure(value.taAfterGPerL, 2)} g/L as malic`,
        source: 'titration to pH 8.1',
      },
      { label: 'pH', expression: `from ${figure(value.phBefore, 2)}`, result: figure(value.phAfter, 2), source: 'charge balance' },
    ],
    phCautions(value.phAfter),
  );
}

/**
 * Acid that brings a liquid to an acidity, or down to a pH.
 *
 * @param input - the liquid (more than 0 L), one target (g/L as malic, or pH) and which acid
 * @returns grams, with acidity and pH before and after; a caution below pH 3.0 or above 3.8
 * @throws {CoreError} UNREACHABLE when acid leads the other way or more than 20 g/L would be needed; OUT_OF_RANGE
 * @source charge balance of the acids, pKa at 25 °C
 */
export function acidForTarget(input: {
  readonly liquid: Liquid;
  readonly targetTaGPerL?: number | undefined;
  readonly targetPh?: number | undefined;
  readonly acid: AcidId;
}): Worked<WeighedAddition> {
  const { liquid, acid, targetTaGPerL, targetPh } = input;
  const add = (massG: number): Liquid => addAcid(liquid, { acid, massG });
  const massG =
    targetPh === undefined
      ? massFor({
          liquid,
          add,
          view: taOf,
          target: inRange('targetTaGPerL', targetTaGPerL ?? NaN, LIMITS.taGPerL),
          field: 'targetTaGPerL',
          substance: `${acid} acid`,
        })
      : massFor({ liquid, add, view: phOf, target: inRange('targetPh', targetPh, LIMITS.ph), field: 'targetPh', substance: `${acid} acid` });
  return weighed(liquid, massG, add(massG), `of ${acid} acid`, 'charge balance of weak acids');
}

/**
 * Carbonate that takes acid out, down to an acidity or up to a pH.
 *
 * @param input - the liquid (more than 0 L), one target (g/L as malic, or pH) and which carbonate
 * @returns grams, with acidity and pH before and after; a caution above pH 3.8
 * @throws {CoreError} UNREACHABLE when carbonate leads the other way; OUT_OF_RANGE
 * @source charge taken up by each gram: molar masses
 */
export function deacidify(input: {
  readonly liquid: Liquid;
  readonly targetTaGPerL?: number | undefined;
  readonly targetPh?: number | undefined;
  readonly with: CarbonateId;
}): Worked<WeighedAddition> {
  const { liquid, with: carbonate, targetTaGPerL, targetPh } = input;
  const substance = carbonate.replace('-', ' ');
  const add = (massG: number): Liquid => addCarbonate(liquid, { carbonate, massG });
  // More carbonate than there is acid would make the drink alkaline: the search ends at neutral.
  const neutralG = Math.min(MOST_G_PER_L, taOf(liquid)) * liquid.volumeL;
  const view = targetPh === undefined ? taOf : phOf;
  const target = targetPh === undefined ? inRange('targetTaGPerL', targetTaGPerL ?? NaN, LIMITS.taGPerL) : inRange('targetPh', targetPh, LIMITS.ph);
  const now = view(liquid);
  const reached = view(add(neutralG));
  if ((target - now) * (target - reached) > 1e-12) {
    throw new CoreError('UNREACHABLE', `${substance} takes this from ${now.toFixed(2)} towards ${reached.toFixed(2)}, not to ${target}`, {
      field: targetPh === undefined ? 'targetTaGPerL' : 'targetPh',
      given: target,
      now,
      most: reached,
    });
  }
  const massG = Math.abs(now - target) < 1e-9 ? 0 : findRoot({ f: (m) => view(add(m)) - target, lo: 0, hi: neutralG, tolerance: 1e-6 });
  return weighed(liquid, massG, add(massG), `of ${substance}`, 'charge the carbonate takes up');
}

/**
 * Tannin powder that brings a liquid to a tannin.
 *
 * @param input - the liquid (more than 0 L) and the tannin wanted, g/L, at or above its own
 * @returns grams, with the figures before and after
 * @throws {CoreError} UNREACHABLE when it holds more already; OUT_OF_RANGE
 * @source mass balance
 */
export function tanninForTarget(input: { readonly liquid: Liquid; readonly targetTanninGPerL: number }): Worked<WeighedAddition> {
  const { liquid } = input;
  const target = inRange('targetTanninGPerL', input.targetTanninGPerL, { min: 0, max: 6 });
  const massG = massFor({ liquid, add: (m) => addTannin(liquid, m), view: (l) => l.tanninGPerL, target, field: 'targetTanninGPerL', substance: 'tannin' });
  return weighed(liquid, massG, addTannin(liquid, massG), 'of tannin powder', 'mass balance');
}
