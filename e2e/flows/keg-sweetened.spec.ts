import { replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { freshId } from '../support/fresh-batch';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const US = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', pressure: 'psi', gravity: 'Bx' } as const;

/** A keg is gassed, opened, sweetened with concentrate, closed again cold, let off, and drawn by the glass until it is empty and to be cleaned. */
describe('a keg sweetened', () => {
  it.each([
    ['at a desk', DESK, 'mouse', {}],
    ['on a phone, in US measures', PHONE, 'finger', US],
  ] as const)('and drawn off, %s', async (_where, screen, hand, maker) => {
    const trug = new TestTrug();
    try {
      await trug.start(SEASON_DAY, true);
      await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), ...maker });
      await trug.send('POST', '/api/vessels', { id: freshId(), name: 'Round keg', kind: 'keg', capacityL: 23 });
      const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
      const id = batches.find((b) => b.name === 'Gate Blend')?.id ?? '';
      const state = async () => replay((await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${id}`)).entries);
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, hand);

      await bench.open(`/batch/${id}/keg`);
      await bench.press('Keg it');
      await bench.says(/In the keg/, 'trug-now');
      const filled = (await state()).liquid;

      // Nothing goes into a sealed keg.
      await bench.open(`/batch/${id}/sweeten`);
      await bench.choose('sweetener', 'apple-concentrate');
      await bench.choose('level', 'medium');
      await bench.press('It is in');
      await bench.says(/sealed in a keg/, '[role=alert]');

      await bench.open(`/batch/${id}/open-keg`);
      await bench.press('It is silent and open');
      await bench.until(async () => (await state()).keg === null);
      await bench.open(`/batch/${id}/sweeten`);
      await bench.choose('sweetener', 'apple-concentrate');
      await bench.choose('level', 'medium');
      await bench.press('It is in');
      await bench.says(/Sweetened/, 'trug-log');

      // The same keg again: nothing lost, and at refrigerator cold alone.
      await bench.open(`/batch/${id}/keg`);
      await bench.says(/let off each week/);
      await bench.fill('acknowledge', 'I understand');
      await bench.press('Keg it');
      await bench.says(/In the keg/, 'trug-now');
      const sealed = await state();
      expect(sealed.keg).toMatchObject({ unproven: true });
      const sugarG = (l: typeof filled): number => (l ? (l.sucroseGPerL + l.hexoseGPerL) * l.volumeL : 0);
      // Concentrate to 25 g/L in some twenty litres, a little for what was in it.
      expect(sugarG(sealed.liquid) - sugarG(filled)).toBeGreaterThan(300);
      expect(sealed.liquid?.volumeL).toBeGreaterThan(filled?.volumeL ?? 99);

      await trug.moveClock('2026-12-01');
      await bench.open('/shelf');
      if (screen === DESK) await bench.says(/Let off the keg of Gate Blend/);
      await bench.open(`/batch/${id}/let-off`);
      await bench.tickOption('valve', 'lifts');
      await bench.press('Write it down');
      await bench.says(/its relief valve lifts/, 'trug-log');

      await bench.open(`/batch/${id}/take-out`);
      await bench.press('4 glasses');
      await bench.press('Write it down');
      await bench.says(/Drunk/, 'trug-log');
      // Four glasses of three tenths of a litre, as exact as the maker's measure is written.
      expect((sealed.liquid?.volumeL ?? 0) - ((await state()).liquid?.volumeL ?? 0)).toBeCloseTo(1.2, 1);

      await bench.open(`/batch/${id}/take-out`);
      await bench.fill('amount', maker === US ? '5 gal' : '19 L');
      await bench.press('Write it down');
      await bench.until(async () => (await state()).liquid === null);
      expect((await state()).keg).toBeNull();
      expect((await state()).issues).toEqual([]);
      await bench.open('/cupboard');
      await bench.says(/Round keg/);
      await bench.says(/clean/i);
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
