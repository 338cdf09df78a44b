import { refusalCode } from '../../testing/expect-within.js';
import { hottestWeekC } from './hottest-week.js';

it('is a heat wave over the warmest month of the place', () => {
  expect(hottestWeekC([4, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 5])).toBe(23);
  // South of the line the warmest month is another.
  expect(hottestWeekC([21, 22, 18, 14, 11, 8, 7, 8, 10, 13, 16, 19])).toBe(26);
  expect(refusalCode(() => hottestWeekC([]))).toBe('OUT_OF_RANGE');
});
