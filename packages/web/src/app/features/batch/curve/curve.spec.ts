import type { DeviceGravity, Forecast } from '@trug/core';
import { DAY_MS, dayText } from '@trug/core/matter/quantity/days';
import { dayAt, filled, pitched, reading, sampleView } from '../../../../testing/sample-batch';
import { curveDrawing, type CurveData } from './curve-geometry';
import { createHand } from './curve-hand';
import { spanAfterKey, spanAround, spanBetween } from './curve-zoom';

const whole = { fromMs: 0, toMs: 40 * DAY_MS };
const days = (from: number, to: number): { fromMs: number; toMs: number } => ({ fromMs: from * DAY_MS, toMs: to * DAY_MS });

describe('looking closer at the curve', () => {
  it('shows what was dragged over, in either direction, and forgives a slip', () => {
    expect(spanBetween(whole, [0.25, 0.5])).toEqual(days(10, 20));
    expect(spanBetween(days(10, 20), [0.5, 0])).toEqual(days(10, 15));
    expect(spanBetween(whole, [0.5, 0.501])).toBeNull();
  });
  it('follows keys within what there is', () => {
    expect(spanAfterKey(whole, whole, '+')).toEqual(days(10, 30));
    expect(spanAfterKey(days(10, 30), whole, 'ArrowRight')).toEqual(days(15, 35));
    expect(spanAfterKey(days(20, 40), whole, 'ArrowRight')).toEqual(days(20, 40));
    expect(spanAfterKey(days(0, 20), whole, 'ArrowLeft')).toEqual(days(0, 20));
    expect(spanAfterKey(days(5, 15), whole, '-')).toEqual(days(0, 20));
    expect(spanAfterKey(days(5, 35), whole, '-')).toBeNull();
    expect(spanAfterKey(days(5, 35), whole, '0')).toBeNull();
    expect(spanAfterKey(whole, whole, 'x')).toBeUndefined();
  });
});

describe('fingers on the curve', () => {
  it('drag over a stretch with one, pinch with two about the place between, and a slip does nothing', () => {
    const hand = createHand();
    hand.down(1, 100);
    expect(hand.move(1, 160)).toEqual({ is: 'drag', from: 100, to: 160 });
    expect(hand.up(1)).toEqual({ is: 'dragged', from: 100, to: 160 });
    hand.down(1, 100);
    hand.down(2, 200);
    expect(hand.move(2, 300)).toEqual({ is: 'pinch', at: 200, times: 0.5 });
    // The finger that stays has begun nothing.
    expect(hand.up(2)).toBeNull();
    expect(hand.move(1, 150)).toBeNull();
    expect(hand.up(1)).toBeNull();
    expect(hand.move(9, 150)).toBeNull();
  });
  it('zoom about the moment under them, within what there is', () => {
    expect(spanAround(whole, whole, 0.25, 0.5)).toEqual(days(5, 25));
    expect(spanAround(days(5, 25), whole, 0.5, 0.5)).toEqual(days(10, 20));
    expect(spanAround(days(5, 25), whole, 0, 4)).toBeNull();
  });
});

