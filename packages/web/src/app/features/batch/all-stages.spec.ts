import { dayText } from '@trug/core/matter/quantity/days';
import { STAGES } from '@trug/core/book/state/batch-state';
import { dayAt, filled, finishedLog, pitched, reading, sampleEntry, sampleView } from '../../../testing/sample-batch';
import { curveDrawing, type CurveData } from './curve/curve-geometry';
import { nowWords } from './now/now-words';
import { pathStops } from '@trug/core/book/plan/path-stops';

const sulfite = sampleEntry('addition', 0.05, { what: 'sulfite', so2MgPerL: 75 });
const racked = sampleEntry('racked', 27, { vessels: [{ vesselId: 'W', volumeL: 19.5 }], lossL: 0.5 });
const primed = sampleEntry('primed', 34, { fermentableId: 'sucrose', massG: 128, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 });
const bottled = sampleEntry('bottled', 34, {
  bottles: [{ kindId: 'crown-500', count: 38 }],
  testBottle: true,
  lossL: 0.4,
  crate: 'Lot',
  capColour: 'rust',
  hottestC: 24,
  acknowledged: [],
});
const kegged = sampleEntry('kegged', 30, { vessel: { vesselId: 'K', volumeL: 19 }, lossL: 1, targetVolumes: 2.4, storeC: 4, acknowledged: [] });
const drunk = sampleEntry('opened', 90, { kindId: 'crown-500', count: 38 });

type Log = Parameters<typeof sampleView>[0];
const here = (log: Log, today: number): string => {
  const view = sampleView(log, today);
  return (
    pathStops({
      state: view.state,
      method: view.method,
      startedAt: dayAt(0),
      now: dayAt(today),
      status: view.verdict?.value.status ?? null,
      jobs: view.jobs,
    }).find((s) => s.state === 'here')?.stage ?? 'nowhere'
  );
};

describe('the path of a batch', () => {
  it.each<[string, Log, number]>([
    ['juice', [], 0],
    ['pitch', [filled()], 0],
    ['settle', [filled(), sulfite], 0.5],
    ['ferment', [filled(), sulfite, pitched(), reading(6, 1.02)], 6],
    ['rack', finishedLog(), 26],
    ['rest', [...finishedLog(), racked], 28],
    ['bottle', [...finishedLog(), racked, primed], 34],
    ['drink', [...finishedLog(), racked, primed, bottled], 35],
    ['drink', [...finishedLog(), kegged], 31],
  ])('stands at %s', (stage, log, today) => {
    expect(here(log, today)).toBe(stage);
  });
  it('has all nine stops, whatever happened', () => {
    const view = sampleView([...finishedLog(), racked, primed, bottled], 40);
    const stops = pathStops({ state: view.state, method: view.method, startedAt: dayAt(0), now: dayAt(40), status: null, jobs: view.jobs });
    expect(stops.map((s) => s.stage)).toEqual([...STAGES]);
    expect(stops.find((s) => s.stage === 'bottle')?.line).toBe('4 Nov');
    expect(stops.find((s) => s.stage === 'settle')?.line).toBe('none');
  });
  it('names the forecast’s days once something was read, the method’s until then, and none where neither knows', () => {
    const lines = (log: Log, today: number, endOn: string | null = null): string[] => {
      const view = sampleView(log, today);
      return pathStops({
        state: view.state,
        method: view.method,
        startedAt: dayAt(0),
        now: dayAt(today),
        status: view.verdict?.value.status ?? null,
        endOn,
        jobs: view.jobs,
      }).map((s) => s.line);
    };
    const working = [filled(), pitched(), reading(6, 1.02)];
    expect(lines([filled(), pitched()], 1)[4]).toMatch(/^about /);
    expect(lines(working, 6).slice(4)).toEqual(['', '', '', '', '']);
    // An end on the 1st of December is proven a week later.
    expect(lines(working, 6, '2026-12-01')[4]).toBe('about 8 Dec');
    // And never before the reading that would prove it.
    const view = sampleView(working, 6);
    const read = pathStops({
      state: view.state,
      method: view.method,
      startedAt: dayAt(0),
      now: dayAt(6),
      status: 'too-few-readings',
      endOn: '2026-10-10',
      readOn: '2026-10-25',
      jobs: view.jobs,
    }).map((s) => s.line);
    expect(read[4]).toBe('about 25 Oct');
    const working2 = pathStops({
      state: view.state,
      method: view.method,
      startedAt: dayAt(0),
      now: dayAt(6),
      status: 'working',
      endOn: '2026-10-10',
      readOn: '2026-10-25',
      jobs: view.jobs,
    }).map((s) => s.line);
    expect(working2[4]).toBe('about 1 Nov');
  });
  it('drinks from the day the cellar names, and the job waits for it', () => {
    const view = sampleView([...finishedLog(), racked, primed, bottled], 36);
    const drink = pathStops({ state: view.state, method: view.method, startedAt: dayAt(0), now: dayAt(36), status: null, jobs: view.jobs }).at(-1);
    const opens = view.jobs.find((j) => j.kind === 'open-one');
    expect(drink?.line).toBe(`from ${dayText(opens?.dueAt ?? '')}`);
  });
  it('names no day ahead that has gone by', () => {
    const view = sampleView([filled(), pitched(), reading(6, 1.02)], 200);
    const ahead = pathStops({ state: view.state, method: view.method, startedAt: dayAt(0), now: dayAt(200), status: 'slowing', jobs: view.jobs }).filter(
      (s) => s.state === 'ahead',
    );
    expect(ahead.every((s) => s.line === '')).toBe(true);
  });
});

