import type { Type } from '@angular/core';
import { PageHarness, type PageSetting } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, SAMPLE_STEEP, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { sampleInstrument } from '../../../testing/sample-instrument';
import { JuicePage } from '../../features/juice/form/juice-page';
import { NewBatch } from '../../features/new-batch/new-batch';
import { SeveralPage } from '../../features/new-batch/several-page';
import { ReadingPage } from '../../features/reading/reading-page';
import { SeveralReadings } from '../../features/reading/several-readings';
import { StrainPage } from '../../features/strain/strain-page';
import { SugarTestPage } from '../../features/sugar-test/sugar-test-page';

const stem = sampleInstrument({ id: 'STEM', name: 'Second stem', calibratedAtC: 15, offset: 0.002 });
const lens = sampleInstrument({ id: 'LENS', name: 'Lens', kind: 'refractometer', offset: -0.3 });
const instruments = [sampleInstrument({ id: 'FIRST', name: 'First stem' }), stem, lens];
const vessels = [5, 5, 30].map((capacityL, i) => ({ id: `01J00000000000000000000JR${i}`, name: `Jar ${i}`, kind: 'jar' as const, capacityL }));

interface GravityForm {
  readonly page: Type<unknown>;
  readonly setting?: Omit<PageSetting, 'instruments' | 'vessels'>;
  /** The name of its field of gravity, and what else it must be told. */
  readonly name: string;
  readonly tell?: (page: PageHarness) => Promise<void>;
  readonly by?: string;
  readonly typed?: (gravity: string) => string;
  readonly sample?: string;
}
const here = { inputs: { id: BATCH_ID } };
const FORMS: Record<string, GravityForm> = {
  'a reading': { page: ReadingPage, setting: { batches: [sampleBatch([filled(), pitched()])], today: 2, ...here }, name: 'gravity' },
  'readings in a row': { page: SeveralReadings, setting: { batches: [sampleBatch([filled(), pitched()])], today: 2 }, name: BATCH_ID, by: 'gauge' },
  'what ran off': { page: StrainPage, setting: { batches: [sampleBatch([sampleEntry('steeped', 0, SAMPLE_STEEP)])], today: 4, ...here }, name: 'gravity' },
  'a juice': {
    page: JuicePage,
    name: 'gravity',
    tell: async (page) => {
      await page.type('name', 'Lane');
      await page.type('volume', '8 L');
    },
  },
  'a new batch': { page: NewBatch, name: 'sg', tell: (page) => page.type('volume', '20 L') },
  'several new ones': { page: SeveralPage, name: 'juices', tell: (page) => page.type('volume', '1 L'), typed: (gravity) => `Row ${gravity}` },
};

/** The gravity that a form files, wherever in it it stands. */
function gravityFiled(page: PageHarness): unknown {
  const [entry] = [...page.written(), ...(page.filed()[0]?.entries ?? [])].filter(({ payload }) => 'gravity' in payload);
  return entry ? Object.entries(entry.payload).find(([name]) => name === 'gravity')?.[1] : page.saved('juices')[0]?.gravity;
}

async function fileIn(
  { page: type, setting, name, tell, by = 'instrument', typed = (text) => text, sample = 'sample' }: GravityForm,
  gauge: string,
  text: string,
) {
  const page = await PageHarness.open(type, { ...setting, instruments, vessels });
  await tell?.(page);
  if (page.has(`trug-choice input[value=${gauge}]`)) await page.tick(`trug-choice input[value=${gauge}]`);
  else await page.choose(by, gauge);
  await page.type(name, typed(text));
  await page.type(sample, '25 C');
  await page.submit();
  return page;
}

describe.each(Object.entries(FORMS))('the gravity of %s', (_name, form) => {
  it('keeps the stem it was read with, what its check found, and how warm the sample was', async () => {
    const page = await fileIn(form, 'STEM', '1.046');
    expect(gravityFiled(page)).toEqual({ instrument: 'hydrometer', reading: 1.046, sampleC: 25, calibratedAtC: 15, offsetSg: 0.002 });
  });
  it('is kept in °Bx where a lens showed it, put right by its check', async () => {
    const page = await fileIn(form, 'LENS', '11.4 Bx');
    expect(gravityFiled(page)).toMatchObject({ instrument: 'refractometer', reading: expect.closeTo(11.1, 2) as number });
  });
});

describe('a sample fermented out', () => {
  const tested = async (before: string, after: string): Promise<PageHarness> => {
    const page = await PageHarness.open(SugarTestPage, { batches: [sampleBatch(finishedLog())], instruments, today: 30, ...here });
    await page.choose('instrument', 'STEM');
    for (const [name, text] of Object.entries({ before: '1.002', sampleBefore: before, after: '1.002', sampleAfter: after, days: '6', temp: '25 C' })) {
      if (text !== '') await page.type(name, text);
    }
    return page;
  };
  it('is told by gravities at the warmth of each, and by none that nobody measured', async () => {
    const page = await tested('25 C', '18 C');
    // The same figure in a cooler sample is a lighter drink: 1.6 points by the tables of water, at 2.24 g/L each.
    expect(page.text('[role=status]')).toContain('So about 3.');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ before: { sampleC: 25, calibratedAtC: 15, offsetSg: 0.002 }, after: { sampleC: 18, offsetSg: 0.002 } });
    const unread = await tested('', '');
    await unread.submit();
    expect(unread.written()[0]?.payload).toMatchObject({ before: { sampleC: null }, after: { sampleC: null } });
  });
});

it.each(Object.entries(FORMS))('%s with a sample that is none says so beside it, and files nothing', async (_name, form) => {
  for (const [sample, system] of [
    ['-5 C', 'degC'],
    ['24 F', 'degF'],
  ] as const) {
    const page = await PageHarness.open(form.page, { ...form.setting, instruments, vessels, settings: { temperature: system } });
    await form.tell?.(page);
    await page.type(form.name, (form.typed ?? String)('1.046'));
    await page.type('sample', sample);
    expect(page.text('trug-gravity')).toContain(system === 'degC' ? 'A sample lies between 0 and 100 °C' : 'A sample lies between 32 and 212 °F');
    await page.submit();
    expect([page.written(), page.filed(), page.saved('juices')]).toEqual([[], [], []]);
    expect(page.value('sample')).toBe(sample);
  }
});

it('says what a figure comes to, and what a lens is worth once yeast has been at it', async () => {
  const juice = await PageHarness.open(JuicePage, { instruments });
  await juice.choose('instrument', 'STEM');
  await juice.type('gravity', '1.046');
  expect(juice.text('trug-gravity')).toContain('it is 1.0480 ± 0.002');
  await juice.type('sample', '25 C');
  expect(juice.text('trug-gravity')).toMatch(/it is 1\.0499 ± 0\.001/);
  expect(juice.text('trug-gravity')).not.toContain('A lens sees alcohol');
  const working = await PageHarness.open(ReadingPage, { batches: [sampleBatch([filled(), pitched(), reading(3, 1.03)])], today: 5, instruments, ...here });
  await working.tick('trug-choice input[value=LENS]');
  expect(working.text('trug-gravity')).toContain('A lens sees alcohol too');
});
