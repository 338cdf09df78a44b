import { logOf } from '../../testing/made-logs.js';
import { calledBy } from './called-by.js';

const make = logOf('CALLED');
const named = (day: number, name: string, was: string) => make.entry('renamed', day, { name, tape: 'leaf', was: { name: was, tape: 'straw' } });
const struck = (day: number, entryId: string) => make.entry('corrected', day, { entryId, replacement: null });

it('is called by the last name that stands, and as it was where none does', () => {
  const [one, two] = [named(1, 'Gate row', 'Gate'), named(2, 'Gate old', 'Gate row')];
  expect(calledBy([make.filled()])).toBeNull();
  expect(calledBy([make.filled(), one, two])).toEqual({ name: 'Gate old', tape: 'leaf' });
  expect(calledBy([make.filled(), one, two, struck(3, two.id)])).toEqual({ name: 'Gate row', tape: 'leaf' });
  expect(calledBy([make.filled(), one, struck(2, one.id)])).toEqual({ name: 'Gate', tape: 'straw' });
});