describe('what Now says at each stage', () => {
  it.each<[string, Log, number, RegExp, string | null]>([
    ['nothing yet', [], 0, /Nothing is in it/, null],
    ['sulfited', [filled(), sulfite], 0.5, /Waiting out its sulfite, 24 hours/, 'pitch'],
    ['sulfited days ago', [filled(), sulfite], 3, /The juice is in\. It waits for yeast/, 'pitch'],
    ['working', [filled(), pitched(), reading(3, 1.04), reading(6, 1.03)], 6, /^Working/, 'read'],
    ['in the keg', [...finishedLog(), kegged], 31, /In the keg, gassed to 2\.4 volumes/, 'take-out'],
    ['in the bottle', [...finishedLog(), primed, bottled], 40, /In the bottle: 38 left, filled on 4 Nov/, '/cellar'],
    ['drunk', [...finishedLog(), primed, bottled, drunk], 91, /All drunk/, '/cellar'],
  ])('%s', (_what, log, today, sentence, page) => {
    const words = nowWords(sampleView(log, today));
    expect(words.sentence).toMatch(sentence);
    expect(words.main?.page ?? null).toBe(page);
  });
  it('offers the bottle bench to a working one only beside the main thing, since only a cold keg is open to it', () => {
    const words = nowWords(sampleView([filled(), pitched(), reading(3, 1.04), reading(6, 1.03)], 6));
    expect(words.also.map((a) => a.page)).toContain('bottle');
    expect(words.tone).toBe('plain');
  });
});

describe('the curve', () => {
  const drawing = (log: Log, today: number, changes: Partial<CurveData> = {}): ReturnType<typeof curveDrawing> => {
    const { state } = sampleView(log, today);
    const data: CurveData = {
      state,
      entries: log,
      startSg: 1.048,
      startAt: dayAt(0.1),
      expectedEndSg: 0.998,
      questionedIds: [],
      devices: [],
      span: null,
      forecast: null,
      pitchedAt: null,
      status: undefined,
      now: dayAt(today),
      gravityText: (sg) => sg.toFixed(3),
      tempText: (t) => `${t} °C`,
      dayText: (iso) => dayText(iso),
      hourText: (iso) => iso.slice(11, 16),
      yearText: (iso) => iso.slice(0, 4),
      readOn: null,
    };
    return curveDrawing({ ...data, ...changes }, { width: 756, height: 330 });
  };
  it('draws a single day without blowing it up', () => {
    const d = drawing([filled(), pitched()], 0.5);
    expect(d.points).toEqual([]);
    expect(d.dayTicks.length).toBeGreaterThan(2);
  });
  it('tints the ground by the warmth it stood in, and takes the last of it on for the days ahead', () => {
    const d = drawing([filled(), pitched(), sampleEntry('moved', 5, { place: 'shed', tempC: 8 }), reading(12, 1.03)], 20);
    expect(d.ground.map((g) => [g.shade, g.ahead])).toEqual([
      [0.7, false],
      [0.2, false],
      [0.7, false],
      [0.7, true],
    ]);
    expect(d.warmths.map((w) => w.text)).toEqual(['18 °C', '8 °C']);
  });
  it('keeps acts of one day from covering one another', () => {
    const d = drawing([...finishedLog(), racked, primed, bottled], 36);
    expect(d.pegs.map((p) => p.label)).toEqual(['pitched', 'racked', 'primed', 'bottled']);
    const [, , first, second] = d.pegs;
    expect(first?.row === second?.row && Math.abs((first?.x ?? 0) - (second?.x ?? 0)) < 70).toBe(false);
  });
  it('leaves a questioned reading out of the line but not out of the picture', () => {
    const log = [filled(), pitched(), reading(5, 1.03), reading(8, 1.045), reading(12, 1.015)];
    const odd = log[3]?.id ?? '';
    const d = drawing(log, 12, { questionedIds: [odd] });
    expect(d.points.filter((p) => p.questioned).map((p) => p.id)).toEqual([odd]);
    const odder = d.points.find((p) => p.id === odd);
    expect(d.line).not.toContain(String(odder?.y));
  });
  it('shows each reading’s doubt, the wider the rougher it is', () => {
    const d = drawing([filled(), pitched(), reading(5, 1.03)], 6);
    expect(d.points[0]?.plusMinusPx).toBeGreaterThan(1);
  });
});
