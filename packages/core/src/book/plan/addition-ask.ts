import { USUAL_YEAST_ID } from '../../base/reference/yeast-kinds.js';
import { isAtRest, type Verdict } from '../../ferment/verdict/verdict.js';
import type { AdditionAsk } from '../../juice/adjust/addition-types.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { fermentedShare } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry } from '../entry/entry.js';
import type { BatchState } from '../state/batch-state.js';

/** Where nobody said how warm it stands, °C. @source our estimate of a shed in autumn */
const USUAL_PLACE_C = 15;

/** A batch as an addition finds it. */
export interface AdditionFacts {
  readonly state: BatchState;
  readonly log: readonly Entry[];
  readonly verdict: Verdict | null;
  /** ISO 8601. */
  readonly at: string;
}

/**
 * What an addition is worked out from: the batch as it stands, and what the maker wants of it.
 *
 * @param liquid - what is in its vessels
 * @param facts - the batch
 * @param wish - what goes in, and the target or the amount; what is left out is the usual
 * @returns what `additionPlan` asks for
 */
export function additionAsk(liquid: Liquid, { state, log, verdict, at }: AdditionFacts, wish: Partial<AdditionAsk> & Pick<AdditionAsk, 'what'>): AdditionAsk {
  const standing = effectiveEntries(log).entries;
  return {
    liquid,
    targetSg: null,
    targetAbv: null,
    targetTaGPerL: null,
    targetPh: null,
    targetTanninGPerL: null,
    fermentableId: 'sucrose',
    acid: 'malic',
    carbonate: 'potassium-bicarbonate',
    form: 'tablet',
    product: 'organic',
    packetGPerL: null,
    boiled: false,
    given: null,
    yeastId: state.yeastId ?? USUAL_YEAST_ID,
    tempC: state.placeC ?? USUAL_PLACE_C,
    bentoniteIn: standing.some((e) => e.kind === 'addition' && e.payload.what === 'bentonite'),
    sulfitedHoursAgo: state.sulfitedAt === null ? null : daysBetween(state.sulfitedAt, at) * 24,
    fermentedFraction: fermentedShare(liquid, state.must ?? liquid),
    stage: state.pitchedAt === null ? 'must' : isAtRest(verdict?.status ?? 'working') ? 'finished' : 'working',
    phMeasured: !state.guessed.includes('ph'),
    ...wish,
  };
}
