import { parseHour } from './hour.js';

it.each([
  ['14:30', '14:30'],
  ['9.15', '09:15'],
  ['0:05', '00:05'],
  ['1430', '14:30'],
  ['930', '09:30'],
  ['14h30', '14:30'],
  ['2 pm', '14:00'],
  ['2:30PM', '14:30'],
  ['12 a.m.', '00:00'],
  ['12 pm', '12:00'],
  [' noon ', '12:00'],
  ['midnight', '00:00'],
])('reads %p as %s', (text, hour) => expect(parseHour(text)).toBe(hour));

it.each(['', '7', '14', '25:00', '14:60', '13 pm', '0 am', 'teatime', '14:3', '2026-11-23', '-1:00'])('does not guess what %p means', (text) =>
  expect(parseHour(text)).toBeNull(),
);
