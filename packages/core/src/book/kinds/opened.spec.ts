import { logOf } from '../../testing/made-logs.js';
import type { EntryPayloads } from '../entry/entry.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';

const make = logOf();
const first = make.bottled(30, { count: 6, crate: 'First' });
const second = make.bottled(31, { count: 4, crate: 'Second' });
const log = [...make.dryAt(0.998), make.primed(30), first, second];
const open = (payload: Partial<EntryPayloads['opened']>) => make.entry('opened', 50, { kindId: 'crown-500', count: 1, ...payload });
const left = (...more: readonly ReturnType<typeof open>[]) => replay([...log, ...more]).crates.map((c) => c.lots[0]?.left);

it('takes a bottle out of the crate that was named, and out of the first where none was', () => {
  expect(left()).toEqual([6, 4]);
  expect(left(open({ crateId: second.id }))).toEqual([6, 3]);
  expect(left(open({}))).toEqual([5, 4]);
  expect(left(open({ count: 7 }))).toEqual([0, 3]);
});
it('takes no more than the crate holds', () => {
  expect(replay([...log, open({ crateId: second.id, count: 5 })]).issues).toHaveLength(1);
});
it('counts what was given away or broke, which nobody has tasted or let off', () => {
  const [, crate] = replay([...log, open({ crateId: second.id, how: 'broken' })]).crates;
  expect(crate).toMatchObject({ lastOpenedAt: null, lots: [{ left: 3 }] });
  expect(describeEntry(open({ how: 'given', count: 2 }), { volume: 'L', mass: 'metric', temperature: 'degC', gravity: 'SG', pressure: 'bar' }).lead).toBe(
    'Given away 2',
  );
});
