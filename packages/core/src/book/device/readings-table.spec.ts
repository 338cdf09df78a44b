import { guessColumns } from './guess-columns.js';
import { readMoment } from './read-moment.js';
import { readingsFromTable } from './readings-from-table.js';

const NOW = Date.parse('2026-11-23T10:00:00Z');
const table = (text: string, by = ','): string[][] => text.split('\n').map((line) => line.split(by));
const read = (rows: string[][]): ReturnType<typeof readingsFromTable> => readingsFromTable(rows, guessColumns(rows), NOW);

describe('readMoment', () => {
  it.each([
    ['2026-10-03 14:30', 'year-first', '', '2026-10-03T14:30:00.000Z'],
    ['2026-10-03T14:30:05+02:00', 'year-first', '', '2026-10-03T12:30:05.000Z'],
    ['3/10/26 2:30 pm', 'day-first', '', '2026-10-03T14:30:00.000Z'],
    ['10/3/2026', 'month-first', '12:05 am', '2026-10-03T00:05:00.000Z'],
    ['1790000000', 'year-first', '', '2026-09-21T14:13:20.000Z'],
    ['1790000000123', 'year-first', '', '2026-09-21T14:13:20.123Z'],
  ] as const)('reads %s', (date, order, time, iso) => expect(new Date(readMoment(date, order, time) ?? 0).toISOString()).toBe(iso));
  it.each(['31/2/2026', '2026-13-01', '1.10.2026 25:00', 'Tuesday', ''])('refuses %s', (date) => expect(readMoment(date, 'day-first')).toBeNull());
});

describe('a table of readings', () => {
  it('is understood by its heads', () => {
    const rows = table('Timestamp,Gravity,Temp °F,pH,Battery\n2026-10-01 08:00,1.0521,64.4,3.41,88\n2026-10-01 09:00,1.0518,64.9,3.40,88');
    expect(guessColumns(rows)).toEqual({ roles: ['moment', 'sg', 'temp-f', 'ph', 'ignore'], hasHeader: true, dateOrder: 'year-first', dateOrderSure: true });
    expect(read(rows).readings[0]).toEqual({ atMs: Date.parse('2026-10-01T08:00:00Z'), sg: 1.0521, tempC: 18, ph: 3.41, massG: null });
  });
  it('is understood without heads, with decimal commas, points and a time of its own', () => {
    const rows = table('13.10.2026;08:00;1052;17,5\n14.10.2026;08:10;1048;17,0', ';');
    expect(guessColumns(rows)).toEqual({ roles: ['date', 'time', 'sg-points', 'temp-c'], hasHeader: false, dateOrder: 'day-first', dateOrderSure: true });
    expect(read(rows).readings.map((r) => [r.sg, r.tempC])).toEqual([
      [1.052, 17.5],
      [1.048, 17],
    ]);
  });
  it('reads Brix, kilograms, and dates a stranger would write month first', () => {
    const rows = table('day,Brix,weight kg\n10/21/2026,12.9,26.4\n10/22/2026,-0.5,25.9');
    expect(guessColumns(rows)).toMatchObject({ roles: ['date', 'brix', 'mass-kg'], dateOrder: 'month-first' });
    const { readings } = read(rows);
    expect(readings[0]?.sg).toBeCloseTo(1.0521, 3);
    expect(readings[1]).toMatchObject({ massG: 25_900 });
    expect(readings[1]?.sg).toBeCloseTo(0.998, 3);
  });
  it('reads a column in which only some rows carry their hour', () => {
    const rows = table('date,gravity\n2026-10-03 18:00,1.048\n2026-10-05,1.040\n2026-10-07 07:30,1.031');
    const guess = guessColumns(rows);
    expect(guess.roles).toEqual(['moment', 'sg']);
    const { readings, refused } = readingsFromTable(rows, guess, Date.parse('2026-11-01T00:00:00Z'));
    expect(refused).toEqual([]);
    expect(readings.map((r) => new Date(r.atMs).toISOString().slice(0, 10))).toEqual(['2026-10-03', '2026-10-05', '2026-10-07']);
  });
  it('admits when day and month look alike', () =>
    expect(guessColumns(table('1/2/2026,1.05\n3/4/2026,1.04'))).toMatchObject({ dateOrder: 'day-first', dateOrderSure: false }));
  it('leaves bad rows out one by one, and says why', () => {
    const rows = table(
      'date,sg,temp C\n2026-10-01,1.050,18\n,1.049,18\n2027-10-01,1.048,18\n2026-10-02,1.5,18\n2026-10-03,n/a,18\n2026-10-01,1.050,18\n2026-10-04,,\n\n2026-10-05,1.044,17',
    );
    const { readings, refused } = read(rows);
    expect(readings.map((r) => r.sg)).toEqual([1.05, 1.044]);
    expect(refused.map((r) => [r.row, r.why])).toEqual([
      [3, 'there is no date Trug can read'],
      [4, 'its date is still to come'],
      [5, 'a gravity of 1.5 cannot be'],
      [6, '“n/a” is no gravity'],
      [7, 'a row above has the same moment'],
      [8, 'there is no figure in it'],
    ]);
  });
  it('is not led astray by a mistype in a short table', () => {
    const rows = table('Day;Gravity\n18.11.2026;1,037\n20.11.2026;1,500\n21.11.2026;1,036', ';');
    expect(read(rows)).toMatchObject({ readings: [{ sg: 1.037 }, { sg: 1.036 }], refused: [{ row: 3, why: 'a gravity of 1,500 cannot be' }] });
  });
  it('makes nothing of prose', () => {
    const rows = table('Dear diary\nthe cider smells well');
    expect(guessColumns(rows).roles.every((r) => r === 'ignore')).toBe(true);
    expect(read(rows).readings).toEqual([]);
  });
});
