import { acidForTarget, deacidify, tanninForTarget } from './acid-for-target.js';
import { waterForGravity } from './dilution.js';
import { bentoniteDose, enzymeDose } from './enzyme-dose.js';
import { nutrientById, nutrientPlan } from './nutrient-plan.js';
import { gravityForAbv, sugarForGravity } from './sugar-for-gravity.js';
import { sulfiteDose, TOTAL_CAP_MG_PER_L, WAIT_BEFORE_YEAST_H } from './sulfite-dose.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Worked } from '../../base/worked/worked.js';
import { sulfiteGiven } from './sulfite-given.js';
import { attempt } from '../../base/errors/attempt.js';
import { phOf, type AcidId } from '../../matter/liquid/acid-chemistry.js';
import { addAcid, addCarbonate, addTannin } from '../../matter/liquid/add-acid.js';
import { addFermentable, addSulfite, addWater } from '../../matter/liquid/additions.js';
import { gravityOf } from '../../matter/liquid/views.js';
import type { AdditionAsk, AdditionId, AdditionOutcome, AdditionPlan } from './addition-types.js';
import { fermentableById } from '../../base/reference/fermentables.js';
import { isOwnFermentable } from '../../base/reference/own-fermentable.js';
import type { Caution } from '../../base/cautions/caution.js';
import { caution } from '../../base/cautions/catalogue.js';

/** g of citric acid in a litre of lemon juice. @source usual composition, 45–60 g/L */
const CITRIC_IN_LEMON_G_PER_L = 50;

const untold = (what: string): AdditionOutcome => ({ kind: 'untold', what });

/**
 * The addition asked for, worked out by the core: how much, what it does, what to mind.
 *
 * @param ask - what, on which liquid, to which target
 * @returns a plan, what is still to be told, or why it cannot be
 */
export function additionPlan(ask: AdditionAsk): AdditionOutcome {
  const missing = missingOf(ask);
  if (missing !== null) return untold(missing);
  const made = attempt(() => PLANNERS[ask.what](ask));
  return made.ok ? { kind: 'plan', plan: made.value } : { kind: 'refused', error: made.error };
}

function missingOf(ask: AdditionAsk): string | null {
  switch (ask.what) {
    case 'sugar':
      return ask.targetSg === null && ask.targetAbv === null && ask.given === null ? 'the strength or gravity wanted' : null;
    case 'water':
      return ask.targetSg === null && ask.given === null ? 'the gravity wanted' : null;
    case 'acid':
    case 'carbonate':
      return ask.targetTaGPerL === null && ask.targetPh === null && ask.given === null ? 'the acidity or pH wanted' : null;
    case 'tannin':
      return ask.targetTanninGPerL === null && ask.given === null ? 'the tannin wanted' : null;
    default:
      return null;
  }
}

type Planner = (ask: AdditionAsk) => AdditionPlan;

/** What a sugar may bring that hurts someone: of one's own things only their packet knows, and what lasts may be a sugar alcohol. */
function broughtAlong(fermentableId: string): readonly Caution[] {
  if (fermentableId === 'lactose') return [caution('allergen')];
  if (!isOwnFermentable(fermentableId)) return [];
  const { extractFraction, fermentableFraction } = fermentableById(fermentableId);
  return fermentableFraction < extractFraction ? [caution('allergen'), caution('xylitol')] : [caution('allergen')];
}

