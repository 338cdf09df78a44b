import { PageHarness } from '../../../../testing/page-harness';
import { dayText } from '@trug/core/matter/quantity/days';
import { filled, finishedLog, pitched, reading, sampleBatch, sampleView, dayAt } from '../../../../testing/sample-batch';
import type { DeviceReading } from '@trug/core';
import { Ahead } from './ahead';
import { curveDrawing } from '../curve/curve-geometry';
import { BatchPage } from '../batch-page';
import { runForecastTask, type ForecastTask } from './forecast-task';
import { gravityOf } from '@trug/core/matter/liquid/views';
import { forecastInputOf } from '@trug/core/book/outlook/forecast-of';
import { BATCH_ID } from '../../../../testing/sample-batch';

const working = [filled(), pitched(), reading(3, 1.041), reading(6, 1.026)];
const open = (entries = working, today = 7): Promise<PageHarness> =>
  PageHarness.open(BatchPage, { batches: [sampleBatch(entries)], today, inputs: { id: BATCH_ID } });

describe('what lies ahead', () => {
  it('says when it is done, where it ends and how likely it sticks, and draws the fan', async () => {
    const page = await open();
    await page.shows('trug-ahead .lead');
    expect(page.text('trug-ahead .lead')).toMatch(/^Done about \d+ Oct, between \d+ Oct and \d+ (Oct|Nov) four times in five\.$/);
    expect(page.text('trug-ahead')).toMatch(/ends at about (0\.99\d|1\.00\d)/);
    expect(page.attribute('trug-curve .fan', 'd')).toMatch(/^M/);
  });
  it('tries a move and a feed without writing anything down', async () => {
    const page = await open();
    await page.type('whatIfTemp', '11 C');
    await page.shows('.then');
    expect(page.text('.then')).toMatch(/^Done|^Not done/);
    await page.choose('whatIfFeed', 'organic');
    await page.shows('.then');
    // A usual feed of this much drink, until another weight is typed.
    expect(page.text('trug-ahead .feed + trug-quantity + p')).toMatch(/^24 mg\/L of nitrogen\. More than a third of the sugar is gone/);
    await page.type('whatIfFeedMass', '100 g');
    expect(page.text('trug-ahead')).toContain('more than 12.0 g, the most usually given');
    expect(page.written()).toEqual([]);
  });
  it('asks nothing until it is known what devices sent, and says that it is at it', async () => {
    const looked = (device: readonly DeviceReading[] | null): Promise<PageHarness> =>
      PageHarness.open(Ahead, { batches: [sampleBatch(working)], today: 7, inputs: { view: sampleView(working, 7), now: dayAt(7), device } });
    const waiting = await looked(null);
    expect(waiting.has('mat-progress-bar')).toBe(true);
    expect(waiting.text('section')).toContain('Running thousands of possible ferments');
    expect(waiting.has('.lead')).toBe(false);
    const known = await looked([]);
    await known.shows('.lead');
    expect(known.has('mat-progress-bar')).toBe(false);
  });
  it('keeps quiet before yeast and once the end is proven', async () => {
    expect((await open([filled()], 1)).has('trug-ahead section')).toBe(false);
    expect((await open(finishedLog(), 27)).has('trug-ahead section')).toBe(false);
  });
});

describe('runForecastTask', () => {
  const asIs = forecastInputOf(sampleView(working, 7).state, dayAt(7));
  it('tells how far it is, ever forward, and learns from earlier batches', () => {
    if (!asIs) throw new Error('nothing to ask');
    const task: ForecastTask = { asIs, whatIf: asIs, past: [asIs] };
    const told: number[] = [];
    const answer = runForecastTask(task, (progress) => told.push(progress));
    expect([...told].sort((a, b) => a - b)).toEqual(told);
    expect(answer.asIs.steps.map((s) => s.expression)).toContain('1 with this kind of yeast');
    expect(answer.whatIf?.value).toEqual(answer.asIs.value);
  });
});

describe('the fan', () => {
  const view = sampleView(working, 7);
  const drawn = (finish: number | null): ReturnType<typeof curveDrawing>['fan'] =>
    curveDrawing(
      {
        state: view.state,
        entries: view.log,
        startSg: view.state.must ? gravityOf(view.state.must) : 1.05,
        startAt: dayAt(0.1),
        expectedEndSg: 0.998,
        questionedIds: [],
        now: dayAt(7),
        devices: [],
        span: null,
        forecast: {
          band: Array.from({ length: 60 }, (_, day) => ({ day, p10: 1.02, p50: 1.021, p90: 1.024 })),
          finishDay: { p10: finish, p50: finish, p90: finish },
          finalSg: { p10: 1, p50: 1, p90: 1 },
          finalAbv: { p10: 6, p50: 6, p90: 6 },
          chanceStuck: 0,
          rate: { p10: 1, p50: 1, p90: 1 },
          effectiveMembers: 100,
        },
        pitchedAt: dayAt(0.1),
        status: undefined,
        gravityText: (sg) => sg.toFixed(3),
        tempText: (t) => `${t} °C`,
        dayText: (iso: string) => dayText(iso),
        hourText: (iso: string) => iso.slice(11, 16),
        yearText: (iso: string) => iso.slice(0, 4),
        readOn: null,
      },
      { width: 756, height: 330 },
    ).fan;
  it('begins at the last reading and names the likely day; an end nobody can see has no name', () => {
    expect(drawn(15).label?.text).toBe('about 16 Oct');
    expect(drawn(null).label).toBeNull();
    expect(drawn(null).area).toMatch(/^M/);
    // It should be done by now: there is nothing ahead to draw.
    expect(drawn(3).area).toBe('');
  });
});
