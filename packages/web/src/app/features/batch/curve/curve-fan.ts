import type { BandDay, Forecast } from '@trug/core';
import { DAY_MS } from '@trug/core/matter/quantity/days';
import { area, line } from 'd3-shape';

/** A day of the forecast as it is drawn. */
export interface AheadDay {
  readonly atMs: number;
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** What lies ahead: the band as an area, its middle as a line; empty without a forecast. */
export interface Fan {
  readonly area: string;
  readonly middle: string;
  readonly label: { readonly x: number; readonly y: number; readonly text: string } | null;
}

/** Days drawn past the latest likely finish, and the most drawn at all, so that what was read stays readable. */
const PAST_FINISH_DAYS = 3;
const MOST_AHEAD = 2.2;
const LEAST_AHEAD_DAYS = 14;

/**
 * The days of the forecast that are drawn: from the last reading, where all of them meet, until it is most likely done.
 *
 * @param forecast - null while there is none
 * @param since - the pitch it counts its days from, when the curve begins, now, and the last reading that counts
 * @returns days in order; none where nothing lies ahead
 */
export function aheadDays(
  forecast: Forecast | null,
  since: {
    readonly pitchedAt: string | null;
    readonly startAt: string;
    readonly nowMs: number;
    readonly last: { readonly atMs: number; readonly sg: number } | null;
  },
): readonly AheadDay[] {
  const { pitchedAt, startAt, nowMs, last } = since;
  if (!forecast || pitchedAt === null) return [];
  const pitchedMs = Date.parse(pitchedAt);
  const gone = (nowMs - Date.parse(startAt)) / DAY_MS;
  const finish = forecast.finishDay.p90 ?? forecast.finishDay.p50 ?? Infinity;
  const today = (nowMs - pitchedMs) / DAY_MS;
  const end = Math.min(finish + PAST_FINISH_DAYS, today + Math.max(LEAST_AHEAD_DAYS, MOST_AHEAD * gone));
  const first = last && last.atMs >= pitchedMs ? { atMs: last.atMs, p10: last.sg, p50: last.sg, p90: last.sg } : dayAt(forecast.band, today, nowMs);
  if (!first) return [];
  const from = (first.atMs - pitchedMs) / DAY_MS;
  const rest = forecast.band.filter(({ day }) => day > from && day <= end).map(({ day, p10, p50, p90 }) => ({ atMs: pitchedMs + day * DAY_MS, p10, p50, p90 }));
  return rest.some((d) => d.atMs > nowMs) ? [first, ...rest] : [];
}

/** The forecast between two of its days. */
function dayAt(band: readonly BandDay[], day: number, atMs: number): AheadDay | null {
  const [before, after] = [band[Math.floor(day)], band[Math.floor(day) + 1]];
  if (!before || !after) return null;
  const share = day - before.day;
  const between = (of: (d: BandDay) => number): number => of(before) * (1 - share) + of(after) * share;
  return { atMs, p10: between((d) => d.p10), p50: between((d) => d.p50), p90: between((d) => d.p90) };
}

/**
 * The fan of what lies ahead, with the likely day of its end.
 *
 * @param ahead - days to draw
 * @param done - the likely end, ms since 1970, and how it is told; null when there is none
 * @param x - px of a moment, ms since 1970
 * @param y - px of a gravity
 * @returns paths and the label
 */
export function fanOf(
  ahead: readonly AheadDay[],
  done: { readonly atMs: number; readonly text: string } | null,
  x: (ms: number) => number,
  y: (sg: number) => number,
): Fan {
  const band = area<AheadDay>()
    .x((d) => x(d.atMs))
    .y0((d) => y(d.p10))
    .y1((d) => y(d.p90));
  const middle = line<AheadDay>()
    .x((d) => x(d.atMs))
    .y((d) => y(d.p50));
  const at = done && done.atMs > (ahead[0]?.atMs ?? Infinity) && done.atMs <= (ahead.at(-1)?.atMs ?? 0) ? ahead.find((d) => d.atMs >= done.atMs) : undefined;
  return { area: band(ahead) ?? '', middle: middle(ahead) ?? '', label: at && done ? { x: x(at.atMs), y: y(at.p50), text: done.text } : null };
}
