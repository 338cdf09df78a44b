/** How long backups are kept: the newest of each of so many days, weeks and months that have one. */
export const KEEPING = { days: 14, weeks: 8, months: 24 } as const;

const DAY_MS = 86_400_000;
/** 5 January 1970 was a Monday. */
const FIRST_MONDAY_MS = 4 * DAY_MS;

const PERIODS: readonly { readonly most: number; readonly of: (at: Date) => string }[] = [
  { most: KEEPING.days, of: (at) => at.toISOString().slice(0, 10) },
  { most: KEEPING.weeks, of: (at) => String(Math.floor((at.getTime() - FIRST_MONDAY_MS) / (7 * DAY_MS))) },
  { most: KEEPING.months, of: (at) => at.toISOString().slice(0, 7) },
];

/**
 * Which backups stay when there are more than are wanted.
 *
 * @param made - when each was made
 * @returns the moments of those to keep; the newest is always among them
 */
export function whichToKeep(made: readonly Date[]): readonly Date[] {
  const newestFirst = [...made].sort((a, b) => b.getTime() - a.getTime());
  const keep = new Set<Date>();
  for (const { most, of } of PERIODS) {
    const newestOf = new Map<string, Date>();
    for (const at of newestFirst) if (!newestOf.has(of(at))) newestOf.set(of(at), at);
    for (const at of [...newestOf.values()].slice(0, most)) keep.add(at);
  }
  return newestFirst.filter((at) => keep.has(at));
}
