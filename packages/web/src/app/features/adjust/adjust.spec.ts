import type { Entry } from '@trug/core';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { sampleSupply } from '../../../testing/sample-supply';
import { SplitPage } from '../split/split-page';
import { AdjustPage } from './adjust-page';

const inputs = { id: BATCH_ID };
const open = (log: readonly Entry[] = [filled()], today = 1): Promise<PageHarness> =>
  PageHarness.open(AdjustPage, { batches: [sampleBatch(log)], today, inputs });

describe('AdjustPage', () => {
  it('asks what it still needs, then shows the amount with figures before and after', async () => {
    const page = await open();
    expect(page.text('aside')).toContain('Still to tell: the strength or gravity wanted');
    await page.type('sg', '1.060');
    expect(page.text('aside h2')).toMatch(/g of white sugar/);
    expect(page.text('tbody tr:nth-child(2)')).toMatch(/1\.0600$/);
    await page.submit();
    expect(page.written()[0]).toMatchObject({ kind: 'addition', payload: { what: 'fermentable', fermentableId: 'sucrose' } });
  });
  it('takes a sweet thing of one’s own, by what its packet says, and keeps it for the next time', async () => {
    const page = await open();
    await page.shows('trug-own-sugar');
    await page.press('Keep it');
    expect(page.text('trug-own-sugar')).toContain('Write what it is');
    for (const [name, text] of Object.entries({ ownName: 'Boiled sweets', ownCarbohydrate: '95', ownLasting: '99', ownAmount: '1 kg' }))
      await page.type(name, text);
    await page.press('Keep it');
    expect(page.text('trug-own-sugar')).toContain('More of it lasts than it holds');
    await page.type('ownLasting', '10');
    await page.press('Keep it');
    const id = 'own:95:10:clear:Boiled sweets';
    expect(page.saved('supplies')[0]).toMatchObject({ kind: 'sugar', refId: id, name: 'Boiled sweets', amount: 1000, unit: 'g' });
    await page.type('given', '300 g');
    expect(page.text('aside h2')).toContain('of boiled sweets');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ what: 'fermentable', fermentableId: id, massG: 300 });
  });
  it('files what really went in when that was another amount', async () => {
    const page = await open();
    await page.type('abv', '7.5');
    await page.type('given', '200 g');
    await page.submit();
    expect(page.written()[0]?.payload).toEqual({ what: 'fermentable', fermentableId: 'sucrose', massG: 200 });
  });
  it.each([
    ['Acid up', 'ta', '9', 'malic acid', { what: 'acid', acid: 'malic' }],
    ['Acid down', 'ta', '4', 'potassium bicarbonate', { what: 'carbonate', carbonate: 'potassium-bicarbonate' }],
    ['Tannin', 'tannin', '1.5', 'tannin powder', { what: 'tannin' }],
    ['Water', 'sg', '1.045', 'water', { what: 'water' }],
  ])('%s works to a target', async (button, field, text, of, payload) => {
    const page = await open();
    await page.press(button);
    await page.type(field, text);
    expect(page.text('aside h2')).toContain(of);
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject(payload);
  });
  it('takes what goes in out of the cupboard, no more than is there', async () => {
    const malic = sampleSupply({ amount: 30 });
    const page = await PageHarness.open(AdjustPage, { batches: [sampleBatch([filled()])], supplies: [malic], today: 1, inputs });
    await page.press('Acid up');
    await page.type('ta', '9');
    expect(page.text('trug-supply-take')).toContain('30 g, of 30 g there');
    await page.type('given', '12 g');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ massG: 12, supplies: [{ supplyId: malic.id, amount: 12 }] });
    await page.press('Water');
    expect(page.has('trug-supply-take input')).toBe(false);
  });
  it('doses by what one’s own packet says, unless told otherwise', async () => {
    const enzyme = sampleSupply({ kind: 'enzyme', refId: null, name: 'Pectic enzyme', amount: 50, doseGPerL: 0.2 });
    const page = await PageHarness.open(AdjustPage, { batches: [sampleBatch([filled()])], supplies: [enzyme], today: 1, inputs });
    await page.press('Enzyme');
    // By hand: 20 L at 0.2 g/L, and at 0.3.
    expect(page.text('aside h2')).toContain('4 g');
    await page.type('packet', '0.3');
    expect(page.text('aside h2')).toContain('6 g');
  });
  it('warns of the running total of sulfite, not only of the dose', async () => {
    const page = await open([filled(), sampleEntry('addition', 0.5, { what: 'sulfite', so2MgPerL: 150 })]);
    await page.press('Sulfite');
    await page.type('given', '3');
    expect(page.text()).not.toContain('more sulfite in it than');
    await page.type('given', '6');
    expect(page.text()).toContain('more sulfite in it than the 200 mg/L commonly allowed');
  });
  it('counts lemon juice as its citric acid', async () => {
    const page = await open();
    await page.press('Acid up');
    await page.choose('acid', 'lemon');
    await page.type('ta', '9');
    expect(page.text('aside h2')).toMatch(/mL of lemon juice/);
    await page.type('given', '400');
    await page.submit();
    expect(page.written()[0]?.payload).toEqual({ what: 'acid', acid: 'citric', massG: 20 });
  });
  it('says which way to go when a target lies the other way, and keeps it', async () => {
    const page = await open();
    await page.press('Acid up');
    await page.type('ta', '1');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('use “Acid down”');
    expect(page.value('ta')).toBe('1');
    expect(page.written()).toEqual([]);
  });
  it('doses sulfite by pH against what is in already, with the running total', async () => {
    const page = await open([filled(), sampleEntry('addition', 0.5, { what: 'sulfite', so2MgPerL: 40 })]);
    await page.press('Sulfite');
    await page.choose('form', 'potassium-metabisulfite');
    expect(page.text('aside')).toMatch(/mg\/L in all, of the 200/);
    expect(page.text('trug-cautions')).toContain('Sulfite fumes');
  });
  it('speaks of sulfite as the stage wants it: before yeast, at work, and for keeping', async () => {
    const advice = async (log: Parameters<typeof open>[0], today?: number): Promise<string> => {
      const page = await open(log, today);
      await page.press('Sulfite');
      return page.text('aside');
    };
    expect(await advice([filled()])).toContain('24 hours before yeast');
    const working = await advice([filled(), pitched(), reading(3, 1.03), reading(6, 1.02)], 7);
    expect(working).toContain('yeast binds what it is given now');
    const finished = await advice(finishedLog(), 27);
    expect(finished).toContain('For keeping it');
    expect(`${working} ${finished}`).not.toContain('before yeast');
  });
  it('reads a spoonful, a tablet and a lemon, and keeps what it cannot read', async () => {
    const page = await open([filled()]);
    await page.press('Acid up');
    await page.choose('acid', 'citric');
    await page.type('given', '2 lemons');
    expect(page.text('form')).toContain('taken as 4.4 g; weigh it if you can');
    await page.type('given', '2-3 tsp');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('is a range');
    expect(page.value('given')).toBe('2-3 tsp');
    expect(page.written()).toEqual([]);
  });
  it('times the enzyme by sulfite and bentonite, and feeds nothing late', async () => {
    const page = await open([
      filled(),
      sampleEntry('addition', 0.9, { what: 'sulfite', so2MgPerL: 40 }),
      sampleEntry('addition', 0.95, { what: 'bentonite', name: 'bentonite', massG: 9 }),
    ]);
    await page.press('Enzyme');
    expect(page.text('aside')).toContain('Bentonite is in already');
    expect(page.text('aside')).toContain('about 12 hours');
    const late = await open([filled(), pitched(), reading(9, 1.012)], 10);
    await late.press('Nutrient');
    expect(late.text('aside')).toContain('More than a third of the sugar is gone');
    await late.submit();
    expect(late.text('[role=alert]')).toContain('Nothing needs to go in');
  });
});