describe('a device on the curve', () => {
  const { state, log } = sampleView([filled(), pitched(), reading(5, 1.03), reading(12, 1.008)], 20);
  const startMs = Date.parse(state.pitchedAt ?? '');
  const every = (hours: number, count: number): number[] => Array.from({ length: count }, (_none, i) => startMs + i * hours * 3_600_000);
  const track = (atMs: number[]): { atMs: number[]; values: number[] } => ({ atMs, values: atMs.map((ms) => 1.048 - (0.04 * (ms - startMs)) / (20 * DAY_MS)) });
  const device = (atMs: number[]): DeviceGravity => ({
    deviceId: 'F',
    raw: track(every(0.01, 40_000)),
    smooth: track(atMs),
    scatterSg: 0.001,
    check: { offsetSg: 0, plusMinusSg: 0.004, comparedCount: 0, driftSg: null, text: '' },
    level: null,
    madeUp: false,
  });
  const data = (devices: readonly DeviceGravity[], span: CurveData['span'] = null): CurveData => ({
    state,
    entries: log,
    startSg: 1.048,
    startAt: state.pitchedAt ?? '',
    expectedEndSg: 0.998,
    questionedIds: [],
    now: dayAt(20),
    forecast: null,
    status: undefined,
    devices,
    span,
    pitchedAt: null,
    gravityText: String,
    tempText: String,
    dayText: (iso: string) => dayText(iso),
    hourText: (iso: string) => iso.slice(11, 16),
    yearText: (iso: string) => iso.slice(0, 4),
    readOn: null,
  });
  const size = { width: 756, height: 330 };

  it('is thinned to the width of the picture, however much it sent', () => {
    const [drawn] = curveDrawing(data([device(every(1, 480))]), size).devices;
    expect((drawn?.trace.match(/L/g) ?? []).length).toBeLessThan(4 * 700);
    expect((drawn?.trace.match(/L/g) ?? []).length).toBeGreaterThan(500);
  });
  it('breaks its line where it fell silent', () => {
    const silent = [...every(1, 100), ...every(1, 480).slice(200)];
    expect(curveDrawing(data([device(silent)]), size).devices[0]?.line.match(/M/g)).toHaveLength(2);
    expect(curveDrawing(data([device(every(1, 480))]), size).devices[0]?.line.match(/M/g)).toHaveLength(1);
  });
  it('says the year where it breaks, and the day to read as a peg ahead', () => {
    const late = { ...data([]), now: '2027-01-20T10:00:00.000Z', readOn: '2027-01-25' };
    const labels = curveDrawing(late, size).dayTicks.map((t) => t.label);
    expect(labels.filter((l) => / 20\d\d$/.test(l)).length).toBeGreaterThanOrEqual(1);
    expect(labels.filter((l) => / 20\d\d$/.test(l)).length).toBeLessThanOrEqual(2);
    expect(curveDrawing(late, size).pegs.at(-1)).toMatchObject({ label: 'read on 25 Jan', ahead: true });
  });
  it.each([
    ['where the forecast names one', {}, { finishDay: 30 }, 'about 31 Oct'],
    ['but none of a ferment that it calls stuck', {}, { finishDay: 30, chanceStuck: 0.86 }, undefined],
    ['nor of one that stands still', { status: 'stalled' }, { finishDay: 30 }, undefined],
    ['nor one that has gone by', {}, { finishDay: 19 }, undefined],
  ] as const)('says on the curve the day of the end %s', (_where, also, { finishDay, ...found }, label) => {
    const spread = { p10: 1, p50: 1, p90: 1 };
    const forecast: Forecast = {
      ...{ finalSg: spread, finalAbv: spread, rate: spread, chanceStuck: 0.05, effectiveMembers: 500 },
      band: Array.from({ length: 100 }, (_none, day) => ({ day, p10: 1.0, p50: 1.005, p90: 1.01 })),
      finishDay: { p10: finishDay - 1, p50: finishDay, p90: finishDay + 30 },
      ...found,
    };
    const drawn = curveDrawing({ ...data([]), pitchedAt: state.pitchedAt, forecast, ...also }, size);
    expect(drawn.fan.area).not.toBe('');
    expect(drawn.fan.label?.text).toBe(label);
  });
  it('spreads what is looked at over the whole picture, with hours where it is short', () => {
    const span = { fromMs: startMs + 5 * DAY_MS, toMs: startMs + 7 * DAY_MS };
    const closer = curveDrawing(data([device(every(1, 480))], span), size);
    expect(closer.dayTicks[0]?.label).toMatch(/\d \w{3} \d\d:\d\d/);
    const far = curveDrawing(data([device(every(1, 480))]), size);
    // Two days of fall fill the height that the whole ferment filled before.
    const step = (d: typeof far): number => Number(d.gravityTicks[1]?.label) - Number(d.gravityTicks[0]?.label);
    expect(step(closer)).toBeLessThan(step(far) / 3);
  });
});
