import type { Entry } from '../entry/entry.js';
import type { ComparedPayload } from '../kinds/compared.js';

/** One time that a batch was tasted beside others. */
export interface Comparison extends Pick<ComparedPayload, 'tastingId' | 'drinks' | 'way' | 'judged' | 'text'> {
  /** ISO 8601. */
  readonly at: string;
}

/**
 * Every time that a batch was tasted beside others, oldest first.
 *
 * @param entries - of its log that stand, in order
 */
export const comparisonsOf = (entries: readonly Entry[]): readonly Comparison[] =>
  entries.flatMap((entry) => {
    if (entry.kind !== 'compared') return [];
    const { tastingId, drinks, way, judged, text } = entry.payload;
    return [{ at: entry.at, tastingId, drinks, way, judged, text }];
  });

/** A tasting stands in the log of each of its drinks: told once, the last first. */
export function tastedTogether(all: readonly Comparison[]): readonly Comparison[] {
  return [...new Map(all.map((each) => [each.tastingId, each])).values()].sort((a, b) => b.at.localeCompare(a.at));
}
