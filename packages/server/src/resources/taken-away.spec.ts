import { ulid } from 'ulid';
import { sampleBatch, sampleFill } from '../testing/sample-entries.js';
import { startTestServer, type TestServer } from '../testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.remove());

const supply = (): { readonly id: string } & Record<string, unknown> => ({
  id: ulid(),
  version: 0,
  kind: 'sugar',
  refId: 'sucrose',
  name: 'White sugar',
  amount: 900,
  unit: 'g',
  packetG: null,
  bestBefore: null,
});
const jar = (): { readonly id: string } & Record<string, unknown> => ({ id: ulid(), name: 'Jar', kind: 'jar', capacityL: 25 });
const ids = async (path: string): Promise<readonly string[]> => ((await server.request('GET', path)).body as { id: string }[]).map((r) => r.id);

describe('a resource', () => {
  it('is taken away when nothing tells of it, and taking it away twice is the same', async () => {
    const own = supply();
    await server.request('POST', '/api/supplies', own);
    const away = (): ReturnType<TestServer['request']> => server.request('DELETE', `/api/supplies/${own.id}?version=1`);
    expect((await away()).status).toBe(204);
    expect(await ids('/api/supplies')).not.toContain(own.id);
    expect((await away()).status).toBe(204);
  });
  it('stays when another window changed it since', async () => {
    const own = supply();
    await server.request('POST', '/api/supplies', own);
    await server.request('PUT', `/api/supplies/${own.id}`, { ...own, version: 1, amount: 5 });
    expect(await server.request('DELETE', `/api/supplies/${own.id}?version=1`)).toMatchObject({ status: 409, body: { current: { amount: 5 } } });
    expect((await server.request('DELETE', `/api/supplies/${own.id}`)).status).toBe(409);
    expect(await ids('/api/supplies')).toContain(own.id);
  });
});

describe('a vessel', () => {
  it('stays once a log tells of it, and goes when none does', async () => {
    const [used, unused, batch] = [jar(), jar(), sampleBatch()];
    for (const vessel of [used, unused]) await server.request('POST', '/api/vessels', vessel);
    const fill = sampleFill(batch.id);
    const entries = [{ ...fill, payload: { ...fill.payload, vessels: [{ vesselId: used.id, volumeL: 10 }], volumeL: 10 } }];
    expect((await server.request('POST', '/api/batches', { batches: [batch], entries })).status).toBe(201);
    expect(await server.request('DELETE', `/api/vessels/${used.id}`)).toMatchObject({ status: 422, body: { code: 'not-allowed' } });
    expect((await server.request('DELETE', `/api/vessels/${unused.id}`)).status).toBe(204);
    expect(await ids('/api/vessels')).toEqual([used.id]);
  });
  it('is put right unless another window was quicker, never below what stands in it, and put away only when empty', async () => {
    const [vessel, batch] = [jar(), sampleBatch()];
    await server.request('POST', '/api/vessels', vessel);
    const was = { name: 'Jar', kind: 'jar', capacityL: 25, retiredOn: null };
    const change = (changes: object, from: object = was): ReturnType<TestServer['request']> =>
      server.request('PUT', `/api/vessels/${vessel.id}`, { ...was, ...from, ...changes, was: from });
    expect(await change({ name: 'Green jar' })).toMatchObject({ status: 200, body: { name: 'Green jar', capacityL: 25 } });
    // The same sent twice is stored once; something else on what was read before is told.
    expect((await change({ name: 'Green jar' })).status).toBe(200);
    expect(await change({ capacityL: 10 })).toMatchObject({ status: 409, body: { current: { name: 'Green jar' } } });
    const green = { ...was, name: 'Green jar' };
    const fill = sampleFill(batch.id);
    const entries = [{ ...fill, payload: { ...fill.payload, vessels: [{ vesselId: vessel.id, volumeL: 10 }], volumeL: 10 } }];
    expect((await server.request('POST', '/api/batches', { batches: [batch], entries })).status).toBe(201);
    expect(await change({ capacityL: 9 }, green)).toMatchObject({ status: 422, body: { detail: expect.stringContaining('More stands in') as string } });
    expect(await change({ retiredOn: '2026-11-23' }, green)).toMatchObject({ status: 422, body: { detail: expect.stringContaining('Rack it') as string } });
    expect(await change({ capacityL: 10 }, green)).toMatchObject({ status: 200 });
    const empty = jar();
    await server.request('POST', '/api/vessels', empty);
    const away = await server.request('PUT', `/api/vessels/${empty.id}`, { ...was, retiredOn: '2026-11-23', was });
    expect(away).toMatchObject({ status: 200, body: { retiredOn: '2026-11-23' } });
  });
  it('is as dirty as before when its cleaning is put right, unless it was cleaned again', async () => {
    const vessel = jar();
    const [first, second] = ['2026-11-20T10:00:00.000Z', '2026-11-21T10:00:00.000Z'];
    await server.request('POST', '/api/vessels', vessel);
    await server.request('POST', `/api/vessels/${vessel.id}/cleaned`, { at: first });
    const putRight = (was: string): ReturnType<TestServer['request']> => server.request('PUT', `/api/vessels/${vessel.id}/cleaned`, { at: null, was });
    expect((await putRight(second)).body).toMatchObject({ cleanedAt: first });
    expect((await putRight(first)).body).toMatchObject({ cleanedAt: null });
    expect((await server.request('PUT', `/api/vessels/${vessel.id}/cleaned`, { at: 'soon', was: null })).status).toBe(400);
  });
});
