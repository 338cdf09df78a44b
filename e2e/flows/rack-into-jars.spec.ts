import { replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, TestTrug } from '../support/trug';

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
    await bench.press('Begin it');
    await bench.says(/day 0/, 'trug-path');
    const path = new URL(page.url()).pathname;
    await bench.open('/cupboard');
    for (const name of ['Jar 1', 'Jar 2', 'Jar 3', 'Jar 4', 'Jar 5']) {
      await bench.choose('kind', 'jar');
      await bench.fill('name', name);
      await bench.press('Put it in');
      await bench.says(new RegExp(name), 'main ul');
    }
    await bench.open(`${path}/rack`);
    await bench.fill('loss', '0.6 L');
    await bench.says(/3 L find no room/, 'aside');
    await page.$$eval('.ways button', (all) => all.find((b) => b.textContent.includes('cooled water'))?.click());
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