const PLANNERS: Readonly<Record<AdditionId, Planner>> = {
  sugar: (ask) => {
    const { liquid, fermentableId } = ask;
    // What does not ferment makes no strength.
    const byAbv =
      ask.targetAbv === null || fermentableById(fermentableId).kind === 'non-fermentable'
        ? null
        : gravityForAbv({ liquid, targetAbv: ask.targetAbv, fermentableId });
    const targetSg = byAbv?.value ?? ask.targetSg ?? gravityOf(liquid);
    const sugar = sugarForGravity({ liquid, targetSg, fermentableId });
    const massG = ask.given ?? sugar.value.massG;
    return {
      amount: sugar.value.massG,
      unit: 'g',
      of: '',
      advice: [
        'Half of it first, dissolved in some warmed juice, then stir and measure before the rest.',
        ...(isOwnFermentable(fermentableId) ? [fermentableById(fermentableId).caution ?? ''].filter((text) => text !== '') : []),
        ...(sugar.value.stepsG.length > 2 ? [`So much goes in ${sugar.value.stepsG.length} steps, a day apart.`] : []),
      ],
      after: addFermentable(liquid, { fermentableId, massG }),
      steps: [...(byAbv?.steps ?? []), ...sugar.steps],
      cautions: [...sugar.cautions, ...broughtAlong(fermentableId)],
      payload: { what: 'fermentable', fermentableId, massG },
    };
  },
  water: (ask) => {
    const water = ask.targetSg === null ? null : waterForGravity({ liquid: ask.liquid, targetSg: ask.targetSg });
    const volumeL = ask.given ?? water?.value ?? 0;
    return {
      amount: water?.value ?? volumeL,
      unit: 'L',
      of: 'water',
      advice: ['Boiled and cooled, or straight from a tap that does not smell of chlorine.'],
      after: addWater(ask.liquid, volumeL),
      steps: water?.steps ?? [],
      cautions: [],
      payload: { what: 'water', volumeL },
    };
  },
  acid: (ask) => {
    const acid: AcidId = ask.acid === 'lemon' ? 'citric' : ask.acid;
    const target = targetOf(ask);
    const found = target === null ? null : acidForTarget({ liquid: ask.liquid, acid, ...target });
    const lemon = ask.acid === 'lemon';
    const wantedG = found?.value.massG ?? 0;
    const massG = ask.given === null ? wantedG : lemon ? (ask.given / 1000) * CITRIC_IN_LEMON_G_PER_L : ask.given;
    return {
      amount: lemon ? (wantedG / CITRIC_IN_LEMON_G_PER_L) * 1000 : wantedG,
      unit: lemon ? 'mL' : 'g',
      of: lemon ? 'lemon juice' : `${acid} acid`,
      advice: [
        'Half of it first, stirred in, then taste and measure before the rest.',
        ...(lemon ? ['Lemons differ: count on 45 to 60 g of acid in a litre of their juice.'] : []),
      ],
      after: addAcid(ask.liquid, { acid, massG }),
      steps: found?.steps ?? [],
      cautions: found?.cautions ?? [],
      payload: { what: 'acid', acid, massG },
    };
  },
  carbonate: (ask) => {
    const target = targetOf(ask);
    const found = target === null ? null : deacidify({ liquid: ask.liquid, with: ask.carbonate, ...target });
    const massG = ask.given ?? found?.value.massG ?? 0;
    return {
      amount: found?.value.massG ?? massG,
      unit: 'g',
      of: ask.carbonate.replace('-', ' '),
      advice: ['It foams: leave room, add it by spoonfuls, half first.', 'Let it stand a day, then measure again.'],
      after: addCarbonate(ask.liquid, { carbonate: ask.carbonate, massG }),
      steps: found?.steps ?? [],
      cautions: found?.cautions ?? [],
      payload: { what: 'carbonate', carbonate: ask.carbonate, massG },
    };
  },
  tannin: (ask) => {
    const found = ask.targetTanninGPerL === null ? null : tanninForTarget({ liquid: ask.liquid, targetTanninGPerL: ask.targetTanninGPerL });
    const massG = ask.given ?? found?.value.massG ?? 0;
    return {
      amount: found?.value.massG ?? massG,
      unit: 'g',
      of: 'tannin powder',
      advice: ['Half of it first. It tastes harsh for weeks before it rounds.'],
      after: addTannin(ask.liquid, massG),
      steps: found?.steps ?? [],
      cautions: [],
      payload: { what: 'tannin', massG },
    };
  },
  sulfite: (ask) => {
    const { liquid, form } = ask;
    const dose = sulfiteDose({
      ph: phOf(liquid),
      volumeL: liquid.volumeL,
      aim: ask.stage === 'must' ? 'juice' : 'storage',
      form,
      phMeasured: ask.phMeasured,
      freeSo2MgPerL: liquid.freeSo2MgPerL,
      totalSo2MgPerL: liquid.totalSo2MgPerL,
    });
    // What works binds all that is given to it, so nothing is worked out before the end.
    const working = ask.stage === 'working';
    const amount = working ? 0 : form === 'tablet' ? (dose.value.tabletCount ?? 0) : (dose.value.massG ?? 0);
    const given = ask.given === null ? null : sulfiteGiven({ form, amount: ask.given, volumeL: liquid.volumeL, totalSo2MgPerL: liquid.totalSo2MgPerL });
    const so2MgPerL = given?.value.so2MgPerL ?? (working ? 0 : dose.value.so2MgPerL);
    return {
      amount,
      unit: form === 'tablet' ? 'tablets' : 'g',
      of: form === 'tablet' ? 'crushed in a little juice' : form.replace('-', ' '),
      advice: [...sulfiteAdvice(ask.stage, so2MgPerL, liquid.totalSo2MgPerL + so2MgPerL), ...dose.value.notes],
      after: addSulfite(liquid, Math.min(LIMITS.so2MgPerL.max, so2MgPerL)),
      steps: [...dose.steps, ...(given?.steps ?? [])],
      cautions: [...dose.cautions, ...(given?.cautions ?? [])],
      payload: { what: 'sulfite', so2MgPerL },
    };
  },
  enzyme: (ask) => {
    const dose = enzymeDose({
      volumeL: ask.liquid.volumeL,
      tempC: ask.tempC,
      packetGPerL: ask.packetGPerL ?? undefined,
      boiled: ask.boiled,
      bentoniteIn: ask.bentoniteIn,
      sulfitedHoursAgo: ask.sulfitedHoursAgo,
    });
    return stirredIn(ask, 'enzyme', 'pectic enzyme', dose);
  },
  bentonite: (ask) => stirredIn(ask, 'bentonite', 'bentonite', bentoniteDose({ volumeL: ask.liquid.volumeL, packetGPerL: ask.packetGPerL ?? undefined })),
  nutrient: (ask) => {
    const found = nutrientPlan({ liquid: ask.liquid, yeastId: ask.yeastId, product: ask.product, fermentedFraction: ask.fermentedFraction });
    const { name } = nutrientById(ask.product);
    const [first = 0] = found.value.dosesG;
    const massG = ask.given ?? first;
    return {
      amount: first,
      unit: 'g',
      of: found.value.dosesG.length > 1 ? `${name} now, and as much again in three days` : name,
      advice: [found.value.says],
      after: ask.liquid,
      steps: found.steps,
      cautions: [],
      payload: { what: 'nutrient', name, massG },
    };
  },
};

