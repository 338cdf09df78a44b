import fc from 'fast-check';
import { KEEPING, whichToKeep } from './which-to-keep.js';

const DAY_MS = 86_400_000;
const NOON = Date.parse('2026-11-25T12:00:00Z');
const daysAgo = (days: number): Date => new Date(NOON - days * DAY_MS);

it('keeps 14 days, 8 weeks and 24 months of a Trug that ran every day for three years', () => {
  const kept = whichToKeep(Array.from({ length: 1100 }, (_none, i) => daysAgo(i)));
  expect(kept.slice(0, KEEPING.days)).toEqual(Array.from({ length: 14 }, (_none, i) => daysAgo(i)));
  // 25 November 2026 is a Wednesday: three of the eight weeks have their newest day within the 14, of the other five it is the Sunday.
  expect(kept.slice(KEEPING.days, KEEPING.days + 8).map((at) => at.toISOString().slice(0, 10))).toEqual([
    '2026-11-08',
    '2026-11-01',
    '2026-10-31',
    '2026-10-25',
    '2026-10-18',
    '2026-10-11',
    '2026-09-30',
    '2026-08-31',
  ]);
  expect(kept.at(-1)).toEqual(new Date('2024-12-31T12:00:00Z'));
  expect(kept.length).toBeLessThan(KEEPING.days + KEEPING.weeks + KEEPING.months);
});

it('never lets go of the newest, keeps no more than it says, and what it keeps it keeps again', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 3000 * 24 }), { minLength: 1, maxLength: 300 }), (hours) => {
      const made = hours.map((h) => new Date(NOON - h * 3_600_000));
      const kept = whichToKeep(made);
      expect(kept[0]?.getTime()).toBe(Math.max(...made.map((d) => d.getTime())));
      expect(kept.length).toBeLessThanOrEqual(KEEPING.days + KEEPING.weeks + KEEPING.months);
      expect(whichToKeep(kept)).toEqual(kept);
    }),
    { seed: 11, numRuns: 200 },
  );
});

it('two of one day leave the later', () => {
  expect(whichToKeep([daysAgo(0), new Date(NOON - 3_600_000)])).toEqual([daysAgo(0)]);
});
