import type { TasteSheet } from '../../finish/taste/taste-sheet.js';
import { daysBetween } from '../../matter/quantity/days.js';
import type { Entry } from '../entry/entry.js';
import type { Crate } from '../state/batch-state.js';
import type { Sparkle } from '../state/entry-choices.js';

/** One tasting of a batch. */
export interface Tasting {
  readonly entryId: string;
  /** ISO 8601. */
  readonly at: string;
  readonly text: string;
  readonly sparkle: Sparkle | null;
  /** Whether its maker would make it again; null where nobody said. */
  readonly again: boolean | null;
  readonly sheet: TasteSheet | null;
  /** The crate it came from: the one that was named, or the only one there was. */
  readonly crateId: string | null;
  /** Days since that was filled, or all of them were; null for what was not in bottle. */
  readonly ageDays: number | null;
}

/** When all of some crates were filled, where that was within a day; null where it was not, or there are none. */
function sameDay(crates: readonly Pick<Crate, 'bottledAt'>[]): string | null {
  const days = crates.map((crate) => crate.bottledAt).sort();
  const [first, last] = [days[0], days.at(-1)];
  return first !== undefined && last !== undefined && daysBetween(first, last) <= 1 ? first : null;
}

/**
 * Every tasting of a batch, oldest first.
 *
 * @param entries - of its log that stand, in order
 * @param crates - as replayed
 */
export function tastingsOf(entries: readonly Entry[], crates: readonly Pick<Crate, 'id' | 'bottledAt'>[]): readonly Tasting[] {
  return entries.flatMap((entry) => {
    if (entry.kind !== 'tasted') return [];
    const { text, sparkle, again, sheet = null } = entry.payload;
    const filled = crates.filter((c) => c.bottledAt <= entry.at);
    const crate = filled.find((c) => c.id === sheet?.crateId) ?? (filled.length === 1 ? filled[0] : undefined);
    // Lots of one batch are mostly filled on one day: then all of them are as old.
    const since = crate?.bottledAt ?? sameDay(filled);
    const ageDays = since === null ? null : daysBetween(since, entry.at);
    return [{ entryId: entry.id, at: entry.at, text, sparkle, again, sheet, crateId: crate?.id ?? null, ageDays }];
  });
}

/** From this score on a drink is liked, and up to the other one it is liked less; between them nobody can say. */
const LIKED_FROM = 7;
const LESS_UP_TO = 5;

/**
 * Whether a batch was liked: by the last tasting that says so, its maker's word before the score.
 *
 * @param tastings - oldest first
 * @returns null where none says
 */
export function wasLiked(tastings: readonly Pick<Tasting, 'again' | 'sheet'>[]): boolean | null {
  for (const { again, sheet } of [...tastings].reverse()) {
    if (again !== null) return again;
    const score = sheet?.score ?? null;
    if (score !== null && score >= LIKED_FROM) return true;
    if (score !== null && score <= LESS_UP_TO) return false;
  }
  return null;
}
