import type { BatchState, BandDay, DeviceGravity, Entry, Forecast } from '@trug/core';
import { DAY_MS } from '@trug/core/matter/quantity/days';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { area, line } from 'd3-shape';
import { deviceDrawings, type DeviceDrawing } from './curve-devices';
import type { TimeSpan } from './curve-zoom';

/** The drawing's size and margins, px. */
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
  readonly points: readonly CurvePoint[];
  readonly gravityTicks: readonly { readonly y: number; readonly label: string }[];
  readonly dayTicks: readonly { readonly x: number; readonly label: string }[];
  readonly ribbon: readonly { readonly x: number; readonly width: number; readonly tempC: number; readonly shade: number; readonly label: string }[];
  readonly pegs: readonly { readonly x: number; readonly label: string; readonly row: number }[];
  readonly endY: number | null;
  readonly endLabel: string;
  readonly todayX: number;
  /** What lies ahead: the band as an area, its middle as a line; empty without a forecast. */
  readonly fan: { readonly area: string; readonly middle: string; readonly label: { readonly x: number; readonly y: number; readonly text: string } | null };
  readonly devices: readonly DeviceDrawing[];
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
  /** The pitch the forecast counts its days from. */
  readonly pitchedAt: string | null;
  readonly gravityText: (sg: number) => string;
  readonly tempText: (tempC: number) => string;
  /** A day and an hour on the maker's own calendar and clock. */
  readonly dayText: (iso: string) => string;
  readonly hourText: (iso: string) => string;
}

const MARGIN = { left: 58, right: 18, top: 34, bottom: 62 };
const PEGS: Partial<Record<Entry['kind'], string>> = {
  pitched: 'pitched',
  racked: 'racked',
  primed: 'primed',
  bottled: 'bottled',
  stabilised: 'stabilised',
  kegged: 'kegged',
};
/** Least span of the gravity axis, so that a flat line is not blown up. */
const LEAST_SPAN_SG = 0.012;
/** Below this width there is room for half the dates. */
const NARROW_PX = 500;

/**
 * Lays the curve out: gravity against days, temperature beneath, acts as pegs and the end to expect.
 *
 * @param data - the batch and how to write figures
 * @param size - the drawing, px
 * @returns paths and positions; no D3 is left to run
 */
