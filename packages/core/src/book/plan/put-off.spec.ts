import * as fc from 'fast-check';
import { SEED } from '../../testing/arbitrary-liquid.js';
import type { Job, JobKind } from './job.js';
import { mayDoWithout, MOST_PUT_OFF, putOffDays, putOffOnce, wantedJobs, type PutOff } from './put-off.js';

const TODAY = '2026-11-23T10:00:00.000Z';
const job = (kind: JobKind, dueAt = '2026-11-22', id = `b:${kind}:c`): Job => ({ id, kind, title: 'It', detail: 'Do it.', dueAt, urgency: 'overdue' });
const said = (j: Job, days: number | null, today = TODAY, zone?: string): readonly PutOff[] => putOffOnce([], j, days, today, zone);

describe('jobs put off', () => {
  it('come back on their day, and say meanwhile that they were put off', () => {
    const rack = job('rack');
    const [later] = wantedJobs([rack], said(rack, 7), TODAY);
    expect(later).toMatchObject({ dueAt: '2026-11-30', urgency: 'week', detail: 'Put off until Mon 30 Nov. Do it.' });
    expect(wantedJobs([rack], said(rack, 7), '2026-11-30T08:00:00.000Z')).toEqual([rack]);
  });
  it('count days as the maker’s calendar does', () => {
    // 10:00 UTC is late on the same day at +13 and before dawn at -8.
    expect(said(job('rack'), 1, '2026-11-23T12:00:00.000Z', 'Pacific/Auckland')[0]?.until).toBe('2026-11-25');
    expect(said(job('rack'), 1, '2026-11-23T05:00:00.000Z', 'America/Los_Angeles')[0]?.until).toBe('2026-11-23');
  });
  it('are left out for good only where that hurts nobody', () => {
    const [rack, squeeze] = [job('rack'), job('test-bottle')];
    const putOff = putOffOnce(said(rack, null), squeeze, null, TODAY);
    expect(wantedJobs([rack, squeeze], putOff, TODAY)).toEqual([squeeze]);
    for (const kind of ['release', 'test-bottle', 'test-hard', 'heat', 'heat-late', 'keg-release', 'keg-valve'] as const) {
      expect(mayDoWithout(kind)).toBe(false);
      expect(putOffDays(kind)).toEqual([1]);
    }
  });
  it('are the same job until its cause changes: a reading since asks anew', () => {
    const [before, after] = [job('read', '2026-11-22', 'b:read:r1'), job('read', '2026-11-22', 'b:read:r2')];
    expect(wantedJobs([after], said(before, null), TODAY)).toEqual([after]);
  });
  it('never come earlier than they are due, and are never forgotten by what was said of others', () => {
    const ids = fc.constantFrom('b:rack:1', 'b:rack:2', 'b:rack:3');
    const saying = fc.record({ id: ids, days: fc.constantFrom(1, 3, 7, 30, null) });
    const due = fc.constantFrom('2026-11-01', '2026-11-23', '2026-11-24', '2027-01-01');
    fc.assert(
      fc.property(fc.array(saying, { maxLength: 6 }), due, (sayings, dueAt) => {
        const jobs = ['b:rack:1', 'b:rack:2', 'b:rack:3'].map((id) => job('rack', dueAt, id));
        const putOff = sayings.reduce<readonly PutOff[]>((all, { id, days }) => putOffOnce(all, { id }, days, TODAY), []);
        const wanted = wantedJobs(jobs, putOff, TODAY);
        for (const j of jobs) {
          const last = sayings.filter((s) => s.id === j.id).at(-1);
          const shown = wanted.find((w) => w.id === j.id);
          if (last?.days === null) expect(shown).toBeUndefined();
          else expect((shown?.dueAt ?? '') >= dueAt).toBe(true);
        }
      }),
      SEED,
    );
  });
  it('are remembered for as long as there is room, the newest longest', () => {
    const many = Array.from({ length: MOST_PUT_OFF + 5 }, (_, i) => `b:rack:${i}`).reduce<readonly PutOff[]>(
      (all, id) => putOffOnce(all, { id }, null, TODAY),
      [],
    );
    expect(many).toHaveLength(MOST_PUT_OFF);
    expect(many.at(-1)?.jobId).toBe(`b:rack:${MOST_PUT_OFF + 4}`);
  });
});
