import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import { provideRouter, Router } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { DEFAULT_SETTINGS, type VersionedSettings } from '@trug/contract/plain';
import type { BatchDto } from '@trug/contract/plain';
import { Subject } from 'rxjs';
import { BATCH_ID, filled, pitched, reading, sampleBatch } from '../../testing/sample-batch';
import { until } from '../../testing/until';
import { BatchPageActions } from './batches.actions';
import { batchesFeature } from './batches.reducer';
import { AppActions, CupboardPageActions } from './cellarbook.actions';
import { cellarbookEffects } from './cellarbook.effects';
import { cupboardFeature } from './cupboard.reducer';

let undo = new Subject<void>();
const bar = { open: jest.fn(() => ({ onAction: () => undo })) };
let http: HttpTestingController;
let store: Store;

beforeEach(() => {
  bar.open.mockClear();
  undo = new Subject<void>();
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideHttpClient(),
      provideHttpClientTesting(),
      provideRouter([{ path: '**', children: [] }]),
      provideStore(),
      provideState(batchesFeature),
      provideState(cupboardFeature),
      provideEffects(cellarbookEffects),
      { provide: MatSnackBar, useValue: bar },
    ],
  });
  http = TestBed.inject(HttpTestingController);
  store = TestBed.inject(Store);
});
afterEach(() => http.verify());

const entriesOf = (): number => store.selectSignal(batchesFeature.selectAll)()[0]?.entries?.length ?? 0;

function opened(batch: BatchDto = sampleBatch([filled()])): void {
  store.dispatch(AppActions.opened());
  http.expectOne('/api/clock').flush({ now: '2026-11-23T10:00:00.000Z', fixed: true });
  http.expectOne('/api/batches').flush([batch]);
  http.expectOne('/api/vessels').flush([]);
  http.expectOne('/api/settings').flush(DEFAULT_SETTINGS);
  http.expectOne('/api/juices').flush([]);
  http.expectOne('/api/supplies').flush([]);
  http.expectOne('/api/instruments').flush([]);
  http.expectOne('/api/places').flush([]);
}

describe('opening', () => {
  it('loads the book once it is asked for', () => {
    opened();
    expect(store.selectSignal(batchesFeature.selectLoaded)()).toBe(true);
    expect(store.selectSignal(cupboardFeature.selectNow)()).toBe('2026-11-23T10:00:00.000Z');
  });
  it('says so when the server does not answer, and can be asked again', () => {
    store.dispatch(AppActions.opened());
    const asked = ['/api/clock', '/api/batches', '/api/vessels', '/api/settings'].map((url) => http.expectOne(url));
    asked[0]?.error(new ProgressEvent('error'));
    expect(store.selectSignal(batchesFeature.selectProblem)()).toMatchObject({ code: 'unreachable' });
    store.dispatch(BatchPageActions.reloadAsked());
    http.match(() => true);
  });
});

describe('a log', () => {
  const whole = sampleBatch([filled(), pitched()]);
  const path = `/api/batches/${BATCH_ID}`;
  it('is fetched when it is wanted, and again when the list says that it goes on', () => {
    opened({ ...whole, entries: null });
    expect(store.selectSignal(batchesFeature.selectAll)()[0]?.entries).toBeNull();
    store.dispatch(BatchPageActions.logWanted({ batchId: BATCH_ID }));
    http.expectOne(path).flush(whole);
    expect(entriesOf()).toBe(2);
    const longer = sampleBatch([...whole.entries, reading(3, 1.03)]);
    opened({ ...longer, entries: null });
    http.expectOne(path).flush(longer);
    expect(entriesOf()).toBe(3);
  });
  it('is fetched after something was filed on a batch that was only listed', () => {
    opened({ ...whole, entries: null });
    const entries = [reading(3, 1.03)];
    store.dispatch(BatchPageActions.entriesWritten({ entries, said: 'one' }));
    http.expectOne('/api/entries').flush({});
    http.expectOne(path).flush(sampleBatch([...whole.entries, ...entries]));
    expect(entriesOf()).toBe(3);
  });
});