describe('SplitPage', () => {
  const jar = { id: '01J00000000000000000000J01', name: 'Jar', kind: 'jar' as const, capacityL: 5 };
  const page = (): Promise<PageHarness> => PageHarness.open(SplitPage, { batches: [sampleBatch([filled()])], vessels: [jar], today: 1, inputs });
  it('begins a sibling of the same juice and says what stays', async () => {
    const p = await page();
    await p.tickBox('Jar');
    expect(p.text('[role=status]')).toContain('15.4 L stay');
    await p.choose('change', 'with nutrient');
    await p.submit();
    const [sent] = p.filed();
    expect(sent?.entries.map((e) => e.kind)).toEqual(['split', 'blended']);
    expect(sent?.entries[0]).toMatchObject({
      batchId: BATCH_ID,
      payload: { why: 'with nutrient', into: [{ volumeL: expect.closeTo(4.6, 6) as number }] },
    });
  });
  it('makes a lot by itself of one of its vessels as it stands, and leaves the others as they are', async () => {
    const jars = ['J01', 'J02'].map((end) => ({ id: `01J00000000000000000000${end}`, name: `Jar ${end}`, kind: 'jar' as const, capacityL: 12 }));
    const [one, two] = jars.map(({ id }) => id);
    const stands = {
      ...filled(),
      payload: { ...filled().payload, vessels: [one, two].map((vesselId) => ({ vesselId: vesselId ?? '', volumeL: 10 })) },
    } as Entry;
    const p = await PageHarness.open(SplitPage, { batches: [sampleBatch([stands])], vessels: jars, today: 1, inputs });
    for (const name of ['Jar J01', 'Jar J02']) await p.tickBox(name);
    await p.submit();
    expect(p.text('[role=alert]')).toContain('Something must stay');
    await p.tickBox('Jar J01');
    expect(p.text('[role=status]')).toContain('10 L stay');
    await p.submit();
    expect(p.filed()[0]?.entries).toMatchObject([
      { kind: 'split', payload: { into: [{ volumeL: 10 }], vessels: [{ vesselId: one, volumeL: 10 }] } },
      { kind: 'blended', payload: { vessels: [{ vesselId: two, volumeL: 10 }] } },
    ]);
  });
  it('asks for a vessel first', async () => {
    const p = await page();
    await p.submit();
    expect(p.text('[role=alert]')).toContain('Tick one vessel or more');
  });
});
