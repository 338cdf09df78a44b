import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import { provideRouter } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideStore, Store } from '@ngrx/store';
import { DEFAULT_SETTINGS, type VersionedSettings } from '@trug/contract/plain';
import type { BatchDto } from '@trug/contract/plain';
import type { Entry } from '@trug/core';
import { Subject } from 'rxjs';
import { BATCH_ID, filled, pitched, reading, sampleBatch, sampleEntry } from '../../testing/sample-batch';
import { AppActions } from '../state/app.actions';
import { appEffects } from '../state/app.effects';
import { appFeature } from '../state/app.reducer';
import { BatchApiActions, BatchPageActions, type Filing } from '../state/batches.actions';
import { batchesEffects } from '../state/batches.effects';
import { batchesFeature } from '../state/batches.reducer';
import { provideTrugState } from '../state/provide-state';
import { resourcesEffects } from '../state/resources.effects';
import { placesFeature } from '../state/resources.reducer';
import { settingsFeature } from '../state/settings.reducer';
import { vesselsEffects } from '../state/vessels.effects';
import { vesselsFeature } from '../state/vessels.reducer';
import { LogWriter } from './log-writer';
import { settingsEffects } from './settings.effects';
import { until } from '../../testing/until';

const problem = { type: 'about:blank', title: 'No' };
let undo = new Subject<void>();
/** Each message has an undo of its own; `undo` is that of the newest. */
const bar = {
  open: jest.fn(() => {
    undo = new Subject<void>();
    const own = undo;
    return { onAction: () => own };
  }),
};
let http: HttpTestingController;
let store: Store;
let writer: LogWriter;

beforeEach(() => {
  localStorage.clear();
  bar.open.mockClear();
  TestBed.configureTestingModule({
    providers: [
      provideZonelessChangeDetection(),
      provideHttpClient(),
      provideHttpClientTesting(),
      provideRouter([{ path: '**', children: [] }]),
      provideStore(),
      ...provideTrugState(),
      provideEffects(appEffects, batchesEffects, vesselsEffects, resourcesEffects, settingsEffects),
      { provide: MatSnackBar, useValue: bar },
    ],
  });
  http = TestBed.inject(HttpTestingController);
  store = TestBed.inject(Store);
  writer = TestBed.inject(LogWriter);
});
afterEach(() => http.verify());

const entriesOf = (): number => store.selectSignal(batchesFeature.selectAll)()[0]?.entries?.length ?? 0;

const filingOf = (...entries: readonly Entry[]): Filing => ({ batches: [], entries });

/** Answers the next request to a path, once it is there, and tells what was sent. */
async function answered(method: string, path: string, answer: object | null, status = 200): Promise<unknown> {
  let body: unknown;
  await until(() =>
    http
      .match((request) => request.method === method && request.url === path)
      .some((sent) => {
        body = sent.request.body;
        sent.flush(answer, { status, statusText: 'as told' });
        return true;
      }),
  );
  return body;
}

function opened(batch: BatchDto = sampleBatch([filled()])): void {
  store.dispatch(AppActions.opened());
  http.expectOne('/api/clock').flush({ now: '2026-11-23T10:00:00.000Z', fixed: true, head: 'run.0' });
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
    expect(store.selectSignal(appFeature.selectLoaded)()).toBe(true);
    expect(store.selectSignal(appFeature.selectNow)()).toBe('2026-11-23T10:00:00.000Z');
  });
  it('says so when the server does not answer, and can be asked again', () => {
    store.dispatch(AppActions.opened());
    const asked = ['/api/clock', '/api/batches', '/api/vessels', '/api/settings'].map((url) => http.expectOne(url));
    asked[0]?.error(new ProgressEvent('error'));
    expect(store.selectSignal(appFeature.selectProblem)()).toMatchObject({ code: 'unreachable' });
    store.dispatch(AppActions.reloadAsked());
    http.match(() => true);
  });
});

describe('a log', () => {
  const whole = sampleBatch([filled(), pitched()]);
  const path = `/api/batches/${BATCH_ID}`;
  it('is fetched when it is wanted, and again when the list says that it goes on', async () => {
    opened({ ...whole, entries: null });
    expect(store.selectSignal(batchesFeature.selectAll)()[0]?.entries).toBeNull();
    store.dispatch(BatchPageActions.logWanted({ batchId: BATCH_ID }));
    http.expectOne(path).flush(whole);
    await until(() => entriesOf() === 2);
    const longer = sampleBatch([...whole.entries, reading(3, 1.03)]);
    opened({ ...longer, entries: null });
    http.expectOne(path).flush(longer);
    await until(() => entriesOf() === 3);
  });
  it('is fetched after something was filed on a batch that was only listed', async () => {
    opened({ ...whole, entries: null });
    const entries = [reading(3, 1.03)];
    store.dispatch(BatchPageActions.filingSent({ sent: filingOf(...entries) }));
    http.expectOne('/api/entries').flush({});
    http.expectOne(path).flush(sampleBatch([...whole.entries, ...entries]));
    await until(() => entriesOf() === 3);
  });
});

