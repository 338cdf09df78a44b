import { Bench } from '../pages/bench';
import { DESK, TestTrug } from '../support/trug';

/** A batch that stops half way is recognised, warmed, given new yeast by a starter, and followed until it is dry. */
describe('a stuck batch', () => {
  const trug = new TestTrug();
  afterAll(async () => trug.stop());

  it('is recognised, restarted by timed steps and followed to dry', async () => {
    await trug.start('2026-10-01', false);
    const { page, faults } = await trug.page(DESK);
    const bench = new Bench(page, trug.url);
    await bench.open('/cupboard');
    await bench.press('Add a vessel');
    await bench.choose('kind', 'carboy');
    await bench.fill('name', 'Big glass');
    await bench.press('Put it in');
    await bench.says(/Big glass/, 'main ul');
    await bench.open('/new');
    await bench.fill('name', 'Halfway');
    await bench.fill('volume', '20 L');
    await bench.fill('sg', '1.050');
    await bench.fill('abv', '6.5');
    await bench.press('Begin it');
    await bench.says(/day 0/, 'trug-path');
    const path = new URL(page.url()).pathname;

    const readOn = async (day: string, gravity: string): Promise<void> => {
      await trug.moveClock(day);
      await bench.open(`${path}/read`);
      await bench.fill('gravity', gravity);
      await bench.fill('sample', '20 C');
      await bench.fill('place', '18 C');
      await bench.press('Write it down');
      await bench.says(/Undo/);
    };
    await readOn('2026-10-05', '1.038');
    await readOn('2026-10-12', '1.024');
    await bench.says(/Done about|Not done/, 'trug-ahead');
    await readOn('2026-10-20', '1.024');
    await readOn('2026-10-28', '1.024');
    expect(await bench.batchVerdict()).toMatch(/^Stuck: steady at 1.024/);
    await bench.says(/It looks stuck/, 'trug-ahead');

    await bench.press('Set it going again');
    await bench.says(/restart yeast/, '[aria-labelledby=anew]');
    await page.click('[aria-labelledby=anew] .now button');
    await bench.says(/in 15 min|in 14 min/, '[aria-labelledby=anew]');
    await bench.open('/shelf');
    await bench.says(/Restart for Halfway/, 'trug-job-list');
    await bench.open(`${path}/restart`);
    await bench.press('The starter is in');
    await bench.says(/Read it after 4 days/, 'trug-now');

    await readOn('2026-11-02', '1.017');
    expect(await bench.text('trug-now')).toContain('It has taken: 7 points down');
    await readOn('2026-11-12', '1.002');
    await readOn('2026-11-20', '0.998');
    await readOn('2026-11-28', '0.998');
    expect(await bench.batchVerdict()).toMatch(/^Finished/);
    expect(faults).toEqual([]);
  });
});
