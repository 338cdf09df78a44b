import { caution, type CautionId } from '../../base/cautions/catalogue.js';
import type { Caution } from '../../base/cautions/caution.js';
import type { Verdict } from '../../ferment/verdict/verdict.js';
import { fermentableGPerL } from '../../matter/liquid/views.js';
import { hourIn } from '../../matter/quantity/zone.js';
import type { BatchState } from './batch-state.js';
import { checkBottling } from './bottling-check.js';
import type { Entry, EntryKind, EntryOf } from '../entry/entry.js';
import { sugarFound } from './replay-sugar.js';
import { sealedGasOf } from './sealed-gas-of.js';
import { maySeal, sealWay, unprovenWords } from './sealing.js';

/** Highest temperature of a cold keg in which a drink may still be working, °C. @source craft rule: refrigerator cold */
export const COLD_KEG_MOST_C = 5;
/** A forced ferment says something from this long and this warm on. @source usual practice: 5–7 days at 25 °C */
export const FORCED_LEAST = { days: 5, tempC: 22 } as const;
/** Sugar a test may miss beside the sums before it is asked about, g/L. @source estimate: seven gravity points */
const TEST_MISSES_G_PER_L = 15;

/** What stands against filing an entry. */
export interface EntryCheck {
  /** Why it cannot be filed at all; null when it can. */
  readonly refusal: string | null;
  /** Dangers that must be acknowledged in words first. */
  readonly dangers: readonly Caution[];
}

const CLEAR: EntryCheck = { refusal: null, dangers: [] };
const refuse = (refusal: string): EntryCheck => ({ refusal, dangers: [] });
const unless = (acknowledged: readonly string[], ...ids: readonly CautionId[]): EntryCheck => ({
  refusal: null,
  dangers: ids.filter((id) => !acknowledged.includes(id)).map((id) => caution(id)),
});

const IN_A_KEG = 'It is sealed in a keg. Let the gas off and open the keg first: its page says how.';

/** Acts on the drink itself, which nobody can do to a sealed keg or through glass. */
const ON_THE_DRINK: ReadonlySet<EntryKind> = new Set(['addition', 'pitched', 'blended', 'sweetened', 'primed', 'stabilised', 'clarified', 'racked', 'split']);

/**
 * Whether an act may be filed on a batch as it stands: sealed vessels only when the end is proven, and no danger
 * that was not acknowledged. Server and web ask the same question.
 *
 * @param state - the batch before the act
 * @param verdict - its verdict before the act
 * @param entry - the act
 * @returns a refusal, and the dangers still to be acknowledged
 */
export function checkEntryAgainst(state: BatchState, verdict: Verdict | null, entry: Entry): EntryCheck {
  if (ON_THE_DRINK.has(entry.kind) && state.keg) return refuse(IN_A_KEG);
  if (ON_THE_DRINK.has(entry.kind) && !state.liquid && state.crates.length > 0) return refuse('It is in bottles, so nothing goes into it any more.');
  switch (entry.kind) {
    case 'primed':
      return checkPriming(state, verdict);
    case 'bottled':
      return checkFilling(state, verdict, entry.payload);
    case 'malolactic':
      return entry.payload.bacteria && (state.liquid?.sorbateMgPerL ?? 0) > 0 ? refuse(`There is sorbate in it. ${GERANIUM}`) : CLEAR;
    case 'stabilised':
      return entry.payload.sorbateMgPerL > 0 && state.malolactic?.done === false
        ? refuse(`The malolactic change is under way. ${GERANIUM} Let it end, or stop it with sulfite and wait two weeks, before sorbate goes in.`)
        : CLEAR;
    case 'clarified':
      return checkClearing(state, entry);
    case 'kegged':
      return checkKegging(state, verdict, entry.payload);
    case 'tested':
      return checkTest(state, entry.payload);
    default:
      return CLEAR;
  }
}

/** @source usual wine and cider practice */
const GERANIUM = 'Lactic bacteria turn sorbate into a smell of geraniums, which nothing takes out again.';

/** The second part of finings works only where the first has had its time. */
function checkClearing({ plan, zone }: BatchState, { at, payload }: EntryOf<'clarified'>): EntryCheck {
  if (payload.means !== 'finings') return CLEAR;
  if (plan?.plan !== 'finings') return refuse('The first part of the finings is not in yet. Stir it in, wait its hour, then the second.');
  if (at < plan.dueAt)
    return refuse(`The first part needs its hour, until ${hourIn(plan.dueAt, zone)}. Put in sooner, the two only bind each other and the haze stays.`);
  return CLEAR;
}

function checkPriming(state: BatchState, verdict: Verdict | null): EntryCheck {
  const way = sealWay(state, verdict);
  if (way === 'stabilised') return refuse('Sulfite and sorbate hold the yeast, so priming would stay flat. Keg it with gas, or bottle it still.');
  return way === 'unproven' ? refuse(unprovenWords(state, verdict)) : CLEAR;
}

function checkFilling(state: BatchState, verdict: Verdict | null, { bottles, hottestC, acknowledged }: EntryOf<'bottled'>['payload']): EntryCheck {
  const way = sealWay(state, verdict);
  if (state.keg) return refuse(IN_A_KEG);
  if (way === 'unproven') return refuse(unprovenWords(state, verdict));
  const gas = sealedGasOf(state);
  if (!gas) return CLEAR;
  const { refusal, cautions } = checkBottling({ way, gas, bottles, hottestC });
  if (refusal !== null) return refuse(refusal);
  return { refusal: null, dangers: cautions.filter((c) => c.severity === 'danger' && !acknowledged.includes(c.id)) };
}

function checkKegging(state: BatchState, verdict: Verdict | null, payload: EntryOf<'kegged'>['payload']): EntryCheck {
  if (maySeal(state, verdict)) return CLEAR;
  if (payload.storeC > COLD_KEG_MOST_C) return refuse(`Its end is not proven, so the keg must be kept at ${COLD_KEG_MOST_C} °C or colder.`);
  return unless(payload.acknowledged, 'sealed-ferment');
}

function checkTest({ liquid, must }: BatchState, payload: EntryOf<'tested'>['payload']): EntryCheck {
  if (!liquid) return refuse('There is nothing in the vessels of this batch to test.');
  if (payload.by === 'forced-ferment' && (payload.days < FORCED_LEAST.days || payload.tempC < FORCED_LEAST.tempC)) {
    return refuse(
      `A sample must stand at least ${FORCED_LEAST.days} days at ${FORCED_LEAST.tempC} °C or warmer, with much yeast, before it says what is left. Give it longer, or warmer.`,
    );
  }
  const missing = fermentableGPerL(liquid) - sugarFound(payload, must);
  return missing > TEST_MISSES_G_PER_L ? unless(payload.acknowledged, 'test-disagrees') : CLEAR;
}
