import { addAcid, addSulfite, blendLiquids, juiceInHand, phOf, replay, taOf, type Entry, type EntryOf, type Juice, type Liquid } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

let trug: TestTrug;
beforeEach(() => {
  trug = new TestTrug();
});
afterEach(() => trug.stop());

const get = async <T>(path: string): Promise<T> => (await (await fetch(`${trug.url}/api${path}`)).json()) as T;

/** Presses one kind of fruit and measures what ran off. */
async function pressed(
  bench: Bench,
  fruit: { id: string; kg: string; runs: readonly string[]; sg: string; ph: string; ta: string; tannin: string },
): Promise<void> {
  await bench.open('/juice/press');
  await bench.choose('fruitId', fruit.id);
  await bench.fill('mass', fruit.kg);
  await bench.press('Weigh it in');
  for (const run of fruit.runs) {
    await bench.fill('run', run);
    await bench.press('Write the run');
  }
  await bench.press('Done: measure the juice');
  await bench.says(/What is known of it/);
  await bench.says(/typical, not measured/);
  await bench.fill('gravity', fruit.sg);
  await bench.fill('sample', '20 C');
  await bench.fill('ph', fruit.ph);
  await bench.fill('ta', fruit.ta);
  await bench.fill('tannin', fruit.tannin);
  await bench.press('Write it down');
  await bench.says(/in hand in/);
}

