import { createClock } from './clock.js';
import { readConfig } from './config.js';

describe('readConfig', () => {
  it('keeps to this machine and its own port unless told', () => {
    expect(readConfig({})).toMatchObject({ host: '127.0.0.1', tastingHost: '0.0.0.0', port: 4680, webDir: undefined });
    expect(readConfig({ TRUG_PORT: '0', TRUG_DATA: '/somewhere', TRUG_TODAY: '2026-11-23' })).toMatchObject({
      port: 0,
      dataDir: '/somewhere',
      today: '2026-11-23',
    });
  });
  it('keeps a season to be thrown away in memory, wherever the cellar is', () => {
    expect(readConfig({ TRUG_DATA: '/somewhere', TRUG_SEASON_OF: 'http://localhost:4680' })).toMatchObject({
      dataDir: null,
      seasonOf: 'http://localhost:4680',
    });
    expect(readConfig({ TRUG_DATA: '/somewhere' })).toMatchObject({ dataDir: '/somewhere', seasonOf: null });
  });
  it.each([{ TRUG_PORT: 'eighty' }, { TRUG_PORT: '70000' }, { TRUG_HOST: '0.0.0.0' }])('refuses %p', (env) => {
    expect(() => readConfig(env)).toThrow(RangeError);
  });
});

describe('createClock', () => {
  it('holds a day still, or follows the machine', () => {
    expect(createClock('2026-11-23').now().toISOString()).toBe('2026-11-23T10:00:00.000Z');
    expect(createClock('2026-11-23T07:30:00.000Z').now().toISOString()).toBe('2026-11-23T07:30:00.000Z');
    expect(Math.abs(createClock(undefined).now().getTime() - Date.now())).toBeLessThan(1000);
    expect(() => createClock('soon')).toThrow(RangeError);
    const held = createClock('2026-11-23');
    held.turnTo('2026-12-24');
    expect(held.now().toISOString()).toBe('2026-12-24T10:00:00.000Z');
    expect(() => held.turnTo('soon')).toThrow(RangeError);
    const own = createClock(undefined);
    own.turnTo('2026-12-24');
    expect(Math.abs(own.now().getTime() - Date.now())).toBeLessThan(1000);
  });
});
