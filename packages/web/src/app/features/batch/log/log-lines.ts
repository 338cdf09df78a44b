import type { Entry, UnitPreferences } from '@trug/core';
import { describeEntry } from '@trug/core/book/log/describe-entry';
import { effectiveEntries } from '@trug/core/book/entry/effective-entries';
import type { Units } from '../../../units/units';
import type { BatchView } from '../../../state/batch-views.selectors';

/** One line of a log as shown. */
export interface LogLine {
  readonly id: string;
  readonly kind: Entry['kind'];
  readonly day: string;
  readonly lead: string;
  readonly rest: string;
  readonly note: string;
  readonly struckOut: boolean;
  /** What it said before it was corrected, oldest first. */
  readonly history: readonly string[];
  /** Why it is not counted; null when it is. */
  readonly issue: string | null;
}

/** How a log writes figures and days. */
interface LogUnits extends Pick<Units, 'gravity' | 'day'> {
  readonly preferences: () => UnitPreferences;
}

const words = (entry: Entry, units: UnitPreferences): string => {
  const { lead, rest } = describeEntry(entry, units);
  return `${lead} ${rest}`.trim();
};

/**
 * The log as people read it: newest first, each entry as it stands with what it said before.
 *
 * @param view - the batch
 * @param units - writes figures and days the maker's way
 * @returns the lines
 */
export function logLines(view: BatchView, units: LogUnits): readonly LogLine[] {
  const preferences = units.preferences();
  const place = new Map(view.log.map((entry, i) => [entry.id, i]));
  const { entries, corrections } = effectiveEntries(view.log);
  const standing = new Map(entries.map((e) => [e.id, e]));
  const issues = new Map(view.state.issues.map((i) => [i.entryId, i.text]));
  const corrected = new Map(view.state.readings.map((r) => [r.id, r.sg]));
  const lines = view.log
    .filter((e) => e.kind !== 'corrected')
    .map((original) => {
      const entry = standing.get(original.id);
      const shown = entry ?? original;
      const { lead, rest } = describeEntry(shown, preferences);
      const sg = corrected.get(original.id);
      const replacements = (corrections.get(original.id) ?? [])
        .slice(0, -1)
        .flatMap((c) => (c.payload.replacement ? [{ ...original, ...c.payload.replacement } as Entry] : []));
      return {
        id: original.id,
        kind: original.kind,
        at: shown.at,
        day: units.day(shown.at, true),
        lead: sg === undefined ? lead : units.gravity(sg),
        rest: sg === undefined ? rest : `from ${rest}`,
        note: shown.note,
        struckOut: entry === undefined,
        history: entry === original ? [] : [original, ...replacements].map((e) => words(e, preferences)),
        issue: issues.get(original.id) ?? null,
      };
    });
  // Of what happened in one moment, the one filed last stands first.
  return lines.sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : (place.get(b.id) ?? 0) - (place.get(a.id) ?? 0)));
}
