import { PageHarness } from '../../../testing/page-harness';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry, testedLog } from '../../../testing/sample-batch';
import { sampleSupply } from '../../../testing/sample-supply';
import type { WayToHold } from '@trug/core/finish/bottle/ways-to-hold';
import { pagesToHold, primingRefusal } from './bench-choices';
import { BottleBench } from './bottle-bench';

const keg = { id: 'K', name: 'Steel keg', kind: 'keg' as const, capacityL: 19 };
const open = (entries = testedLog(), today = 27, vessels = [keg]): Promise<PageHarness> =>
  PageHarness.open(BottleBench, { batches: [sampleBatch(entries)], vessels, today, inputs: { id: BATCH_ID } });
const working = (): Promise<PageHarness> => open([filled(), pitched(), reading(3, 1.03), reading(6, 1.015)], 6);

describe('BottleBench', () => {
  it('primes by weight and counts the bottles', async () => {
    const page = await open();
    await page.choose('fizz', '2');
    await page.type('warmest', '18 C');
    expect(page.text('[data-test=priming]')).toBe('86 g');
    expect(page.text('[data-test=run]')).toBe('1 × fizzy-drink plastic 500 mL + 38 × crown-capped 500 mL');
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['primed', 'bottled']);
    expect(page.written()[1]?.payload).toMatchObject({
      testBottle: true,
      bottles: [
        { kindId: 'plastic-500', count: 1 },
        { kindId: 'crown-500', count: 38 },
      ],
    });
  });
  it('primes with juice by the litre, and with a sweet thing of the maker’s own', async () => {
    const own = sampleSupply({ kind: 'sugar', refId: 'own:80:0:clear:Hedge jelly', name: 'Hedge jelly', unit: 'g', amount: 400 });
    const page = await PageHarness.open(BottleBench, {
      batches: [sampleBatch(testedLog())],
      vessels: [],
      supplies: [own],
      today: 27,
      inputs: { id: BATCH_ID },
    });
    await page.choose('sugar', 'apple-juice');
    await page.type('warmest', '18 C');
    await page.choose('fizz', '2');
    expect(page.text('[data-test=priming]')).toMatch(/^8\d\d mL$/);
    expect(page.text('[data-test=mind-sugar]')).toContain('sorbate');
    expect(page.text('trug-run-list')).not.toContain('syrup');
    await page.type('dose', '1 L');
    expect(page.text('[data-test=priming]')).toBe('1 L');
    await page.choose('mode', 'per-bottle');
    await page.type('dose', '30 mL');
    expect(page.text('.figures-list')).toMatch(/crown-capped 500 mL30 mL/);
    await page.type('dose', '');
    expect(await page.options('sugar')).toContain(own.refId);
    await page.choose('sugar', own.refId ?? '');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ fermentableId: own.refId });
  });
  it('offers only the cold keg while it works, which has a page of its own', async () => {
    const page = await working();
    expect(page.count('.choice.struck')).toBe(4);
    expect(page.text('.struck')).toContain('not proven');
    expect(page.text('.left a.btn')).toBe('To the keg');
    expect(page.has('trug-pressure-column')).toBe(false);
    await page.submit();
    expect(page.written()).toEqual([]);
  });
  it('fills no bottles while a keg is chosen, however the form is sent', async () => {
    const page = await open();
    await page.tick('input[name=route][value=cold-keg]');
    await page.submit();
    expect(page.written()).toEqual([]);
    expect(page.address()).toBe(`/batch/${BATCH_ID}/keg`);
  });
  it('will not file wine bottles for fizz until the danger is acknowledged', async () => {
    const page = await open();
    await page.tick('details summary');
    for (const kind of ['crown-capped 500 mL', 'ordinary wine 750 mL']) await page.tickBox(kind);
    expect(page.text()).toContain('not made for pressure');
    await page.submit();
    expect(page.written()).toEqual([]);
    await page.type('acknowledge', 'i understand');
    await page.submit();
    expect(page.written()[1]?.payload).toMatchObject({ acknowledged: expect.arrayContaining(['wrong-bottle']) });
  });
  it('fills sweet bottles for the bath on the day they were sweetened, with the room chosen', async () => {
    const page = await open([...testedLog(), sampleEntry('sweetened', 27, { sweetenerId: 'sucrose', massG: 300 })], 27.2);
    expect(page.count('.choice.struck')).toBe(3);
    await page.choose('room', '7');
    expect(page.text('.left')).toMatch(/crown-capped 500 mL, hotabout \d\.\d bar, stands 6\.5 bar/);
    expect(page.text('trug-run-list')).toContain('Leave 7 % of each empty');
    // What has no live yeast in it presses on no hot day.
    expect(page.has('.verdict')).toBe(false);
    await page.type('acknowledge', 'I understand');
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['bottled']);
    expect(page.written()[0]?.payload).toMatchObject({ testBottle: false, toHeat: { headspace: 0.07 }, acknowledged: ['heat-due', 'hot-bottles'] });
  });
  it('puts no sugar into a still one', async () => {
    const page = await open();
    await page.tick('input[name=route][value=still]');
    expect(page.has('[data-test=priming]')).toBe(false);
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['bottled']);
  });
  it('fills a plastic one beside a still lot in which sugar may be left, and says so', async () => {
    const left = sampleEntry('tested', 26.2, { by: 'sugar-test', sugarGPerL: 3, acknowledged: [] });
    const page = await open([...finishedLog(), left]);
    await page.tick('input[name=route][value=still]');
    expect(page.text()).toMatch(/The sums still find sugar in it, which would bring it to about 1\.6 volumes\. Fill a plastic one/);
    expect(page.has('[data-test=priming]')).toBe(false);
  });
  it('puts none into one that holds the fizz asked for, and still fills the plastic one', async () => {
    const page = await open();
    await page.choose('fizz', '1.5');
    // As cold as a fridge all the while, it holds all but a trace of 1.5 volumes.
    await page.type('warmest', '3 C');
    expect(page.text()).toContain('No sugar goes in: what it holds and what is left in it make the 1.5 volumes by themselves.');
    await page.submit();
    expect(page.written()).toMatchObject([{ kind: 'bottled', payload: { testBottle: true } }]);
  });
  it('grows doubtful on a hotter day', async () => {
    const page = await open();
    await page.choose('fizz', '2');
    expect(page.has('.verdict.bad')).toBe(false);
    await page.type('hottest', '104 F');
    expect(page.has('.verdict.bad')).toBe(true);
    expect(page.text()).toContain('passes what it stands');
  });
  it('primes for what the bottles take, and says what would make them take more', async () => {
    const page = await open(finishedLog());
    expect(page.text('[data-test=priming]')).not.toBe('132 g');
    await page.choose('fizz', '2.6');
    expect(page.text('.ways')).toContain('both a test for sugar that finds none left, and its malolactic change over');
    await page.submit();
    expect(page.written()).toEqual([]);
    await page.type('acknowledge', 'I understand');
    await page.submit();
    expect(page.written()[1]?.payload).toMatchObject({ acknowledged: ['over-pressure'] });
  });
  it('leads to what would make them hold, each once, and to no page for other bottles', async () => {
    const page = await open(finishedLog());
    await page.choose('fizz', '2.6');
    expect(page.texts('.ways a')).toEqual(['Find out what sugar is left', 'Malolactic change', 'Sulfite it']);
    const verbs = (...ids: readonly WayToHold['id'][]): readonly string[] =>
      pagesToHold(ids.map((id) => ({ id, text: '', chanceOverLimit: 0 }))).map(({ verb }) => verb);
    expect(verbs('malolactic', 'plastic')).toEqual(['Malolactic change', 'Sulfite it']);
    expect(verbs('test', 'test-and-malolactic')).toEqual(['Find out what sugar is left', 'Malolactic change', 'Sulfite it']);
    expect(verbs('heavy', 'plastic')).toEqual([]);
  });
  it('says to test what settled high before it is asked to be livelier, until it is tested', () => {
    const refused = (tested: boolean): string => primingRefusal('it will reach 1.9 volumes with no sugar added', { status: 'settled-short', tested });
    expect(refused(false)).toBe(
      'It will reach 1.9 volumes with no sugar added. Find out first what sugar is left: no livelier fizz is safe to ask for before.',
    );
    expect(refused(true)).toBe('It will reach 1.9 volumes with no sugar added. Choose a livelier fizz, or bottle it still.');
  });
  it('offers no words to type where what a high end may have left refuses these bottles', async () => {
    const high = [filled(), pitched(), reading(7, 1.012), reading(18, 1.003), reading(40, 1.003)];
    const page = await open(high, 41);
    await page.choose('fizz', '2.6');
    expect(page.text()).toContain('Ferment a small sample out');
    expect(page.has('input[name=acknowledge]')).toBe(false);
    await page.submit();
    expect(page.text('[role=alert]')).toContain('these bottles would not stand it');
    expect(page.written()).toEqual([]);
  });
  it('strikes out priming for what was stabilised', async () => {
    const page = await open([
      ...finishedLog(),
      sampleEntry('racked', 26.3, { vessels: [{ vesselId: 'V', volumeL: 19.5 }], lossL: 0.5 }),
      sampleEntry('stabilised', 26.5, { so2MgPerL: 100, sorbateMgPerL: 200 }),
    ]);
    expect(page.text('.struck')).toContain('priming would stay flat');
  });
  it('offers fresh yeast where its own is old, and says what one uneven bottle would feel', async () => {
    const young = await open();
    expect(young.text('[data-test=uneven]')).toMatch(
      /^Unstirred, one crown-capped 500 mL filled from the foot of the bucket gets about \d\.\d volumes, up to \d\.\d bar on a hot day/,
    );
    expect(young.text()).not.toContain('fresh yeast');
    const old = await open(testedLog(), 220);
    expect(old.text()).toContain('1 g of fresh yeast with it It may stay flat for months without: its yeast went in 220 days ago');
    expect(old.text('trug-run-list')).toContain('woken and stirred in');
    await old.choose('mode', 'per-bottle');
    expect(old.text('[data-test=uneven]')).toContain('with a gram more, as a heaped spoon has');
    await old.choose('fizz', '1.5');
    await old.submit();
    expect(old.written()[0]?.payload).toMatchObject({ mode: 'per-bottle', freshYeastG: 1 });
    const left = await open(testedLog(), 220);
    await left.tickBox('1 g of fresh yeast with it');
    expect(left.text('trug-run-list')).not.toContain('woken');
    await left.choose('fizz', '1.5');
    await left.submit();
    expect(left.written()[0]?.payload).not.toHaveProperty('freshYeastG');
  });
  it('cleans with what there is, and times what takes its time', async () => {
    const page = await open();
    await page.choose('cleanedBy', 'oven');
    expect(page.text('trug-run-list')).toContain('out only when it is cold');
    await page.press('Time it, 60 min: Clean 39 bottles, caps, tube and bucket');
    expect(page.text('.timer')).toMatch(/^(60:00|59:5\d) left/);
    await page.press('Stop');
    expect(page.text('.timer')).toBe('Time it: 60 min');
  });
  it('takes the hottest week of the place they will stand in, unless told of a hotter day', async () => {
    const year = [8, 8, 8, 9, 11, 13, 15, 15, 14, 12, 10, 9];
    const places = [
      { id: 'P1', version: 1, name: 'the loft', monthlyC: year.map((c) => c + 18) },
      { id: 'P2', version: 1, name: 'the old shed', monthlyC: year, retiredOn: '2026-01-01' },
    ];
    const page = await PageHarness.open(BottleBench, { batches: [sampleBatch(testedLog())], places, today: 27, inputs: { id: BATCH_ID } });
    expect(await page.offers('store')).toEqual(['nobody knows yet', 'the loft up to 37 °C']);
    await page.choose('fizz', '2');
    expect(page.has('.verdict.bad')).toBe(false);
    await page.choose('store', 'P1');
    expect(page.text('trug-pressure-column')).toContain('hot day 37 °C');
    await page.submit();
    const run = page.written().find((e) => e.kind === 'bottled');
    expect(run).toBeUndefined();
    await page.type('hottest', '20 C');
    await page.submit();
    expect(page.written().find((e) => e.kind === 'bottled')?.payload).toMatchObject({ hottestC: 20 });
  });
});
