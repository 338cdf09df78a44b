import type { Entry } from '@trug/core';
import { Bench, named } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const NOTE = 'rack it a month sooner';

/** A crate of the year before is opened, tasted and written down; what was noted comes back where a like batch is begun. */
describe('a tasting a year later', () => {
  it.each([
    ['at a desk, round the wheel by keys', DESK],
    ['on a phone, from the list', PHONE],
  ] as const)('comes back at the next batch like it, %s', async (_where, screen) => {
    const trug = new TestTrug();
    try {
      await trug.start(SEASON_DAY, true);
      const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
      const id = batches.find((b) => b.name === 'Old Terrace')?.id ?? '';
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, screen === PHONE ? 'finger' : 'mouse');
      await bench.open('/cellar');
      await bench.pressAt('button[aria-label^="Open one"][aria-label$="Old Terrace"]');
      await bench.says(/opened/, 'body');
      await bench.press('Given away or broken: Old Terrace');
      await bench.press('One given away');
      await bench.says(/given away/, 'body');
      await bench.press('Taste Old Terrace');
      await bench.says(/Taste it/, 'main h1');
      await bench.choose('colour', 'amber');
      await bench.choose('clarity', 'bright');
      await bench.choose('acid', '1');
      if (screen === DESK) {
        await bench.focus('[data-word="green-apple"]');
        for (const key of ['ArrowRight', 'ArrowRight', 'Space'] as const) await page.keyboard.press(key);
      } else await bench.press('baked apple');
      await bench.choose('score', '8');
      await bench.fill('next', NOTE);
      await bench.says(/after 6 months/, 'trug-taste-course');
      await bench.press('Write it down');
      await bench.says(/8 of 10/, 'trug-log');
      const { entries } = await trug.ask<{ entries: Entry[] }>(`/api/batches/${id}`);
      expect(entries.at(-1)).toMatchObject({
        kind: 'tasted',
        payload: { sheet: { colour: 'amber', clarity: 'bright', words: ['baked-apple'], score: 8, next: NOTE, scales: { acid: 1, nose: null } } },
      });
      const [opened, given] = entries.slice(-3);
      expect(given).toMatchObject({ kind: 'opened', payload: { count: 1, how: 'given' } });
      expect(opened?.kind === 'opened' && opened.payload.how).toBeUndefined();

      // Begun like it: by its fruit at first, and by its yeast once that is chosen.
      await bench.open('/new');
      await bench.says(new RegExp(`${NOTE}\\s+Old Terrace, 23 Nov: the same fruit`), 'trug-next-time');
      await bench.choose('yeast', 'restart');
      await bench.says(/the same fruit, the same yeast/, 'trug-next-time');
      await bench.choose('fruit', 'pear');
      await bench.says(/: the same yeast/, 'trug-next-time');
      // Yeast is pitched days after the juice was written down: it is told again there.
      await bench.open(`/batch/${batches.find((b) => b.name === 'Terrace Must')?.id ?? ''}/pitch`);
      await bench.says(new RegExp(NOTE), 'trug-next-time');
      await bench.open('/cellar/liked');
      await bench.pressAt(named('Old Terrace'));
      await bench.says(/after 9 months/, 'trug-taste-course');
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
