import { judgeState, replay, type Entry } from '@trug/core';
import { Bench } from '../pages/bench';
import { DESK, PHONE, SEASON_DAY, TestTrug } from '../support/trug';

const US_NIGHT = {
  volume: 'us-gal',
  mass: 'imperial',
  temperature: 'degF',
  pressure: 'psi',
  gravity: 'Bx',
  timeZone: 'America/Los_Angeles',
  timeZoneChosen: true,
} as const;

/** A finished drink is stabilised, sweetened, bottled still and looked after: and what is drunk young is written down too. */
describe('sweet and still', () => {
  it.each([
    ['at a desk', DESK, {}],
    ['on a phone, in gallons, where it is still the night before', PHONE, US_NIGHT],
  ])('keeps its sugar held, and never calls it safe, %s', async (_where, screen, maker) => {
    const trug = new TestTrug();
    try {
      await trug.start(SEASON_DAY, true);
      await trug.send('PUT', '/api/settings', { ...(await trug.ask<object>('/api/settings')), ...maker });
      const batches = await trug.ask<{ id: string; name: string }[]>('/api/batches');
      const path = `/batch/${batches.find((b) => b.name === 'Gate Blend')?.id ?? ''}`;
      const { page, faults } = await trug.page(screen);
      const bench = new Bench(page, trug.url);
      const log = async (): Promise<Entry[]> => (await trug.ask<{ entries: Entry[] }>(`/api${path.replace('/batch/', '/batches/')}`)).entries;

      await bench.open(`${path}/take-out`);
      await bench.fill('amount', '500 mL');
      await bench.press('Write it down');
      await bench.says(/Drunk/, 'trug-log');

      // Off its lees first: a dose on the lees would not count.
      await bench.open(`${path}/stabilise`);
      if ((await bench.text()).includes('still stood on its lees')) {
        await bench.open(`${path}/rack`);
        await bench.press('Rack it');
        await bench.says(/Racked/, 'trug-log');
        await bench.open(`${path}/stabilise`);
      }
      await bench.press('Both are in');
      await bench.says(/Sulfite and sorbate/, 'trug-log');

      await bench.open(`${path}/sweeten`);
      await bench.says(/Sulfite and sorbate keep the yeast off it/);
      await bench.choose('level', 'medium');
      await bench.press('It is in');
      await bench.says(/^Held/, 'trug-now h2');

      const state = replay(await log());
      expect(state.issues).toEqual([]);
      expect(judgeState(state, `${SEASON_DAY}T10:00:00.000Z`)?.value.status).toBe('held');
      await bench.open(`${path}/bottle`);
      await bench.says(/if it wakes in the bottle, the bottles burst/);
      await bench.press('Bottle it');
      await bench.says(/Sorbate slows yeast and does not kill it/, '[role=alert]');
      await bench.fill('acknowledge', 'I understand');
      await bench.press('Bottle it');
      await bench.says(/Were that to wake/, 'trug-now');
      const bottled = (await log()).find((e) => e.kind === 'bottled');
      expect(bottled?.kind === 'bottled' && bottled.payload.acknowledged).toContain('re-ferment');
      expect(faults).toEqual([]);
    } finally {
      await trug.stop();
    }
  });
});
