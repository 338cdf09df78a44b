import type { BatchDto, Problem } from '@trug/contract/plain';
import { DEFAULT_SETTINGS } from '@trug/contract/plain';
import { BATCH_ID, filled, pitched, reading, sampleBatch } from '../../testing/sample-batch';
import { BatchApiActions, BatchPageActions } from './batches.actions';
import { batchesFeature, isBehind } from './batches.reducer';
import { CellarbookApiActions, CupboardPageActions } from './cellarbook.actions';
import { cupboardFeature } from './cupboard.reducer';

const problem: Problem = { type: 'about:blank', title: 'No', status: 422, detail: 'No.', code: 'not-allowed' };
const book = {
  now: '2026-11-23T10:00:00.000Z',
  loadedAtMs: 0,
  mode: 'open' as const,
  batches: [sampleBatch([filled()])],
  vessels: [],
  juices: [],
  supplies: [],
  instruments: [],
  places: [],
  settings: DEFAULT_SETTINGS,
};

describe('batchesFeature', () => {
  const start = batchesFeature.reducer(undefined, { type: 'unknown' });
  const loaded = batchesFeature.reducer(start, CellarbookApiActions.loaded({ book }));

  it('shows an entry at once and takes it back when it is refused', () => {
    const entries = [pitched()];
    const shown = batchesFeature.reducer(loaded, BatchPageActions.entriesWritten({ entries, said: '' }));
    expect(shown.entities[BATCH_ID]?.entries).toHaveLength(2);
    expect(batchesFeature.reducer(shown, BatchApiActions.entriesRefused({ entries, problem })).entities[BATCH_ID]?.entries).toHaveLength(1);
  });
  it('does not show the same entry twice', () => {
    const entries = [reading(3, 1.03)];
    const once = batchesFeature.reducer(loaded, BatchPageActions.entriesWritten({ entries, said: '' }));
    expect(batchesFeature.reducer(once, BatchPageActions.entriesWritten({ entries, said: '' })).entities[BATCH_ID]?.entries).toHaveLength(2);
  });
  it('keeps a refused beginning as a problem, not as a batch', () => {
    const sent = batchesFeature.reducer(loaded, BatchPageActions.batchBegun({ draft: { batch: { ...sampleBatch([]), id: 'C' }, entries: [] } }));
    expect(sent.sending).toBe(true);
    const refused = batchesFeature.reducer(sent, BatchApiActions.batchRefused({ batchId: BATCH_ID, problem }));
    expect(refused).toMatchObject({ sending: false, problem, ids: [BATCH_ID] });
  });
  it('keeps a log that is here when the list comes without logs, and knows when it is behind', () => {
    const later = sampleBatch([filled(), pitched()]);
    const list = (batch: BatchDto): typeof loaded =>
      batchesFeature.reducer(loaded, CellarbookApiActions.loaded({ book: { ...book, batches: [{ ...batch, entries: null }] } }));
    const [same, behind] = [loaded.entities[BATCH_ID], list(later).entities[BATCH_ID]];
    expect(same && isBehind(same)).toBe(false);
    expect(behind?.entries).toHaveLength(1);
    expect(behind?.summary).toEqual(later.summary);
    expect(behind && isBehind(behind)).toBe(true);
    const fresh = batchesFeature.reducer(start, CellarbookApiActions.loaded({ book: { ...book, batches: [{ ...later, entries: null }] } })).entities[BATCH_ID];
    expect(fresh?.entries).toBeNull();
    expect(fresh && isBehind(fresh)).toBe(false);
  });
  it('shows nothing at once of a batch whose log is not here', () => {
    const without = batchesFeature.reducer(start, CellarbookApiActions.loaded({ book: { ...book, batches: [{ ...sampleBatch([filled()]), entries: null }] } }));
    expect(batchesFeature.reducer(without, BatchPageActions.entriesWritten({ entries: [pitched()], said: '' })).entities[BATCH_ID]?.entries).toBeNull();
  });
  it('leaves the state alone for what it does not know', () => {
    expect(batchesFeature.reducer(loaded, { type: 'unknown' })).toBe(loaded);
  });
});

describe('cupboardFeature', () => {
  it('goes back to the stored settings when a change is refused', () => {
    const loaded = cupboardFeature.reducer(undefined, CellarbookApiActions.loaded({ book }));
    const settings = { ...DEFAULT_SETTINGS, volume: 'us-gal' as const };
    const changed = cupboardFeature.reducer(loaded, CupboardPageActions.settingsChanged({ settings }));
    expect(changed.settings.volume).toBe('us-gal');
    expect(cupboardFeature.reducer(changed, CellarbookApiActions.settingsRefused({ settings, problem })).settings.volume).toBe('L');
  });
  it('takes a refused vessel out again', () => {
    const vessel = { id: 'V', name: 'Jar', kind: 'jar' as const, capacityL: 5 };
    const added = cupboardFeature.reducer(undefined, CupboardPageActions.vesselAdded({ vessel }));
    expect(added.vessels).toEqual([vessel]);
    expect(cupboardFeature.reducer(added, CellarbookApiActions.vesselRefused({ vessel, problem })).vessels).toEqual([]);
  });
});
