import { replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const US = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', pressure: 'psi', gravity: 'Bx' } as const;

/** A finished drink is sweetened, filled and heated through on one day; what is filled and forgotten becomes a danger. */
describe('sweet by heat', () => {
  it.each([
    ['at a desk', DESK, 'mouse', {}],
    ['on a phone, in US measures, off a logger', PHONE, 'finger', US],
  ] as const)('keeps its sugar once its yeast is dead, %s', async (_where, screen, hand, maker) => {
    const trug = new TestTrug();
    try {
      await trug.start(SEASON_DAY, true);
      await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), ...maker });
      const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
      const id = batches.find((b) => b.name === 'Gate Blend')?.id ?? '';
      const state = async () => replay((await trug.ask<{ entries: readonly Entry[] }>(`/api/batches/${id}`)).entries);
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url, hand);

      await bench.open(`/batch/${id}/sweeten`);
      await bench.choose('sweetener', 'sucrose');
      await bench.choose('level', 'medium');
      await bench.says(/a hot bath the same day/);
      await bench.press('It is in');
      await bench.says(/Sweetened/, 'trug-log');
      const sweetened = (await state()).liquid;

      await bench.open(`/batch/${id}/bottle`);
      await bench.tickOption('route', 'heated');
      await bench.says(/Into the bath, today/, 'trug-run-list');
      await bench.press('Bottle it');
      await bench.says(/left as they are, they burst/, '[role=alert]');
      await bench.fill('acknowledge', 'I understand');
      await bench.press('Bottle it');
      await bench.says(/Not heated through/, 'trug-now');
      const waiting = (await state()).crates[0];
      expect(waiting?.wakesVolumes).toBeGreaterThan(4);
      await bench.open('/cellar');
      await bench.says(/sugar and live yeast are in it/);

      await bench.open(`/batch/${id}/heat`);
      if (screen === DESK) {
        await bench.fill('core', '66 °C');
        await bench.fill('minutes', '9');
        // 9 minutes at 66 °C are 9 × 1.393^6 units.
        await bench.says(/65 units of 50: enough/);
      } else {
        await bench.tickOption('way', 'table');
        await bench.fill('table', '14:00 68\n14:10 104\n14:20 140\n14:26 149\n14:37 149');
        // 11 minutes at 149 °F are 65 °C: 58 units, less one minute of a gap that is longer than ten, and the six on the way up.
        await bench.says(/58 units of 50: enough/);
      }
      await bench.fill('acknowledge', 'I understand');
      await bench.press('They are heated');
      await bench.says(/Heated/, 'trug-log');
      const done = (await state()).crates[0];
      expect(done?.wakesVolumes).toBeNull();
      // All its sugar is still there, and hardly any gas.
      expect(done?.drink.liquid.sucroseGPerL).toBeCloseTo(sweetened?.sucroseGPerL ?? 0, 6);
      expect(done?.co2Volumes).toBeLessThan(1.2);
      expect((await state()).issues).toEqual([]);
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
