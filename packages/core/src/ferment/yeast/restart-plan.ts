import { caution } from '../../base/cautions/catalogue.js';
import { CoreError } from '../../base/errors/core-error.js';
import { inRange } from '../../base/errors/guards.js';
import { LIMITS } from '../../base/errors/limits.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, brixOf, fermentableGPerL, gravityOf } from '../../matter/liquid/views.js';
import { usualToleranceAbv, yeastById } from '../../base/reference/yeast-kinds.js';
import { celsius, figure, gravityText, litresText } from '../../base/worked/figures.js';
import { worked, type Step, type Worked } from '../../base/worked/worked.js';
import { DAY_MIN, REHYDRATE_C, WATER_ML_PER_G, type PitchStep } from './pitch-steps.js';
import { UNDER_TOLERANCE_ABV } from '../verdict/judge-facts.js';
import { pitchRate } from './pitch-rate.js';
import { countText } from '../../matter/quantity/count-text.js';

/** Why it may have stopped, most telling first. */
export interface StuckCause {
  readonly id: 'cold' | 'chilled' | 'limit' | 'hungry' | 'sulfite' | 'unknown';
  readonly text: string;
}

/** The restart of a stuck ferment. */
export interface RestartPlan {
  readonly causes: readonly StuckCause[];
  /** What costs nothing, to be tried first. */
  readonly gentle: readonly PitchStep[];
  /** The new yeast by a starter that learns to live in it. */
  readonly starter: readonly PitchStep[];
  /** The kind to restart with, and how much of it. */
  readonly yeastId: string;
  readonly massG: number;
  /** Room the vessel must leave for foam when the starter goes in, L. */
  readonly foamRoomL: number;
  /** Water that would bring the strength back under what the first yeast stands, L; null when strength is not the trouble. */
  readonly diluteL: number | null;
  /** What to do when it is to stay as it is. */
  readonly accept: string;
}

/** What a plan rests on. */
export interface RestartInput {
  /** What is in the vessel now. */
  readonly liquid: Liquid;
  /** The kind that stopped. */
  readonly yeastId: string;
  /** Where it stands, °C; null when nobody looked. */
  readonly tempC: number | null;
  /** The warmest it has stood since the yeast went in, °C; null when nobody looked. */
  readonly warmestC: number | null;
}

const RESTART_KIND = 'restart';
const MIN_PER_H = 60;
/** Share of the batch the starter should come to before it goes in. @source craft practice: a tenth to a fifth */
const STARTER_SHARE = 0.12;
/** Hours between two doublings: until it foams again. @source craft practice, 4–8 hours */
const DOUBLING_H = 6;
const GENTLE_DAYS = 5;
/** Strength is brought this far under what the yeast stands by watering, % by volume. @source our estimate */
const UNDER_LIMIT_ABV = 2;
/** Free sulfite at which yeast struggles, mg/L. @source usual practice: well under 30 at pitching */
const STRONG_SO2_MG_PER_L = 30;
/** Share of the vessel left empty when a starter wakes a gassy drink, as the caution beside it says. @source usual practice: foam-over on stirring or feeding */
const FOAM_SHARE = 1 / 6;
/** Fall of warmth that puts working yeast to sleep, °C. @source craft practice: a few degrees within days */
const CHILL_C = 4;
const LEAST_SUGAR_G_PER_L = 3;
/** Yeast food for the starter beside its yeast, by weight. @source usual packet advice */
const FOOD_PER_YEAST = 0.25;

/**
 * How to set a stuck ferment going again, in the order to try it: what is free first, then new yeast by a starter that
 * is doubled with the stuck drink until it lives in it.
 *
 * @param input - the drink as it stands, the kind that stopped and how warm it is
 * @returns causes, timed steps with amounts for this volume, and the ways out, with cautions
 * @throws {CoreError} NOT_ALLOWED when there is no sugar left to ferment; OUT_OF_RANGE; UNKNOWN_ID
 * @source craft practice: warm, rouse, feed, acclimatised starter; amounts from usual packet rates
 */
