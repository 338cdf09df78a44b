import { replay } from '@trug/core/book/log/replay';
import { BATCH_ID, filled, finishedLog, pitched, reading, sampleBatch, sampleEntry } from '../../testing/sample-batch';
import { PageHarness } from '../../testing/page-harness';
import { sampleSupply } from '../../testing/sample-supply';
import { MovePage } from './note/move-page';
import { NotePage } from './note/note-page';
import { PitchPage } from './pitch/pitch-page';
import { RackPage } from './rack/rack-page';

const jar = (n: number): { id: string; name: string; kind: 'jar'; capacityL: number } => ({ id: `J${n}`, name: `Jar ${n}`, kind: 'jar', capacityL: 5 });
const big = { id: 'V', name: 'Big glass', kind: 'carboy' as const, capacityL: 23 };
const inputs = { id: BATCH_ID };

const packetOf = (refId: string, changes: Parameters<typeof sampleSupply>[0] = {}): ReturnType<typeof sampleSupply> =>
  sampleSupply(Object.assign({ kind: 'yeast', refId, name: refId, amount: 3, unit: 'packet', packetG: 5 }, changes));

describe('PitchPage', () => {
  const ale = packetOf('english-ale', { packetG: 11, bestBefore: '2027-01-01' });
  const open = (entries = [filled()], today = 1): Promise<PageHarness> => PageHarness.open(PitchPage, { batches: [sampleBatch(entries)], today, inputs });
  it('says how to bring juice that is too cold or too warm to where its yeast is at its best', async () => {
    const page = await open();
    expect(page.has('trug-warmth-note')).toBe(false);
    await page.type('juice', '5 C');
    await page.shows('trug-warmth-note section');
    // 20 L: heat × (60 − 5) = 20 × (wanted − 5).
    const wanted = Number(/warm it to (\d+) °C/.exec(page.text('trug-warmth-note'))?.[1]);
    const heat = Number(/Heat ([\d.]+) L of it to 60 °C/.exec(page.text('trug-warmth-note'))?.[1]);
    expect(heat).toBeCloseTo((20 * (wanted - 5)) / 55, 1);
    expect(page.text('trug-warmth-note')).toContain('never into a glass jar');
    await page.type('juice', '45 C');
    await page.type('place', '16 C');
    expect(page.text('trug-warmth-note')).toMatch(/Left at 16 °C: [\d.]+ to [\d.]+ hours, so it is ready between \d\d:\d\d on .* and \d\d:\d\d on/);
    expect(page.text('trug-warmth-note')).toMatch(/In a bath of water at 12 °C/);
    await page.type('place', '40 C');
    expect(page.text('trug-warmth-note')).toContain('comes no cooler than that');
  });
  it('weighs the yeast for this juice and this cold', async () => {
    const page = await open();
    expect(page.text('aside h2')).toBe('5 g of dry yeast');
    await page.type('juice', '8 C');
    expect(page.text('aside h2')).toBe('7.5 g of dry yeast');
    await page.press('All 14 kinds');
    await page.tick('input[name=yeast][value=wild-spontaneous]');
    expect(page.text('aside')).toContain('works by itself');
    expect(page.text('aside')).toContain('Nothing goes in');
    await page.choose('way', 'wild');
    expect(page.text('aside ol')).toContain('Throw it out if it smells of vinegar');
  });
  it('leaves a juice to its own yeast where that is its manner, and keeps how warm it will stand', async () => {
    const wild = { ...sampleBatch([filled()]), methodId: 'wild-cold' };
    const page = await PageHarness.open(PitchPage, { batches: [wild], today: 1, inputs });
    expect(page.text('aside h2')).toBe('No packet');
    await page.type('place', '9 C');
    await page.submit();
    expect(page.written()).toMatchObject([
      { kind: 'moved', payload: { place: 'its place', tempC: 9 } },
      { kind: 'pitched', payload: { yeastId: 'wild-spontaneous', massG: 0, method: 'wild' } },
    ]);
    const state = replay([filled(), ...page.written()]);
    expect([state.placeC, state.yeastId, state.issues]).toEqual([9, 'wild-spontaneous', []]);
  });
  it('takes the amount that really goes in, by the cupboard’s own packet, and warns of one past its date', async () => {
    const old = packetOf('crisp-cider', { packetG: 7, bestBefore: '2023-10-01' });
    const page = await PageHarness.open(PitchPage, { batches: [sampleBatch([filled()])], supplies: [old], today: 1, inputs });
    await page.press('All 14 kinds');
    await page.tick('input[name=yeast][value=crisp-cider]');
    expect(page.text('aside')).toMatch(/3 years past its date: perhaps 5\d % of it lives/);
    await page.type('given', '9 kg');
    await page.submit();
    expect(page.text('aside')).toContain('more yeast than any batch wants');
    expect(page.written()).toEqual([]);
    await page.type('given', '2 packets');
    expect(page.text('aside h2')).toBe('14 g of dry yeast');
    await page.submit();
    expect(page.written()[0]).toMatchObject({ kind: 'pitched', payload: { massG: 14 } });
  });
  it('ranks kinds for this must and place, and for what is in the cupboard and in date', async () => {
    const page = await PageHarness.open(PitchPage, {
      batches: [sampleBatch([filled()])],
      supplies: [ale, packetOf('american-ale', { bestBefore: '2020-01-01' })],
      today: 1,
      inputs,
    });
    await page.type('place', '18 C');
    await page.choose('aim', 'soft');
    expect(page.text('.kind strong')).toBe('English-ale type');
    await page.press('All 14 kinds');
    expect(page.text('fieldset')).toContain('in your cupboard, past its date');
    await page.tick('input[name=yeast][value=english-ale]');
    expect(page.text('aside')).toContain('Half a packet of 11 g');
    await page.choose('way', 'rehydrated');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({
      yeastId: 'english-ale',
      method: 'rehydrated',
      supplies: [{ supplyId: ale.id, amount: 0.5 }],
    });
  });
  it('takes nothing out of the cupboard when that is unticked', async () => {
    const page = await PageHarness.open(PitchPage, { batches: [sampleBatch([filled()])], supplies: [packetOf('crisp-cider')], today: 1, inputs });
    expect(page.text('trug-supply-take')).toContain('1 packet, of 3 packets of 5 g there');
    await page.tick('input[name=take]');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ supplies: undefined });
  });
  it('says what becomes of two kinds together, and files both', async () => {
    const page = await open();
    await page.choose('with', 'english-ale');
    expect(page.text('aside')).toContain('They can live together');
    await page.tick('input[name=yeast][value=neutral-champagne]');
    expect(page.text('aside .field-error')).toContain('kills English-ale type');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ yeastId: 'neutral-champagne', withYeastId: 'english-ale' });
  });
  it('keeps time for a starter, step by step, over the days it takes', async () => {
    const page = await open();
    await page.choose('way', 'starter');
    await page.press('Done: Boil 1000 mL of the juice two minutes and let it cool to 25 °C in a covered jar.');
    expect(page.written()[0]).toMatchObject({ kind: 'stepped', payload: { plan: 'starter', step: 1, of: 4, waitMin: 60 } });
    const later = await PageHarness.open(PitchPage, { batches: [sampleBatch([filled(), ...page.written()])], today: 1.02, inputs });
    await later.choose('way', 'starter');
    expect(later.text('li.done')).toContain('Boil');
    expect(later.text('li.now')).toMatch(/Sprinkle .*from \d\d:\d\d, in \d+ min/);
    expect(later.has('li.now button')).toBe(true);
  });
  it('pitches', async () => {
    const page = await open();
    await page.type('juice', '18 C');
    await page.submit();
    expect(page.written()).toEqual([
      expect.objectContaining({ kind: 'pitched', payload: { yeastId: 'crisp-cider', massG: 5, method: 'sprinkled', juiceC: 18 } }),
    ]);
  });
  it('says that fresh sulfite delays the yeast, and leaves it to the maker', async () => {
    const page = await open([filled(), sampleEntry('addition', 0.9, { what: 'sulfite', so2MgPerL: 75 })]);
    expect(page.text('trug-cautions')).toContain('starts late and weakly');
    expect(page.has('.danger')).toBe(false);
    await page.submit();
    expect(page.written()[0]?.kind).toBe('pitched');
  });
  it('holds yeast back from juice too hot for it until that is acknowledged, and notes that it was', async () => {
    const page = await open();
    await page.type('juice', '100F');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Yeast dies');
    expect(page.written()).toEqual([]);
    await page.type('acknowledge', 'I understand');
    await page.submit();
    expect(page.written()[0]?.note).toBe('Danger acknowledged: hot-pitch');
  });
  it('has no objection a day later', async () => {
    const page = await open([filled(), sampleEntry('addition', 0, { what: 'sulfite', so2MgPerL: 75 })], 1.1);
    expect(page.has('.danger')).toBe(false);
  });
  it('minds juice too hot for the yeast', async () => {
    const page = await open();
    await page.type('juice', '100F');
    expect(page.text('.danger')).toContain('Yeast dies');
  });
});

