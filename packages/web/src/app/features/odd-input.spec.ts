import type { Type } from '@angular/core';
import type { Entry } from '@trug/core';
import { PageHarness } from '../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch } from '../../testing/sample-batch';
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

const TURNS = 7;

const working: readonly Entry[] = [filled(), pitched(), reading(3, 1.03), reading(6, 1.02)];
const stuck: readonly Entry[] = [filled(), pitched(), reading(5, 1.03), reading(14, 1.022), reading(24, 1.022)];

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
  ['bottle bench', BottleBench, finishedLog(), 27],
];

/** Names that programs give to fields, and figures that are none. */
const RAW = /\b[a-z]+(?:GPerL|MgPerL|PerL|MassG|VolumeL|TempC|Sg)\b|\bmassG\b|\bvolumeL\b|\btempC\b|undefined|NaN(?!”)|Infinity|\[object/;

describe('odd input', () => {
  it.each(PAGES)('on %s is answered in words, and no page goes blank', async (_name, component, log, today) => {
    const setting = log.length === 0 ? { today } : { batches: [sampleBatch(log)], today, inputs: { id: BATCH_ID } };
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
});
