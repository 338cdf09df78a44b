import { calendarDays, dateAfter, dayText } from '../../matter/quantity/days.js';
import { figure, gravityText } from '../../base/worked/figures.js';
import { isAtRest, type FermentStatus } from '../verdict/verdict.js';
import { LEAST_EFFECTIVE, type Forecast } from './forecast-types.js';

/** A forecast in a maker's words. */
export interface ForecastWords {
  /** When, in one line. */
  readonly lead: string;
  /** Where it ends. */
  readonly end: string;
  /** How likely it is to stick. */
  readonly stuck: string;
}

/** A chance below this is said as such. */
const SMALL_CHANCE = 0.01;
/** Above this it is called stuck, and no day is named. */
const LIKELY_STUCK = 0.5;

/** What is known beside the forecast when it is worded. */
export interface ForecastMoment {
  /** ISO 8601. */
  readonly pitchedAt: string;
  readonly today: string;
  /** IANA time zone of the maker. */
  readonly zone?: string;
  /** What the verdict says: a ferment that stands still has no day on which it is done. */
  readonly status?: FermentStatus | undefined;
}

/** Why a forecast names no day; null when it does. */
function silence({ chanceStuck, effectiveMembers }: Forecast, status: FermentStatus | undefined): string | null {
  if (status !== undefined && isAtRest(status))
    return status === 'held' ? 'Sulfite and sorbate hold it, so nothing is waited for.' : 'It has ended: its readings show it.';
  if (chanceStuck > LIKELY_STUCK) return 'It looks stuck: by these readings it will not get there by itself.';
  if (status === 'stalled' || status === 'not-started') return 'It stands still, so no day can be named until it goes again.';
  if (status === 'too-cold') return 'It sleeps in the cold, so no day can be named until it is warm.';
  if (effectiveMembers < LEAST_EFFECTIVE)
    return 'Trug cannot tell the day: these readings are like few ferments it knows. Another reading in a week would tell more.';
  return null;
}

/**
 * The day after pitching on which it is most likely done, where the forecast can name one.
 *
 * @param forecast - what was found
 * @param status - what the verdict says
 * @returns days; null where nobody can tell
 */
export const likelyDay = (forecast: Forecast, status: FermentStatus | undefined): number | null =>
  silence(forecast, status) === null ? forecast.finishDay.p50 : null;

/**
 * The same as a day of the calendar.
 *
 * @param forecast - what was found
 * @param when - the pitch, the maker's zone and what the verdict says
 * @returns `YYYY-MM-DD`; null where nobody can tell
 */
export function likelyEndOn(forecast: Forecast, { pitchedAt, zone, status }: Omit<ForecastMoment, 'today'>): string | null {
  const day = likelyDay(forecast, status);
  return day === null ? null : dateAfter(pitchedAt, Math.round(day), zone);
}

/**
 * What lies ahead, in words with dates.
 *
 * @param forecast - what was found
 * @param when - the pitch, today, the maker's time zone and what the verdict says
 * @returns sentences
 */
export function forecastWords(forecast: Forecast, when: ForecastMoment): ForecastWords {
  const { finalSg, finalAbv, chanceStuck } = forecast;
  const sgs = gravityText(finalSg.p10) === gravityText(finalSg.p90) ? '' : ` (${gravityText(finalSg.p10)} to ${gravityText(finalSg.p90)})`;
  return {
    lead: whenWords(forecast, when),
    end: `It ends at about ${gravityText(finalSg.p50)}${sgs} and ${figure(finalAbv.p50, 1)} %.`,
    stuck: `The chance that it sticks is ${chanceStuck < SMALL_CHANCE ? 'under 1' : `about ${figure(chanceStuck * 100, 0)}`} in 100.`,
  };
}

function whenWords(forecast: Forecast, { pitchedAt, today, zone, status }: ForecastMoment): string {
  const silent = silence(forecast, status);
  if (silent !== null) return silent;
  const on = (day: number): string => dateAfter(pitchedAt, Math.round(day), zone);
  const date = (day: number): string => dayText(on(day));
  const hasCome = (day: number): boolean => calendarDays(today, on(day), zone) <= 0;
  const { p10, p50, p90 } = forecast.finishDay;
  if (p50 === null) return p10 === null ? 'Not done for months.' : `Done on ${date(p10)} at the earliest, more likely months later.`;
  if (hasCome(p50)) return 'It should be about there. Two equal readings a week apart would prove it.';
  if (p90 === null) return `Done about ${date(p50)}, or much later.`;
  // What may lie behind it is no day to wait for.
  if (p10 !== null && hasCome(p10)) return `Done about ${date(p50)}; it may be by now, and nine times in ten is by ${date(p90)}.`;
  return `Done about ${date(p50)}, between ${date(p10 ?? p50)} and ${date(p90)} four times in five.`;
}
