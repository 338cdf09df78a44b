import { CoreError } from '../../base/errors/core-error.js';
import { heatSteps, readHeatTable } from './heat-profile.js';
import { pasteurisationUnits } from './heat-units.js';

const rows = (text: string): readonly (readonly string[])[] => text.split('\n').map((line) => line.split(line.includes(';') ? ';' : ','));

describe("a logger's table", () => {
  it.each<[string, string, boolean, readonly (readonly [number, number])[]]>([
    ['minutes and degrees', '0,20\n10,60.5\n20,65', false, [[0, 20], [10, 60.5], [20, 65]]], // prettier-ignore
    ['times of day under a head', 'time,core\n14:05,20\n14:35:30,64', false, [[0, 20], [30.5, 64]]], // prettier-ignore
    ['day and time in one cell', '2026-10-01 09:00,63\n2026-10-01 09:12,65', false, [[0, 63], [12, 65]]], // prettier-ignore
    ['day and time in two', '1.10.26,9:00 pm,63\n1.10.26,9:12 pm,65', false, [[0, 63], [12, 65]]], // prettier-ignore
    ['past midnight', '23:55,64\n0:07,65', false, [[0, 64], [12, 65]]], // prettier-ignore
    ['before and after noon', '11:50 am,60\n12:10 pm,61\n1:00 pm,61', false, [[0, 60], [20, 61], [70, 61]]], // prettier-ignore
    ['past midnight by the half day', '11:55 pm,64\n12:07 am,65', false, [[0, 64], [12, 65]]], // prettier-ignore
    ['hundredths, with a comma or a point', '0;60,25\n1;61.75', false, [[0, 60.25], [1, 61.75]]], // prettier-ignore
    ['two readings of one minute', '0,60\n0,61\n5,62', false, [[0, 60], [0, 61], [5, 62]]], // prettier-ignore
    ['°F with their sign', '0,149 °F\n10,150.8F', true, [[0, 65], [10, 66]]], // prettier-ignore
    ['an empty row between', '0,60\n\n5,61', false, [[0, 60], [5, 61]]], // prettier-ignore
  ])('reads %s', (_what, text, fahrenheit, expected) => {
    const read = readHeatTable(rows(text), fahrenheit);
    expect(read.map(({ minute, coreC }) => [Math.round(minute * 100) / 100, Math.round(coreC * 100) / 100])).toEqual(expected);
  });
  it.each([
    ['a row that says nothing', '0,60\nlater,warm', /row 2, “later warm”, is no time and temperature/],
    ['a time that goes back', '10,60\n5,61', /row 2 lies before/],
    ['a heat that no bottle in a bath has', '0,60\n5,160', /row 2: no bottle in a bath is at 160/],
    ['a count of minutes that goes back far', '800,60\n5,61', /row 2 lies before/],
    ['a row that has no time', '0,60\n61', /row 2, “61”/],
    ['a first row whose time says nothing', 'x,60\n5,61', /row 1, “x 60”/],
    ['a figure with something behind it', '0,60\n5,61x', /row 2, “5 61x”/],
    ['a figure with something before it', '0,60\n5,x61', /row 2/],
    ['a time with something behind it', '14:05 or so,60\n14:09,61', /row 1/],
    ['frost', '0,−2.5\n5,61', /row 1: no bottle in a bath is at −2.5/],
    ['one row', '0,60', /two rows at least/],
    ['nothing', '', /two rows at least/],
  ])('refuses %s by its row', (_what, text, why) => {
    expect(() => readHeatTable(rows(text))).toThrow(why);
  });
  it('says which row it is to whoever words it', () => {
    const details = (text: string): object => {
      try {
        readHeatTable(rows(text));
      } catch (error) {
        if (error instanceof CoreError) return error.details;
      }
      return {};
    };
    expect([details('0,60\nx,61'), details('0,60\n5,160'), details('5,60\n0,61'), details('0,60')]).toEqual([{ row: 2 }, { row: 2 }, { row: 2 }, { rows: 1 }]);
  });
  it('counts the cooler of two, and of a long gap no more than ten minutes', () => {
    const steps = heatSteps(readHeatTable(rows('0,20\n10,65\n20,65\n80,65\n90,30')));
    expect(steps).toEqual([
      { minutes: 10, coreC: 20 },
      { minutes: 10, coreC: 65 },
      { minutes: 10, coreC: 65 },
      { minutes: 10, coreC: 30 },
    ]);
    // Twice ten minutes at 65 °C, and next to nothing of the rest.
    expect(pasteurisationUnits(steps)).toBeCloseTo(105, 0);
  });
});