describe('RackPage', () => {
  const open = (vessels = [big, jar(1), jar(2), jar(3), jar(4)]): Promise<PageHarness> =>
    PageHarness.open(RackPage, { batches: [sampleBatch(finishedLog())], vessels, today: 27, inputs });
  it('fills the jars that hold it, evenly', async () => {
    const page = await open();
    expect(page.count('mat-checkbox.picked')).toBe(4);
    expect(page.text()).toContain('It all finds room');
    await page.submit();
    const [entry] = page.written();
    expect(entry?.kind).toBe('racked');
    expect(entry?.kind === 'racked' && entry.payload.vessels.map((v) => v.volumeL)).toEqual([4.875, 4.875, 4.875, 4.875]);
  });
  const jarsFor23 = (): Promise<PageHarness> => {
    const vessels = [{ ...big, capacityL: 30 }, jar(1), jar(2), jar(3), jar(4), jar(5)];
    return PageHarness.open(RackPage, { batches: [sampleBatch([filled(23.6), pitched(), reading(20, 0.999)])], vessels, today: 27, inputs });
  };
  it('23 L fill four jars of five litres: what is over is spread, topped up or drunk, each with its cost', async () => {
    const page = await jarsFor23();
    await page.type('loss', '0.6 L');
    expect(page.count('mat-checkbox.picked')).toBe(4);
    expect(page.text('.room h2')).toBe('3 L find no room');
    const spread = 'Into Jar 5 too, all of them less full: 8 % air in each.';
    expect(page.text('.ways')).toMatch(/L of boiled, cooled water in all of it fills Jar 5 too: \d\.\d to \d\.\d %/);
    await page.press(spread);
    await page.submit();
    const [entry] = page.written();
    expect(entry?.kind === 'racked' && entry.payload.vessels.map((v) => Math.round(v.volumeL * 10) / 10)).toEqual([4.6, 4.6, 4.6, 4.6, 4.6]);
  });
  it('what is drunk young leaves the log as such, and can be taken back before it is filed', async () => {
    const page = await jarsFor23();
    await page.type('loss', '0.6 L');
    await page.press('Into 6 half-litre bottles in the fridge, caps loose, and drink it young.');
    expect(page.text('aside')).toContain('3 L are drunk young');
    await page.press('Take that back');
    expect(page.text('.room h2')).toBe('3 L find no room');
    await page.press('Into 6 half-litre bottles in the fridge, caps loose, and drink it young.');
    await page.submit();
    expect(page.written().map((e) => e.kind)).toEqual(['discarded', 'racked']);
    const log = [filled(23.6), pitched(), reading(20, 0.999)];
    expect(replay([...log, ...page.written()]).liquid?.volumeL).toBeCloseTo(20, 6);
  });
  it('keeps room for foam over a drink that still has sugar to foam on', async () => {
    const vessels = [big, jar(1), jar(2), jar(3), jar(4), jar(5)];
    const page = await PageHarness.open(RackPage, { batches: [sampleBatch([filled(), pitched(), reading(5, 1.03)])], vessels, today: 6, inputs });
    await page.type('loss', '1.7 L');
    await page.submit();
    const [entry] = page.written();
    const fullest = entry?.kind === 'racked' ? Math.max(...entry.payload.vessels.map((v) => v.volumeL)) : 0;
    expect(fullest).toBeGreaterThan(3);
    expect(fullest).toBeLessThanOrEqual(5 * 0.92 + 1e-9);
  });
  it('says what is over, and files nothing until it fits', async () => {
    const page = await open([big, jar(1)]);
    // The big one would hold too much air, so only the jar is offered.
    expect(page.text('.room')).toContain('14.5 L find no room');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('14.5 L find no room. Choose another vessel, or what becomes of them.');
    expect(page.written()).toEqual([]);
  });
  it('takes the loss as the maker tells it', async () => {
    const page = await open();
    await page.type('loss', '1 L');
    await page.submit();
    expect(page.written()[0]?.payload).toMatchObject({ lossL: 1 });
  });
  it('warns of air over a finished drink', async () => {
    const page = await open([big]);
    await page.tick('li:nth-child(1) input');
    expect(page.text('trug-cautions')).toContain('too much air');
  });
});

