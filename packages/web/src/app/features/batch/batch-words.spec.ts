import type { Entry } from '@trug/core';
import { dayText } from '@trug/core/matter/quantity/days';
import { DEFAULT_UNITS } from '@trug/core/matter/quantity/format-quantity';
import { dayAt, filled, finishedLog, pitched, reading, sampleEntry, sampleView } from '../../../testing/sample-batch';
import { curveDrawing } from './curve/curve-geometry';
import { logLines } from './log/log-lines';
import { nowWords } from './now/now-words';
import { pathStops } from '@trug/core/book/plan/path-stops';

const LOG_UNITS = { gravity: (sg: number) => sg.toFixed(3), day: (iso: string, weekday = false) => dayText(iso, weekday), preferences: () => DEFAULT_UNITS };

const pathOf = (log: Parameters<typeof sampleView>[0], today: number): ReturnType<typeof pathStops> => {
  const view = sampleView(log, today);
  return pathStops({
    state: view.state,
    method: view.method,
    startedAt: dayAt(0),
    now: dayAt(today),
    status: view.verdict?.value.status ?? null,
    jobs: view.jobs,
  });
};
const stopsOf = (...path: Parameters<typeof pathOf>): string[] => pathOf(...path).map((s) => s.state);

describe('nowWords', () => {
  it.each([
    ['waits for yeast', [filled()], 0, 'pitch'],
    ['asks for a reading', [filled(), pitched()], 5, 'read'],
    ['restarts a stuck one', [filled(), pitched(), reading(5, 1.03), reading(14, 1.022), reading(24, 1.022)], 24, 'restart'],
    ['racks a finished one', finishedLog(), 26, 'rack'],
    ['bottles a racked one', [...finishedLog(), sampleEntry('racked', 27, { vessels: [{ vesselId: 'W', volumeL: 19.5 }], lossL: 0.5 })], 30, 'bottle'],
  ] as const)('%s', (_what, log, today, page) => {
    expect(nowWords(sampleView(log, today)).main?.page).toBe(page);
  });
  it('offers raw juice its sulfite before the yeast, and shop juice, which was heated, none', () => {
    const from = (source: string): ReturnType<typeof nowWords> => {
      const entry = filled();
      if (entry.kind !== 'filled') throw new Error('not filled');
      return nowWords(sampleView([{ ...entry, payload: { ...entry.payload, source } }], 0));
    };
    const [raw, shop] = [from('my own press'), from('shop apple juice')];
    expect(raw.next).toContain('Raw juice wants it a day before bought yeast');
    expect(raw.also[0]).toEqual({ page: 'adjust/sulfite', verb: 'Sulfite it' });
    expect(nowWords(sampleView([{ ...filled(), payload: { ...filled().payload, ph: 3.95 } } as Entry], 0)).also[0]).toEqual({
      page: 'adjust/acid',
      verb: 'Add acid',
    });
    expect(shop.next).toBe('Shop juice was heated: it needs no sulfite before its yeast.');
    expect(shop.also.map((act) => act.page)).not.toContain('adjust/sulfite');
  });
  it('leaves one that clears still until its day, and then racks it', () => {
    const log = [...finishedLog(), sampleEntry('clarified', 26, { means: 'enzyme', massG: 2, waitDays: 14 })];
    const waiting = nowWords(sampleView(log, 30));
    expect(waiting.next).toMatch(/^Leave it still until 10 Nov, while it clears\. Then: Rack it/);
    expect([waiting.main?.page, waiting.also.filter((act) => act.page === 'rack').length]).toEqual(['clear', 1]);
    expect(nowWords(sampleView(log, 41)).main?.page).toBe('rack');
    const racked = sampleEntry('racked', 28, { vessels: [{ vesselId: 'W', volumeL: 19.5 }], lossL: 0.5 });
    expect(nowWords(sampleView([...log, racked], 30)).main?.page).toBe('bottle');
  });
  it('says on what evidence', () => {
    const words = nowWords(sampleView(finishedLog(), 26));
    expect(words.tone).toBe('good');
    expect(words.evidence[0]?.text).toBe('Readings 8 days apart differ by less than a point');
  });
});

