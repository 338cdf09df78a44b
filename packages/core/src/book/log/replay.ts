import { CoreError } from '../../base/errors/core-error.js';
import { UTC } from '../../matter/quantity/zone.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry } from '../entry/entry.js';
import { appliedBy } from '../entry/entry-kinds.js';
import { EMPTY_STATE, type BatchState } from '../state/batch-state.js';
import type { Draft } from '../state/draft.js';
import { noteHints } from './note-hints.js';

/**
 * What a log tells of its batch. An entry that does not add up is left out and named among the issues; everything
 * else still counts, so one slip never hides a year's record.
 *
 * @param log - every entry of one batch, in the order filed
 * @param zone - IANA time zone of the maker, by which its days are counted and named
 * @returns the state
 */
export function replay(log: readonly Entry[], zone = UTC): BatchState {
  const draft: Draft = { ...EMPTY_STATE, zone, readings: [], temps: [], judged: [], hints: [], feeds: [], crates: [], issues: [] };
  for (const entry of inTurn(effectiveEntries(log).entries)) {
    try {
      Object.assign(draft, appliedBy(draft, entry), { lastEntryAt: entry.at });
      noteHints(draft, entry);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      draft.issues.push({ entryId: entry.id, text: error.message });
    }
  }
  draft.stage = stageOf(draft);
  return draft;
}

/**
 * Entries each at a moment of its own: of those written down for the same minute, such as all acts of one line, the later comes a
 * thousandth of a second after the one before, so that whatever asks what came after a reading sees them in their order.
 */
function inTurn(entries: readonly Entry[]): readonly Entry[] {
  let lastMs = -Infinity;
  return entries.map((entry) => {
    const ms = Date.parse(entry.at);
    const own = ms <= lastMs && lastMs - ms < MOST_IN_ONE_MOMENT ? { ...entry, at: new Date(lastMs + 1).toISOString() } : entry;
    lastMs = Date.parse(own.at);
    return own;
  });
}

/** More entries than anyone writes down for one minute, ms. */
const MOST_IN_ONE_MOMENT = 1000;

function stageOf(state: Draft): BatchState['stage'] {
  // Bottles that were all emptied into a vessel again are none of its stages.
  const inBottles = state.crates.some((crate) => crate.lots.some((lot) => lot.left > 0));
  if (inBottles || state.keg || (state.crates.length > 0 && state.liquid === null)) return 'drink';
  if (state.primed || state.stabilisedAt) return 'bottle';
  if (state.rackedAt && state.pitchedAt) return 'rest';
  if (state.pitchedAt) return 'ferment';
  if (state.sulfitedAt) return 'settle';
  return state.filledAt ? 'pitch' : 'juice';
}