describe('MovePage', () => {
  const stuck = [filled(), pitched(), reading(5, 1.03), reading(14, 1.022), reading(24, 1.022)];
  it('repeats the advice and files the new place', async () => {
    const page = await PageHarness.open(MovePage, { batches: [sampleBatch(stuck)], today: 25, inputs });
    expect(page.text('trug-act-head')).toContain('warm enough at 18 °C. Rouse it');
    await page.type('place', 'the kitchen');
    await page.submit();
    expect(page.text('[role=alert]')).toContain('how warm');
    await page.type('temp', '66F');
    await page.submit();
    expect(page.written()[0]).toMatchObject({ kind: 'moved', payload: { place: 'the kitchen' } });
    expect((page.written()[0]?.payload as { tempC: number }).tempC).toBeCloseTo(18.9, 1);
  });
});

describe('NotePage', () => {
  const open = (): Promise<PageHarness> => PageHarness.open(NotePage, { batches: [sampleBatch(finishedLog())], today: 27, inputs });
  it('files a note or a tasting in the maker’s words', async () => {
    const page = await open();
    await page.submit();
    expect(page.text('[role=alert]')).toContain('Write a word');
    await page.type('text', 'sharp, clean');
    await page.choose('kind', 'tasted');
    await page.submit();
    expect(page.written()).toEqual([expect.objectContaining({ kind: 'tasted', payload: { text: 'sharp, clean', sparkle: null, again: null } })]);
  });
});