describe('filing', () => {
  it('sends entries one request after another, in the order written, and says so', async () => {
    opened();
    const [one, two] = [writer.file(filingOf(reading(3, 1.03)), 'one'), writer.file(filingOf(pitched()), 'two')];
    await until(() => entriesOf() === 3);
    await answered('POST', '/api/entries', {});
    await one;
    expect(bar.open).toHaveBeenLastCalledWith('one', 'Undo', expect.anything());
    await answered('POST', '/api/entries', {});
    await two;
    expect(bar.open).toHaveBeenLastCalledWith('two', 'Undo', expect.anything());
  });
  it('takes a refused entry back and says why', async () => {
    opened();
    const filed = writer.file(filingOf(reading(3, 1.03)), '');
    await answered('POST', '/api/entries', { ...problem, status: 422, code: 'not-allowed', detail: 'Its end is not proven.' }, 422);
    expect((await filed).refused).toBe('Its end is not proven.');
    expect(entriesOf()).toBe(1);
    expect(bar.open).toHaveBeenLastCalledWith('Its end is not proven.', 'Close', expect.anything());
  });
  it('strikes out what was written when undo is pressed, and puts it back when that is undone', async () => {
    opened();
    const written = reading(3, 1.03);
    void writer.file(filingOf(written), 'Written down.');
    await answered('POST', '/api/entries', {});
    await until(() => bar.open.mock.calls.length === 1);
    undo.next();
    const struck = { kind: 'corrected', batchId: BATCH_ID, payload: { entryId: written.id, replacement: null } };
    expect(await answered('POST', '/api/entries', {})).toMatchObject({ entries: [struck] });
    await until(() => bar.open.mock.calls.length === 2);
    expect(bar.open).toHaveBeenLastCalledWith(expect.stringContaining('Taken back'), 'Undo', expect.anything());
    undo.next();
    const back = { kind: 'corrected', payload: { entryId: written.id, replacement: { kind: 'reading', payload: written.payload } } };
    expect(await answered('POST', '/api/entries', {})).toMatchObject({ entries: [back] });
  });
  it('takes each press on a line for an act of its own, though the answer to the one before never came', async () => {
    opened();
    const written = reading(3, 1.03);
    void writer.file(filingOf(written), 'Written down.');
    await answered('POST', '/api/entries', {});
    const press = async (way: 'strikeOut' | 'putBack', answer: object | null): Promise<string> => {
      const pressed = writer[way](written, '');
      const { entries } = (await answered('POST', '/api/entries', answer ?? { ...problem, status: 503 }, answer ? 200 : 503)) as { entries: { id: string }[] };
      await pressed;
      return entries[0]?.id ?? '';
    };
    const struck = await press('strikeOut', null);
    // No answer: the same press once more is the same act.
    expect(await press('strikeOut', {})).toBe(struck);
    const ids = [struck, await press('putBack', {}), await press('strikeOut', {}), await press('putBack', {})];
    expect(new Set(ids).size).toBe(4);
    // A press whose answer this window never heard, and which arrived: what is pressed after it is another one.
    const unheard = await press('strikeOut', null);
    const arrived = { ...sampleEntry('corrected', 4, { entryId: written.id, replacement: null }), id: unheard };
    const log = store.selectSignal(batchesFeature.selectAll)()[0]?.entries ?? [];
    store.dispatch(BatchApiActions.logsFetched({ batches: [sampleBatch([...log, arrived])] }));
    expect(await press('putBack', {})).not.toBe(unheard);
  });
  it('begins a batch with its first entries, once however often it is pressed', async () => {
    opened();
    const batch = { ...sampleBatch([filled()]), id: '01B00000000000000000000001' };
    const { id, name, methodId, tape, startedAt, entries } = batch;
    const facts = { id, name, methodId, tape, startedAt };
    const own = entries.map((e) => ({ ...e, batchId: batch.id }));
    const tries = [writer.file({ batches: [facts], entries: own }, 'Begun.'), writer.file({ batches: [facts], entries: own }, 'Begun.')];
    expect(await answered('POST', '/api/batches', { batches: [{ ...batch, entries: own }] })).toEqual({ batches: [facts], entries: own });
    expect((await Promise.all(tries)).map((sent) => sent.refused)).toEqual([null, null]);
    expect(store.selectSignal(batchesFeature.selectTotal)()).toBe(2);
  });
});

describe('vessels', () => {
  const vessel = { id: '01V00000000000000000000000', name: 'Jar', kind: 'jar' as const, capacityL: 5, cleanedAt: null };
  const stored = (): unknown => store.selectSignal(vesselsFeature.selectAll)();
  it('are stored under the id they were given, and taken out again by undo', async () => {
    opened();
    const added = writer.addVessel(vessel);
    expect(await answered('POST', '/api/vessels', vessel)).toEqual(vessel);
    expect(await added).toEqual({ refused: null, body: vessel });
    undo.next();
    await answered('DELETE', `/api/vessels/${vessel.id}`, null, 204);
    await until(() => store.selectSignal(vesselsFeature.selectTotal)() === 0);
  });
  it('are dirty again when a cleaning is undone', async () => {
    opened();
    void writer.cleanVessel(vessel);
    const body = await answered('POST', `/api/vessels/${vessel.id}/cleaned`, { ...vessel, cleanedAt: 'then' });
    await until(() => bar.open.mock.calls.length === 1);
    undo.next();
    expect(await answered('PUT', `/api/vessels/${vessel.id}/cleaned`, vessel)).toEqual({ at: null, was: (body as { at: string }).at });
    await until(() => JSON.stringify(stored()) === JSON.stringify([vessel]));
  });
});

