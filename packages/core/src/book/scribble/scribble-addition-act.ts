import { additionPlan } from '../../juice/adjust/addition-plan.js';
import type { AdditionAsk } from '../../juice/adjust/addition-types.js';
import { SO2_MG_PER_UNIT } from '../../juice/adjust/sulfite-dose.js';
import { sulfiteAmount } from '../../juice/adjust/sulfite-given.js';
import { WEAK_ACIDS, type AcidId } from '../../matter/liquid/acid-chemistry.js';
import { CARBONATES, type CarbonateId } from '../../matter/liquid/add-acid.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import { supplyOfAddition } from '../cupboard/addition-supply.js';
import { supplyFor } from '../cupboard/supply-for.js';
import { additionAsk } from '../plan/addition-ask.js';
import type { BatchState } from '../state/batch-state.js';
import type { ScribbleFacts } from './scribble-facts.js';
import type { Guess, SaidAddition, ScribbleLine } from './scribble-types.js';

const isAcid = (id: string): id is AcidId => id in WEAK_ACIDS;
const isCarbonate = (id: string): id is CarbonateId => id in CARBONATES;
const isSulfiteForm = (id: string): id is keyof typeof SO2_MG_PER_UNIT => id in SO2_MG_PER_UNIT;

/** Which of its kind goes in, as the sums ask for it. */
function wishOf({ what, refId, amount }: SaidAddition): Partial<AdditionAsk> & Pick<AdditionAsk, 'what'> {
  const wish = { what, given: amount };
  if (what === 'sugar') return { ...wish, fermentableId: refId };
  if (what === 'acid') return { ...wish, acid: refId === 'lemon' || isAcid(refId) ? refId : 'malic' };
  if (what === 'carbonate' && isCarbonate(refId)) return { ...wish, carbonate: refId };
  if (what === 'sulfite' && isSulfiteForm(refId)) return { ...wish, form: refId };
  return what === 'nutrient' ? { ...wish, product: refId } : wish;
}

/** Sulfite said as milligrams in a litre, as the powder or the tablets that bring it. */
function weighedOut(said: SaidAddition, volumeL: number): SaidAddition {
  return said.mgPerL === true && isSulfiteForm(said.refId) ? { ...said, amount: sulfiteAmount(said.refId, said.amount, volumeL) } : said;
}

/**
 * Something that went in, by the amount the maker says, with what to mind.
 *
 * @param written - what and how much
 * @param state - the batch before it
 * @param verdict - its verdict before it
 * @param facts - the cupboard and the moment
 */
export function additionLine(written: SaidAddition, state: BatchState, verdict: Verdict | null, facts: ScribbleFacts): ScribbleLine {
  const unread = (why: string): ScribbleLine => ({ is: 'unread', text: written.text, why, page: 'adjust' });
  if (!state.liquid) return unread('There is nothing in the vessels of this batch.');
  const said = weighedOut(written, state.liquid.volumeL);
  const outcome = additionPlan(additionAsk(state.liquid, { state, log: facts.log, verdict, at: facts.at }, wishOf(said)));
  if (outcome.kind !== 'plan') return unread(outcome.kind === 'refused' ? `${outcome.error.message}.` : `Still to tell: ${outcome.what}.`);
  const { payload, cautions } = outcome.plan;
  const kept = supplyOfAddition(said.what, said.refId);
  const need = kept ? { ...kept, amount: said.amount, unit: said.refId === 'tablet' ? ('tablet' as const) : ('g' as const) } : null;
  const taken = need ? supplyFor(need, facts.supplies, facts.at) : null;
  const guesses: Guess[] = [];
  // Of everything else the log's own words name the kind.
  if (said.usual && said.what === 'sulfite') guesses.push({ of: 'kind', name: said.refId.replace('-', ' ') });
  if (said.spooned) guesses.push({ of: 'spoon' });
  if (taken) guesses.push({ of: 'supply', isPast: taken.isPast });
  return { is: 'act', act: { kind: 'addition', payload: taken ? { ...payload, supplies: [taken.use] } : payload }, guesses, cautions };
}
