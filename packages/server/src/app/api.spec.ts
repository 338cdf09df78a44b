import type { Entry } from '@trug/core';
import { ulid } from 'ulid';
import { sampleBatch, sampleEntry, sampleFill, sampleNote, samplePitch, sampleReading } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.remove());

async function begun(): Promise<string> {
  const batch = sampleBatch();
  const { status } = await server.request('POST', '/api/batches', { batches: [batch], entries: [sampleFill(batch.id), samplePitch(batch.id)] });
  expect(status).toBe(201);
  return batch.id;
}
const file = (...entries: object[]): ReturnType<TestServer['request']> => server.request('POST', '/api/entries', { entries });
const logOf = async (id: string): Promise<{ id: string; kind: string }[]> =>
  ((await server.request('GET', `/api/batches/${id}`)).body as { entries: { id: string; kind: string }[] }).entries;

describe('entries', () => {
  it('are filed once, however often they are sent', async () => {
    const id = await begun();
    const reading = sampleReading(id, 20, 1.02);
    expect((await file(reading)).status).toBe(201);
    expect(await file(reading)).toMatchObject({ status: 200, body: { added: 0 } });
    expect(await logOf(id)).toHaveLength(3);
  });
  it('are refused under the id of another', async () => {
    const id = await begun();
    const note = sampleNote(id, 'one');
    await file(note);
    expect(await file({ ...note, payload: { text: 'two' } })).toMatchObject({ status: 409, body: { code: 'conflict', current: { payload: { text: 'one' } } } });
  });
  it('are filed all or none', async () => {
    const id = await begun();
    expect((await file(sampleNote(id, 'fine'), sampleEntry(id, 'opened', 1, { kindId: 'crown-500', count: 1 }))).status).toBe(422);
    expect(await logOf(id)).toHaveLength(2);
  });
  it('are corrected and never overwritten', async () => {
    const id = await begun();
    const wrong = sampleReading(id, 20, 1.12);
    await file(wrong);
    const right = sampleReading(id, 20, 1.02);
    const correction = sampleEntry(id, 'corrected', 19, {
      entryId: wrong.id,
      replacement: { kind: 'reading', at: right.at, note: '', payload: right.payload },
    });
    expect((await file(correction)).status).toBe(201);
    expect((await logOf(id)).map((e) => e.id)).toEqual(expect.arrayContaining([wrong.id, correction.id]));
    const stray = sampleEntry(id, 'corrected', 1, { entryId: ulid(), replacement: null });
    expect(await file(stray)).toMatchObject({ status: 422, body: { detail: expect.stringContaining('not in this batch') } });
  });
  it.each([
    ['a field nobody knows', (id: string) => ({ ...sampleNote(id, 'x'), extra: 1 }), 'entries.0.extra'],
    ['a gravity mistyped', (id: string) => sampleReading(id, 3, 1055), 'entries.0.payload.gravity.reading'],
    [
      'a figure as text',
      (id: string) => ({ ...sampleReading(id, 3, 1.02), payload: { ...sampleReading(id, 3, 1.02).payload, ph: '3.5' } }),
      'entries.0.payload.ph',
    ],
    ['an unknown kind', (id: string) => ({ ...sampleNote(id, 'x'), kind: 'distilled' }), 'entries.0.kind'],
    ['no date', (id: string) => ({ ...sampleNote(id, 'x'), at: 'yesterday' }), 'entries.0.at'],
  ])('are refused with %s, naming the field', async (_what, make, path) => {
    const id = await begun();
    const { status, body, headers } = await file(make(id));
    expect(status).toBe(400);
    expect(headers.get('content-type')).toContain('application/problem+json');
    expect((body as { fields: { path: string }[] }).fields.map((f) => f.path)).toContain(path);
    expect(await logOf(id)).toHaveLength(2);
  });
  it('cannot be dated in days to come, or belong to no batch', async () => {
    const id = await begun();
    expect(await file(sampleReading(id, -5, 1.02))).toMatchObject({ status: 422, body: { detail: expect.stringContaining('still to come') } });
    expect((await file(sampleNote(ulid(), 'lost'))).status).toBe(404);
  });
});

