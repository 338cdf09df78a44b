import { figure } from '../../base/worked/figures.js';
import { countText } from '../../matter/quantity/count-text.js';
import { calendarDays } from '../../matter/quantity/days.js';

/** What can be expected of a packet past its date. */
export interface OldPacket {
  /** Share of its yeast that may still live, 0–1. */
  readonly aliveShare: number;
  readonly text: string;
}

/** Share of dry yeast that lives through a year past its date in a cool cupboard. @source our estimate, 0.7 to 0.9 by warmth and packing */
const ALIVE_A_YEAR = 0.8;
const DAYS_A_YEAR = 365.25;
/** A packet is not told apart from a fresh one within so many days of its date. @source our estimate */
const FRESH_DAYS = 30;
const MONTH_DAYS = 30.44;

/**
 * What a packet past its date may still do, and how to find out.
 *
 * @param bestBefore - `YYYY-MM-DD`
 * @param today - ISO 8601
 * @param zone - IANA time zone of the maker
 * @returns null for a packet in date, or just past it
 * @source our estimate of a fifth lost each year; proving yeast in sugared water is kitchen practice
 */
export function oldPacket(bestBefore: string, today: string, zone?: string): OldPacket | null {
  const days = calendarDays(bestBefore, today, zone);
  if (days <= FRESH_DAYS) return null;
  const aliveShare = ALIVE_A_YEAR ** (days / DAYS_A_YEAR);
  const past = days < DAYS_A_YEAR ? countText(Math.round(days / MONTH_DAYS), 'month') : countText(Math.round(days / DAYS_A_YEAR), 'year');
  const times = 1 / aliveShare;
  const more = times < 1.25 ? '' : ` Or put in ${figure(times, 1)} times as much.`;
  return {
    aliveShare,
    text: `Your packet is ${past} past its date: perhaps ${figure(aliveShare * 100, 0)} % of it lives, which is our estimate. Prove it first with a spoon of sugar in a cup of water at 30 °C: no foam in half an hour, and it is dead.${more}`,
  };
}
