import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { addFermentable } from '../../matter/liquid/additions.js';
import { fermentTo } from '../../matter/liquid/ferment-to.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, dryAbvOf, dryGravityOf, gravityOf, solidsOf } from '../../matter/liquid/views.js';
import { findRoot } from '../../base/numeric/find-root.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { worked, type Step, type Worked } from '../../base/worked/worked.js';

/** How much to add and what comes of it. */
export interface SugarAddition {
  readonly fermentableId: string;
  readonly massG: number;
  readonly volumeAfterL: number;
  /** Strength if it ferments dry, % by volume. */
  readonly dryAbv: number;
  readonly dryGravity: number;
  /** Amounts to add one after the other, measuring in between, g. */
  readonly stepsG: readonly number[];
  readonly liquid: Liquid;
}

/** Up to so much sugar goes in at once, and above the second figure in three steps, g/L. @source our estimate: under five points a reading between tells little; more than the second settles before it dissolves */
const STEPS_FROM_G_PER_L = { two: 12, three: 40 } as const;

/** Splits an addition into the steps a maker can dissolve: where it is much, half first, as the usual advice is to measure and then add. */
function inSteps(massG: number, volumeL: number): readonly number[] {
  if (massG <= 0) return [];
  const gPerL = massG / volumeL;
  const count = gPerL > STEPS_FROM_G_PER_L.three ? 3 : gPerL > STEPS_FROM_G_PER_L.two ? 2 : 1;
  return Array.from({ length: count }, () => massG / count);
}

/**
 * Sugar that lifts a liquid to a gravity, counting the volume the sugar itself takes up.
 *
 * @param input - the liquid, the gravity wanted (at or above its own) and which fermentable
 * @returns grams, the volume after, strength if dry and the steps, with the working
 * @throws {CoreError} UNREACHABLE when the target is below the liquid or above what this fermentable can reach; UNKNOWN_ID
 * @source mass balance of solids and volume; fermentables of the reference library
 */
export function sugarForGravity(input: { readonly liquid: Liquid; readonly targetSg: number; readonly fermentableId: string }): Worked<SugarAddition> {
  const { liquid, targetSg, fermentableId } = input;
  inRange('targetSg', targetSg, LIMITS.sg);
  const kind = fermentableById(fermentableId);
  const now = gravityOf(liquid);
  const after = (massG: number): Liquid => addFermentable(liquid, { fermentableId, massG });
  const most = Math.min(LIMITS.massG.max, 3000 * liquid.volumeL);
  if (targetSg < now - 1e-7 || gravityOf(after(most)) < targetSg) {
    throw new CoreError('UNREACHABLE', `${kind.name} takes this from ${now.toFixed(4)} upwards, not to ${targetSg}`, {
      field: 'targetSg',
      given: targetSg,
      nowSg: now,
    });
  }
  const massG = targetSg <= now ? 0 : findRoot({ f: (m) => gravityOf(after(m)) - targetSg, lo: 0, hi: most, tolerance: 1e-4 });
  const sweetened = after(massG);
  const steps: readonly Step[] = [
    {
      label: 'Solids in it now',
      expression: `${figure(liquid.volumeL, 2)} L × ${figure(solidsOf(liquid), 1)} g/L at ${gravityText(now, 4)}`,
      result: `${figure(liquid.volumeL * solidsOf(liquid), 0)} g`,
      source: 'solids of a juice by gravity, fitted to ASBC',
    },
    {
      label: 'Sugar to add',
      expression: `so that solids ÷ (${figure(liquid.volumeL, 2)} L + ${kind.volumeLPerKg} L/kg) gives ${gravityText(targetSg, 4)}`,
      result: `${figure(massG, 0)} g`,
      source: 'mass balance, with the volume the sugar takes up',
    },
    {
      label: 'Volume after',
      expression: `${figure(liquid.volumeL, 2)} L + ${figure(massG / 1000, 3)} kg × ${kind.volumeLPerKg} L/kg`,
      result: `${figure(sweetened.volumeL, 2)} L`,
      source: 'reference library',
    },
    {
      label: 'Strength if it ferments dry',
      expression: `${figure((dryAbvOf(sweetened) - abvOf(sweetened)) * 16.83, 1)} g/L sugar ÷ 16.83 g/L per %`,
      result: `${figure(dryAbvOf(sweetened), 1)} %`,
      source: 'OIV',
    },
  ];
  return worked(
    {
      fermentableId,
      massG,
      volumeAfterL: sweetened.volumeL,
      dryAbv: dryAbvOf(sweetened),
      dryGravity: dryGravityOf(sweetened),
      stepsG: inSteps(massG, liquid.volumeL),
      liquid: sweetened,
    },
    steps,
  );
}

/**
 * The gravity to aim at for a strength: sugar is added until fermenting to the expected end gives that strength.
 *
 * @param input - the juice, the strength wanted (% by volume) and the gravity it should end at; without one, bone dry
 * @returns the gravity to reach before yeast, with the working
 * @throws {CoreError} UNREACHABLE when the juice alone is already stronger
 * @source mass balance, OIV yield of alcohol
 */
export function gravityForAbv(input: {
  readonly liquid: Liquid;
  readonly targetAbv: number;
  readonly expectedFg?: number | undefined;
  readonly fermentableId?: string | undefined;
}): Worked<number> {
  const { liquid, targetAbv, fermentableId = 'sucrose' } = input;
  inRange('targetAbv', targetAbv, LIMITS.abv);
  const reached = (massG: number): number => abvAtEnd(addFermentable(liquid, { fermentableId, massG }), input.expectedFg);
  const alone = reached(0);
  if (targetAbv < alone - 1e-6) {
    throw new CoreError('UNREACHABLE', `this juice alone reaches ${alone.toFixed(1)} %, above the ${targetAbv} % asked for`, {
      field: 'targetAbv',
      given: targetAbv,
      aloneAbv: alone,
    });
  }
  const massG =
    targetAbv <= alone ? 0 : findRoot({ f: (m) => reached(m) - targetAbv, lo: 0, hi: Math.min(LIMITS.massG.max, 1000 * liquid.volumeL), tolerance: 1e-4 });
  const sg = gravityOf(addFermentable(liquid, { fermentableId, massG }));
  return worked(sg, [
    {
      label: 'This juice alone',
      expression: `${figure(alone * 16.83, 1)} g/L of sugar fermented ÷ 16.83 g/L per %`,
      result: `${figure(alone, 1)} %`,
      source: 'OIV',
    },
    {
      label: 'Gravity to aim at',
      expression: `sugar added until ${input.expectedFg === undefined ? 'dry' : gravityText(input.expectedFg)} means ${figure(targetAbv, 1)} %`,
      result: gravityText(sg, 4),
      source: 'mass balance',
    },
  ]);
}

function abvAtEnd(must: Liquid, expectedFg: number | undefined): number {
  const dry = dryGravityOf(must);
  if (expectedFg === undefined || expectedFg <= dry) return dryAbvOf(must);
  return expectedFg >= gravityOf(must) ? abvOf(must) : abvOf(fermentTo(must, expectedFg));
}