export function restartPlan(input: RestartInput): Worked<RestartPlan> {
  const { liquid } = input;
  const yeast = yeastById(input.yeastId);
  const volumeL = inRange('volumeL', liquid.volumeL, LIMITS.batchL);
  if (input.tempC !== null) inRange('tempC', input.tempC, LIMITS.tempC);
  if (input.warmestC !== null) inRange('warmestC', input.warmestC, LIMITS.tempC);
  if (fermentableGPerL(liquid) < LEAST_SUGAR_G_PER_L) {
    throw new CoreError('NOT_ALLOWED', `there is no sugar left to ferment at ${gravityText(gravityOf(liquid))}, so nothing is stuck`, {
      sg: gravityOf(liquid),
    });
  }
  const abv = abvOf(liquid);
  const restart = yeastById(RESTART_KIND);
  const { value: rate } = pitchRate({ liquid, yeastId: RESTART_KIND, tempC: restart.tempC[1], purpose: 'restart' });
  const usualAbv = usualToleranceAbv(yeast);
  const nearLimit = abv > usualAbv - UNDER_TOLERANCE_ABV;
  const target = usualAbv - UNDER_LIMIT_ABV;
  const diluteL = nearLimit && target > 0 ? volumeL * Math.max(0, abv / target - 1) : null;
  const { steps: starter, working } = starterSteps(rate.massG, volumeL, restart.tempC);
  const value: RestartPlan = {
    causes: causesOf(input, abv, nearLimit),
    gentle: gentleSteps(yeast.tempC, input.tempC, volumeL),
    starter,
    yeastId: RESTART_KIND,
    massG: rate.massG,
    foamRoomL: volumeL * FOAM_SHARE,
    diluteL,
    accept: `Or keep it sweet at ${gravityText(gravityOf(liquid))}: it can wake at any time, so keep it in the cold, or stabilise it with sulfite and sorbate together, and never seal it in glass as it is.`,
  };
  const steps: readonly Step[] = [
    {
      label: 'New yeast',
      expression: `${figure(rate.gPerL, 2)} g/L × ${figure(volumeL, 1)} L`,
      result: `${figure(rate.massG, 1)} g`,
      source: 'usual rate to restart, 0.4–0.5 g/L',
    },
    ...working,
    {
      label: 'Strength now',
      expression: `${figure(abv, 1)} %, and ${yeast.name} stands ${yeast.toleranceAbv[0]}–${yeast.toleranceAbv[1]} %`,
      result: nearLimit ? 'near its limit' : 'not the trouble',
      source: 'mass balance; tolerance of this kind of yeast',
    },
  ];
  return worked(value, steps, [caution('foam-over'), caution('sealed-ferment')]);
}

function causesOf({ liquid, yeastId, tempC, warmestC }: RestartInput, abv: number, nearLimit: boolean): readonly StuckCause[] {
  const yeast = yeastById(yeastId);
  const causes: StuckCause[] = [];
  if (tempC !== null && tempC < yeast.tempC[1]) {
    causes.push({ id: 'cold', text: `It stands at ${celsius(tempC)}, and this yeast likes ${yeast.tempC[1]} to ${yeast.tempC[2]} °C.` });
  }
  if (tempC !== null && warmestC !== null && warmestC - tempC >= CHILL_C) {
    causes.push({
      id: 'chilled',
      text: `It stood at ${celsius(warmestC)} and is at ${celsius(tempC)} now. Yeast that is chilled while it works drops out.`,
    });
  }
  if (nearLimit)
    causes.push({ id: 'limit', text: `At ${figure(abv, 1)} % it is near what this yeast stands, ${yeast.toleranceAbv[0]} to ${yeast.toleranceAbv[1]} %.` });
  if (liquid.freeSo2MgPerL > STRONG_SO2_MG_PER_L)
    causes.push({ id: 'sulfite', text: `${figure(liquid.freeSo2MgPerL, 0)} mg/L of sulfite are still free in it.` });
  const wanted = (brixOf(liquid) + abv * 1.6) * yeast.nitrogenMgNPerLPerBrix;
  if (liquid.yanMgPerL < wanted / 2) {
    causes.push({
      id: 'hungry',
      text: `The juice had about ${figure(liquid.yanMgPerL, 0)} mg/L of nitrogen, and this yeast wanted about ${figure(wanted, 0)}.`,
    });
  }
  return causes.length > 0
    ? causes
    : [{ id: 'unknown', text: 'Nothing in the log says why. Old yeast, a sudden chill and too little air are the usual reasons.' }];
}

function gentleSteps(tempC: readonly number[], nowC: number | null, volumeL: number): readonly PitchStep[] {
  const [, from = 0, to = 0] = tempC;
  const warm =
    nowC !== null && nowC >= to - 3
      ? `Keep it at ${to - 3} to ${to} °C.`
      : `Move it to ${to - 3} to ${to} °C, by a few degrees a day, wrapped against the night.`;
  return [
    { text: `${warm} It likes ${from} to ${to} °C.`, waitMin: DAY_MIN },
    {
      text: 'Rouse it: stir the lees up gently with a clean spoon or swirl the vessel, no splashing. Loosen the bung first, it will foam.',
      waitMin: 2 * DAY_MIN,
    },
    { text: 'Rouse it once more.', waitMin: (GENTLE_DAYS - 3) * DAY_MIN },
    { text: `Read it. Two points lower or more, and it is going again: leave it. If not, give ${litresText(volumeL)} a new yeast.`, waitMin: 0 },
  ];
}

