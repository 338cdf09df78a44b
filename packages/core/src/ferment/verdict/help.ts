import { dateAfter, dayText } from '../../matter/quantity/days.js';
import type { Facts, PlaceTemperature } from './judge-facts.js';

/** What a maker did to set a slow ferment going. It moves no gravity, so it neither ends a proof nor begins one. */
export interface Help {
  readonly at: string;
  readonly how: 'roused' | 'fed' | 'warmed';
}

/** Days after which a reading shows whether it helped. @source craft practice: rouse, wait five days, read */
const HELP_DAYS = 5;
/** A place this much warmer than before is a help, °C. @source our estimate */
const WARMER_C = 2;

/**
 * The moves to somewhere warmer.
 *
 * @param temps - where it stood, in order
 * @returns those that were warmer than what was known before
 */
export const warmings = (temps: readonly PlaceTemperature[]): readonly Help[] =>
  temps.flatMap(({ at, tempC }, i) => {
    const before = temps[i - 1];
    return before && tempC >= before.tempC + WARMER_C ? [{ at, how: 'warmed' as const }] : [];
  });

/** The last help since the last reading; null when there was none. */
export function helpSince({ input, last }: Facts): Help | null {
  const since = (input.helped ?? []).filter((h) => Date.parse(h.at) > Date.parse(last.at));
  return since.reduce<Help | null>((latest, h) => (latest === null || Date.parse(h.at) > Date.parse(latest.at) ? h : latest), null);
}

/** What was done and when, in words. */
export const helpText = ({ how, at }: Help, zone: string | undefined): string => `It was ${how} on ${dayText(at, false, zone)}`;

/** The day by which it would show. */
export const helpShowsOn = ({ at }: Help, zone: string | undefined): string => dateAfter(at, HELP_DAYS, zone);
