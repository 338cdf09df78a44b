import { DEFAULT_SETTINGS, type VersionedSettings } from '@trug/contract/plain';
import { until } from '../../testing/until';
import { PROBLEM, WriterHarness } from '../../testing/writer-harness';
import { placesFeature } from '../state/resources.reducer';
import { settingsFeature } from '../state/settings.reducer';
import { vesselsFeature } from '../state/vessels.reducer';
import { ResourceWriter } from './resource-writer';

let desk: WriterHarness<ResourceWriter>;
beforeEach(() => (desk = WriterHarness.of(ResourceWriter)));
afterEach(() => desk.http.verify());

describe('vessels', () => {
  const vessel = { id: '01V00000000000000000000000', name: 'Jar', kind: 'jar' as const, capacityL: 5, cleanedAt: null };
  const stored = (): unknown => desk.store.selectSignal(vesselsFeature.selectAll)();
  it('are stored under the id they were given, and taken out again by undo', async () => {
    desk.opened();
    const added = desk.writer.addVessel(vessel);
    expect(await desk.answered('POST', '/api/vessels', vessel)).toEqual(vessel);
    expect(await added).toEqual({ refused: null, body: vessel });
    await until(() => desk.said.mock.calls.length === 1);
    desk.undo();
    await desk.answered('DELETE', `/api/vessels/${vessel.id}`, null, 204);
    await until(() => desk.store.selectSignal(vesselsFeature.selectTotal)() === 0);
  });
  it('are dirty again when a cleaning is undone', async () => {
    desk.opened();
    void desk.writer.cleanVessel(vessel);
    const body = await desk.answered('POST', `/api/vessels/${vessel.id}/cleaned`, { ...vessel, cleanedAt: 'then' });
    await until(() => desk.said.mock.calls.length === 1);
    desk.undo();
    expect(await desk.answered('PUT', `/api/vessels/${vessel.id}/cleaned`, vessel)).toEqual({ at: null, was: (body as { at: string }).at });
    await until(() => JSON.stringify(stored()) === JSON.stringify([vessel]));
  });
});

describe('resources', () => {
  const shed = { id: '01P00000000000000000000000', version: 0, name: 'the shed', monthlyC: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 4] };
  const kept = (): unknown => desk.store.selectSignal(placesFeature.selectAll)();
  it('are taken away again by undo when they were new', async () => {
    desk.opened();
    void desk.writer.save({ of: 'places', resource: shed }, 'Kept.');
    await desk.answered('POST', '/api/places', { ...shed, version: 1 });
    await until(() => desk.said.mock.calls.length === 1);
    desk.undo();
    await desk.answered('DELETE', `/api/places/${shed.id}`, null, 204);
    await until(() => (kept() as unknown[]).length === 0);
  });
  it('are as they were before when a change is undone', async () => {
    desk.opened();
    void desk.writer.save({ of: 'places', resource: shed }, 'Kept.');
    await desk.answered('POST', '/api/places', { ...shed, version: 1 });
    await until(() => desk.said.mock.calls.length === 1);
    void desk.writer.save({ of: 'places', resource: { ...shed, version: 1, name: 'the barn' } }, 'Kept.');
    await desk.answered('PUT', `/api/places/${shed.id}`, { ...shed, version: 2, name: 'the barn' });
    await until(() => desk.said.mock.calls.length === 2);
    desk.undo();
    expect(await desk.answered('PUT', `/api/places/${shed.id}`, { ...shed, version: 3 })).toMatchObject({ version: 2, name: 'the shed' });
  });
  it('are refused by the contract before anything is sent', async () => {
    desk.opened();
    const { refused } = await desk.writer.save({ of: 'places', resource: { ...shed, monthlyC: [1] } }, 'Kept.');
    expect(refused).toContain('monthlyC');
  });
});

describe('choices', () => {
  const settings = (): VersionedSettings => desk.store.selectSignal(settingsFeature.selectSettings)();
  it('are stored with the version the server gives, and go back when refused', async () => {
    desk.opened();
    void desk.writer.choose({ volume: 'us-gal' });
    await desk.answered('PUT', '/api/settings', { ...DEFAULT_SETTINGS, volume: 'us-gal', version: 1 });
    expect(settings()).toMatchObject({ volume: 'us-gal', version: 1 });
    void desk.writer.choose({ volume: 'imp-gal' });
    await desk.answered('PUT', '/api/settings', { detail: 'Another window was quicker.' }, 409);
    await until(() => settings().volume === 'us-gal');
    // Another window was quicker, so what it stored is fetched.
    expect(desk.http.match(() => true).map((r) => r.request.url)).toContain('/api/start');
  });
  it('are put on top of what another window chose elsewhere', async () => {
    desk.opened();
    void desk.writer.choose({ volume: 'us-gal' });
    const theirs = { ...DEFAULT_SETTINGS, theme: 'lamplight' as const, version: 4 };
    await desk.answered('PUT', '/api/settings', { ...PROBLEM, status: 409, code: 'conflict', detail: 'quicker', current: theirs }, 409);
    expect(await desk.answered('PUT', '/api/settings', { ...theirs, volume: 'us-gal', version: 5 })).toEqual({ ...theirs, volume: 'us-gal' });
    await until(() => settings().version === 5);
    expect(settings()).toMatchObject({ volume: 'us-gal', theme: 'lamplight', version: 5 });
  });
  it('made in quick succession are sent one after another, each on the version before it', async () => {
    desk.opened();
    void desk.writer.choose({ volume: 'us-gal' });
    void desk.writer.choose({ temperature: 'degF' });
    void desk.writer.choose({ gravity: 'Bx' });
    let last = { ...DEFAULT_SETTINGS, volume: 'us-gal' as const };
    for (const version of [0, 1, 2]) {
      const sent = (await desk.answered('PUT', '/api/settings', { ...last, version: version + 1 })) as VersionedSettings;
      expect(sent.version).toBe(version);
      last = { ...last, ...(version === 0 ? { temperature: 'degF' as const } : { gravity: 'Bx' as const }) };
    }
    await until(() => settings().version === 3);
    expect(settings()).toMatchObject({ volume: 'us-gal', temperature: 'degF', gravity: 'Bx', version: 3 });
  });
  it('are as they were when undone, and nothing else changes', async () => {
    desk.opened();
    void desk.writer.choose({ volume: 'us-gal' });
    await desk.answered('PUT', '/api/settings', { ...DEFAULT_SETTINGS, volume: 'us-gal', version: 1 });
    await until(() => desk.said.mock.calls.length === 1);
    desk.undo();
    expect(await desk.answered('PUT', '/api/settings', { ...DEFAULT_SETTINGS, version: 2 })).toMatchObject({ volume: 'L', version: 1 });
  });
});
