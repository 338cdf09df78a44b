import { bottleById } from '../bottle/bottle-kinds.js';
import { residualCo2 } from '../bottle/co2-solubility.js';
import { bottleSafety } from '../bottle/bottle-safety.js';
import { caution } from '../cautions/catalogue.js';
import type { Caution } from '../cautions/caution.js';
import { hourIn } from '../quantity/zone.js';
import type { Verdict } from '../ferment/verdict.js';
import { STATUS_WORDS } from '../ferment/verdict.js';
import type { BatchState } from './batch-state.js';
import type { Entry, EntryOf } from './entry.js';
import { liquidToBottle, maySeal } from './judge-state.js';

/** Highest temperature of a cold keg in which a drink may still be working, °C. @source craft rule: refrigerator cold */
export const COLD_KEG_MOST_C = 5;

/** What stands against filing an entry. */
export interface EntryCheck {
  /** Why it cannot be filed at all; null when it can. */
  readonly refusal: string | null;
  /** Dangers that must be acknowledged in words first. */
  readonly dangers: readonly Caution[];
}

const CLEAR: EntryCheck = { refusal: null, dangers: [] };

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
  switch (entry.kind) {
    case 'primed':
      return state.stabilisedAt
        ? refuse('Sulfite and sorbate stop the yeast, so priming would stay flat. Keg it with gas, or bottle it still.')
        : unlessProven(state, verdict);
    case 'bottled':
      // Priming was refused unless the end was proven, so a primed drink carries its proof with it.
      return state.primed || maySeal(state, verdict)
        ? { refusal: null, dangers: bottlingDangers(state, verdict, entry.payload) }
        : unlessProven(state, verdict);
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

const refuse = (refusal: string): EntryCheck => ({ refusal, dangers: [] });

function unlessProven(state: BatchState, verdict: Verdict | null): EntryCheck {
  if (maySeal(state, verdict)) return CLEAR;
  const word = verdict ? STATUS_WORDS[verdict.status] : 'no yeast yet';
  return refuse(`Its end is not proven (${word}), so it cannot be sealed in bottles. Take two equal readings a week apart, or put it in a cold keg.`);
}

function bottlingDangers(state: BatchState, verdict: Verdict | null, payload: EntryOf<'bottled'>['payload']): readonly Caution[] {
  const liquid = state.primed ? state.liquid : liquidToBottle(state, verdict);
  if (!liquid) return [];
  const warmest = Math.min(60, Math.max(0, state.placeC ?? 15));
  const sealed = state.primed ? { ...liquid, sucroseGPerL: 0, hexoseGPerL: 0 } : liquid;
  const primingVolumes = state.primed ? Math.max(0, state.primed.volumes - residualCo2({ warmestSinceEndC: warmest })) : 0;
  const found = new Map<string, Caution>();
  for (const { kindId } of payload.bottles.filter((b) => b.count > 0)) {
    const { cautions } = bottleSafety({
      liquid: sealed,
      provenFinished: true,
      warmestSinceEndC: warmest,
      primingVolumes,
      bottle: bottleById(kindId),
      hottestC: payload.hottestC,
    });
    for (const c of cautions) if (c.severity === 'danger' && !payload.acknowledged.includes(c.id)) found.set(c.id, c);
  }
  return [...found.values()];
}

function checkKegging(state: BatchState, verdict: Verdict | null, payload: EntryOf<'kegged'>['payload']): EntryCheck {
  if (maySeal(state, verdict)) return CLEAR;
  if (payload.storeC > COLD_KEG_MOST_C) {
    return { refusal: `Its end is not proven, so the keg must be kept at ${COLD_KEG_MOST_C} °C or colder.`, dangers: [] };
  }
  const danger = caution('sealed-ferment');
  return { refusal: null, dangers: payload.acknowledged.includes(danger.id) ? [] : [danger] };
}