describe('sealing', () => {
  const bottles = (id: string, kindId: string, acknowledged: string[] = []): object =>
    sampleEntry(id, 'bottled', 0, {
      bottles: [{ kindId, count: 20 }],
      testBottle: false,
      lossL: 0.4,
      crate: 'Lot',
      capColour: 'rust',
      hottestC: 24,
      acknowledged,
    });

  it('is refused while it works, whatever the client thinks', async () => {
    const id = await begun();
    await file(sampleReading(id, 20, 1.02), sampleReading(id, 14, 1.01));
    expect(await file(bottles(id, 'crown-500'))).toMatchObject({ status: 422, body: { detail: expect.stringContaining('not proven') } });
  });
  it('asks for dangers to be acknowledged once it is finished', async () => {
    const id = await begun();
    await file(sampleReading(id, 20, 1.01), sampleReading(id, 10, 0.999), sampleReading(id, 1, 0.999));
    const primed = sampleEntry(id, 'primed', 0, { fermentableId: 'sucrose', massG: 130, mode: 'bulk', targetVolumes: 2.6, warmestSinceEndC: 18 });
    expect((await file(primed)).status).toBe(201);
    expect(await file(bottles(id, 'wine-750'))).toMatchObject({
      status: 422,
      body: { fields: expect.arrayContaining([expect.objectContaining({ code: 'wrong-bottle' })]) },
    });
    // Nobody knows so well what is left in it that crown caps would be sure to stand it.
    expect((await file(bottles(id, 'crown-500'))).status).toBe(422);
    expect((await file(bottles(id, 'plastic-500'))).status).toBe(201);
  });
  it('puts no more into a vessel than it holds, by pouring or by adding', async () => {
    const jar = { id: ulid(), name: 'Six gallon', kind: 'carboy', capacityL: 22.7 };
    await server.request('POST', '/api/vessels', jar);
    const batch = sampleBatch();
    const fill = (volumeL: number): Entry => {
      const entry = sampleFill(batch.id);
      return { ...entry, payload: { ...entry.payload, volumeL, vessels: [{ vesselId: jar.id, volumeL }] } } as Entry;
    };
    expect(await server.request('POST', '/api/batches', { batches: [batch], entries: [fill(23.2)] })).toMatchObject({
      status: 422,
      body: { detail: expect.stringContaining('holds 22.7 L to the brim'), fields: [expect.objectContaining({ code: 'overfull' })] },
    });
    expect((await server.request('POST', '/api/batches', { batches: [batch], entries: [fill(22.6)] })).status).toBe(201);
    expect((await file(sampleEntry(batch.id, 'addition', 0, { what: 'water', volumeL: 0.5 }))).status).toBe(422);
    expect((await file(sampleEntry(batch.id, 'addition', 0, { what: 'water', volumeL: 0.1 }))).status).toBe(201);
  });
});

describe('batches, vessels and settings', () => {
  it('begin with their first entries, once', async () => {
    const batch = sampleBatch();
    const body = { batches: [batch], entries: [sampleFill(batch.id)] };
    expect((await server.request('POST', '/api/batches', body)).status).toBe(201);
    expect((await server.request('POST', '/api/batches', body)).status).toBe(200);
    expect((await server.request('POST', '/api/batches', { ...body, batches: [{ ...batch, name: 'Other' }] })).status).toBe(409);
    expect((await server.request('POST', '/api/batches', { batches: [{ ...sampleBatch(), name: '' }], entries: [sampleFill(batch.id)] })).status).toBe(400);
  });
  it('keep vessels', async () => {
    const vessel = { id: ulid(), name: 'Back jar', kind: 'jar', capacityL: 5 };
    expect(await server.request('POST', '/api/vessels', vessel)).toMatchObject({ status: 201, body: vessel });
    expect((await server.request('POST', '/api/vessels', { ...vessel, id: ulid(), capacityL: -1 })).status).toBe(400);
    expect((await server.request('GET', '/api/vessels')).body).toContainEqual({ ...vessel, cleanedAt: null, retiredOn: null });
  });
  it('notice when another window was quicker', async () => {
    const settings = (await server.request('GET', '/api/settings')).body as { version: number };
    expect(await server.request('PUT', '/api/settings', { ...settings, volume: 'us-gal' })).toMatchObject({
      status: 200,
      body: { volume: 'us-gal', version: settings.version + 1 },
    });
    expect(await server.request('PUT', '/api/settings', { ...settings, volume: 'imp-gal' })).toMatchObject({
      status: 409,
      body: { current: { volume: 'us-gal' } },
    });
  });
});

