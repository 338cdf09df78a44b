import type { BatchState, DeviceGravity, Entry, Forecast } from '@trug/core';
import { likelyDay, likelyEndOn } from '@trug/core/ferment/forecast/forecast-words';
import type { FermentStatus } from '@trug/core/ferment/verdict/verdict';
import { calendarDays, DAY_MS } from '@trug/core/matter/quantity/days';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { deviceDrawings, type DeviceDrawing } from './curve-devices';
import { aheadDays, fanOf, type AheadDay, type Fan } from './curve-fan';
import { heatGround, heatWords, type HeatGround, type HeatWord } from './curve-heat';
import { curvePegs, type CurvePeg } from './curve-pegs';
import type { TimeSpan } from './curve-zoom';

/** The drawing's size, px. */
export interface CurveSize {
  readonly width: number;
  readonly height: number;
}

/** A reading as a point. */
export interface CurvePoint {
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly plusMinusPx: number;
  readonly title: string;
  readonly questioned: boolean;
}

/** Everything the curve draws. */
export interface CurveDrawing {
  readonly line: string;
  /** What it begins at, while nothing was read since; null from then on. */
  readonly start: { readonly x: number; readonly y: number; readonly label: string } | null;
  readonly points: readonly CurvePoint[];
  readonly gravityTicks: readonly { readonly y: number; readonly label: string }[];
  readonly dayTicks: readonly { readonly x: number; readonly label: string }[];
  readonly ground: readonly HeatGround[];
  readonly warmths: readonly HeatWord[];
  readonly pegs: readonly CurvePeg[];
  readonly endY: number | null;
  readonly endLabel: string;
  readonly todayX: number;
  readonly fan: Fan;
  readonly devices: readonly DeviceDrawing[];
  /** Whether labels stand in a margin of their own, or there is no room for one. */
  readonly roomy: boolean;
  /** The stretch of time drawn, and the whole there is. */
  readonly span: TimeSpan;
  readonly whole: TimeSpan;
  readonly plot: { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number };
}

/** What the curve is drawn from. */
export interface CurveData {
  readonly state: BatchState;
  readonly entries: readonly Entry[];
  readonly startSg: number;
  readonly startAt: string;
  readonly expectedEndSg: number | null;
  readonly questionedIds: readonly string[];
  readonly now: string;
  readonly forecast: Forecast | null;
  readonly devices: readonly DeviceGravity[];
  /** What is looked at; null for everything. */
  readonly span: TimeSpan | null;
  /** What the verdict says. */
  readonly status: FermentStatus | undefined;
  /** The pitch the forecast counts its days from. */
  readonly pitchedAt: string | null;
  /** The day a reading would tell most; null when none is wanted. */
  readonly readOn: string | null;
  readonly gravityText: (sg: number) => string;
  readonly tempText: (tempC: number) => string;
  /** A day and an hour on the maker's own calendar and clock. */
  readonly dayText: (iso: string) => string;
  readonly hourText: (iso: string) => string;
  readonly yearText: (iso: string) => string;
}

const MARGIN = { left: 58, right: 18, roomyRight: 104, top: 30, bottom: 72 };
/** Least span of the gravity axis, so that a flat line is not blown up. */
const LEAST_SPAN_SG = 0.012;
/** Below this width there is room for half the dates, and none for a margin of words. */
export const NARROW_PX = 500;

/**
 * Lays the curve out: gravity against days on a ground tinted by warmth, what lies ahead as a fan, acts as pegs beneath.
 *
 * @param data - the batch and how to write figures
 * @param size - the drawing, px
 * @returns paths and positions; no D3 is left to run
 */
