import { judgeState, replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { rackPage } from '../pages/rack-page';
import { DESK, SEASON_DAY, TestTrug } from '../support/trug';

/** 23 L out of a bucket into jars of five litres: four come full, and what is over is dealt with. */
describe('racking into small vessels', () => {
  const trug = new TestTrug();
  afterAll(async () => trug.stop());

  it('fills four jars, tops the fifth up, and says what that costs', async () => {
    await trug.start('2026-10-01');
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await bench.open('/new');
    await bench.fill('name', 'Twenty-three');
    await bench.fill('volume', '23.6 L');
    await bench.fill('sg', '1.050');
    await bench.choose('newKind', 'bucket');
    await bench.press('Put it in the cupboard');
    await bench.says(/My bucket is in the cupboard/);
    await bench.says(/My bucket, holds 25 L/);
    await bench.press('Begin it');
    await bench.says(/day 0/, 'trug-path');
    const path = new URL(page.url()).pathname;
    await bench.open('/cupboard');
    await bench.press('Add a vessel');
    for (const name of ['Jar 1', 'Jar 2', 'Jar 3', 'Jar 4', 'Jar 5']) {
      await bench.choose('kind', 'jar');
      await bench.fill('name', name);
      await bench.press('Put it in');
      await bench.says(new RegExp(name), 'main ul');
    }
    // At rest, jars are filled to the neck; at work they would keep room for foam.
    for (const [day, gravity] of [
      ['2026-10-08', '1.012'],
      ['2026-10-22', '0.998'],
      ['2026-10-31', '0.998'],
    ] as const) {
      await trug.moveClock(day);
      await bench.open(`${path}/read`);
      await bench.fill('gravity', gravity);
      await bench.press('Write it down');
      await bench.leaves('/read');
    }
    await bench.says(/^Finished/, 'trug-now h2');
    await bench.open(`${path}/rack`);
    await bench.fill('loss', '0.6 L');
    await bench.says(/3 L find no room/, '.room');
    await rackPage(bench).topUpWith('cooled water');
    await bench.says(/1.9 L of water go in with it/, 'aside');
    await bench.press('Rack it');
    await bench.says(/Racked/, 'trug-log');
    const { entries } = (await (await fetch(`${trug.url}/api${path.replace('/batch/', '/batches/')}`)).json()) as { entries: Entry[] };
    const state = replay(entries);
    expect(state.issues).toEqual([]);
    expect(state.vessels).toHaveLength(5);
    for (const { volumeL } of state.vessels) expect(volumeL).toBeCloseTo(4.98, 2);
    expect(state.liquid?.volumeL).toBeCloseTo(24.9, 1);
    expect(faults).toEqual([]);
  });
});

/** A carboy with air in its shoulder is topped up from another cider, and both logs agree on what moved. */
describe('topping up from a like cider', () => {
  const trug = new TestTrug();
  afterAll(async () => trug.stop());

  it('moves litres from one batch into the other, all or none, and asks for the end to be proven again', async () => {
    await trug.start(SEASON_DAY, true);
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    const logs = async (): Promise<ReadonlyMap<string, { id: string; entries: Entry[] }>> => {
      const all = (await (await fetch(`${trug.url}/api/batches?with=logs`)).json()) as { id: string; name: string; entries: Entry[] }[];
      return new Map(all.map((b) => [b.name, b]));
    };
    const litres = async (name: string): Promise<number> => replay((await logs()).get(name)?.entries ?? []).liquid?.volumeL ?? 0;
    const [gateL, perryL] = [await litres('Gate Blend'), await litres('Lane Perry')];
    await bench.open(`/batch/${(await logs()).get('Gate Blend')?.id ?? ''}/rack`);
    await bench.fill('loss', '0.5 L');
    await rackPage(bench).into('Spare glass');
    await bench.says(/There is air over it/, '.room');
    await rackPage(bench).topUpWith('of Lane Perry');
    await bench.says(/of Lane Perry go in on top/, 'aside');
    await bench.press('Rack it');
    await bench.says(/Racked/, 'trug-log');
    const movedL = perryL - (await litres('Lane Perry'));
    expect(movedL).toBeGreaterThan(2);
    expect(await litres('Gate Blend')).toBeCloseTo(gateL - 0.5 + movedL, 6);
    expect(await litres('Gate Blend')).toBeCloseTo(23 * 0.98, 6);
    const state = replay((await logs()).get('Gate Blend')?.entries ?? []);
    expect(state.issues).toEqual([]);
    expect(judgeState(state, '2026-11-23T12:00:00Z')?.value.status).toBe('too-few-readings');
    expect(faults).toEqual([]);
  });
});
