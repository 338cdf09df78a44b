import fc from 'fast-check';
import { SEED } from '../../testing/arbitrary-liquid.js';
import { effectiveEntries } from './effective-entries.js';
import type { Entry, EntryOf } from './entry.js';
import { putBack, takeBack } from './take-back.js';

const note = (id: string, text: string): EntryOf<'note'> => ({
  id,
  batchId: 'B',
  kind: 'note',
  at: '2026-10-01T10:00:00.000Z',
  writtenAt: '2026-10-01T10:00:00.000Z',
  note: '',
  payload: { text },
});
const correction = (id: string, payload: EntryOf<'corrected'>['payload']): Entry => ({ ...note(id, ''), kind: 'corrected', payload });
const replaced = (entryId: string, text: string): EntryOf<'corrected'>['payload'] => {
  const { kind, at, note: beside, payload } = note(entryId, text);
  return { entryId, replacement: { kind, at, note: beside, payload } };
};
const standing = (log: readonly Entry[]): readonly Entry[] => effectiveEntries(log).entries;

describe('takeBack', () => {
  it('strikes an act out', () => {
    expect(takeBack(note('a', 'one'), [])).toEqual({ entryId: 'a', replacement: null });
  });
  it('says nothing about a correction of what is not there', () => {
    expect(takeBack(correction('b', replaced('a', 'two')), [])).toBeNull();
  });
  it('leaves the log saying what it said before, whatever was done to it', () => {
    const step = fc.record({ to: fc.constantFrom('a', 'b'), text: fc.option(fc.string({ minLength: 1 }), { nil: null }) });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
        const log: Entry[] = [note('a', 'one'), note('b', 'other')];
        steps.forEach(({ to, text }, i) => {
          const before = standing(log);
          const done = correction(`c${i}`, text === null ? { entryId: to, replacement: null } : replaced(to, text));
          const undone = takeBack(done, [...log, done]);
          expect(undone).not.toBeNull();
          if (undone) expect(standing([...log, done, correction(`u${i}`, undone)])).toEqual(before);
          log.push(done);
        });
      }),
      SEED,
    );
  });
});

describe('putBack', () => {
  it('puts back what was struck out as it last stood', () => {
    const log = [note('a', 'one'), correction('c', replaced('a', 'two')), correction('d', { entryId: 'a', replacement: null })];
    expect(standing(log)).toEqual([]);
    const payload = putBack('a', log);
    expect(payload && standing([...log, correction('e', payload)])).toEqual([note('a', 'two')]);
  });
  it('has nothing to put back of what is not there', () => {
    expect(putBack('x', [])).toBeNull();
  });
});