export function curveDrawing(data: CurveData, { width, height }: CurveSize): CurveDrawing {
  const roomy = width >= NARROW_PX;
  const plot = { left: MARGIN.left, right: width - (roomy ? MARGIN.roomyRight : MARGIN.right), top: MARGIN.top, bottom: height - MARGIN.bottom };
  const startMs = Date.parse(data.startAt);
  const nowMs = Date.parse(data.now);
  const questioned = new Set(data.questionedIds);
  const last = data.state.readings.filter((r) => !questioned.has(r.id)).at(-1);
  const ahead = aheadDays(data.forecast, { ...data, nowMs, last: last ? { atMs: Date.parse(last.at), sg: last.sg } : null });
  const readAtMs = data.readOn === null ? null : Date.parse(data.readOn);
  const newestMs = Math.max(nowMs, ...data.devices.map((d) => d.smooth.atMs.at(-1) ?? 0));
  const lastMs = Math.max(newestMs, startMs + 7 * DAY_MS, ahead.at(-1)?.atMs ?? 0);
  const whole = { fromMs: startMs, toMs: lastMs + (ahead.length > 0 ? 0.02 : 0.12) * (lastMs - startMs) };
  const span = data.span ?? whole;
  const x = scaleUtc().domain([span.fromMs, span.toMs]).range([plot.left, plot.right]);
  const gravities = gravitiesShown(data, ahead, span);
  const top = Math.max(...gravities) + 0.002;
  const low = Math.min(Math.min(...gravities) - 0.002, top - LEAST_SPAN_SG);
  const y = scaleLinear().domain([low, top]).range([plot.bottom, plot.top]);
  const points = data.state.readings.map((r) => ({
    id: r.id,
    x: x(Date.parse(r.at)),
    y: y(r.sg),
    plusMinusPx: Math.abs(y(r.sg) - y(r.sg + r.plusMinus)),
    title: `${data.gravityText(r.sg)} on ${data.dayText(r.at)}${r.tempC === null ? '' : `, at ${data.tempText(r.tempC)}`}`,
    questioned: questioned.has(r.id),
  }));
  const start: readonly [number, number] = [x(startMs), y(data.startSg)];
  const path = line()([[...start], ...points.filter((p) => !p.questioned).map((p): [number, number] => [p.x, p.y])]);
  return {
    line: path ?? '',
    start: points.length > 0 ? null : { x: start[0], y: start[1], label: `begins at ${data.gravityText(data.startSg)}` },
    points,
    gravityTicks: y.ticks(6).map((sg) => ({ y: y(sg), label: data.gravityText(sg) })),
    devices: deviceDrawings(data.devices, { x, y, ...span, columns: plot.right - plot.left }),
    roomy,
    span,
    whole,
    dayTicks: dayTicks(x.ticks(roomy ? 6 : 3), span, data).map(({ at, label }) => ({ x: x(at), label })),
    ground: heatGround(data.state.temps, x, { ...plot, nowMs }),
    warmths: heatWords(data.state.temps, data.tempText),
    pegs: curvePegs(data.entries, { startAt: data.startAt, readAtMs, readText: data.readOn === null ? '' : `read on ${data.dayText(data.readOn)}` }, x, plot),
    endY: data.expectedEndSg === null ? null : y(data.expectedEndSg),
    endLabel: data.expectedEndSg === null ? '' : data.gravityText(data.expectedEndSg),
    todayX: x(nowMs),
    fan: fanOf(ahead, doneOf(data), x, y),
    plot,
  };
}

/** The day that the forecast's words name, and how it is told; null where they name none, as of a ferment that is stuck. */
function doneOf({ forecast, pitchedAt, status, now, state, dayText }: CurveData): { readonly atMs: number; readonly text: string } | null {
  const day = forecast && likelyDay(forecast, status);
  if (forecast === null || day === null || pitchedAt === null) return null;
  const endOn = likelyEndOn(forecast, { pitchedAt, zone: state.zone, status });
  if (endOn === null || calendarDays(now, endOn, state.zone) <= 0) return null;
  return { atMs: Date.parse(pitchedAt) + day * DAY_MS, text: `about ${dayText(endOn)}` };
}

/** The gravities the axis must hold: everything, or what lies in the stretch looked at. */
function gravitiesShown(data: CurveData, ahead: readonly AheadDay[], span: TimeSpan): readonly number[] {
  const shown = (ms: number): boolean => data.span === null || (ms >= span.fromMs && ms <= span.toMs);
  const own = [
    ...(data.span === null ? [data.startSg, ...(data.expectedEndSg === null ? [] : [data.expectedEndSg])] : []),
    ...data.state.readings.filter((r) => shown(Date.parse(r.at))).map((r) => r.sg),
    ...ahead.filter((d) => shown(d.atMs)).flatMap((d) => [d.p10, d.p90]),
  ];
  const devices = data.devices.flatMap(({ smooth }) => smooth.values.filter((_sg, i) => shown(smooth.atMs[i] ?? 0)));
  return own.length + devices.length === 0 ? [data.startSg] : [...own, ...devices];
}

/** Days, or hours where less than three days are shown; a year stands where it breaks. */
function dayTicks(
  dates: readonly Date[],
  { fromMs, toMs }: TimeSpan,
  { dayText, hourText, yearText, now }: Pick<CurveData, 'dayText' | 'hourText' | 'yearText' | 'now'>,
): readonly { readonly at: Date; readonly label: string }[] {
  const isClose = toMs - fromMs < 3 * DAY_MS;
  let year = yearText(now);
  return dates.map((at, i) => {
    const iso = at.toISOString();
    const breaks = yearText(iso) !== year || (i === 0 && yearText(new Date(toMs).toISOString()) !== yearText(iso));
    year = yearText(iso);
    return { at, label: `${dayText(iso)}${breaks ? ` ${year}` : ''}${isClose ? ` ${hourText(iso)}` : ''}` };
  });
}
