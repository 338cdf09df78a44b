import { DEFAULT_UNITS, type UnitPreferences } from '../../matter/quantity/format-quantity.js';
import { SAMPLE_PAYLOADS } from '../../testing/sample-payloads.js';
import { describeEntry } from '../log/describe-entry.js';
import { replay } from '../log/replay.js';
import { foldOf } from '../summary/batch-summary.js';
import type { Entry, EntryKind } from './entry.js';
import { ENTRY_KINDS, juicesOf, suppliesOf, vesselsAfter } from './entry-kinds.js';
import { putBack, takeBack } from './take-back.js';

const US: UnitPreferences = { volume: 'us-gal', mass: 'imperial', temperature: 'degF', gravity: 'Bx', pressure: 'psi' };
const KINDS = Object.keys(ENTRY_KINDS) as EntryKind[];
const entry = (kind: EntryKind, day: number, payload: Entry['payload'] = SAMPLE_PAYLOADS[kind], id: string = kind): Entry => {
  const at = new Date(Date.UTC(2026, 9, 1 + day)).toISOString();
  return { id, batchId: 'B', kind, at, writtenAt: at, note: '', payload } as Entry;
};
/** What has to be there before an entry of some kinds adds up. */
const BEFORE: Partial<Record<EntryKind, readonly EntryKind[]>> = {
  filled: [],
  steeped: [],
  strained: ['steeped'],
  unsealed: ['filled', 'kegged'],
  'let-off': ['filled', 'kegged'],
  squeezed: ['filled', 'bottled'],
  heated: ['filled', 'bottled'],
  lifted: ['filled', 'pitched', 'infused'],
  opened: ['filled', 'bottled'],
  'poured-back': ['filled', 'bottled'],
};
const before = (kind: EntryKind): readonly Entry[] => (BEFORE[kind] ?? ['filled', 'pitched']).map((k, i) => entry(k, i, SAMPLE_PAYLOADS[k], `before-${k}`));

describe.each(KINDS)('%s', (kind) => {
  it('adds up, and is said in either units', () => {
    const log = [...before(kind), entry(kind, 20)];
    expect(replay(log).issues).toEqual([]);
    for (const units of [DEFAULT_UNITS, US]) {
      const { lead, rest } = describeEntry(entry(kind, 20), units);
      expect(lead).not.toBe('');
      expect(`${lead} ${rest}`).not.toMatch(/undefined|NaN|null|\[object/);
    }
  });
  it('can be taken back and put back', () => {
    if (kind === 'corrected') return;
    const log = [...before(kind), entry(kind, 20)];
    const away = takeBack(entry(kind, 20), log);
    const struck = [...log, entry('corrected', 21, away ?? {}, 'away')];
    expect({ ...foldOf(struck), head: null }).toEqual({ ...foldOf(before(kind)), head: null });
    const again = putBack(kind, struck);
    expect({ ...foldOf([...struck, entry('corrected', 22, again ?? {}, 'again')]), head: null }).toEqual({ ...foldOf(log), head: null });
  });
});

it('takes out of cupboard and juices what its payload says, and no other kind takes any', () => {
  expect(KINDS.filter((kind) => suppliesOf(entry(kind, 0)).length > 0)).toEqual(['steeped', 'addition', 'pitched', 'clarified']);
  expect(KINDS.filter((kind) => juicesOf(entry(kind, 0)).length > 0)).toEqual(['blended']);
  expect(KINDS.filter((kind) => vesselsAfter(entry(kind, 0)) !== undefined)).toEqual([
    'filled',
    'steeped',
    'blended',
    'split',
    'strained',
    'racked',
    'kegged',
    'poured-back',
  ]);
});
