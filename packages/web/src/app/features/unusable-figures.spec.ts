import type { Type } from '@angular/core';
import type { Entry } from '@trug/core';
import { PageHarness } from '../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, SAMPLE_STEEP, sampleBatch, sampleEntry, testedLog } from '../../testing/sample-batch';
import { AdjustPage } from './adjust/adjust-page';
import { BottleBench } from './bottle/bottle-bench';
import { JuicePage } from './juice/form/juice-page';
import { SteepPage } from './juice/steep/steep-page';
import { KegPage } from './keg/keg-page';
import { MovePage } from './note/move-page';
import { PitchPage } from './pitch/pitch-page';
import { RackPage } from './rack/rack-page';
import { ReadingPage } from './reading/reading-page';
import { StrainPage } from './strain/strain-page';
import { SweetenPage } from './sweeten/sweeten-page';
import { TakeOutPage } from './take-out/take-out-page';

const working: readonly Entry[] = [filled(), pitched(), reading(3, 1.03), reading(6, 1.02)];
const onPulp: readonly Entry[] = [sampleEntry('steeped', 0, SAMPLE_STEEP)];
const vessels = [
  ...['V', 'W'].map((id) => ({ id, name: `Glass ${id}`, kind: 'carboy' as const, capacityL: id === 'V' ? 23 : 20 })),
  { id: 'J', name: 'Round jar', kind: 'jar' as const, capacityL: 7.5 },
  { id: 'B', name: 'White bucket', kind: 'bucket' as const, capacityL: 25 },
  { id: 'K', name: 'Steel keg', kind: 'keg' as const, capacityL: 19 },
];

interface Case {
  readonly page: Type<unknown>;
  readonly log: readonly Entry[];
  readonly today: number;
  /** What makes it ready to be sent. */
  readonly ready: Readonly<Record<string, string>>;
}

const CASES: Readonly<Record<string, Case>> = {
  'a juice': { page: JuicePage, log: [], today: 0, ready: { name: 'Row', volume: '18 L' } },
  steep: { page: SteepPage, log: [], today: 0, ready: { volume: '5 L', fruit: '2 kg' } },
  strain: { page: StrainPage, log: onPulp, today: 4, ready: {} },
  adjust: { page: AdjustPage, log: [filled()], today: 1, ready: { abv: '7' } },
  pitch: { page: PitchPage, log: [filled()], today: 1, ready: {} },
  'a reading': { page: ReadingPage, log: working, today: 7, ready: { gravity: '1.018' } },
  move: { page: MovePage, log: working, today: 7, ready: { place: 'the shed', temp: '14 C' } },
  rack: { page: RackPage, log: finishedLog(), today: 27, ready: {} },
  sweeten: { page: SweetenPage, log: finishedLog(), today: 27, ready: {} },
  'take some out': { page: TakeOutPage, log: finishedLog(), today: 27, ready: { amount: '1 L' } },
  keg: { page: KegPage, log: finishedLog(), today: 27, ready: {} },
  'bottle bench': { page: BottleBench, log: testedLog(), today: 27, ready: { 'count-crown-500': '30' } },
};

async function opened({ page, log, today, ready }: Case): Promise<PageHarness> {
  const harness = await PageHarness.open(
    page,
    log.length === 0 ? { today, vessels } : { batches: [sampleBatch(log)], vessels, today, inputs: { id: BATCH_ID } },
  );
  for (const [name, text] of Object.entries(ready)) await harness.change(name, text);
  return harness;
}
const hasSent = (page: PageHarness): boolean => page.filed().length > 0 || page.saved('juices').length > 0;

describe('a figure that cannot be used', () => {
  it.each(Object.keys(CASES))('holds up %s, whichever it is, and is never taken for the usual one', async (name) => {
    const one = CASES[name];
    if (!one) throw new Error(`there is no case for ${name}`);
    const ready = await opened(one);
    const figures = ready.figureNames();
    expect(figures.length).toBeGreaterThan(0);
    await ready.submit();
    expect(hasSent(ready)).toBe(true);
    for (const figure of figures) {
      const page = await opened(one);
      await page.change(figure, 'no such figure');
      await page.submit();
      expect([figure, hasSent(page), page.value(figure), page.has('[role=alert]')]).toEqual([figure, false, 'no such figure', true]);
    }
  });
  it('is also one that no drink or store has', async () => {
    const bench = CASES['bottle bench'];
    if (!bench) throw new Error('there is no bench');
    for (const [figure, text, why] of [
      ['hottest', '70 C', 'between 0 and 60 °C'],
      ['warmest', '-5 C', 'between 0 and 60 °C'],
      ['count-crown-500', '12.5', 'as a whole number'],
    ] as const) {
      const page = await opened(bench);
      await page.change(figure, text);
      expect(page.text()).toContain(why);
      await page.submit();
      expect([figure, hasSent(page)]).toEqual([figure, false]);
    }
  });
});
