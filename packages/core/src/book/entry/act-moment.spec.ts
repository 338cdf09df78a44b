import fc from 'fast-check';
import { actMoment, type SaidMoment } from './act-moment.js';

const SAID: SaidMoment = { day: '', hour: '', now: '2026-11-23T20:00:00.000Z', lastEntryAt: '2026-11-20T09:00:00.000Z', zone: 'UTC' };
const moment = (said: Partial<SaidMoment>): ReturnType<typeof actMoment> => actMoment({ ...SAID, ...said });

it('is now unless something is said', () => expect(moment({})).toEqual({ ok: true, at: null }));

it.each([
  ['noon of a day before', { day: '2026-11-22' }, '2026-11-22T12:00:00.000Z'],
  ['an hour of today', { hour: '9:15' }, '2026-11-23T09:15:00.000Z'],
  ['an hour on the maker’s own clock', { day: '2026-11-22', hour: '5 pm', zone: 'America/Los_Angeles' }, '2026-11-23T01:00:00.000Z'],
  ['some time on the day of the last entry, after it', { day: '2026-11-20', lastEntryAt: '2026-11-20T15:00:00.000Z' }, '2026-11-20T15:00:01.000Z'],
])('is %s', (_what, said, at) => expect(moment(said)).toEqual({ ok: true, at }));

it('is now for a today whose noon is still to come', () => {
  expect(moment({ day: '2026-11-23', now: '2026-11-23T08:00:00.000Z' })).toEqual({ ok: true, at: null });
});

it.each([
  ['no-day', { day: 'unreadable' }],
  ['no-day', { day: '2026-13-01', hour: '9:00' }],
  ['no-hour', { hour: 'teatime' }],
  ['no-hour', { day: '2026-11-22', hour: '7' }],
  ['to-come', { hour: '23:00' }],
  ['to-come', { day: '2026-11-24' }],
  ['before-log', { day: '2026-11-19' }],
  ['before-log', { day: '2026-11-20', hour: '8:00' }],
])('says %s of %p', (why, said) => expect(moment(said)).toEqual({ ok: false, why }));

it('never lies ahead, nor before what the log holds, in any zone', () => {
  const iso = (ms: number): string => new Date(ms).toISOString();
  fc.assert(
    fc.property(
      fc.integer({ min: Date.parse('2026-01-01'), max: Date.parse('2027-01-01') }),
      fc.integer({ min: 0, max: 20 * 86_400_000 }),
      fc.integer({ min: -3, max: 25 }),
      fc.constantFrom('', '0:10', '9:30', '23:50'),
      fc.constantFrom('UTC', 'Pacific/Auckland', 'America/Los_Angeles', 'Asia/Kolkata'),
      (nowMs, agoMs, daysAgo, hour, zone) => {
        const [now, lastEntryAt] = [iso(nowMs), iso(nowMs - agoMs)];
        const said = actMoment({ day: iso(nowMs - daysAgo * 86_400_000).slice(0, 10), hour, now, lastEntryAt, zone });
        return !said.ok || said.at === null || (said.at <= now && said.at > lastEntryAt);
      },
    ),
  );
});
