import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { FERMENTABLES, type Fermentable } from '../../base/reference/fermentables-data.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { addFermentable, isIntense } from '../../matter/liquid/additions.js';
import { waterOf, type Liquid } from '../../matter/liquid/liquid.js';
import { gravityOf, sweetnessGPerL } from '../../matter/liquid/views.js';

/** What brings a drink to a sweetness. */
export interface Sweetening {
  readonly massG: number;
  readonly after: Liquid;
}

/** A sweetener is offered where the liquid tastes it as the tables do, within this share. @source estimate: what tasters tell apart */
const TASTES_ALIKE = 0.2;

/** Sweetness of a gram of it, as the liquid counts it, g of sucrose. */
const tastedPerG = (kind: Fermentable): number => {
  const massG = 10;
  const litre = addFermentable(waterOf(1), { fermentableId: kind.id, massG });
  return (sweetnessGPerL(litre) * litre.volumeL) / massG;
};

/** What a drink can be sweetened with: whatever tastes in the sums as it does in the glass. Glucose does not, which the sums hold for the sugar of juice. */
export const SWEETENERS: readonly Fermentable[] = FERMENTABLES.filter((kind) =>
  kind.sweetnessVsSucrose > 10 ? isIntense(kind.id) : Math.abs(tastedPerG(kind) / kind.sweetnessVsSucrose - 1) <= TASTES_ALIKE,
);

/** No drink is made sweeter than this, g/L. @source estimate: twice a dessert wine */
const SWEETEST_G_PER_L = 300;

/**
 * How much of a sweetener brings a drink to a sweetness, its own volume counted.
 *
 * @param input - the drink, which sweetener, and the sweetness wished, as sucrose, 0–300 g/L
 * @returns the mass and the drink with it, with the working
 * @throws {CoreError} UNKNOWN_ID; OUT_OF_RANGE; UNREACHABLE when it is sweeter already, or that sweetener never gets there
 * @source mass balance: m = V (S − S₀) ÷ (r − S v); intense sweeteners level off
 */
export function sweetenFor(input: { readonly liquid: Liquid; readonly sweetenerId: string; readonly targetGPerL: number }): Worked<Sweetening> {
  const { liquid, sweetenerId, targetGPerL } = input;
  inRange('sweetnessGPerL', targetGPerL, { min: 0, max: SWEETEST_G_PER_L });
  const kind = fermentableById(sweetenerId);
  const now = sweetnessGPerL(liquid);
  if (targetGPerL < now - 0.05) {
    throw new CoreError('UNREACHABLE', `it tastes of ${figure(now, 0)} g/L of sugar already`, { field: 'sweetnessGPerL', given: targetGPerL, nowGPerL: now });
  }
  const reached = (massG: number): number => sweetnessGPerL(addFermentable(liquid, { fermentableId: kind.id, massG }));
  const mostG = Math.min(LIMITS.massG.max, 1000 * liquid.volumeL);
  if (reached(mostG) < targetGPerL) {
    throw new CoreError('UNREACHABLE', `${kind.name} alone does not make it that sweet`, { field: 'sweetnessGPerL', given: targetGPerL });
  }
  const massG = targetGPerL <= now ? 0 : findRoot({ f: (m) => reached(m) - targetGPerL, lo: 0, hi: mostG, tolerance: 1e-6 });
  const after = addFermentable(liquid, { fermentableId: kind.id, massG });
  const by = isIntense(kind.id)
    ? `${figure((1000 * massG) / after.volumeL, 0)} mg/L taste of ${figure(targetGPerL - now, 0)} g/L of sugar: twice as much is not twice as sweet`
    : `${figure(liquid.volumeL, 2)} L × (${figure(targetGPerL, 0)} − ${figure(now, 1)}) ÷ (${figure(1000 * tastedPerG(kind), 0)} − ${figure(targetGPerL, 0)} × ${figure(kind.volumeLPerKg, 2)}) kg`;
  return worked({ massG, after }, [
    {
      label: kind.name,
      expression: by,
      result: `${figure(massG, massG < 10 ? 2 : 0)} g`,
      source: 'mass balance; sweetness beside sucrose by sensory tables',
    },
    {
      label: 'It grows by',
      expression: `${figure(massG, 0)} g × ${figure(kind.volumeLPerKg, 2)} mL/g`,
      result: `${figure(1000 * (after.volumeL - liquid.volumeL), 0)} mL`,
      source: 'reference library',
    },
  ]);
}

/**
 * How much of a sweetener brings a drink up to a gravity, as makers who sweeten by the hydrometer ask.
 *
 * @param input - the drink, which sweetener, and the gravity wished, SG
 * @returns the mass and the drink with it, with the working
 * @throws {CoreError} UNKNOWN_ID; OUT_OF_RANGE; UNREACHABLE when it stands there already, or that sweetener hardly moves a gravity
 * @source mass balance
 */
export function sweetenToGravity(input: { readonly liquid: Liquid; readonly sweetenerId: string; readonly targetSg: number }): Worked<Sweetening> {
  const { liquid, sweetenerId } = input;
  const targetSg = inRange('sg', input.targetSg, LIMITS.sg);
  const kind = fermentableById(sweetenerId);
  const now = gravityOf(liquid);
  if (targetSg < now) throw new CoreError('UNREACHABLE', `it stands at ${gravityText(now)} already`, { field: 'sg', given: targetSg, nowSg: now });
  const reached = (massG: number): Liquid => addFermentable(liquid, { fermentableId: kind.id, massG });
  const mostG = Math.min(LIMITS.massG.max, 500 * liquid.volumeL);
  if (isIntense(kind.id) || gravityOf(reached(mostG)) < targetSg) {
    throw new CoreError('UNREACHABLE', `${kind.name} hardly moves a gravity, so it is not dosed by one`, { field: 'sg', given: targetSg });
  }
  const massG = findRoot({ f: (m) => gravityOf(reached(m)) - targetSg, lo: 0, hi: mostG, tolerance: 1e-4 });
  const after = reached(massG);
  return worked({ massG, after }, [
    {
      label: kind.name,
      expression: `from ${gravityText(now)} to ${gravityText(targetSg)} in ${figure(liquid.volumeL, 2)} L`,
      result: `${figure(massG, massG < 10 ? 2 : 0)} g`,
      source: 'mass balance, its own volume counted',
    },
  ]);
}