describe('filing', () => {
  it('sends entries one request after another, in the order written', () => {
    opened();
    store.dispatch(BatchPageActions.entriesWritten({ entries: [reading(3, 1.03)], said: 'one' }));
    store.dispatch(BatchPageActions.entriesWritten({ entries: [reading(5, 1.02)], said: 'two' }));
    expect(entriesOf()).toBe(3);
    http.expectOne('/api/entries').flush({});
    expect(bar.open).toHaveBeenLastCalledWith('one', 'Undo', expect.anything());
    http.expectOne('/api/entries').flush({});
    expect(bar.open).toHaveBeenLastCalledWith('two', 'Undo', expect.anything());
  });
  it('takes a refused entry back and says why', () => {
    opened();
    store.dispatch(BatchPageActions.entriesWritten({ entries: [reading(3, 1.03)], said: '' }));
    http
      .expectOne('/api/entries')
      .flush({ type: 'about:blank', title: 'No', status: 422, code: 'not-allowed', detail: 'Its end is not proven.' }, { status: 422, statusText: 'no' });
    expect(entriesOf()).toBe(1);
    expect(bar.open).toHaveBeenLastCalledWith('Its end is not proven.', 'Close', expect.anything());
  });
  it('strikes out what was written when undo is pressed', async () => {
    opened();
    const written = reading(3, 1.03);
    store.dispatch(BatchPageActions.entriesWritten({ entries: [written], said: 'Written down.' }));
    http.expectOne('/api/entries').flush({});
    undo.next();
    await until(() =>
      http.match('/api/entries').some((request) => {
        const struck = { kind: 'corrected', batchId: BATCH_ID, payload: { entryId: written.id, replacement: null } };
        expect(request.request.body).toMatchObject({ entries: [struck] });
        request.flush({});
        return true;
      }),
    );
    expect(bar.open).toHaveBeenLastCalledWith(expect.stringContaining('Taken back'), undefined, expect.anything());
  });
});

describe('beginning a batch', () => {
  it('goes to its page once it is stored', async () => {
    opened();
    const batch = sampleBatch([filled()]);
    store.dispatch(BatchPageActions.batchBegun({ draft: { batch, entries: batch.entries } }));
    http.expectOne('/api/batches').flush(batch);
    await until(() => TestBed.inject(Router).url !== '/');
    expect(TestBed.inject(Router).url).toBe(`/batch/${BATCH_ID}`);
  });
});

describe('the cupboard', () => {
  it('stores settings with the version the server gives, and goes back when refused', async () => {
    opened();
    store.dispatch(CupboardPageActions.settingsChanged({ settings: { ...DEFAULT_SETTINGS, volume: 'us-gal' } }));
    http.expectOne('/api/settings').flush({ ...DEFAULT_SETTINGS, volume: 'us-gal', version: 1 });
    expect(store.selectSignal(cupboardFeature.selectSettings)()).toMatchObject({ volume: 'us-gal', version: 1 });
    store.dispatch(CupboardPageActions.settingsChanged({ settings: { ...DEFAULT_SETTINGS, volume: 'imp-gal' } }));
    http.expectOne('/api/settings').flush({ detail: 'Another window was quicker.' }, { status: 409, statusText: 'conflict' });
    await until(() => store.selectSignal(cupboardFeature.selectSettings)().volume === 'us-gal');
    // Another window was quicker, so what it stored is fetched.
    expect(http.match(() => true).map((r) => r.request.url)).toContain('/api/settings');
  });
  it('puts a choice made here on top of what another window chose elsewhere', async () => {
    opened();
    store.dispatch(CupboardPageActions.settingsChanged({ settings: { ...DEFAULT_SETTINGS, volume: 'us-gal' } }));
    const theirs = { ...DEFAULT_SETTINGS, theme: 'lamplight' as const, version: 4 };
    http
      .expectOne('/api/settings')
      .flush({ type: 'about:blank', title: '', status: 409, code: 'conflict', detail: 'quicker', current: theirs }, { status: 409, statusText: 'conflict' });
    await until(() =>
      http.match('/api/settings').some((request) => {
        expect(request.request.body).toEqual({ ...theirs, volume: 'us-gal' });
        request.flush({ ...theirs, volume: 'us-gal', version: 5 });
        return true;
      }),
    );
    expect(store.selectSignal(cupboardFeature.selectSettings)()).toMatchObject({ volume: 'us-gal', theme: 'lamplight', version: 5 });
  });
  it('sends changes made in quick succession one after another, each on the version before it', () => {
    opened();
    const change = (settings: Partial<VersionedSettings>): void =>
      store.dispatch(CupboardPageActions.settingsChanged({ settings: { ...store.selectSignal(cupboardFeature.selectSettings)(), ...settings } }));
    change({ volume: 'us-gal' });
    change({ temperature: 'degF' });
    change({ gravity: 'Bx' });
    for (const version of [0, 1, 2]) {
      const request = http.expectOne('/api/settings');
      const sent = request.request.body as VersionedSettings;
      expect(sent.version).toBe(version);
      request.flush({ ...sent, version: version + 1 });
    }
    expect(store.selectSignal(cupboardFeature.selectSettings)()).toMatchObject({ volume: 'us-gal', temperature: 'degF', gravity: 'Bx', version: 3 });
  });
  it('stores a vessel under the id it was given', () => {
    opened();
    const vessel = { id: 'V', name: 'Jar', kind: 'jar' as const, capacityL: 5 };
    store.dispatch(CupboardPageActions.vesselAdded({ vessel }));
    const request = http.expectOne('/api/vessels');
    expect(request.request.body).toEqual(vessel);
    request.flush(vessel);
    expect(store.selectSignal(cupboardFeature.selectVessels)()).toEqual([vessel]);
  });
});
