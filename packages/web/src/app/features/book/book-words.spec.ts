import type { BookComparison, BookCounts } from '@trug/contract/plain';
import { comparisonLines, countWords, sizeWords } from './book-words';

const NONE: BookCounts = { batches: 0, entries: 0, juices: 0, supplies: 0, vessels: 0, places: 0, instruments: 0, recipes: 0, readings: 0 };
const comparison = (changes: Partial<BookComparison>): BookComparison => ({
  source: 'backup',
  name: 'b',
  sameCellar: true,
  counts: NONE,
  lost: NONE,
  gained: NONE,
  changed: 0,
  newestAt: null,
  losing: [],
  ...changes,
});

it('counts one and many in words, and says nothing of nothing', () => {
  expect(countWords({ ...NONE, batches: 1, entries: 1200 })).toBe('1 batch and 1,200 entries in the logs');
  expect(countWords({ ...NONE, vessels: 2 })).toBe('2 vessels');
  expect(countWords(NONE)).toBeNull();
  expect([sizeWords(20), sizeWords(81_920), sizeWords(2_340_000)]).toEqual(['1 kB', '82 kB', '2.3 MB']);
});

it('says what would be lost before what would come back, and names the batches', () => {
  expect(comparisonLines(comparison({}))).toEqual([{ kind: 'note', text: 'Nothing would be lost.' }]);
  const lines = comparisonLines(
    comparison({ sameCellar: false, lost: { ...NONE, entries: 3 }, gained: { ...NONE, juices: 1 }, changed: 1, losing: [{ name: 'Gate Blend', entries: 3 }] }),
  );
  expect(lines.map((l) => l.kind)).toEqual(['note', 'lost', 'gained', 'note']);
  expect(lines[1]?.text).toBe('Lost: 3 entries in the logs. Entries would be missing from Gate Blend (3).');
  expect(lines[3]?.text).toBe('1 card or choice would be as they were then.');
});
