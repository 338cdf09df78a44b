import { agreeWithAcidReadings } from '../../matter/liquid/add-acid.js';
import { agreeWithMustReading } from '../../matter/liquid/ferment-to.js';
import { stillGuessed } from '../../matter/liquid/guessed.js';
import type { Liquid } from '../../matter/liquid/liquid.js';
import { abvOf, gravityOf } from '../../matter/liquid/views.js';
import { daysBetween } from '../../matter/quantity/days.js';
import { correctGravity } from '../../matter/measure/correct-gravity.js';
import type { RawGravity } from '../../matter/measure/raw-gravity.js';
import { figure } from '../../base/worked/figures.js';
import { inHand, type Draft, type Patch } from '../state/draft.js';
import type { Bubbles } from '../state/entry-choices.js';
import { workedFromMust } from '../state/worked-from-must.js';
import { workedMust } from '../state/worked-must.js';
import type { EntryWords, Filed, Kind, Say } from './kind.js';
import { rawText } from './raw-gravity-words.js';

/** What was read, and what was seen beside it. */
export interface ReadingPayload {
  readonly gravity: RawGravity | null;
  readonly ph: number | null;
  readonly taGPerL: number | null;
  readonly placeC: number | null;
  /** Odd readings filed on the maker's word carry what was asked. */
  readonly insistedOn: readonly string[];
  readonly bubbles: Bubbles | null;
  readonly smell: string | null;
}

/** What a reading changes: the gravity it brings the drink to, its acids, its warmth. */
function read(state: Draft, entry: Filed<ReadingPayload>): Patch {
  const { payload } = entry;
  if (payload.placeC !== null) state.temps.push({ at: entry.at, tempC: payload.placeC });
  const patch: Patch = payload.placeC === null ? {} : { placeC: payload.placeC };
  if (payload.gravity) {
    const { sg, plusMinus } = correctGravity(payload.gravity, workedMust(state));
    const { sampleC, reading: raw, instrument } = payload.gravity;
    Object.assign(patch, readGravity(state, entry, payload.gravity, sg));
    state.readings.push({ id: entry.id, at: entry.at, sg, plusMinus, tempC: payload.placeC ?? sampleC, raw, instrument });
  }
  patch.guessed = stillGuessed(patch.guessed ?? state.guessed, { ph: payload.ph, taGPerL: payload.taGPerL });
  const liquid = patch.liquid ?? state.liquid;
  if (liquid && (payload.ph !== null || payload.taGPerL !== null)) {
    patch.liquid = agreeWithAcidReadings(liquid, { ph: payload.ph ?? undefined, taGPerL: payload.taGPerL ?? undefined });
  }
  if (patch.liquid) patch.lastLiquid = patch.liquid;
  return patch;
}

/** What a gravity, as corrected, tells of the drink. */
function readGravity(state: Draft, entry: Filed<ReadingPayload>, { instrument }: RawGravity, sg: number): Patch {
  if (!state.liquid) return {};
  if (tellsOriginal(state, entry, sg)) return withOriginal(state, sg);
  const isFlat = state.heldVolumes !== null && daysBetween(state.heldVolumes.at, entry.at) >= FLAT_AFTER_DAYS;
  const known: Patch = { weighedGPerL: 0, heldVolumes: isFlat ? null : state.heldVolumes };
  if (state.pitchedAt) {
    const worked = workedFromMust(state, state.liquid, sg);
    return { ...known, ...worked, liquid: withoutBoundSulfite(state.liquid, worked.liquid) };
  }
  const must = agreeWithMustReading(state.liquid, sg);
  if (instrument === 'carton') return { ...known, liquid: must, must };
  return { ...known, liquid: must, must, originalBy: 'glass', guessed: stillGuessed(state.guessed, { sg }) };
}

/** So soon after the pitch a reading off glass is the must's own, days. @source a yeast's usual lag */
const OWN_WITHIN_DAYS = 1;
/** A fall beyond this within that day is yeast at work, SG. @source our estimate */
const WORKED_SG = 0.006;
/** For so long a reading above the promise still says that the promise was too low, days. */
const ABOVE_WITHIN_DAYS = 4;
const ABOVE_SG = 0.0015;

/**
 * Whether a reading off glass takes the place of a carton's promise or a recipe's sum: one near the pitch is the must's
 * own gravity, and one above the promise, for some days, shows that it was too low.
 */
function tellsOriginal(state: Draft, entry: Filed<ReadingPayload>, sg: number): boolean {
  if (!state.pitchedAt || !state.must || state.originalBy === 'glass' || entry.payload.gravity?.instrument !== 'hydrometer') return false;
  const promised = gravityOf(state.must);
  const days = daysBetween(state.pitchedAt, entry.at);
  return days <= OWN_WITHIN_DAYS ? sg > promised - WORKED_SG : days <= ABOVE_WITHIN_DAYS && sg > promised + ABOVE_SG;
}

/** The batch as if its must had been read so from the first. */
function withOriginal(state: Draft, sg: number): Patch {
  const own = (liquid: Liquid): Liquid => ({ ...agreeWithMustReading(state.must ?? liquid, sg), volumeL: liquid.volumeL });
  const liquid = own(inHand(state));
  return {
    liquid,
    lastLiquid: liquid,
    must: state.must ? own(state.must) : null,
    pitch: state.pitch ? { ...state.pitch, liquid: own(state.pitch.liquid) } : null,
    originalBy: 'glass',
    guessed: stillGuessed(state.guessed, { sg }),
  };
}

/** A keg that was opened has lost its gas after this long at rest, days. @source our estimate */
const FLAT_AFTER_DAYS = 14;
/** This much alcohol made binds whatever sulfite was free, % by volume. @source our estimate: yeast makes what binds it */
const BINDS_BY_ABV = 0.3;
/** Share of the total sulfite a ferment takes away with its gas. @source our estimate, about a quarter */
const LOST_SULFITE = 0.25;

/** Free sulfite left after an alcoholic ferment, or a part of one, counts as nothing. */
function withoutBoundSulfite(before: Liquid, after: Liquid): Liquid {
  if (after.freeSo2MgPerL === 0 || abvOf(after) - abvOf(before) < BINDS_BY_ABV) return after;
  return { ...after, freeSo2MgPerL: 0, totalSo2MgPerL: after.totalSo2MgPerL * (1 - LOST_SULFITE) };
}

function words({ payload }: Filed<ReadingPayload>, say: Say): EntryWords {
  const parts = [
    payload.ph === null ? '' : `pH ${figure(payload.ph, 2)}`,
    payload.taGPerL === null ? '' : `acid ${figure(payload.taGPerL, 1)} g/L`,
    payload.placeC === null ? '' : `standing at ${say.temperature(payload.placeC)}`,
    payload.bubbles === null ? '' : `bubbles: ${payload.bubbles}`,
    payload.smell ?? '',
  ].filter((part) => part !== '');
  return payload.gravity ? { lead: 'Read', rest: [rawText(payload.gravity, say), ...parts].join(' · ') } : { lead: 'Noted', rest: parts.join(' · ') };
}

export const reading: Kind<ReadingPayload> = { apply: read, words };
