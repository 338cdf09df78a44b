import { dateAfter } from '../../matter/quantity/days.js';
import { AT_END_SG, PROOF_DAYS, type Facts, type JudgeInput } from './judge-facts.js';

/** When the next reading is worth taking, and what it is expected to tell. */
export interface NextReading {
  /** `YYYY-MM-DD`, counted from the last reading, so that it does not move with the days. */
  readonly on: string;
  readonly why: string;
}

/** A fall under this is lost in the roughness of two readings, SG. @source estimate: three stems' errors */
const TELLING_FALL_SG = 0.003;
/** Longest wait, days: a spoiled or stuck ferment should not go unseen for longer. @source our estimate */
const LONGEST_DAYS = 42;
/** Shortest wait: a sample costs drink and lets air in. @source usual practice, no oftener than every other day */
const SHORTEST_DAYS = 2;

/** From so many times the days for half of what is left on, more than half has gone, and the end may be near. @source our estimate: at twice the days the present pace would have taken all */
const [MORE_THAN_HALF, NEAR_THE_END] = [1.2, 1.7];

/** Waits that a maker's method sets, days. */
export const DEFAULT_WAITS = { firstReadingDays: 4, readingDays: 7 } as const;

const waitsOf = (input: JudgeInput): { readonly firstReadingDays: number; readonly readingDays: number } => input.waits ?? DEFAULT_WAITS;

/** When something that nobody has read yet last began: with yeast in a new must, or with sugar in an old one. */
export function lastBegun({ entries, today }: JudgeInput): string {
  const begun = entries.filter((e) => e.kind === 'pitched' || e.sugarless !== true).map((e) => e.at);
  return begun.reduce((latest, at) => (Date.parse(at) > Date.parse(latest) ? at : latest), begun[0] ?? today);
}

/** The day of the first reading after the yeast. */
export const firstReadingOn = (input: JudgeInput): string => dateAfter(lastBegun(input), waitsOf(input).firstReadingDays, input.zone);

/**
 * The day whose reading would tell most while it works: when half of what is left should have gone at the pace of late,
 * which halves the guess at the end; never so soon that the fall is lost in the noise, nor later than the maker's eye
 * should be off it.
 *
 * @param facts - the fall so far
 * @returns the day and the reason
 * @source a fall that slows with the sugar left halves it in about half of what the present pace would take for all
 */
export function nextReading(facts: Facts): NextReading {
  const { last, endSg, lastRatePerDay, input } = facts;
  const after = (days: number): string => dateAfter(last.at, Math.round(days), input.zone);
  const left = last.sg - endSg;
  if (left <= AT_END_SG) return { on: after(PROOF_DAYS), why: 'an equal reading then would prove the end' };
  const { readingDays } = waitsOf(input);
  if (lastRatePerDay <= 0) return { on: after(readingDays), why: 'it shows whether it moves' };
  const half = left / 2 / lastRatePerDay;
  const seen = TELLING_FALL_SG / lastRatePerDay;
  const days = Math.min(LONGEST_DAYS, Math.max(SHORTEST_DAYS, half, seen, readingDays / 2));
  return {
    on: after(days),
    why: days >= LONGEST_DAYS ? 'so slow a ferment tells nothing sooner' : `at its pace of late ${goneBy(days / half)} by then`,
  };
}

/** What should have gone by a day, by how many times that day is later than the one on which half has. */
function goneBy(halves: number): string {
  if (halves >= NEAR_THE_END) return 'it could be near its end';
  return halves >= MORE_THAN_HALF ? 'most of what is left will have gone' : 'about half of what is left will have gone';
}