describe('resources', () => {
  const shed = { id: '01P00000000000000000000000', version: 0, name: 'the shed', monthlyC: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 4] };
  const kept = (): unknown => store.selectSignal(placesFeature.selectAll)();
  it('are taken away again by undo when they were new', async () => {
    opened();
    void writer.save({ of: 'places', resource: shed }, 'Kept.');
    await answered('POST', '/api/places', { ...shed, version: 1 });
    await until(() => bar.open.mock.calls.length === 1);
    undo.next();
    await answered('DELETE', `/api/places/${shed.id}`, null, 204);
    await until(() => (kept() as unknown[]).length === 0);
  });
  it('are as they were before when a change is undone', async () => {
    opened();
    void writer.save({ of: 'places', resource: shed }, 'Kept.');
    await answered('POST', '/api/places', { ...shed, version: 1 });
    await until(() => bar.open.mock.calls.length === 1);
    void writer.save({ of: 'places', resource: { ...shed, version: 1, name: 'the barn' } }, 'Kept.');
    await answered('PUT', `/api/places/${shed.id}`, { ...shed, version: 2, name: 'the barn' });
    await until(() => bar.open.mock.calls.length === 2);
    undo.next();
    expect(await answered('PUT', `/api/places/${shed.id}`, { ...shed, version: 3 })).toMatchObject({ version: 2, name: 'the shed' });
  });
  it('are refused by the contract before anything is sent', async () => {
    opened();
    const { refused } = await writer.save({ of: 'places', resource: { ...shed, monthlyC: [1] } }, 'Kept.');
    expect(refused).toContain('monthlyC');
  });
});

describe('choices', () => {
  const settings = (): VersionedSettings => store.selectSignal(settingsFeature.selectSettings)();
  it('are stored with the version the server gives, and go back when refused', async () => {
    opened();
    void writer.choose({ volume: 'us-gal' });
    await answered('PUT', '/api/settings', { ...DEFAULT_SETTINGS, volume: 'us-gal', version: 1 });
    expect(settings()).toMatchObject({ volume: 'us-gal', version: 1 });
    void writer.choose({ volume: 'imp-gal' });
    await answered('PUT', '/api/settings', { detail: 'Another window was quicker.' }, 409);
    await until(() => settings().volume === 'us-gal');
    // Another window was quicker, so what it stored is fetched.
    expect(http.match(() => true).map((r) => r.request.url)).toContain('/api/settings');
  });
  it('are put on top of what another window chose elsewhere', async () => {
    opened();
    void writer.choose({ volume: 'us-gal' });
    const theirs = { ...DEFAULT_SETTINGS, theme: 'lamplight' as const, version: 4 };
    await answered('PUT', '/api/settings', { ...problem, status: 409, code: 'conflict', detail: 'quicker', current: theirs }, 409);
    expect(await answered('PUT', '/api/settings', { ...theirs, volume: 'us-gal', version: 5 })).toEqual({ ...theirs, volume: 'us-gal' });
    await until(() => settings().version === 5);
    expect(settings()).toMatchObject({ volume: 'us-gal', theme: 'lamplight', version: 5 });
  });
  it('made in quick succession are sent one after another, each on the version before it', async () => {
    opened();
    void writer.choose({ volume: 'us-gal' });
    void writer.choose({ temperature: 'degF' });
    void writer.choose({ gravity: 'Bx' });
    let last = { ...DEFAULT_SETTINGS, volume: 'us-gal' as const };
    for (const version of [0, 1, 2]) {
      const sent = (await answered('PUT', '/api/settings', { ...last, version: version + 1 })) as VersionedSettings;
      expect(sent.version).toBe(version);
      last = { ...last, ...(version === 0 ? { temperature: 'degF' as const } : { gravity: 'Bx' as const }) };
    }
    await until(() => settings().version === 3);
    expect(settings()).toMatchObject({ volume: 'us-gal', temperature: 'degF', gravity: 'Bx', version: 3 });
  });
  it('are as they were when undone, and nothing else changes', async () => {
    opened();
    void writer.choose({ volume: 'us-gal' });
    await answered('PUT', '/api/settings', { ...DEFAULT_SETTINGS, volume: 'us-gal', version: 1 });
    await until(() => bar.open.mock.calls.length === 1);
    undo.next();
    expect(await answered('PUT', '/api/settings', { ...DEFAULT_SETTINGS, version: 2 })).toMatchObject({ volume: 'L', version: 1 });
  });
});
