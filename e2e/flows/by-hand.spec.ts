import { dateAfter } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, TestTrug } from '../support/trug';

const START = '2026-10-26';

describe('the usual acts, from an empty shelf to a read batch', () => {
  let trug: TestTrug;
  beforeEach(async () => {
    trug = new TestTrug();
    await trug.start(START);
  });
  afterEach(() => trug.stop());

  it.each([
    ['by keys alone', 'keys', DESK],
    ['by a finger on a phone', 'finger', PHONE],
  ] as const)('%s', async (_how, hand, screen) => {
    const { page, faults } = await trug.page(screen);
    const bench = new Bench(page, trug.url, hand);

    await bench.open('/settings');
    await bench.choose('temperature', 'degF');
    await bench.says(/Kept/);

    await bench.open('/shelf');
    await bench.pressDoor('Cartons');
    await bench.says(/New batch/, 'main');
    await bench.fill('name', 'By hand');
    await bench.fill('volume', '20 L');
    await bench.fill('sg', '1.048');
    await bench.choose('newKind', 'bucket');
    await bench.press('Put it in the cupboard');
    await bench.says(/is in the cupboard/);
    await bench.press('Begin it');
    await bench.says(/Cannot tell yet: no reading/, 'trug-now');
    const path = new URL(page.url()).pathname;

    await trug.moveClock(dateAfter(START, 8));
    await bench.open(path);
    await bench.press('Write a reading');
    await bench.fill('gravity', '1.012');
    await bench.choose('bubbles', 'some');
    await bench.press('Write it down');
    await bench.says(/1\.012/, 'trug-log');
    await bench.press('Undo');
    await bench.says(/struck out/, 'trug-log');
    await bench.press('Write a reading');
    await bench.fill('gravity', '1.010');
    await bench.press('Write it down');
    await bench.says(/1\.010/, 'trug-log');

    await bench.press('Write a note');
    await bench.fill('text', 'smells of pears');
    await bench.press('Write it down');
    await bench.says(/smells of pears/, 'trug-log');

    await bench.open('/shelf');
    await bench.press('Put off: Read By hand');
    await bench.press('Put off for a week');
    await bench.says(/Put off until/, 'trug-job-list');

    await bench.open('/cupboard');
    await bench.press('Add a vessel');
    await bench.choose('kind', 'carboy');
    await bench.fill('name', 'Glass');
    await bench.press('Put it in');
    await bench.says(/Glass/, '.planks');

    expect(faults).toEqual([]);
  });
});