describe('the app', () => {
  it('answers what it does not know with a problem document', async () => {
    expect(await server.request('GET', '/api/nothing')).toMatchObject({ status: 404, body: { code: 'not-found' } });
    expect(await server.request('POST', '/api/entries', '{broken')).toMatchObject({ status: 400, body: { code: 'bad-request' } });
    expect((await server.request('POST', '/api/entries', { entries: [] })).status).toBe(400);
    expect((await server.request('POST', '/api/entries', `{"entries":"${'x'.repeat(1_100_000)}"}`)).status).toBe(413);
  });
  it('gives a window that opens in one answer what each list gives by itself', async () => {
    const start = (await server.request('GET', '/api/start')).body as Record<string, unknown>;
    const lists = ['batches', 'vessels', 'settings', 'juices', 'supplies', 'instruments', 'places', 'recipes'];
    const alone = await Promise.all(lists.map(async (list) => [list, (await server.request('GET', `/api/${list}`)).body] as const));
    expect(start).toEqual({ ...((await server.request('GET', '/api/clock')).body as object), ...Object.fromEntries(alone) });
    expect(start).toHaveProperty('batches.0.summary.head', expect.anything());
  });
  it('gives a window that opens whatever was written just before', async () => {
    const startOf = async <T>(list: string): Promise<T> => ((await server.request('GET', '/api/start')).body as Record<string, T>)[list] as T;
    const id = ulid();
    await server.request('POST', '/api/vessels', { id, name: 'Just bought', kind: 'jar', capacityL: 5 });
    expect((await startOf<{ id: string }[]>('vessels')).map((v) => v.id)).toContain(id);
    await server.request('POST', `/api/vessels/${id}/cleaned`, { at: '2026-11-20T10:00:00.000Z' });
    expect((await startOf<{ id: string; cleanedAt: string }[]>('vessels')).find((v) => v.id === id)?.cleanedAt).toBe('2026-11-20T10:00:00.000Z');
    await server.request('DELETE', `/api/vessels/${id}`);
    expect((await startOf<{ id: string }[]>('vessels')).map((v) => v.id)).not.toContain(id);
    const place = { id: ulid(), version: 0, name: 'Porch', monthlyC: Array.from({ length: 12 }, () => 9) };
    await server.request('POST', '/api/places', place);
    expect((await startOf<{ name: string }[]>('places')).map((p) => p.name)).toContain('Porch');
  });
  it('holds its day still and sends strict headers', async () => {
    const { body, headers } = await server.request('GET', '/api/clock');
    expect(body).toEqual({ now: '2026-11-23T10:00:00.000Z', fixed: true, mode: 'open', head: expect.stringMatching(/^\w+\.\d+$/), home: null });
    expect(headers.get('content-security-policy')).toContain("script-src 'self'");
    expect(headers.get('x-powered-by')).toBeNull();
  });
});

describe('vessels and places', () => {
  it('a vessel is cleaned, and an older cleaning does not undo a newer one', async () => {
    const id = ulid();
    await server.request('POST', '/api/vessels', { id, name: 'Jar', kind: 'jar', capacityL: 5 });
    const clean = (at: string): ReturnType<TestServer['request']> => server.request('POST', `/api/vessels/${id}/cleaned`, { at });
    expect(await clean('2026-11-20T10:00:00.000Z')).toMatchObject({ status: 200, body: { cleanedAt: '2026-11-20T10:00:00.000Z' } });
    expect(await clean('2026-11-10T10:00:00.000Z')).toMatchObject({ body: { cleanedAt: '2026-11-20T10:00:00.000Z' } });
    expect((await clean('yesterday')).status).toBe(400);
    expect((await server.request('POST', `/api/vessels/${ulid()}/cleaned`, { at: '2026-11-20T10:00:00.000Z' })).status).toBe(404);
  });
  it('a place has twelve months of possible temperatures', async () => {
    const place = { id: ulid(), version: 0, name: 'the shed', monthlyC: [3, 4, 7, 10, 14, 17, 19, 19, 16, 12, 8, 4] };
    expect((await server.request('POST', '/api/places', place)).status).toBe(201);
    expect((await server.request('POST', '/api/places', { ...place, id: ulid(), monthlyC: [1, 2] })).status).toBe(400);
    expect((await server.request('POST', '/api/places', { ...place, id: ulid(), monthlyC: place.monthlyC.map(() => 90) })).status).toBe(400);
  });
});
