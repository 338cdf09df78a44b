import type { BookComparison, BookCounts } from '@trug/contract/plain';

const NAMES: { readonly [K in keyof BookCounts]: readonly [one: string, many: string] } = {
  batches: ['batch', 'batches'],
  entries: ['entry in the logs', 'entries in the logs'],
  juices: ['juice', 'juices'],
  supplies: ['supply', 'supplies'],
  vessels: ['vessel', 'vessels'],
  places: ['place', 'places'],
  instruments: ['instrument', 'instruments'],
  recipes: ['recipe', 'recipes'],
  readings: ['device reading', 'device readings'],
};

/** How many of each thing there are, leaving out what there is none of; null when there is nothing at all. */
export function countWords(counts: BookCounts): string | null {
  const parts = (Object.keys(NAMES) as (keyof BookCounts)[])
    .filter((name) => counts[name] > 0)
    .map((name) => `${counts[name].toLocaleString('en-GB')} ${NAMES[name][counts[name] === 1 ? 0 : 1]}`);
  if (parts.length === 0) return null;
  return parts.length === 1 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;
}

/** How large a file is. */
export function sizeWords(bytes: number): string {
  return bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}

/** What would be lost, gained and changed, one line each. */
export function comparisonLines({
  lost,
  gained,
  changed,
  losing,
  sameCellar,
}: BookComparison): readonly { readonly kind: 'lost' | 'gained' | 'note'; readonly text: string }[] {
  const [loses, gains] = [countWords(lost), countWords(gained)];
  const named = losing.map((l) => `${l.name} (${l.entries})`).join(', ');
  return [
    ...(sameCellar === false ? [{ kind: 'note' as const, text: 'It is the book of another cellar, not an earlier state of this one.' }] : []),
    loses === null
      ? { kind: 'note', text: 'Nothing would be lost.' }
      : { kind: 'lost', text: `Lost: ${loses}.${named === '' ? '' : ` Entries would be missing from ${named}.`}` },
    ...(gains === null ? [] : [{ kind: 'gained' as const, text: `Back: ${gains}.` }]),
    ...(changed === 0
      ? []
      : [{ kind: 'note' as const, text: `${changed} ${changed === 1 ? 'card or choice' : 'cards or choices'} would be as they were then.` }]),
  ];
}
