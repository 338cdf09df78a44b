import type { Forecast } from './forecast-types.js';
import { forecastWords, likelyDay } from './forecast-words.js';

const found = (changes: Partial<Forecast>): Forecast => ({
  band: [],
  finishDay: { p10: 12, p50: 17, p90: 25 },
  finalSg: { p10: 0.997, p50: 0.998, p90: 1 },
  finalAbv: { p10: 6.5, p50: 6.8, p90: 7 },
  chanceStuck: 0.04,
  rate: { p10: 0.8, p50: 1, p90: 1.2 },
  effectiveMembers: 200,
  ...changes,
});
const when = { pitchedAt: '2026-11-10T10:00:00.000Z', today: '2026-11-20T10:00:00.000Z' };
const lead = (changes: Partial<Forecast>, today = when.today): string => forecastWords(found(changes), { ...when, today }).lead;

describe('forecastWords', () => {
  it('gives a date with its spread, an end and a chance', () => {
    expect(forecastWords(found({}), when)).toEqual({
      lead: 'Done about 27 Nov, between 22 Nov and 5 Dec four times in five.',
      end: 'It ends at about 0.998 (0.997 to 1.000) and 6.8 %.',
      stuck: 'The chance that it sticks is about 4 in 100.',
    });
    expect(forecastWords(found({ chanceStuck: 0.001 }), when).stuck).toContain('under 1 in 100');
  });
  it.each([
    ['an end that may drag on', { finishDay: { p10: 12, p50: 17, p90: null } }, 'Done about 27 Nov, or much later.'],
    ['an end past the horizon', { finishDay: { p10: 60, p50: null, p90: null } }, 'Done on 9 Jan at the earliest, more likely months later.'],
    ['no end in sight', { finishDay: { p10: null, p50: null, p90: null } }, 'Not done for months.'],
    ['one that stuck', { chanceStuck: 0.8 }, 'It looks stuck'],
  ])('says %s plainly', (_, changes, says) => {
    expect(lead(changes)).toContain(says);
  });
  it.each([
    ['stalled', 'stands still'],
    ['not-started', 'stands still'],
    ['too-cold', 'sleeps in the cold'],
  ] as const)('names no day of one that is %s', (status, says) => {
    expect(forecastWords(found({}), { ...when, status }).lead).toContain(says);
    expect(likelyDay(found({}), status)).toBeNull();
  });
  it('says that it cannot tell where too few of its ferments agree', () => {
    expect(lead({ effectiveMembers: 60 })).toContain('cannot tell the day');
    expect([likelyDay(found({ effectiveMembers: 60 }), 'working'), likelyDay(found({}), 'working')]).toEqual([null, 17]);
  });
  it('waits for no day that lies behind: what may be over is said to be so', () => {
    expect(lead({}, '2026-11-23T10:00:00.000Z')).toBe('Done about 27 Nov; it may be by now, and nine times in ten is by 5 Dec.');
    for (const day of ['11', '17', '21', '22', '24', '26']) {
      const said = lead({}, `2026-11-${day}T10:00:00.000Z`);
      for (const [, named] of said.matchAll(/(\d+) Nov/g)) expect(Number(named)).toBeGreaterThan(Number(day) - 1);
    }
  });
  it('asks for proof instead of promising once the day has come', () => {
    expect(lead({}, '2026-11-28T10:00:00.000Z')).toBe('It should be about there. Two equal readings a week apart would prove it.');
  });
});
