import { replay } from '../log/replay.js';
import { effectiveEntries } from '../entry/effective-entries.js';
import type { Entry, EntryKind, EntryPayloads } from '../entry/entry.js';
import { vesselJobs } from '../plan/vessel-jobs.js';
import { dirtyVessels, emptiedVessels } from './dirty-vessels.js';

const dayAt = (day: number): string => new Date(Date.UTC(2026, 9, 1, 10) + day * 86_400_000).toISOString();
let made = 0;
function entry<K extends EntryKind>(kind: K, day: number, payload: EntryPayloads[K]): Entry {
  made += 1;
  return { id: `D${String(made).padStart(5, '0')}`, batchId: 'B', kind, at: dayAt(day), writtenAt: dayAt(day), note: '', payload } as Entry;
}
const gravity: EntryPayloads['filled']['gravity'] = { instrument: 'hydrometer', reading: 1.05, sampleC: 20, calibratedAtC: 20, offsetSg: 0 };
const into = (...ids: readonly string[]): { vesselId: string; volumeL: number }[] => ids.map((vesselId) => ({ vesselId, volumeL: 5 }));
const fill = (day: number, ...ids: readonly string[]): Entry =>
  entry('filled', day, {
    source: 'j',
    fruit: 'apple',
    volumeL: 5 * ids.length,
    gravity,
    ph: null,
    taGPerL: null,
    tanninGPerL: null,
    yanMgPerL: null,
    vessels: into(...ids),
    tempC: null,
  });
const rack = (day: number, ...ids: readonly string[]): Entry => entry('racked', day, { vessels: into(...ids), lossL: 0 });
const VESSELS = ['A', 'B', 'C'].map((id) => ({ id, cleanedAt: null }));
const dirty = (
  log: readonly Entry[],
  vessels = VESSELS as readonly { id: string; cleanedAt: string | null }[],
  held: readonly string[] = [],
): readonly string[] =>
  dirtyVessels(emptiedVessels(effectiveEntries(log).entries, replay(log).liquid === null), vessels, new Set(held)).map((d) => `${d.vesselId} ${d.since}`);

describe('dirtyVessels', () => {
  it('come back when racked out of, and when the last is poured away', () => {
    const log = [fill(0, 'A', 'B'), rack(20, 'B', 'C')];
    expect(dirty(log, VESSELS, ['B', 'C'])).toEqual([`A ${dayAt(20)}`]);
    expect(dirty([...log, entry('discarded', 30, { volumeL: 10, why: 'vinegar' })])).toEqual([`A ${dayAt(20)}`, `B ${dayAt(30)}`, `C ${dayAt(30)}`]);
  });
  it('are clean once cleaned after that, and not by an earlier cleaning', () => {
    const log = [fill(0, 'A'), rack(20, 'B')];
    expect(dirty(log, [{ id: 'A', cleanedAt: dayAt(21) }])).toEqual([]);
    expect(dirty(log, [{ id: 'A', cleanedAt: dayAt(19) }])).toEqual([`A ${dayAt(20)}`]);
  });
  it('forget a racking that was struck out', () => {
    const racked = rack(20, 'B');
    expect(dirty([fill(0, 'A'), racked, entry('corrected', 21, { entryId: racked.id, replacement: null })], VESSELS, ['A'])).toEqual([]);
  });
  it('ask to be cleaned by the next day', () => {
    const [job] = vesselJobs([{ vesselId: 'A', since: dayAt(20) }], () => 'Jar 1', dayAt(25));
    expect(job).toMatchObject({ kind: 'clean', title: 'Clean Jar 1', urgency: 'overdue', dueAt: dayAt(21).slice(0, 10) });
  });
});
