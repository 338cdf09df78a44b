import fc from 'fast-check';
import { isDay, isUtcInstant, strictInstantMs } from './strict-dates.js';
import { dayIn, hourIn, isZone, momentIn, wallClock } from './zone.js';

describe('days and moments are checked against the calendar', () => {
  it.each(['2026-02-30', '2026-02-29', '2026-13-01', '2026-00-10', '0001-01-01', '9999-12-31', '2026-4-1', 'yesterday', ''])('%p is no day', (text) => {
    expect(isDay(text)).toBe(false);
    expect(isUtcInstant(`${text}T10:00:00.000Z`)).toBe(false);
  });
  it.each(['2028-02-29', '1970-01-01', '2199-12-31'])('%p is one', (text) => {
    expect(isDay(text)).toBe(true);
    expect(isUtcInstant(`${text}T10:00:00.000Z`)).toBe(true);
  });
  it.each(['2026-11-23T24:00:00Z', '2026-11-23T10:60:00Z', '2026-11-23T10:00:00', '2026-11-23T10:00:00+25:00', '2026-02-30T10:00:00+01:00'])(
    '%p is no moment',
    (text) => {
      expect(strictInstantMs(text)).toBeNull();
    },
  );
  it('a moment with its zone is one, and the log keeps only UTC', () => {
    expect(strictInstantMs('2026-11-23T10:00:00+13:00')).toBe(Date.parse('2026-11-22T21:00:00Z'));
    expect(isUtcInstant('2026-11-23T10:00:00+13:00')).toBe(false);
  });
});

describe('the clock on the maker’s wall', () => {
  it.each([
    ['2026-11-23T10:00:00.000Z', 'Pacific/Auckland', '2026-11-23T23:00:00.000'],
    ['2026-11-23T11:30:00.000Z', 'Pacific/Auckland', '2026-11-24T00:30:00.000'],
    ['2026-11-23T06:00:00.000Z', 'America/Los_Angeles', '2026-11-22T22:00:00.000'],
    ['2026-07-01T06:00:00.000Z', 'America/Los_Angeles', '2026-06-30T23:00:00.000'],
    ['2026-11-23T10:00:00.000Z', 'UTC', '2026-11-23T10:00:00.000'],
    ['2026-11-23', 'Pacific/Auckland', '2026-11-23T00:00:00.000'],
  ])('shows %s in %s as %s', (iso, zone, wall) => {
    expect(wallClock(iso, zone)).toBe(wall);
  });
  it('names the day and the hour', () => {
    expect(dayIn('2026-11-23T11:30:00Z', 'Pacific/Auckland')).toBe('2026-11-24');
    expect(hourIn('2026-11-23T11:30:00Z', 'Pacific/Auckland')).toBe('00:30');
  });
  it('a day and an hour come back from the moment they name, in any zone and season', () => {
    const zones = ['UTC', 'America/Los_Angeles', 'Pacific/Auckland', 'Asia/Kolkata', 'Europe/London', 'Australia/Lord_Howe'];
    fc.assert(
      // Noon is skipped or repeated nowhere.
      fc.property(fc.integer({ min: 0, max: 40_000 }), fc.constantFrom(...zones), (days, zone) => {
        const day = new Date(days * 86_400_000).toISOString().slice(0, 10);
        const moment = momentIn(day, '12:00', zone);
        expect([dayIn(moment, zone), hourIn(moment, zone)]).toEqual([day, '12:00']);
      }),
      { seed: 7, numRuns: 400 },
    );
  });
  it('knows zones by name', () => {
    expect(['Europe/Lisbon', 'UTC', 'Mars/Olympus', '', 'x'.repeat(300)].map(isZone)).toEqual([true, true, false, false, false]);
    expect(() => momentIn('2026-11-23', 'noon', 'UTC')).toThrow(/not a day and an hour/);
  });
});
