import { calendarDays, dateAfter, dayText } from '../quantity/days.js';
import { figure, gravityText } from '../worked/figures.js';
import type { Forecast } from './forecast-types.js';

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
const LIKELY = 0.5;

/**
 * What lies ahead, in words with dates.
 *
 * @param forecast - what was found
 * @param when - ISO 8601 of the pitch and of today, and the maker's time zone
 * @returns sentences
 */
export function forecastWords(forecast: Forecast, when: { readonly pitchedAt: string; readonly today: string; readonly zone?: string }): ForecastWords {
  const { finalSg, finalAbv, chanceStuck } = forecast;
  const sgs = gravityText(finalSg.p10) === gravityText(finalSg.p90) ? '' : ` (${gravityText(finalSg.p10)} to ${gravityText(finalSg.p90)})`;
  return {
    lead: whenWords(forecast, when),
    end: `It ends at about ${gravityText(finalSg.p50)}${sgs} and ${figure(finalAbv.p50, 1)} %.`,
    stuck: `The chance that it sticks is ${chanceStuck < SMALL_CHANCE ? 'under 1' : `about ${figure(chanceStuck * 100, 0)}`} in 100.`,
  };
}

function whenWords(
  { finishDay, chanceStuck }: Forecast,
  { pitchedAt, today, zone }: { readonly pitchedAt: string; readonly today: string; readonly zone?: string },
): string {
  if (chanceStuck > LIKELY) return 'It looks stuck: by these readings it will not get there by itself.';
  const date = (day: number): string => dayText(dateAfter(pitchedAt, Math.round(day), zone));
  const { p10, p50, p90 } = finishDay;
  if (p50 === null) return p10 === null ? 'Not done for months.' : `Done on ${date(p10)} at the earliest, more likely months later.`;
  if (calendarDays(today, dateAfter(pitchedAt, Math.round(p50), zone), zone) <= 0)
    return 'It should be about there. Two equal readings a week apart would prove it.';
  const until = p90 === null ? 'or much later' : `between ${date(p10 ?? p50)} and ${date(p90)} four times in five`;
  return `Done about ${date(p50)}, ${until}.`;
}
