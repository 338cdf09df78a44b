import { acidForTarget } from '../adjust/acid-for-target.js';
import { sugarForGravity, type SugarAddition } from '../adjust/sugar-for-gravity.js';
import { caution } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import { phCautions } from '../../base/cautions/ph-cautions.js';
import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import { taOf, phOf } from '../../matter/liquid/acid-chemistry.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { gravityOf } from '../../matter/liquid/views.js';
import { ACID_EQUIVALENT_G } from '../../matter/measure/acidity.js';
import { countText } from '../../matter/quantity/count-text.js';
import { daysBetween } from '../../matter/quantity/days.js';
import { figure, gravityText, kilosText, litresText } from '../../base/worked/figures.js';
import { worked, type Worked } from '../../base/worked/worked.js';
import { DRAWN, HOURS_BETWEEN_STIRS, JUICE_L_PER_KG, lostInPulpL, pulpL, type WeighedSugar } from './pulp.js';
import { drawnJuice, steepedLiquid } from './steeped-liquid.js';

/** What is to be steeped, for how much. */
export interface SteepInput {
  /** Strained must wanted, L, 1–200. */
  readonly volumeL: number;
  readonly fruitKg: number;
  /** A cultivar of the library, or null for a garden mix. */
  readonly fruitId: string | null;
  /** Null puts in no sugar beside the maker's own. */
  readonly targetSg: number | null;
  /** g/L as malic; null puts in no acid beside the maker's own. */
  readonly targetTaGPerL: number | null;
  /** Citric acid the maker puts in whatever the sums say, as lemons bring it, g. */
  readonly ownAcidG?: number;
  /** Cups of strong tea, for tannin. */
  readonly teaCups: number;
  /** Raisins or sultanas, for body, g. */
  readonly driedFruitG: number;
  /** Sugar that goes in whatever the sums say, such as a dark one for its taste; white makes up the rest. */
  readonly otherSugars?: readonly WeighedSugar[];
  readonly hot: boolean;
  /** Loose in the bucket, where it rises to a cap, and not in a bag. */
  readonly loose?: boolean;
}

/** A recipe for steeping, with what it should come to. */
export interface SteepPlan {
  readonly waterL: number;
  readonly sugarG: number;
  /** Citric acid, as lemons bring it, g. */
  readonly acidG: number;
  readonly days: number;
  /** Room it all takes in the bucket, pulp and water, L. */
  readonly bucketL: number;
  /** What the strained must should be, about. */
  readonly liquid: Liquid;
  readonly steps: readonly string[];
}

/** Acidity closer than this is met. @source far under what a titration can tell */
const ACID_CLOSE_G_PER_L = 1e-4;
/** Yeast works badly under this. @source usual practice, as in the pH cautions */
const SOUR_PH = 3;
const MOST_TURNS = 12;
const DAYS = { hot: 4, cold: 6 } as const;

/**
 * Steeping chopped fruit in water instead of pressing it: how much water, sugar and acid for the volume and gravity
 * wanted, and what the strained must should be. Everything is about; it is measured when strained.
 *
 * @param input - volume, fruit, targets and what goes in for body
 * @returns a recipe with its steps and the must to expect
 * @throws {CoreError} OUT_OF_RANGE; UNREACHABLE when the fruit alone passes the gravity, or gives more juice than the volume
 * @source mass balance over the fruit library's figures; what is drawn out are our estimates
 */
export function steepPlan(input: SteepInput): Worked<SteepPlan> {
  const volumeL = inRange('volumeL', input.volumeL, { min: 1, max: 200 });
  const fruitKg = inRange('fruitKg', input.fruitKg, LIMITS.steepedKg);
  inRange('driedFruitG', input.driedFruitG, LIMITS.driedFruitG);
  inRange('teaCups', input.teaCups, LIMITS.teaCups);
  const manner = input.hot ? 'hot' : 'cold';
  const drawnL = fruitKg * JUICE_L_PER_KG * DRAWN[manner];
  if (drawnL > volumeL) {
    throw new CoreError(
      'UNREACHABLE',
      `${fruitKg} kg give about ${drawnL.toFixed(1)} L of juice by themselves, more than ${volumeL} L: press it, or steep less`,
      { field: 'fruitKg', given: fruitKg, drawnL },
    );
  }
  const juice = drawnJuice(input);
  const { waterL, sugarG, sugarSteps, acidG, liquid } = recipe(input, volumeL);
  const plan: SteepPlan = {
    waterL,
    sugarG,
    acidG,
    days: DAYS[manner],
    bucketL: liquid.volumeL + pulpL(input),
    liquid,
    steps: stepsOf(input, { waterL, acidG, liquid }, DAYS[manner]),
  };
  return worked(
    plan,
    [
      {
        label: 'Juice drawn from the fruit',
        expression: `${figure(fruitKg, 1)} kg × ${JUICE_L_PER_KG} L/kg × ${DRAWN[manner]} drawn ${manner}`,
        result: `about ${figure(drawnL, 1)} L at ${gravityText(gravityOf(juice))}`,
        source: 'fruit library; share drawn is our estimate',
      },
      ...sugarSteps,
      {
        label: 'The must to expect',
        expression: 'fruit, water and what was added together',
        result: `about ${gravityText(gravityOf(liquid))}, acid ${figure(taOf(liquid), 1)} g/L, pH ${figure(phOf(liquid), 2)}`,
        source: 'mass and charge balance',
      },
    ],
    [caution('rot'), caution('pips'), ...(input.hot ? [caution('scald')] : []), ...sourCautions(phOf(liquid), acidG)],
  );
}

