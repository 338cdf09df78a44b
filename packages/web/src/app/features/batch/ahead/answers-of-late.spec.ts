import { createAnswersOfLate } from './answers-of-late';

it('remembers what was asked of late, and forgets first what was asked longest ago', () => {
  const late = createAnswersOfLate<{ readonly of: string }, number>(2);
  expect(late.of({ of: 'a' })).toBeNull();
  late.keep({ of: 'a' }, 1);
  late.keep({ of: 'b' }, 2);
  expect(late.of({ of: 'a' })).toBe(1);
  late.keep({ of: 'c' }, 3);
  expect([late.of({ of: 'a' }), late.of({ of: 'b' }), late.of({ of: 'c' })]).toEqual([1, null, 3]);
});