/** Warm enough that as much juice again cools the rehydrated yeast by less than 8 °C. @source usual packet advice: no jump of 10 °C */
const JUICE_C = 20;

function starterSteps(massG: number, volumeL: number, tempC: readonly number[]): { readonly steps: readonly PitchStep[]; readonly working: readonly Step[] } {
  const waterMl = massG * WATER_ML_PER_G;
  const goalMl = volumeL * STARTER_SHARE * 1000;
  const doublings = Math.max(1, Math.ceil(Math.log2(goalMl / (2 * waterMl))));
  const [, from = 0, to = 0] = tempC;
  const steps: PitchStep[] = [
    {
      text: `Warm ${millilitres(waterMl)} of clean water to ${REHYDRATE_C} °C in a jar that holds ${litres((2 * waterMl * 2 ** doublings) / 1000)} and as much foam. Sprinkle ${figure(massG, 1)} g of restart yeast on it.`,
      waitMin: 15,
    },
    {
      text: `Stir. Add ${millilitres(waterMl)} of fresh apple juice at ${JUICE_C} to ${Math.max(JUICE_C + 4, to)} °C and ${figure(massG * FOOD_PER_YEAST, 1)} g of yeast food.`,
      waitMin: DOUBLING_H * MIN_PER_H,
    },
  ];
  for (let i = 0; i < doublings; i += 1) {
    const ml = 2 * waterMl * 2 ** i;
    steps.push({
      text: `When it foams: double it with ${millilitres(ml)} of the stuck drink, brought to within 5 °C of it.`,
      waitMin: DOUBLING_H * MIN_PER_H * (i === doublings - 1 ? 2 : 1),
    });
  }
  steps.push({
    text: `While it works: pour it into the rest in three goes, ten minutes apart, slowly down the side. Keep it at ${from} to ${to} °C.`,
    waitMin: 0,
  });
  return {
    steps,
    working: [
      {
        label: 'Starter',
        expression: `${millilitres(waterMl)} water, as much juice, doubled ${doublings} ${doublings === 1 ? 'time' : 'times'} with the stuck drink`,
        result: `${litres((2 * waterMl * 2 ** doublings) / 1000)}, at least an eighth of the batch`,
        source: 'craft practice: the yeast learns to live in the alcohol',
      },
    ],
  };
}

/** What nobody measures finer than a jug does. */
const litres = (volumeL: number): string => `${figure(volumeL, 1)} L`;
const millilitres = (ml: number): string => (ml < 1000 ? `${figure(Math.round(ml / 5) * 5, 0)} mL` : litres(ml / 1000));

/** How a restart went. */
export interface RestartOutcome {
  readonly is: 'too-early' | 'going' | 'not-going';
  readonly text: string;
}

/** Fall that shows a restart has taken, SG, and the days to give it. @source craft practice */
const TAKEN_SG = 0.002;
const GIVE_DAYS = 4;

/**
 * Whether a restart has taken, from the readings since.
 *
 * @param before - gravity when the new yeast went in
 * @param since - later readings: days since then, and gravity, in order
 * @returns a sentence with what to do next
 * @source two points show more than two readings' roughness; a few days are given for the new yeast to settle in
 */
export function restartOutcome(before: number, since: readonly { readonly days: number; readonly sg: number }[]): RestartOutcome {
  const last = since.at(-1);
  if (!last) return { is: 'too-early', text: `New yeast went in at ${gravityText(before)}. Read it after ${GIVE_DAYS} days.` };
  const fell = before - last.sg;
  if (fell >= TAKEN_SG - 1e-6) {
    return {
      is: 'going',
      text: `It has taken: ${countText(Math.round(fell * 1000), 'point')} down in ${countText(Math.round(last.days), 'day')} since the new yeast.`,
    };
  }
  return last.days < GIVE_DAYS
    ? { is: 'too-early', text: `${gravityText(last.sg)} after ${countText(Math.round(last.days), 'day')} says nothing yet. Give it until the fifth.` }
    : {
        is: 'not-going',
        text: `It has not taken: ${gravityText(last.sg)} after ${countText(Math.round(last.days), 'day')}. Check the warmth, then keep it as it is or blend it.`,
      };
}
