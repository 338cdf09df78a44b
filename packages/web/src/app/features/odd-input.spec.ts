import type { Type } from '@angular/core';
import type { Entry } from '@trug/core';
import { PageHarness } from '../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, SAMPLE_STEEP, sampleBatch, sampleEntry } from '../../testing/sample-batch';
import { AdjustPage } from './adjust/adjust-page';
import { BottleBench } from './bottle/bottle-bench';
import { Cupboard } from './cupboard/cupboard';
import { JuicePage } from './juice/form/juice-page';
import { PressDay } from './juice/press/press-day';
import { SteepPage } from './juice/steep/steep-page';
import { MalolacticPage } from './malolactic/malolactic-page';
import { NewBatch } from './new-batch/new-batch';
import { MovePage } from './note/move-page';
import { PitchPage } from './pitch/pitch-page';
import { RackPage } from './rack/rack-page';
import { ReadingPage } from './reading/reading-page';
import { KegPage } from './keg/keg-page';
import { StrainPage } from './strain/strain-page';
import { RestartPage } from './restart/restart-page';
import { SettingsPage } from './settings/settings-page';
import { SplitPage } from './split/split-page';
import { StabilisePage } from './stabilise/stabilise-page';
import { SugarTestPage } from './sugar-test/sugar-test-page';
import { SweetenPage } from './sweeten/sweeten-page';
import { TakeOutPage } from './take-out/take-out-page';

/** What people, cats and pasted tables put into a field. */
const ODD = [
  '300 C',
  '-5000 L',
  '200',
  '3',
  '46 Bx',
  '1e400',
  '0',
  '-0',
  '.',
  '½',
  '１２',
  '2-3',
  '1,2,3',
  '99999999999',
  'NaN',
  '💧 drops',
  'kg',
  ' ',
  '1/0',
  '<b>1</b>',
];

/** 7 is the first half of 70 °F. */
const WARMTHS = ['7 F', '-9 C', '61 C', '99 C'];

const TURNS = 7;

const working: readonly Entry[] = [filled(), pitched(), reading(3, 1.03), reading(6, 1.02)];
const stuck: readonly Entry[] = [filled(), pitched(), reading(5, 1.03), reading(14, 1.022), reading(24, 1.022)];

const vessels = [
  { id: 'K', name: 'Steel keg', kind: 'keg' as const, capacityL: 19 },
  { id: 'J', name: 'Round jar', kind: 'jar' as const, capacityL: 7.5 },
];

const PAGES: readonly (readonly [name: string, page: Type<unknown>, log: readonly Entry[], today: number])[] = [
  ['new batch', NewBatch, [], 0],
  ['a juice', JuicePage, [], 0],
  ['press day', PressDay, [], 0],
  ['steep', SteepPage, [], 0],
  ['cupboard', Cupboard, [], 0],
  ['settings', SettingsPage, [], 0],
  ['adjust', AdjustPage, [filled()], 1],
  ['pitch', PitchPage, [filled()], 1],
  ['split', SplitPage, [filled()], 1],
  ['a reading', ReadingPage, working, 7],
  ['move', MovePage, working, 7],
  ['restart', RestartPage, stuck, 25],
  ['rack', RackPage, finishedLog(), 27],
  ['malolactic', MalolacticPage, finishedLog(), 27],
  ['sugar test', SugarTestPage, finishedLog(), 27],
  ['stabilise', StabilisePage, finishedLog(), 27],
  ['sweeten', SweetenPage, finishedLog(), 27],
  ['take some out', TakeOutPage, finishedLog(), 27],
  ['keg', KegPage, finishedLog(), 27],
  ['strain', StrainPage, [sampleEntry('steeped', 0, SAMPLE_STEEP)], 4],
  ['bottle bench', BottleBench, finishedLog(), 27],
];

/** Names that programs give to fields, and figures that are none. */
const RAW = /\b[a-z]+(?:GPerL|MgPerL|PerL|MassG|VolumeL|TempC|Sg)\b|\bmassG\b|\bvolumeL\b|\btempC\b|undefined|NaN(?!”)|Infinity|\[object/;

describe('odd input', () => {
  it.each(PAGES)('on %s is answered in words, and no page goes blank', async (_name, component, log, today) => {
    const setting = log.length === 0 ? { today } : { batches: [sampleBatch(log)], vessels, today, inputs: { id: BATCH_ID } };
    const page = await PageHarness.open(component, setting);
    const names = page.fieldNames();
    // Each field meets another oddity each time, so that all of them meet somewhere.
    for (let turn = 0; turn < TURNS; turn += 1) {
      const typed = new Map<string, string>();
      for (const [i, name] of names.entries()) {
        const odd = ODD[(turn * TURNS + i) % ODD.length] ?? '';
        if (!page.fieldNames().includes(name)) continue;
        await page.type(name, odd);
        typed.set(name, odd);
      }
      const said = page.text();
      expect(said.length).toBeGreaterThan(20);
      expect(said).not.toMatch(RAW);
      for (const [name, odd] of typed) if (page.fieldNames().includes(name)) expect(page.value(name)).toBe(odd);
    }
    if (page.has('form button[type=submit]')) await page.submit();
    expect(page.text()).not.toMatch(RAW);
  });
  it.each(PAGES)('on %s may be a warmth that nobody has, as half of what is being typed often is', async (_name, component, log, today) => {
    const setting = log.length === 0 ? { today } : { batches: [sampleBatch(log)], vessels, today, inputs: { id: BATCH_ID } };
    const page = await PageHarness.open(component, setting);
    for (const name of page.figureNames()) {
      for (const odd of WARMTHS) {
        if (!page.fieldNames().includes(name)) continue;
        await page.type(name, odd);
        expect([name, odd, page.text().length > 20]).toEqual([name, odd, true]);
      }
    }
  });
});