/** What a recipe is settled to. */
interface Recipe extends Pick<SteepPlan, 'waterL' | 'sugarG' | 'acidG' | 'liquid'> {
  readonly sugarSteps: Worked<unknown>['steps'];
}

/**
 * Sugar takes room that water then does not, acid has weight, and both shift the gravity: they are settled in turns, so that
 * what is printed is what comes to the volume, the gravity and the acid wanted.
 */
function recipe(input: SteepInput, volumeL: number): Recipe {
  const { targetSg, targetTaGPerL, fruitKg, ownAcidG = 0 } = input;
  const mustOf = (waterL: number, acidG: number): Liquid => steepedLiquid({ ...input, waterL, sugarG: 0, acidG });
  const sweetened = (must: Liquid): Worked<SugarAddition> | null =>
    targetSg === null ? null : sugarForGravity({ liquid: must, targetSg, fermentableId: 'sucrose' });
  let acidG = ownAcidG;
  let waterL = Math.max(0, volumeL - mustOf(lostInPulpL(fruitKg), acidG).volumeL) + lostInPulpL(fruitKg);
  let sugar = sweetened(mustOf(waterL, acidG));
  for (let turn = 0; turn < MOST_TURNS; turn += 1) {
    const liquid = sugar?.value.liquid ?? mustOf(waterL, acidG);
    if (targetTaGPerL !== null) {
      const short = targetTaGPerL - taOf(liquid);
      if (short > ACID_CLOSE_G_PER_L) acidG += acidForTarget({ liquid, targetTaGPerL, acid: 'citric' }).value.massG;
      else acidG = Math.max(ownAcidG, acidG + (short * liquid.volumeL * ACID_EQUIVALENT_G.citric) / ACID_EQUIVALENT_G.malic);
    }
    waterL = Math.max(lostInPulpL(fruitKg), waterL - (liquid.volumeL - volumeL));
    sugar = sweetened(mustOf(waterL, acidG));
  }
  const sugarG = sugar?.value.massG ?? 0;
  return { waterL, sugarG, sugarSteps: sugar?.steps ?? [], acidG, liquid: steepedLiquid({ ...input, waterL, sugarG, acidG }) };
}

/** Where the recipe itself adds the acid, too sour a must wants a smaller aim, not carbonate after acid. */
function sourCautions(ph: number, acidG: number): readonly Caution[] {
  return acidG > 0 ? phCautions(ph).filter((c) => c.id !== 'ph-low') : phCautions(ph);
}

function stepsOf(
  { fruitKg, hot, loose = false }: SteepInput,
  { waterL, acidG, liquid }: Pick<SteepPlan, 'waterL' | 'acidG' | 'liquid'>,
  days: number,
): readonly string[] {
  return [
    `Wash, sort and chop ${kilosText(fruitKg)} small; leave the pips whole. ${loose ? 'Into' : 'Into a straining bag, in'} a clean bucket.`,
    hot
      ? `Pour ${litresText(waterL)} of water just off the boil over it, with the sugar stirred in. Never into glass. Cover, and let it cool.`
      : `Dissolve the sugar in ${litresText(waterL)} of cool water with the sulfite the juice would get, and pour it over.`,
    ...(phOf(liquid) < SOUR_PH && acidG > 0 ? [`That much acid makes it as sour as pH ${figure(phOf(liquid), 1)}, where yeast struggles: aim lower.`] : []),
    'When it is below 25 °C: the acid, the tea, the pectic enzyme, and the yeast if it is to work on the pulp. Never the enzyme while it is hot.',
    `${loose ? 'Stir the cap of fruit under' : 'Push the bag under'} twice a day for ${countText(days, 'day')}, with clean hands. Keep it covered.`,
    `${loose ? 'Pour it through a bag' : 'Lift the bag'}, let it drain, press it lightly or not at all. Measure gravity, and acid if you can.`,
  ];
}

/** What a steeping asks for today. */
export interface SteepJob {
  readonly what: 'stir' | 'strain';
  readonly text: string;
}

/**
 * What a steeping wants now: a stir when the last was eight hours ago or more, straining when its days are over.
 *
 * @param steeping - when it was begun, stirred and strained, and for how many days
 * @param now - ISO 8601
 * @returns the job; null when there is none
 */
export function steepJob(
  steeping: { readonly startedAt: string; readonly days: number; readonly stirredAt: readonly string[]; readonly strainedAt: string | null },
  now: string,
): SteepJob | null {
  if (steeping.strainedAt !== null) return null;
  const gone = daysBetween(steeping.startedAt, now);
  if (gone >= steeping.days) return { what: 'strain', text: `It has steeped its ${countText(steeping.days, 'day')}. Strain it and measure.` };
  const last = [steeping.startedAt, ...steeping.stirredAt].reduce((latest, at) => (at > latest ? at : latest));
  const hours = daysBetween(last, now) * 24;
  return hours >= HOURS_BETWEEN_STIRS ? { what: 'stir', text: 'Push the bag under and stir.' } : null;
}