describe('from fruit to a pitched must', () => {
  it('presses two cultivars, buys a carton, measures, blends, corrects acid, sulfites, waits and pitches', async () => {
    await trug.start('2026-10-10');
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await bench.open('/cupboard');
    await bench.press('Add a vessel');
    await bench.choose('kind', 'carboy');
    await bench.fill('name', 'Big glass');
    await bench.press('Put it in');
    await bench.says(/Big glass/, 'main ul');

    await pressed(bench, { id: 'egremont-russet', kg: '30 kg', runs: ['8 L', '7.5 L'], sg: '1.056', ph: '3.40', ta: '6.9', tannin: '1.2' });
    await pressed(bench, { id: 'harry-masters-jersey', kg: '20 kg', runs: ['10 L'], sg: '1.058', ph: '4.15', ta: '2.3', tannin: '2.4' });
    await bench.open('/juice/new');
    await bench.choose('origin', 'bought');
    await bench.choose('fruitId', 'apple-juice-cloudy-nfc');
    await bench.choose('instrument', 'carton');
    await bench.fill('name', 'Cloudy carton');
    await bench.fill('volume', '6 L');
    await bench.fill('gravity', '10.6');
    await bench.fill('ph', '35');
    await bench.says(/“35” cannot be right for pH\. Juice lies between 2\.6 and 5/, 'trug-number[name=ph], form');
    await bench.press('Write it down');
    await bench.says(/cannot be right/, '[role=alert]');
    expect(await bench.valueOf('volume')).toBe('6 L');
    await bench.fill('ph', '3.5');
    await bench.press('Write it down');
    await bench.says(/31.5 L in hand in 3 cylinders/);

    await bench.press('Blend bench');
    await bench.fill('total', '60 L');
    await bench.says(/only 31.5 L to pour/);
    await bench.fill('total', '20 L');
    await bench.says(/if left dry/, '.words');
    await bench.press('Pour it');
    await bench.fill('batchName', 'Autumn');
    await bench.fill('juiceTemp', '14 C');
    await bench.press('Pour it into the vessels');
    await bench.says(/It waits for yeast/, 'trug-now');
    const path = new URL(page.url()).pathname;

    await bench.pressElse('Adjust it');
    await bench.press('Acid up');
    await bench.fill('ta', '6.6');
    await bench.says(/of malic acid/, 'aside');
    await bench.press('Write it down');
    await bench.says(/malic acid/, 'trug-log');
    await bench.pressElse('Adjust it');
    await bench.press('Sulfite');
    await bench.says(/wait 24 hours before yeast/, 'aside');
    await bench.press('Write it down');
    await bench.says(/Waiting out its sulfite/, 'trug-now');

    await trug.moveClock('2026-10-12');
    await bench.open(`${path}/pitch`);
    await bench.fill('juice', '15 C');
    await bench.press('All 14 kinds');
    await bench.tickOption('yeast', 'cool-fruity-white');
    await bench.says(/Sprinkle \d/, 'aside');
    await bench.press('Pitch it');
    await bench.says(/Cool-fermenting fruity white-wine type/, 'trug-log');
    expect(faults).toEqual([]);

    const { entries } = await get<{ entries: Entry[] }>(path.replace('/batch/', '/batches/'));
    const juices = await get<Juice[]>('/juices');
    const { liquid } = replay(entries);
    const expected = byHand(entries, juices);
    expect(liquid?.volumeL).toBeCloseTo(20, 6);
    for (const key of Object.keys(expected) as (keyof Liquid)[]) {
      if (typeof expected[key] === 'number') expect([key, liquid?.[key]]).toEqual([key, expect.closeTo(expected[key], 6)]);
    }
    expect(taOf(expected)).toBeCloseTo(6.6, 3);
    expect(phOf(expected)).toBeGreaterThan(3);
    expect(phOf(expected)).toBeLessThan(3.8);
  });

  it('moves the cross-hair and a peg by keys alone, says what limits, and keeps blends to compare', async () => {
    await trug.start(SEASON_DAY, true);
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await bench.open('/juice/blend');
    await bench.holds('aim-sg', '1.0520');
    await bench.focus('trug-reach-map .cross');
    await page.keyboard.press('ArrowRight');
    await bench.holds('aim-sg', '1.0525');
    await bench.holds('aim-taGPerL', '5.5');
    for (let i = 0; i < 8; i += 1) {
      await page.keyboard.down('Shift');
      await page.keyboard.press('ArrowUp');
      await page.keyboard.up('Shift');
    }
    await bench.says(/Hedge sharps is all in, and more of it would help/, '.map');
    await bench.press('Keep to compare');
    await bench.says(/Bring it back/, '.kept');
    await bench.focus('trug-cylinder .peg');
    await page.keyboard.press('ArrowUp');
    await bench.says(/held at/, '.row');
    await bench.press('pH');
    await bench.says(/pH/, 'trug-reach-map');
    expect(faults).toEqual([]);
  });

  it('splits a must for a trial and shows the siblings side by side', async () => {
    await trug.start(SEASON_DAY, true);
    const batches = await get<{ id: string; name: string }[]>('/batches');
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await bench.open('/cupboard');
    await bench.press('Add a vessel');
    for (const name of ['Trial jar', 'Other jar']) {
      await bench.choose('kind', 'jar');
      await bench.fill('name', name);
      await bench.press('Put it in');
      await bench.says(new RegExp(name), 'main ul');
    }
    await bench.open(`/batch/${batches.find((b) => b.name === 'Terrace Must')?.id ?? ''}`);
    await bench.pressElse('Split it for a trial');
    await bench.tickBox('Trial jar');
    await bench.tickBox('Other jar');
    await bench.says(/11.8 L stay in Terrace Must/);
    await bench.press('Split it');
    await bench.says(/Split/, 'trug-log');
    await bench.press('Family');
    await bench.says(/Terrace Must B/, 'trug-family');
    await bench.says(/Terrace Must C/, 'trug-family');
    expect(faults).toEqual([]);
  });

  it('presses with a phone in wet hands: nothing is lost by closing the page, and an impossible yield is questioned', async () => {
    await trug.start('2026-10-10');
    const { page, faults } = await trug.page(PHONE);
    const bench = new Bench(page, trug.url);
    await bench.open('/juice/press');
    await bench.fill('mass', '12 kg');
    await bench.press('Weigh it in');
    await bench.fill('run', '11 L');
    await bench.press('Write the run');
    await bench.says(/more than apples hold/);
    await bench.open('/shelf');
    await bench.open('/juice/press');
    await bench.says(/11 L from 12 kg/);
    expect(await page.$$eval('.add button', (all) => all.every((b) => b.getBoundingClientRect().height >= 44))).toBe(true);
    expect(faults).toEqual([]);
  });
});

/** The must worked out again from the juices and what was written down, by the core's acts one after another. */
function byHand(entries: readonly Entry[], juices: readonly Juice[]): Liquid {
  const of = <K extends Entry['kind']>(kind: K): EntryOf<K>[] => entries.filter((e): e is EntryOf<K> => e.kind === kind);
  const parts = of('blended')[0]?.payload.parts ?? [];
  let must = blendLiquids(
    parts.map((part) => {
      const juice = juices.find((j) => j.id === part.sourceId);
      if (!juice) throw new Error(`there is no juice ${part.sourceId}`);
      return { ...juiceInHand(juice, 0).liquid, volumeL: part.liquid.volumeL };
    }),
  );
  for (const { payload } of of('addition')) {
    if (payload.what === 'acid') must = addAcid(must, payload);
    if (payload.what === 'sulfite') must = addSulfite(must, payload.so2MgPerL);
  }
  return must;
}
