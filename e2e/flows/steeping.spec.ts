import { replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

/** Spice goes in for four weeks and comes out; fruit holds up the bottles until it is out. */
describe('something that steeps', () => {
  it.each([
    ['at a desk', DESK, 'mouse', 'L', 'metric'],
    ['on a phone, in US measures', PHONE, 'finger', 'us-gal', 'imperial'],
  ] as const)('is tasted and taken out on its days, %s', async (_where, screen, hand, volume, mass) => {
    const trug = new TestTrug();
    try {
      await trug.start(SEASON_DAY, true);
      await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), volume, mass });
      const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
      const id = batches.find((b) => b.name === 'Gate Blend')?.id ?? '';
      const state = async () => replay((await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${id}`)).entries);
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, hand);
      await bench.open(`/batch/${id}`);
      await bench.pressElse('Steep something in it');
      await bench.choose('what', 'cinnamon');
      await bench.fill('mass', mass === 'metric' ? '16 g' : '0.56 oz');
      await bench.fill('days', '28');
      await bench.press('It is in');
      await bench.says(/Steeping in it/, 'trug-log');
      const before = (await state()).liquid;

      await trug.moveClock('2026-11-30');
      await bench.open('/shelf');
      // On a phone jobs are folded.
      if (screen === DESK) await bench.says(/Taste Gate Blend with its cinnamon bark/);
      await bench.open(`/batch/${id}/taste`);
      await bench.choose('score', '6');
      await bench.press('Write it down');
      await bench.says(/6 of 10/, 'trug-log');

      await trug.moveClock('2026-12-21');
      await bench.open('/shelf');
      if (screen === DESK) await bench.says(/Take the cinnamon bark out of Gate Blend/);
      await bench.open(`/batch/${id}/infuse`);
      await bench.press('Take out the cinnamon bark');
      await bench.until(async () => (await state()).infusions.length === 0);
      // Bark brings nothing that counts.
      expect((await state()).liquid).toEqual(before);

      await bench.choose('what', 'raspberry');
      await bench.fill('mass', mass === 'metric' ? '1.5 kg' : '3.3 lb');
      await bench.press('It is in');
      await bench.says(/No reading proves an end until it is out/, 'trug-now');
      await bench.open(`/batch/${id}/bottle`);
      await bench.says(/Fruit still steeps in it/);
      // 1.5 kg at 50 g of sugar a kilo, all of it counted in the drink; three pounds and a third are 1.497 kg.
      const after = (await state()).liquid;
      const hexoseG = (after?.hexoseGPerL ?? 0) * (after?.volumeL ?? 0) - (before?.hexoseGPerL ?? 0) * (before?.volumeL ?? 0);
      expect(hexoseG).toBeGreaterThan(74.5);
      expect(hexoseG).toBeLessThan(75.5);
      await bench.open(`/batch/${id}/infuse`);
      await bench.press('Take out the raspberries');
      await bench.until(async () => (await state()).infusions.length === 0);
      await bench.open(`/batch/${id}/bottle`);
      await bench.says(/not proven/);
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