describe('pathStops', () => {
  it('stands at ferment until the end is proven, even when racked', () => {
    const racked = [filled(), pitched(), reading(5, 1.03), sampleEntry('racked', 6, { vessels: [{ vesselId: 'W', volumeL: 19 }], lossL: 1 }), reading(8, 1.02)];
    const stops = stopsOf(racked, 8);
    expect(stops[3]).toBe('here');
    expect(stops[4]).toBe('done');
  });
  it('moves on when it is proven, and shows what lies ahead', () => {
    // No sulfite was given: what was never done is not told as done.
    expect(stopsOf(finishedLog(), 26)).toEqual(['done', 'skipped', 'done', 'done', 'here', 'ahead', 'ahead', 'ahead', 'ahead']);
    const sulfited = sampleEntry('addition', 0.05, { what: 'sulfite', so2MgPerL: 50 });
    expect(stopsOf([...finishedLog(), sulfited], 26)[1]).toBe('done');
  });
  it('settles a must before its yeast, whatever sulfite keeps the drink later', () => {
    const sulfite = (day: number): ReturnType<typeof filled> => sampleEntry('addition', day, { what: 'sulfite', so2MgPerL: 50 });
    const before = [filled(), sulfite(0.05), pitched(), ...finishedLog().slice(2)];
    expect(pathOf([...before, sulfite(26)], 26)[1]).toEqual(pathOf(before, 26)[1]);
    expect(stopsOf([...finishedLog(), sulfite(26)], 26)[1]).toBe('skipped');
  });
});

describe('logLines', () => {
  it('shows the newest first, with what was there before a correction', () => {
    const wrong = reading(7, 1.12);
    const { payload } = reading(7, 1.012) as Extract<ReturnType<typeof reading>, { kind: 'reading' }>;
    const log = [
      filled(),
      pitched(),
      wrong,
      sampleEntry('corrected', 8, { entryId: wrong.id, replacement: { kind: 'reading', at: dayAt(7), note: '', payload } }),
    ];
    const [line] = logLines(sampleView(log, 9), LOG_UNITS);
    expect(line).toMatchObject({ lead: '1.012', struckOut: false, history: ['Read 1.120 at 20 °C, hydrometer · standing at 18 °C'] });
  });
  it('keeps a struck-out line in its place', () => {
    const gone = reading(7, 1.12);
    const log = [filled(), pitched(), gone, sampleEntry('corrected', 8, { entryId: gone.id, replacement: null })];
    expect(logLines(sampleView(log, 9), LOG_UNITS).find((l) => l.id === gone.id)?.struckOut).toBe(true);
  });
});

describe('curveDrawing', () => {
  const view = sampleView(finishedLog(), 26);
  const drawing = curveDrawing(
    {
      state: view.state,
      entries: view.log,
      startSg: 1.048,
      startAt: dayAt(0),
      expectedEndSg: 0.998,
      questionedIds: [],
      devices: [],
      span: null,
      forecast: null,
      pitchedAt: null,
      status: undefined,
      now: dayAt(26),
      gravityText: (sg) => sg.toFixed(3),
      tempText: (t) => `${t} °C`,
      dayText: (iso: string) => dayText(iso),
      hourText: (iso: string) => iso.slice(11, 16),
      yearText: (iso: string) => iso.slice(0, 4),
      readOn: null,
    },
    { width: 756, height: 330 },
  );
  it('lays readings out by day and gravity, inside the plot', () => {
    const [first, second] = drawing.points;
    expect(first && second && first.x < second.x && first.y < second.y).toBe(true);
    for (const p of drawing.points) {
      expect(p.x).toBeGreaterThanOrEqual(drawing.plot.left);
      expect(p.y).toBeLessThanOrEqual(drawing.plot.bottom);
    }
  });
  it('marks the end to expect, today and the acts', () => {
    expect(drawing.endY).toBeGreaterThan(drawing.points[0]?.y ?? Infinity);
    expect(drawing.pegs.map((p) => p.label)).toEqual(['pitched']);
    expect(drawing.todayX).toBeLessThan(drawing.plot.right);
  });
});
