import { replay } from '@trug/core/book/log/replay';
import type { TastingDto } from '@trug/contract/plain';
import { PageHarness } from '../../../testing/page-harness';
import { until } from '../../../testing/until';
import { BATCH_ID, finishedLog, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { TastingApi, type TastingAnswer } from '../../shared/blind/tasting-api';
import { ComparePage } from './compare-page';

const OTHER = '01B00000000000000000000009';
/** Half of it in bottle, the rest still in its vessel. */
const bottled = [
  ...finishedLog(),
  sampleEntry('bottled', 27, {
    ...{ bottles: [{ kindId: 'crown-500', count: 20 }], testBottle: false, lossL: 0.2, crate: 'Lot' },
    ...{ capColour: 'rust' as const, hottestC: 24, acknowledged: [] },
  }),
];
const other = finishedLog().map((entry) => ({ ...entry, id: `01F${entry.id.slice(3)}`, batchId: OTHER }));
const batches = [sampleBatch(bottled), { ...sampleBatch(other), id: OTHER, name: 'Row' }];
const open = (): Promise<PageHarness> => PageHarness.open(ComparePage, { batches, today: 60 });

const pressGlass = (page: PageHarness, place: number): Promise<void> =>
  page.press(page.attribute(`trug-blind-round li:nth-child(${place}) button`, 'aria-label') ?? '');

describe('drinks side by side', () => {
  it('offers what stands in vessels and each crate, and asks for what is missing', async () => {
    const page = await open();
    expect(page.texts('mat-checkbox').map((t) => t.replace(/\s+/g, ' ').trim())).toEqual([
      'Rowfrom its vessel',
      'Lotfrom its vessel',
      'Lotbottled 28 Oct, rust caps',
    ]);
    await page.press('Pour it');
    expect(page.text('[role=alert]')).toContain('Choose two drinks');
    for (const [i] of page.texts('mat-checkbox').entries()) await page.tick(`fieldset mat-checkbox:nth-of-type(${i + 1}) input`);
    await page.press('Pour it');
    expect(page.text('[role=alert]')).toContain('Say who tastes');
    await page.choose('way', 'triangle');
    await page.press('Pour it');
    expect(page.text('[role=alert]')).toContain('two drinks, not more');
  });
  it('pours no more than there is', async () => {
    const page = await open();
    for (const nth of [3, 1]) await page.tick(`fieldset mat-checkbox:nth-of-type(${nth}) input`);
    await page.type('names', 'Wren, Ash, Rowan, Hazel, Elm, Alder, Birch, Maple, Holly, Yew, Thorn, Lime');
    await page.type('glass', '900 mL');
    await page.press('Pour it');
    expect(page.text('[role=alert]')).toContain('between 20 and 500 mL');
    await page.type('glass', '500 mL');
    await page.press('Pour it');
    // Twelve glasses of half a litre come out of twenty bottles, and out of nearly twenty litres.
    expect(page.has('trug-blind-pour')).toBe(true);
  });
  it('is judged by all before anything is shown, and stands in the log of each with what was drunk', async () => {
    const page = await open();
    for (const nth of [3, 1]) await page.tick(`fieldset mat-checkbox:nth-of-type(${nth}) input`);
    await page.type('names', 'Wren, Ash');
    await page.press('Pour it');
    for (const drink of ['Lot', 'Row']) expect(page.text('trug-blind-pour')).toContain(drink);
    await page.press('It is poured: hand it to Wren');
    expect(page.text()).not.toMatch(/Lot|Row\b/);
    for (const name of ['Wren', 'Ash']) {
      expect(page.text('trug-blind-round h2')).toBe(`${name} tastes`);
      await pressGlass(page, 1);
    }
    await page.press('Everybody has judged: show it');
    expect(page.text('trug-blind-told')).toContain('With so few at the table');
    await page.type('text', 'more nose in the second');
    await page.submit();
    const written = page.written();
    expect(written.map((e) => [e.batchId, e.kind])).toEqual([
      [BATCH_ID, 'compared'],
      [BATCH_ID, 'opened'],
      [OTHER, 'compared'],
      [OTHER, 'discarded'],
    ]);
    const [ours, opened, theirs, drunk] = written;
    expect(opened?.payload).toMatchObject({ kindId: 'crown-500', count: 1, crateId: bottled.at(-1)?.id });
    expect(drunk?.payload).toMatchObject({ volumeL: 0.12 });
    expect([ours?.payload, theirs?.payload]).toMatchObject([
      {
        own: 0,
        text: 'more nose in the second',
        drinks: [
          { batchId: BATCH_ID, name: 'Lot' },
          { batchId: OTHER, name: 'Row', crateId: null },
        ],
      },
      { own: 1 },
    ]);
    expect(replay([...bottled, ...written.slice(0, 2)]).issues).toEqual([]);
    expect(page.address()).toBe('/cellar/liked');
  });
  it('is judged by each on their own phone, and forgets nothing when the way in is shut', async () => {
    const named: number[][] = [[], []];
    const asked: TastingDto[] = [];
    const answer = (): TastingAnswer => ({ now: { links: ['http://192.0.2.7:4000/abc'], codes: asked[0]?.tasters.map((t) => t.codes) ?? [], pressed: named } });
    let isShut = false;
    const api = {
      now: () => Promise.resolve(asked.length === 0 ? { now: null } : answer()),
      open: (dto: TastingDto) => {
        asked.push(dto);
        return Promise.resolve(answer());
      },
      shut: () => {
        isShut = true;
        return Promise.resolve();
      },
    };
    const page = await PageHarness.open(ComparePage, { batches, today: 60, providers: [{ provide: TastingApi, useValue: api }] });
    for (const nth of [3, 1]) await page.tick(`fieldset mat-checkbox:nth-of-type(${nth}) input`);
    await page.type('names', 'Wren, Ash');
    await page.press('Pour it');
    await page.press('Each on their own phone');
    await page.shows('trug-blind-phones svg');
    expect(page.text('trug-blind-phones')).toContain('http://192.0.2.7:4000/abc');
    // What a phone is told: numbers, and not what is in the glasses.
    expect(JSON.stringify(asked)).not.toMatch(/Lot|Row|drink/);
    named[0] = [1, 0];
    await until(() => page.text('trug-blind-phones').includes('1 of 2 have judged'));
    named[1] = [0, 1];
    await until(() => page.text('trug-blind-phones').includes('2 of 2 have judged'));
    await page.press('Everybody has judged: show it');
    expect(page.text('trug-blind-told')).toMatch(/Wren[\s\S]*Ash/);
    expect(isShut).toBe(true);
  });
});
