import { LEES_ABV, LEES_DAYS } from '../care/care-notes.js';
import { isWorking, type Verdict } from '../../ferment/verdict/verdict.js';
import { phOf } from '../../matter/liquid/acid-chemistry.js';
import { abvOf, fermentableGPerL } from '../../matter/liquid/views.js';
import type { BatchState } from '../state/batch-state.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { FaultFact } from './find-faults.js';
import type { FaultAnswers } from './fault-questions.js';

/** Acidity under which bacteria have it hard, and free sulfite that holds them. @source usual craft limits */
const HIGH_PH = 3.7;
const GUARDED_SO2_MG_PER_L = 25;
/** Nitrogen under which yeast goes hungry. @source usual advice */
const POOR_YAN_MG_PER_L = 80;
const SUGAR_LEFT_G_PER_L = 12;
/** A jar or carboy emptier than this has room for vinegar. @source our estimate */
const AIRY_FRACTION = 0.12;

/**
 * What a batch's log says for or against faults, before anybody looks at it.
 *
 * @param state - the batch
 * @param verdict - its verdict; null before yeast
 * @param context - today, and what share of its vessels is empty, 0–1, null when unknown
 * @returns facts with their weight
 * @source weights are our estimates
 */
export function factsOfBatch(
  state: BatchState,
  verdict: Verdict | null,
  context: { readonly today: string; readonly emptyFraction: number | null },
): readonly FaultFact[] {
  const { lastLiquid: liquid, must } = state;
  if (!liquid) return [];
  const facts: FaultFact[] = [];
  const working = isWorking(verdict?.status);
  const ph = phOf(liquid);
  if (ph > HIGH_PH && liquid.freeSo2MgPerL < GUARDED_SO2_MG_PER_L) {
    const why = `pH ${ph.toFixed(2)} with little sulfite favours bacteria`;
    facts.push(...(['rope', 'mouse', 'sickness', 'bacterial-haze'] as const).map((id) => ({ id, times: 2, why })));
  }
  if (liquid.totalSo2MgPerL >= 40) facts.push(...(['vinegar', 'film', 'rope', 'mouse'] as const).map((id) => ({ id, times: 0.5, why: 'it was sulfited' })));
  if (!working && context.emptyFraction !== null && context.emptyFraction > AIRY_FRACTION && state.crates.length === 0) {
    const why = `${Math.round(context.emptyFraction * 100)} % of the vessel is air`;
    facts.push(...(['vinegar', 'film', 'oxidised'] as const).map((id) => ({ id, times: 3, why })));
  }
  if (working) facts.push({ id: 'egg', times: must && must.yanMgPerL < POOR_YAN_MG_PER_L ? 3 : 1.5, why: 'it is working, and yeast goes hungry first' });
  if (working) facts.push({ id: 'yeast-haze', times: 3, why: 'it is working' });
  if (verdict?.status === 'stalled') facts.push({ id: 'stuck', times: 8, why: 'the verdict on its readings is stuck' });
  if (liquid.sorbateMgPerL > 0) facts.push({ id: 'geranium', times: 20, why: 'there is sorbate in it' });
  else facts.push({ id: 'geranium', times: 0.02, why: 'no sorbate went in' });
  if (state.crates.length > 0 && fermentableGPerL(liquid) > SUGAR_LEFT_G_PER_L)
    facts.push({ id: 'gusher', times: 4, why: 'there was sugar left when it was bottled' });
  const leesFrom = state.rackedAt ?? state.pitchedAt;
  if (leesFrom !== null && state.liquid && daysBetween(leesFrom, context.today) > LEES_DAYS && abvOf(liquid) < LEES_ABV) {
    facts.push(
      { id: 'autolysis', times: 2, why: 'it has lain on its lees past six weeks' },
      { id: 'set-sulfide', times: 2, why: 'it has lain on its lees past six weeks' },
    );
  }
  return facts;
}

/** What the batch itself can answer, so that nobody is asked what the log knows. */
export function answersFromBatch(state: BatchState, verdict: Verdict | null): FaultAnswers {
  const gravity =
    verdict === null
      ? undefined
      : verdict.status === 'stalled'
        ? 'high'
        : verdict.status === 'finished-dry' || verdict.status === 'settled-short'
          ? 'end'
          : isWorking(verdict.status)
            ? 'falls'
            : undefined;
  return { ...(gravity === undefined ? {} : { gravity }), ...(state.crates.length === 0 && state.liquid ? { fizz: 'vessel' } : {}) };
}
