import { Bench } from '../pages/bench';
import { DESK, PHONE, TestTrug } from '../support/trug';

describe('a first look', () => {
  let trug: TestTrug;
  beforeAll(async () => {
    trug = new TestTrug();
    await trug.start('2026-11-23');
  });
  afterAll(() => trug.stop());

  it.each([
    ['at a desk', DESK],
    ['on a phone', PHONE],
  ])('shows a made-up season and leaves the empty shelf as it was, %s', async (_where, screen) => {
    const { page, faults } = await trug.page(screen);
    const bench = new Bench(page, trug.url);
    await bench.open('/shelf');
    await bench.pressDoor('Show me a season');
    await bench.says(/On the shelf/);
    expect(page.url().startsWith(trug.url)).toBe(false);
    await bench.says(/made-up season to look around in/, 'body');
    expect(await trug.ask('/api/batches')).toEqual([]);

    await bench.press('Leave it');
    await bench.says(/An empty shelf/);
    expect(page.url().startsWith(trug.url)).toBe(true);
    // The season answers on a port of its own, on this machine.
    expect(faults.filter((fault) => !/^asked for http:\/\/localhost:/.test(fault))).toEqual([]);
  });
});