/** What is stirred in by the packet and leaves the sums of the drink as they are. */
function stirredIn(
  { liquid, given }: AdditionAsk,
  what: 'enzyme' | 'bentonite',
  name: string,
  { value, steps, cautions }: Worked<{ readonly massG: number; readonly advice: readonly string[] }>,
): AdditionPlan {
  const payload = { what, name, massG: given ?? value.massG };
  return { amount: value.massG, unit: 'g', of: name, advice: value.advice, after: liquid, steps, cautions, payload };
}

/** What to say of a dose of sulfite, by where the batch stands. */
function sulfiteAdvice(stage: AdditionAsk['stage'], so2MgPerL: number, totalMgPerL: number): readonly string[] {
  const inAll = `${Math.round(totalMgPerL)} mg/L in all, of the ${TOTAL_CAP_MG_PER_L} that is commonly allowed.`;
  if (stage === 'working') return ['It is at work, and yeast binds what it is given now: wait for the end, then sulfite it for keeping.'];
  if (so2MgPerL <= 0) return [stage === 'must' ? 'At this pH the juice keeps itself: none is needed.' : 'It holds enough for keeping.'];
  if (stage === 'must') return [`Then wait ${WAIT_BEFORE_YEAST_H} hours before yeast. ${inAll}`];
  return [`For keeping it, against air and bacteria. ${inAll}`, 'If it is to be primed, leave it out: it makes the bottles slow to fizz.'];
}

/** The one target that counts: a pH, when one is given. */
function targetOf({ targetPh, targetTaGPerL }: AdditionAsk): { readonly targetPh: number } | { readonly targetTaGPerL: number } | null {
  if (targetPh !== null) return { targetPh };
  return targetTaGPerL === null ? null : { targetTaGPerL };
}
