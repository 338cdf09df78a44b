import type { BatchDto, Problem } from '@trug/contract/plain';
import { DEFAULT_SETTINGS } from '@trug/contract/plain';
import { BATCH_ID, filled, pitched, reading, sampleBatch } from '../../testing/sample-batch';
import { SettingsApiActions, SettingsPageActions } from './settings.actions';
import { settingsFeature } from './settings.reducer';
import { VesselApiActions, VesselPageActions } from './vessels.actions';
import { vesselsFeature } from './vessels.reducer';
import { AppApiActions } from './app.actions';
import { BatchApiActions, BatchPageActions } from './batches.actions';
import { batchesFeature, isBehind } from './batches.reducer';

const problem: Problem = { type: 'about:blank', title: 'No', status: 422, detail: 'No.', code: 'not-allowed' };
const book = {
  now: '2026-11-23T10:00:00.000Z',
  loadedAtMs: 0,
  mode: 'open' as const,
  head: 'run.0',
  home: null,
  batches: [sampleBatch([filled()])],
  vessels: [],
  juices: [],
  supplies: [],
  instruments: [],
  recipes: [],
  places: [],
  settings: DEFAULT_SETTINGS,
};

describe('batchesFeature', () => {
  const start = batchesFeature.reducer(undefined, { type: 'unknown' });
  const loaded = batchesFeature.reducer(start, AppApiActions.loaded({ snapshot: book }));

  it('shows an entry at once and takes it back when it is refused', () => {
    const sent = { batches: [], entries: [pitched()] };
    const shown = batchesFeature.reducer(loaded, BatchPageActions.filingSent({ sent }));
    expect(shown.entities[BATCH_ID]?.entries).toHaveLength(2);
    expect(batchesFeature.reducer(shown, BatchApiActions.filingRefused({ sent, problem })).entities[BATCH_ID]?.entries).toHaveLength(1);
  });
  it('does not show the same entry twice', () => {
    const sent = { batches: [], entries: [reading(3, 1.03)] };
    const once = batchesFeature.reducer(loaded, BatchPageActions.filingSent({ sent }));
    expect(batchesFeature.reducer(once, BatchPageActions.filingSent({ sent })).entities[BATCH_ID]?.entries).toHaveLength(2);
  });
  it('shows a batch once it is begun, and nothing of one that is refused', () => {
    const batch = { ...sampleBatch([filled()]), id: 'C' };
    const sent = { batches: [batch], entries: batch.entries };
    const waiting = batchesFeature.reducer(loaded, BatchPageActions.filingSent({ sent }));
    expect(waiting.ids).toEqual([BATCH_ID]);
    expect(batchesFeature.reducer(waiting, BatchApiActions.filingRefused({ sent, problem })).ids).toEqual([BATCH_ID]);
    expect(batchesFeature.reducer(waiting, BatchApiActions.filingStored({ sent, batches: [batch] })).ids).toContain('C');
  });
  it('keeps a log that is here when the list comes without logs, and knows when it is behind', () => {
    const later = sampleBatch([filled(), pitched()]);
    const list = (batch: BatchDto): typeof loaded =>
      batchesFeature.reducer(loaded, AppApiActions.loaded({ snapshot: { ...book, batches: [{ ...batch, entries: null }] } }));
    const [same, behind] = [loaded.entities[BATCH_ID], list(later).entities[BATCH_ID]];
    expect(same && isBehind(same)).toBe(false);
    expect(behind?.entries).toHaveLength(1);
    expect(behind?.summary).toEqual(later.summary);
    expect(behind && isBehind(behind)).toBe(true);
    const fresh = batchesFeature.reducer(start, AppApiActions.loaded({ snapshot: { ...book, batches: [{ ...later, entries: null }] } })).entities[BATCH_ID];
    expect(fresh?.entries).toBeNull();
    expect(fresh && isBehind(fresh)).toBe(false);
  });
  it('leaves a log that was on its way while more was filed', () => {
    const [overtaken, later] = [sampleBatch([filled()]), sampleBatch([filled(), pitched()])];
    const filed = batchesFeature.reducer(loaded, BatchApiActions.filingStored({ sent: { batches: [], entries: [] }, batches: [later] }));
    expect(batchesFeature.reducer(filed, BatchApiActions.logsFetched({ batches: [overtaken] })).entities[BATCH_ID]?.entries).toHaveLength(2);
    // Another book took the place: its list says so first.
    const other = batchesFeature.reducer(filed, AppApiActions.loaded({ snapshot: { ...book, batches: [{ ...overtaken, entries: null }] } }));
    expect(batchesFeature.reducer(other, BatchApiActions.logsFetched({ batches: [overtaken] })).entities[BATCH_ID]?.entries).toHaveLength(1);
  });
  it('shows nothing at once of a batch whose log is not here', () => {
    const without = batchesFeature.reducer(start, AppApiActions.loaded({ snapshot: { ...book, batches: [{ ...sampleBatch([filled()]), entries: null }] } }));
    expect(
      batchesFeature.reducer(without, BatchPageActions.filingSent({ sent: { batches: [], entries: [pitched()] } })).entities[BATCH_ID]?.entries,
    ).toBeNull();
  });
  it('leaves the state alone for what it does not know', () => {
    expect(batchesFeature.reducer(loaded, { type: 'unknown' })).toBe(loaded);
  });
});

describe('settingsFeature', () => {
  it('goes back to the stored settings when a change is refused', () => {
    const loaded = settingsFeature.reducer(undefined, AppApiActions.loaded({ snapshot: book }));
    const sent = { ...DEFAULT_SETTINGS, volume: 'us-gal' as const };
    const changed = settingsFeature.reducer(loaded, SettingsPageActions.settingsChanged({ sent }));
    expect(changed.settings.volume).toBe('us-gal');
    expect(settingsFeature.reducer(changed, SettingsApiActions.settingsRefused({ sent, problem })).settings.volume).toBe('L');
  });
});

describe('vesselsFeature', () => {
  const vessel = { id: 'V', name: 'Jar', kind: 'jar' as const, capacityL: 5, cleanedAt: null };
  it('takes a refused vessel out again', () => {
    const sent = { act: 'add' as const, vessel };
    const added = vesselsFeature.reducer(undefined, VesselPageActions.vesselSent({ sent }));
    expect(added.entities['V']).toEqual(vessel);
    expect(vesselsFeature.reducer(added, VesselApiActions.vesselRefused({ sent, problem })).ids).toEqual([]);
  });
  it('takes a refused cleaning back', () => {
    const sent = { act: 'clean' as const, vessel, at: '2026-11-23T10:00:00.000Z' };
    const clean = vesselsFeature.reducer(undefined, VesselPageActions.vesselSent({ sent }));
    expect(clean.entities['V']?.cleanedAt).toBe(sent.at);
    expect(vesselsFeature.reducer(clean, VesselApiActions.vesselRefused({ sent, problem })).entities['V']?.cleanedAt).toBeNull();
  });
});
