import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { PageHarness } from '../../../testing/page-harness';
import { WhenPage } from './when-page';

const note = { ...sampleEntry('note', 3, { text: 'eggy' }), at: '2026-12-30T09:30:00.000Z' };
const open = (timeZone = 'UTC'): Promise<PageHarness> =>
  PageHarness.open(WhenPage, {
    batches: [sampleBatch([filled(), pitched(), reading(4, 1.03), note])],
    today: 6,
    settings: { timeZone },
    inputs: { id: BATCH_ID, entryId: note.id },
  });

describe('WhenPage', () => {
  it('shows the maker’s own day and hour of an entry dated ahead, and puts it right as a correction', async () => {
    const page = await open('Pacific/Auckland');
    expect(page.value('hour')).toBe('22:30');
    expect(page.text('trug-act-head')).toContain('Wed 30 Dec 2026, 22:30');
    await page.shows('trug-date');
    await page.change('day', 'Mon, 5 Oct 2026');
    await page.type('hour', '8:15');
    await page.submit();
    expect(page.written()).toMatchObject([
      { kind: 'corrected', payload: { entryId: note.id, replacement: { kind: 'note', at: '2026-10-04T19:15:00.000Z', payload: { text: 'eggy' } } } },
    ]);
  });
  it.each([
    ['hour', 'teatime', /as 14:30/],
    ['hour', '25:00', /as 14:30/],
    ['day', 'never', /Pick the day/],
  ])('says what is wrong with a %s of “%s”, and files nothing', async (field, text, why) => {
    const page = await open();
    await page.shows('trug-date');
    await page.change(field, text);
    await page.submit();
    expect(page.text('[role=alert]')).toMatch(why);
    expect(page.written()).toEqual([]);
  });
  it('puts an amount right in the maker’s own units, and shows what follows before anything is filed', async () => {
    const sugar = sampleEntry('addition', 2, { what: 'fermentable', fermentableId: 'sucrose', massG: 453.6 });
    const page = await PageHarness.open(WhenPage, {
      batches: [sampleBatch([filled(), sugar, pitched(), reading(4, 1.05)])],
      today: 6,
      settings: { mass: 'imperial' },
      inputs: { id: BATCH_ID, entryId: sugar.id },
    });
    expect(page.text('aside')).toContain('Nothing yet');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Nothing is different yet');
    await page.type('massG', 'two handfuls');
    await page.submit();
    expect(page.written()).toEqual([]);
    await page.type('massG', '2 lb');
    const [volume, gravity, , strength] = page.texts('aside tbody tr');
    expect(volume).toMatch(/^Volume/);
    expect(gravity).toContain('1.0500');
    // What is read stays what is read; the sugar went to strength.
    expect(strength).toMatch(/Strength % ?\d\.\d ?\d\.\d/);
    expect(page.text('aside')).not.toContain('Nothing yet');
    await page.submit();
    expect(page.written()).toMatchObject([
      {
        kind: 'corrected',
        payload: {
          entryId: sugar.id,
          replacement: { kind: 'addition', at: sugar.at, payload: { what: 'fermentable', massG: expect.closeTo(907.2, 0) as number } },
        },
      },
    ]);
    expect(Object.keys((page.written()[0]?.payload as { replacement: object }).replacement).sort()).toEqual(['at', 'kind', 'note', 'payload']);
  });
  it('sends again what was filed already, where its answer was lost and the log shows it meanwhile', async () => {
    const page = await open();
    await page.type('note', 'eggy, still');
    await page.submit();
    await page.submit();
    const said = page.written().map((e) => e.payload);
    expect(said.length).toBeGreaterThan(0);
    for (const payload of said) expect(payload).toEqual(said[0]);
    expect(page.has('[role=alert]')).toBe(false);
  });
  it('tells that striking it out leaves the end unproven, and warns where bottles hold more than was thought', async () => {
    const log = finishedLog();
    const last = log.filter((e) => e.kind === 'reading').at(-1);
    const page = await PageHarness.open(WhenPage, { batches: [sampleBatch(log)], today: 27, inputs: { id: BATCH_ID, entryId: last?.id ?? '' } });
    await page.tickBox('It never happened');
    expect(page.text('aside')).toMatch(/The verdict turns from “finished dry” to “/);
    await page.submit();
    expect(page.written()).toMatchObject([{ kind: 'corrected', payload: { entryId: last?.id, replacement: null } }]);
    const primed = sampleEntry('primed', 27, { fermentableId: 'sucrose', massG: 100, mode: 'bulk', targetVolumes: 2, warmestSinceEndC: 18 });
    const bottled = sampleEntry('bottled', 27.1, {
      ...{ bottles: [{ kindId: 'crown-500', count: 30 }], testBottle: false, lossL: 0.4, crate: 'Lot one', capColour: 'rust', hottestC: 20, acknowledged: [] },
    });
    const filledPage = await PageHarness.open(WhenPage, {
      batches: [sampleBatch([...testedLog(), primed, bottled])],
      today: 30,
      inputs: { id: BATCH_ID, entryId: primed.id },
    });
    await filledPage.type('massG', '300 g');
    expect(filledPage.text('aside')).toMatch(/Lot one comes to \d\.\d volumes of fizz, not/);
    expect(filledPage.text('trug-cautions')).toMatch(/burst/i);
  });
  it('says so when there is no such entry any more', async () => {
    const page = await PageHarness.open(WhenPage, { batches: [sampleBatch([filled()])], inputs: { id: BATCH_ID, entryId: 'gone' } });
    expect(page.text()).toContain('No such entry');
  });
});