export function curveDrawing(data: CurveData, { width, height }: CurveSize): CurveDrawing {
  const plot = { left: MARGIN.left, right: width - MARGIN.right, top: MARGIN.top, bottom: height - MARGIN.bottom };
  const startMs = Date.parse(data.startAt);
  const nowMs = Date.parse(data.now);
  const ahead = aheadOf(data, nowMs);
  const newestMs = Math.max(nowMs, ...data.devices.map((d) => d.smooth.atMs.at(-1) ?? 0));
  const lastMs = Math.max(newestMs, startMs + 7 * DAY_MS, ahead.at(-1)?.atMs ?? 0);
  const whole = { fromMs: startMs, toMs: lastMs + (ahead.length > 0 ? 0.02 : 0.12) * (lastMs - startMs) };
  const span = data.span ?? whole;
  const x = scaleUtc().domain([span.fromMs, span.toMs]).range([plot.left, plot.right]);
  const gravities = gravitiesShown(data, ahead, span);
  const top = Math.max(...gravities) + 0.002;
  const low = Math.min(Math.min(...gravities) - 0.002, top - LEAST_SPAN_SG);
  const y = scaleLinear().domain([low, top]).range([plot.bottom, plot.top]);
  const questioned = new Set(data.questionedIds);
  const points = data.state.readings.map((r) => ({
    id: r.id,
    x: x(Date.parse(r.at)),
    y: y(r.sg),
    plusMinusPx: Math.abs(y(r.sg) - y(r.sg + r.plusMinus)),
    title: `${data.gravityText(r.sg)} on ${data.dayText(r.at)}`,
    questioned: questioned.has(r.id),
  }));
  const start: readonly [number, number] = [x(startMs), y(data.startSg)];
  const path = line()([[...start], ...points.filter((p) => !p.questioned).map((p): [number, number] => [p.x, p.y])]);
  return {
    line: path ?? '',
    points,
    gravityTicks: y.ticks(6).map((sg) => ({ y: y(sg), label: data.gravityText(sg) })),
    devices: deviceDrawings(data.devices, { x, y, ...span, columns: plot.right - plot.left }),
    span,
    whole,
    dayTicks: x.ticks(width < NARROW_PX ? 3 : 6).map((date) => ({ x: x(date), label: tickText(date.toISOString(), span, data) })),
    ribbon: ribbonOf(data, x, plot.right, nowMs),
    pegs: pegsOf(data, x),
    endY: data.expectedEndSg === null ? null : y(data.expectedEndSg),
    endLabel: data.expectedEndSg === null ? '' : `${width < NARROW_PX ? 'end,' : 'where it should end,'} about ${data.gravityText(data.expectedEndSg)}`,
    todayX: x(nowMs),
    fan: fanOf(data, ahead, x, y),
    plot,
  };
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

/** Days, or hours where less than three days are shown. */
function tickText(at: string, { fromMs, toMs }: TimeSpan, { dayText, hourText }: Pick<CurveData, 'dayText' | 'hourText'>): string {
  return toMs - fromMs < 3 * DAY_MS ? `${dayText(at)} ${hourText(at)}` : dayText(at);
}

type TimeScale = ReturnType<typeof scaleUtc<number>>;

interface AheadDay {
  readonly atMs: number;
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** Days drawn past the latest likely finish, and the most drawn at all, so that what was read stays readable. */
const PAST_FINISH_DAYS = 3;
const MOST_AHEAD = 2.2;
const LEAST_AHEAD_DAYS = 14;

/** The days of the forecast that are drawn: from today until it is most likely done. */
function aheadOf({ forecast, pitchedAt, startAt }: CurveData, nowMs: number): readonly AheadDay[] {
  if (!forecast || pitchedAt === null) return [];
  const pitchedMs = Date.parse(pitchedAt);
  const gone = (nowMs - Date.parse(startAt)) / DAY_MS;
  const finish = forecast.finishDay.p90 ?? forecast.finishDay.p50 ?? Infinity;
  const today = (nowMs - pitchedMs) / DAY_MS;
  const last = Math.min(finish + PAST_FINISH_DAYS, today + Math.max(LEAST_AHEAD_DAYS, MOST_AHEAD * gone));
  const { band } = forecast;
  const [before, after] = [band[Math.floor(today)], band[Math.floor(today) + 1]];
  if (!before || !after) return [];
  // The fan opens just at today, between two of the forecast's days.
  const share = today - before.day;
  const between = (of: (d: AheadDay | BandDay) => number): number => of(before) * (1 - share) + of(after) * share;
  const first: AheadDay = { atMs: nowMs, p10: between((d) => d.p10), p50: between((d) => d.p50), p90: between((d) => d.p90) };
  const rest = band.filter(({ day }) => day > today && day <= last).map(({ day, p10, p50, p90 }) => ({ atMs: pitchedMs + day * DAY_MS, p10, p50, p90 }));
  return rest.length === 0 ? [] : [first, ...rest];
}

function fanOf({ forecast, pitchedAt, dayText }: CurveData, ahead: readonly AheadDay[], x: TimeScale, y: (sg: number) => number): CurveDrawing['fan'] {
  const band = area<AheadDay>()
    .x((d) => x(d.atMs))
    .y0((d) => y(d.p10))
    .y1((d) => y(d.p90));
  const middle = line<AheadDay>()
    .x((d) => x(d.atMs))
    .y((d) => y(d.p50));
  const done = forecast?.finishDay.p50 ?? null;
  const doneMs = done === null || pitchedAt === null ? null : Date.parse(pitchedAt) + done * DAY_MS;
  const shown = doneMs !== null && doneMs > (ahead[0]?.atMs ?? Infinity) && doneMs <= (ahead.at(-1)?.atMs ?? 0);
  const at = shown ? ahead.find((d) => d.atMs >= doneMs) : undefined;
  const label =
    at && pitchedAt !== null && done !== null
      ? { x: x(at.atMs), y: y(at.p50), text: `about ${dayText(new Date(Date.parse(pitchedAt) + Math.round(done) * DAY_MS).toISOString())}` }
      : null;
  return { area: band(ahead) ?? '', middle: middle(ahead) ?? '', label };
}

function ribbonOf(data: CurveData, x: TimeScale, right: number, nowMs: number): CurveDrawing['ribbon'] {
  const { temps } = data.state;
  let labelledC: number | null = null;
  return temps.flatMap((temp, i) => {
    const from = Math.max(x(Date.parse(temp.at)), MARGIN.left);
    const to = Math.min(x(Date.parse(temps[i + 1]?.at ?? new Date(nowMs).toISOString())), right);
    if (to - from < 0.5) return [];
    const changed = labelledC === null || Math.abs(labelledC - temp.tempC) >= 1;
    const label = changed && to - from > 34 ? data.tempText(temp.tempC) : '';
    if (label !== '') labelledC = temp.tempC;
    // 0 is a cold cellar, 1 a warm kitchen.
    return [{ x: from, width: to - from, tempC: temp.tempC, shade: Math.min(1, Math.max(0, (temp.tempC - 4) / 20)), label }];
  });
}

function pegsOf(data: CurveData, x: TimeScale): CurveDrawing['pegs'] {
  let lastX = -Infinity;
  let row = 0;
  return data.entries.flatMap((entry) => {
    const label = PEGS[entry.kind];
    if (label === undefined || Date.parse(entry.at) < Date.parse(data.startAt) - DAY_MS) return [];
    const at = x(Date.parse(entry.at));
    row = at - lastX < 70 ? row + 1 : 0;
    lastX = at;
    return [{ x: at, label, row: row % 2 }];
  });
}
